import { group, rollups, sort } from 'd3-array';
import { faultRate, type FaultRate } from '../correction/index.ts';
import { emptyTally } from '../review/index.ts';
import { heardCombinations, usualGap } from '../rounds/index.ts';
import { heightOf, type Height, type Side, type TechniqueId, type Technique } from '../technique/index.ts';
import type { Ms, Ratio } from '../units.ts';
import type { MovingPart } from './moving-part.ts';

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
  /** How high, of what is aimed at one height. */
  heights: Share<Height>[];
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
 * @param thrown with which hand or foot a technique is thrown, and where it lands; undefined where the catalogue does not know it any more
 */
export function habitsOf(
  films: readonly (readonly ThrownInTime[])[],
  thrown: (technique: TechniqueId) => Pick<Technique, 'side' | 'zones'> | undefined,
  gap: Ms = usualGap,
): Habits {
  const strikes = films.flat();
  const idOf = ({ id }: ThrownInTime): string => id;
  const aimed = strikes.flatMap((strike) => {
    const height = heightOf(thrown(strike.technique)?.zones ?? []);
    return height ? [{ ...strike, height }] : [];
  });
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
    sides: sharesOf(strikes, ({ technique }): Side => thrown(technique)?.side ?? 'both', idOf),
    heights: sharesOf(aimed, ({ height }) => height, idOf),
  };
}

/** One habit by itself: what is done, out of what else could have been. */
export type Habit =
  | { kind: 'opening' | 'exit'; share: Share<TechniqueId> }
  | { kind: 'side'; share: Share<Side> }
  | { kind: 'height'; share: Share<Height> }
  /** What comes after a technique. */
  | { kind: 'follow'; technique: TechniqueId; share: Share<TechniqueId | undefined> }
  /** What moves before a technique sets out, and what falls while it is thrown. */
  | { kind: 'move'; technique: TechniqueId; share: Share<MovingPart> }
  | { kind: 'fall'; technique: TechniqueId; share: Share<'hand'> };
export const habitKinds = ['opening', 'exit', 'side', 'height', 'follow', 'move', 'fall'] as const;
export type HabitKind = (typeof habitKinds)[number];

/** Everything that was done, each by itself. */
export const eachHabit = ({ openings, exits, follows, sides, heights }: Habits): Habit[] => [
  ...openings.map((share): Habit => ({ kind: 'opening', share })),
  ...exits.map((share): Habit => ({ kind: 'exit', share })),
  ...follows.flatMap(({ after, next }) => next.map((share): Habit => ({ kind: 'follow', technique: after, share }))),
  ...sides.map((share): Habit => ({ kind: 'side', share })),
  ...heights.map((share): Habit => ({ kind: 'height', share })),
];

/** It is read when it is done in at least so much of all cases, for sure. What moves or falls does so with other strikes once in twenty. */
const readable: Readonly<Record<HabitKind, Ratio>> = {
  ...{ opening: 0.6, exit: 0.6, follow: 0.6, side: 0.75, height: 0.75 },
  ...{ move: 0.3, fall: 0.3 },
};
export const isReadable = ({ kind, share: { enough, low } }: ReadOf): boolean => enough && low >= readable[kind];
/** What it takes to know whether a habit can be read. */
interface ReadOf {
  kind: HabitKind;
  share: Pick<Share<unknown>, 'enough' | 'low'>;
}

/** Of whoever throws one technique alone, the side is all that can be read: there was no other choice. */
const leastChoices = 2;

/**
 * What a partner could read, the surest first: what is done in most cases, for sure, where there was a choice. One hand or one height
 * that is used three times out of five says little: it is told from three out of four on.
 */
export function tellsOf(habits: Habits): Habit[] {
  const hasChoice = habits.openings.length >= leastChoices || habits.follows.length >= leastChoices;
  const tells = eachHabit(habits).filter(
    (habit) => isReadable(habit) && (habit.kind === 'side' || hasChoice) && habit.share.what !== 'both',
  );
  return sort(tells, ({ share }) => -share.low);
}
