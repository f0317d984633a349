import { bisector, group, mean, sort } from 'd3-array';
import type { Ms, Ratio } from '../units.ts';
import type { FoundStrike } from './found-strikes.ts';

/** A strike as a coach has tagged it. */
export interface NamedStrike {
  id: string;
  technique: string;
  time: Ms;
}

/** A strike tagged this near to one that was found is the same. */
export const sameStrike: Ms = 110;

/** What became of a name that was found: the strike that a coach tagged there, or that there was none. */
export interface NameSaid {
  time: Ms;
  found: string;
  /** How sure it was of having been this strike of this trainee. */
  sure: Ratio;
  said: NamedStrike | 'nothing';
}

const byTime = bisector(({ time }: { time: Ms }) => time);

/**
 * What coaches made of the names that were found in a film: each strike that was found is held against the nearest that is tagged,
 * and each of those once. What was found and is neither tagged nor taken out says nothing: nobody may have looked there.
 * @param found in order of time
 * @param tagged in order of time
 * @param removed times of what a coach took out
 * @returns what was said of each name, and what is tagged and was not found
 */
export function namesSaid(
  found: readonly FoundStrike[],
  tagged: readonly NamedStrike[],
  removed: readonly Ms[],
): { said: NameSaid[]; missed: NamedStrike[] } {
  const named = found.filter(({ names }) => names.length > 0);
  const pairs = named.flatMap((one, place) =>
    tagged
      .slice(byTime.left(tagged, one.time - sameStrike), byTime.right(tagged, one.time + sameStrike))
      .map((strike) => ({ place, strike, apart: Math.abs(strike.time - one.time) })),
  );
  const strikeOf = new Map<number, NamedStrike>();
  const taken = new Set<NamedStrike>();
  for (const { place, strike } of sort(pairs, ({ apart }) => apart)) {
    if (strikeOf.has(place) || taken.has(strike)) continue;
    strikeOf.set(place, strike);
    taken.add(strike);
  }
  const out = new Set(removed);
  const said = named.flatMap(({ time, prominence, names: [likeliest] }, place): NameSaid[] => {
    const strike = strikeOf.get(place) ?? (out.has(time) ? 'nothing' : undefined);
    if (!strike) return [];
    return [{ time, found: likeliest!.technique, sure: prominence * likeliest!.chance, said: strike }];
  });
  return { said, missed: tagged.filter((strike) => !taken.has(strike)) };
}

/** What one name that was found became, the commonest first. */
export interface NameKept<One extends NameSaid = NameSaid> {
  found: string;
  strikes: number;
  kept: number;
  /** By the technique that it was; null where it was nothing. */
  otherwise: { said: string | null; strikes: One[] }[];
}

const saidOf = ({ said }: NameSaid): string | null => (said === 'nothing' ? null : said.technique);
const isKept = (one: NameSaid): boolean => saidOf(one) === one.found;

/** Name by name, those that were changed most often first. */
export const namesKept = <One extends NameSaid>(list: readonly One[]): NameKept<One>[] =>
  sort(
    [...group(list, ({ found }) => found)].map(([found, strikes]) => ({
      found,
      strikes: strikes.length,
      kept: strikes.filter(isKept).length,
      otherwise: sort(
        [
          ...group(
            strikes.filter((one) => !isKept(one)),
            saidOf,
          ),
        ].map(([said, some]) => ({ said, strikes: some })),
        ({ strikes: some }) => -some.length,
      ),
    })),
    ({ strikes, kept }) => kept - strikes,
    ({ strikes }) => -strikes,
  );

/** From where to where names are as sure, the surest first: what is surer than three quarters is taken over without being looked at. */
const bands: readonly (readonly [from: Ratio, to: Ratio])[] = [
  [0.9, 1],
  [0.75, 0.9],
  [0.5, 0.75],
  [0, 0.5],
];
/** How often what was claimed to be so sure was kept. */
export interface SureAndKept {
  from: Ratio;
  to: Ratio;
  strikes: number;
  /** The mean of what was claimed, and the share that was kept. */
  claimed: Ratio;
  kept: Ratio;
}
/** Whether names are as sure as they claim; without bands in which there is nothing. */
export const sureAndKept = (list: readonly NameSaid[]): SureAndKept[] =>
  bands.flatMap(([from, to]) => {
    const strikes = list.filter(({ sure }) => sure >= from && (sure < to || to === 1));
    if (strikes.length === 0) return [];
    const kept = strikes.filter(isKept).length / strikes.length;
    return [{ from, to, strikes: strikes.length, claimed: mean(strikes, ({ sure }) => sure)!, kept }];
  });
