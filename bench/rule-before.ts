import { fewestSeen, posteriorOf, sureEnough, worthwhile } from '@wax-fist/core/correction';
import { seen, type Tally } from '@wax-fist/core/review';
import betaCdf from '@stdlib/stats-base-dists-beta-cdf';
import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';
import { mean, range } from 'd3-array';

/**
 * What was asked before there was one model of all sessions, kept to be held against it: two sessions, their strikes taken as
 * independent. Probability that the rate of `after` lies below that of `before` by as much as is worth a word.
 */
export function fellByTheRuleBefore(before: Tally, after: Tally): number {
  const [was, is] = [posteriorOf(before), posteriorOf(after)];
  const parts = 24;
  return mean(range(parts), (part) => {
    const rate = betaQuantile((part + 0.5) / parts, was.alpha, was.beta);
    return rate > worthwhile ? betaCdf(rate - worthwhile, is.alpha, is.beta) : 0;
  })!;
}

/** What it said: better, worse, or nothing. */
export function saidByTheRuleBefore(before: Tally, after: Tally): 'better' | 'worse' | undefined {
  if (seen(before) < fewestSeen || seen(after) < fewestSeen) return undefined;
  if (fellByTheRuleBefore(before, after) >= sureEnough) return 'better';
  return fellByTheRuleBefore(after, before) >= sureEnough ? 'worse' : undefined;
}
