import betaCdf from '@stdlib/stats-base-dists-beta-cdf';
import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';
import { mean, range, sum } from 'd3-array';
import type { Tally } from '../review/index.ts';
import type { Catalogue, Family, Severity, WalkStop } from '../technique/index.ts';
import type { Ratio } from '../units.ts';
import { faultRate, type FaultRate } from './rate.ts';
import { isSpotted } from './ladder-step.ts';
import { isAbout, type Thing } from './series.ts';

/** Something that was judged in a session, as far as it matters what to mend first. */
export interface Judged {
  technique: string;
  checkpointId: string;
  severity: Severity;
  family: Family;
  /** Where the eye goes for it: two cues for one place are one too many. */
  stop: WalkStop;
  tally: Tally;
}

/** How often a cause and what it may bring about were faults on the same strikes. */
export interface Together {
  technique: string;
  cause: string;
  effect: string;
  /** Strikes on which both were faults, only one was, or neither. */
  both: number;
  onlyCause: number;
  onlyEffect: number;
  neither: number;
}

/** That one fault likely follows from another. */
export interface Explained {
  checkpointId: string;
  /** How much likelier the effect is where the cause is a fault than it is anyway. */
  lift: number;
  /** Probability that it is likelier at all. */
  sure: Ratio;
}

/** Why something is where it is in the order: the whole sum. */
export interface Ranked extends Judged {
  rate: FaultRate;
  weight: number;
  /** Weight × lower bound of the rate. */
  own: number;
  /** What it explains, and half of what that is worth. */
  explains: (Explained & { adds: number })[];
  /** Own and added. */
  value: number;
  /** What it likely follows from; it waits until that is mended. */
  follows: Explained | undefined;
  /** Not for a beginner yet. */
  later: boolean;
  /** Whether it is one of those to begin with. */
  proposed: boolean;
}

/** What a fault costs. Injury comes before everything, whatever its rate. */
const weights: Readonly<Record<Severity, number>> = { injury: 4, exposure: 4, base: 3, power: 2, polish: 1 };
/** So many clear faults that can hurt are enough. */
const fewestThatHurt = 2;
/** More cues than these nobody has in mind at once. */
export const mostCues = 2;
/** How sure one has to be that a fault follows from another. */
const sureToFollow: Ratio = 0.8;
/** What a beginner works on; all else waits. */
const beginnerFamilies: readonly Family[] = ['guard', 'pivot'];
const beginnerSeverities: readonly Severity[] = ['injury', 'base'];

const isFault = ({ severity, tally }: Judged): boolean =>
  (severity === 'injury' && tally.fault >= fewestThatHurt) || isSpotted(faultRate(tally));
const forBeginners = ({ severity, family }: Judged): boolean =>
  beginnerFamilies.includes(family) || beginnerSeverities.includes(severity);

const parts = 60;
/** Whether an effect is likelier with its cause than without it, by Jeffreys' posteriors of both rates. */
export function explainedBy({ cause, both, onlyCause, onlyEffect, neither }: Together): Explained {
  const without = range(parts).map((part) => betaQuantile((part + 0.5) / parts, onlyEffect + 0.5, neither + 0.5));
  const sure = mean(without, (rate) => 1 - betaCdf(rate, both + 0.5, onlyCause + 0.5))!;
  const all = both + onlyCause + onlyEffect + neither;
  const lift = both === 0 ? 0 : both / (both + onlyCause) / ((both + onlyEffect) / all);
  return { checkpointId: cause, lift, sure };
}

/**
 * What is asked when one looks for what to mend first: all that was judged of the trainee and is not worked on yet, and where cues are
 * being worked on already.
 */
export function asksWhatFirst(
  { checkpoints }: Catalogue,
  judged: readonly (Thing & { tally: Tally })[],
  worked: readonly Thing[],
): { judged: Judged[]; stops: WalkStop[] } {
  return {
    judged: judged.flatMap((one): Judged[] => {
      const row = checkpoints.get(one.checkpointId);
      if (!row || row.subject === 'holder' || worked.some(isAbout(one))) return [];
      const { technique, checkpointId, tally } = one;
      return [{ technique, checkpointId, severity: row.severity, family: row.family, stop: row.stop, tally }];
    }),
    stops: worked.flatMap(({ checkpointId }) => checkpoints.get(checkpointId)?.stop ?? []),
  };
}

/**
 * Current faults in the order in which they should be mended, each with its sum: class weight × lower bound of the rate, and half of
 * what it explains. What can hurt stands first; what follows from another current fault waits behind it.
 * @param stops where cues are being worked on already
 */
export function whatFirst(
  judged: readonly Judged[],
  together: readonly Together[],
  { grade, stops }: { grade: string; stops: readonly WalkStop[] },
): Ranked[] {
  const faults = judged.filter(isFault).map((one) => {
    const rate = faultRate(one.tally);
    const weight = weights[one.severity];
    return { ...one, rate, weight, own: weight * rate.low, later: grade === 'beginner' && !forBeginners(one) };
  });
  const at = (technique: string, checkpointId: string) => faults.find(isAbout({ technique, checkpointId }));
  const links = together
    .map((one) => ({
      ...one,
      by: explainedBy(one),
      causing: at(one.technique, one.cause),
      caused: at(one.technique, one.effect),
    }))
    .filter(({ by, causing, caused }) => by.sure >= sureToFollow && causing && caused);
  const ranked = faults.map((fault): Ranked => {
    const explains = links.flatMap(({ by, causing, caused }) =>
      causing === fault ? [{ ...by, checkpointId: caused!.checkpointId, adds: caused!.own / 2 }] : [],
    );
    // What can hurt does not wait for anything.
    const follows = fault.severity === 'injury' ? undefined : links.find(({ caused }) => caused === fault)?.by;
    return { ...fault, explains, value: fault.own + sum(explains, ({ adds }) => adds), follows, proposed: false };
  });
  const place = (one: Ranked): number => (one.later ? 3 : one.follows ? 2 : one.severity === 'injury' ? 0 : 1);
  ranked.sort((a, b) => place(a) - place(b) || b.value - a.value);
  return withProposed(ranked, stops, ({ later, follows }) => later || follows !== undefined);
}

/** The same with those to begin with: no more than anybody has in mind, and no two for one place. */
function withProposed(ranked: readonly Ranked[], stops: readonly WalkStop[], waits: (one: Ranked) => boolean): Ranked[] {
  const taken = [...stops];
  return ranked.map((one) => {
    const proposed = taken.length < mostCues && !waits(one) && !taken.includes(one.stop);
    if (proposed) taken.push(one.stop);
    return { ...one, proposed };
  });
}

/**
 * The same in the order that a coach gives it. What the coach has placed waits for nothing; what was not there when it was placed comes
 * after it, as the sum has it.
 */
export function inOwnOrder(ranked: readonly Ranked[], placed: readonly Thing[], stops: readonly WalkStop[]): Ranked[] {
  const placeOf = (one: Ranked): number => placed.findIndex(isAbout(one));
  const own = ranked.filter((one) => placeOf(one) >= 0).sort((a, b) => placeOf(a) - placeOf(b));
  const others = ranked.filter((one) => placeOf(one) < 0);
  const ofCoach = new Set<string>(own.map(({ technique, checkpointId }) => `${technique} ${checkpointId}`));
  return withProposed(
    [...own, ...others],
    stops,
    ({ technique, checkpointId, later, follows }) =>
      !ofCoach.has(`${technique} ${checkpointId}`) && (later || follows !== undefined),
  );
}
