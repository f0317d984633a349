import { group, rollups, sort } from 'd3-array';
import { faultRate, type FaultRate } from '../correction/index.ts';
import { emptyTally } from '../review/index.ts';
import { heardCombinations, usualGap } from '../rounds/index.ts';
import type { Side, TechniqueId } from '../technique/index.ts';
import type { Ms, Ratio } from '../units.ts';

/** A strike or a defence as habits look at it. */
export interface ThrownInTime {
  id: string;
  technique: TechniqueId;
  /** When it lands. */
  time: Ms;
}

/** How often one of several things was done where any of them could have been, with its 90% interval. */
export interface Share<What> extends Pick<FaultRate, 'rate' | 'low' | 'high' | 'enough'> {
  what: What;
  times: number;
  of: number;
  /** The strikes with which it was done, in order of time. */
  proof: readonly string[];
}

/** What somebody does again and again. */
export interface Habits {
  combinations: number;
  /** How many strikes combinations have. */
  lengths: Share<number>[];
  /** With what combinations begin, and end. */
  openings: Share<TechniqueId>[];
  exits: Share<TechniqueId>[];
  /** What comes after each technique; nothing where it was the last of its combination. */
  follows: { after: TechniqueId; next: Share<TechniqueId | undefined>[] }[];
  /** Which hand or foot. */
  sides: Share<Side>[];
}

/** A share with how many there were, and how sure it is. */
export function shareOf<What>(what: What, proof: readonly string[], of: number): Share<What> {
  const { rate, low, high, enough } = faultRate({ ...emptyTally, fault: proof.length, clean: of - proof.length });
  return { what, times: proof.length, of, rate, low, high, enough, proof };
}

/** Of a list of things done, each with how often; the commonest first. */
function sharesOf<One, What>(list: readonly One[], whatOf: (one: One) => What, idOf: (one: One) => string): Share<What>[] {
  const counted = rollups(list, (some) => some.map(idOf), whatOf);
  return sort(
    counted.map(([what, proof]) => shareOf(what, proof, list.length)),
    ({ times }) => -times,
  );
}

/**
 * What somebody does again and again in the rounds of a session.
 * @param films strikes of each film, in order of time; two films of one round would count it twice
 * @param sideOf which hand or foot a technique is thrown with
 */
export function habitsOf(
  films: readonly (readonly ThrownInTime[])[],
  sideOf: (technique: TechniqueId) => Side,
  gap: Ms = usualGap,
): Habits {
  const combinations = films.flatMap((film) => heardCombinations(film, gap));
  const pairs = combinations.flatMap((one) => one.map((strike, place) => ({ strike, next: one[place + 1] })));
  const first = (one: readonly ThrownInTime[]): ThrownInTime => one[0]!;
  const last = (one: readonly ThrownInTime[]): ThrownInTime => one.at(-1)!;
  return {
    combinations: combinations.length,
    lengths: sharesOf(
      combinations,
      ({ length }) => length,
      (one) => first(one).id,
    ),
    openings: sharesOf(
      combinations,
      (one) => first(one).technique,
      (one) => first(one).id,
    ),
    exits: sharesOf(
      combinations,
      (one) => last(one).technique,
      (one) => last(one).id,
    ),
    follows: sort(
      Array.from(
        group(pairs, ({ strike }) => strike.technique),
        ([after, some]) => ({
          after,
          next: sharesOf(
            some,
            ({ next }) => next?.technique,
            ({ strike }) => strike.id,
          ),
        }),
      ),
      ({ next }) => -next[0]!.of,
    ),
    sides: sharesOf(
      films.flat(),
      ({ technique }) => sideOf(technique),
      ({ id }) => id,
    ),
  };
}

/** A habit that a partner could read. */
export type Tell =
  | { kind: 'opening' | 'exit'; share: Share<TechniqueId> }
  | { kind: 'follow'; after: TechniqueId; share: Share<TechniqueId | undefined> }
  | { kind: 'side'; share: Share<Side> };

/** It is read when it is done in at least so much of all cases, for sure. */
const [readable, readableSide]: readonly [Ratio, Ratio] = [0.6, 0.75];
/** Whoever throws one technique alone has no choice that could be read. */
const leastChoices = 2;

/**
 * What a partner could read, the surest first: what is done in most cases, for sure, where there was a choice. One hand that is used
 * three times out of five says little: it is told from three out of four on.
 */
export function tellsOf({ openings, exits, follows, sides }: Habits): Tell[] {
  const hasChoice = openings.length >= leastChoices || follows.length >= leastChoices;
  const told = <What>(shares: readonly Share<What>[], least = readable): Share<What>[] =>
    shares.filter(({ enough, low }) => enough && low >= least);
  const chosen = <What>(shares: readonly Share<What>[]): Share<What>[] => (hasChoice ? told(shares) : []);
  const tells: Tell[] = [
    ...chosen(openings).map((share): Tell => ({ kind: 'opening', share })),
    ...chosen(exits).map((share): Tell => ({ kind: 'exit', share })),
    ...follows.flatMap(({ after, next }) => chosen(next).map((share): Tell => ({ kind: 'follow', after, share }))),
    ...told(sides, readableSide)
      .filter(({ what }) => what !== 'both')
      .map((share): Tell => ({ kind: 'side', share })),
  ];
  return sort(tells, ({ share }) => -share.low);
}
