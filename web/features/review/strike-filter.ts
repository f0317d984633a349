import type { StrikeMark } from '@wax-fist/contract/review';
import { thirdOfRound, type Third } from '@wax-fist/core/rounds';
import { gravest, type Verdict } from '@wax-fist/core/review';
import type { TechniqueId } from '@wax-fist/core/technique';
import type { Ms } from '@wax-fist/core/units';

/** Which strikes are in question; an empty wish lets every strike pass. Open: nothing has been said of it yet. */
export interface StrikeFilter {
  /** Empty: any. */
  technique: TechniqueId;
  verdict: Verdict | 'open' | '';
  third: Third | '';
}
export const everyStrike: StrikeFilter = { technique: '', verdict: '', third: '' };
export const isFiltering = ({ technique, verdict, third }: StrikeFilter): boolean => Boolean(technique || verdict || third);

export interface FilteredStrike {
  strike: StrikeMark;
  contact: Ms;
  verdicts: readonly Verdict[];
}

/** Whether a strike is in question. One that lies in no round has no third. */
export function passes(
  filter: StrikeFilter,
  { strike, contact, verdicts }: FilteredStrike,
  rounds: readonly { from: Ms; to: Ms }[],
): boolean {
  if (filter.technique && strike.technique !== filter.technique) return false;
  if (filter.verdict && (gravest(verdicts) ?? 'open') !== filter.verdict) return false;
  if (!filter.third) return true;
  const round = rounds.find(({ from, to }) => contact >= from && contact < to);
  return round !== undefined && thirdOfRound(round, contact) === filter.third;
}
