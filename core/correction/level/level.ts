import { sum } from 'd3-array';
import { intervalTail, type Ratio } from '../../units.ts';
import { weighedShares, type ClubSpread } from './club-spread.ts';
import { laterOf, pass, seenByLikeness, transitionsBetween, weighed, type Look, type Passed, type Seen } from './forward.ts';
import { chanceBelow, levels, meanOf, quantileOf } from './grid.ts';
import { likenesses } from './likeness.ts';
import { motions, moved, transitionOver, type Motion, type Transition } from './motion.ts';

/** A level with its doubt. */
export interface Level {
  /** Share of faults, a watch counting half. */
  level: Ratio;
  /** Bounds of the 90% interval. */
  low: Ratio;
  high: Ratio;
}

/** How likely it is that a level has moved by as much as is worth a word. */
export interface Moved {
  fell: Ratio;
  rose: Ratio;
}

/** What all looks together say of a level. */
export interface LevelAnswer extends Moved {
  /** At each look, from all of them. */
  smoothed: Level[];
  /** Probability that at the last look it is at or below the aim. */
  atAim: Ratio;
  /** In how many weeks it is more likely than not at or below the aim; undefined when it is there, or on no way there. */
  weeksToAim: number | undefined;
}

export interface Asked {
  /** Place of the look against which the last one is held. */
  opening: number;
  aim: Ratio;
  /** A change smaller than this is none. */
  worthwhile: Ratio;
  /** Whether something was begun to be worked on at the opening. */
  worked: boolean;
}

/** Ways to move that hardly explain what was seen are left out. */
const hardly: Ratio = 0.01;

/** One likeness and one motion, and what follows from them. */
interface Way extends Passed {
  motion: Motion;
  transitions: readonly Transition[];
  weight: Ratio;
  seen: readonly Seen[];
}

/**
 * What all looks at one thing say, oldest first, of a trainee of a club: a hidden level that drifts and now and then jumps, days that
 * have a rate of their own round it, averaged over everything that a club's levels are known to do. No two looks are held against
 * each other; the question is asked of the level at the opening and that at the last look, by their joint law.
 * @param looks at least one
 */
export function levelOver(looks: readonly Look[], club: ClubSpread, { opening, aim, worthwhile, worked }: Asked): LevelAnswer {
  const ways = likelyWays(looks, club, worked ? opening : undefined);
  const smoothed = looks.map(() => new Float64Array(levels.length));
  let [fell, rose] = [0, 0];
  for (const way of ways) {
    const ofWay = smoothedOf(way);
    for (const [place, one] of ofWay.entries()) add(smoothed[place]!, one, way.weight);
    const change = movedSince(way, ofWay[opening]!, opening, worthwhile);
    fell += way.weight * change.fell;
    rose += way.weight * change.rose;
  }
  const atAim = chanceBelow(smoothed.at(-1)!, aim);
  return { fell, rose, smoothed: smoothed.map(asLevel), atAim, weeksToAim: weeksToAim(ways, aim, atAim) };
}

/** How two levels stand to each other. */
export interface Compared {
  first: Level;
  second: Level;
  /** Probability that the second is higher than the first by as much as is worth a word, and that it is lower. */
  higher: Ratio;
  lower: Ratio;
}

/**
 * Holds two levels of one trainee against each other that were counted apart, as they are at their last looks: fresh and tired, one
 * rung and another. What a day did to both is not known to be the same, so it says rather too little than too much.
 * @param first, second at least one look each
 */
export function compareLevels(first: readonly Look[], second: readonly Look[], club: ClubSpread, worthwhile: Ratio): Compared {
  const [one, other] = [levelNow(first, club), levelNow(second, club)];
  let [higher, lower] = [0, 0];
  for (const [place, share] of one.entries()) {
    lower += share * chanceBelow(other, levels[place]! - worthwhile);
    higher += share * (1 - chanceBelow(other, levels[place]! + worthwhile));
  }
  return { first: asLevel(one), second: asLevel(other), higher, lower };
}

/** What is known of a level at its last look. */
function levelNow(looks: readonly Look[], club: ClubSpread): Float64Array {
  const now = new Float64Array(levels.length);
  for (const { known, weight } of likelyWays(looks, club, undefined)) add(now, known.at(-1)!, weight);
  return now;
}

/** Probability that a level is at or below an aim at its last look. @param looks at least one */
export const chanceAtAim = (looks: readonly Look[], club: ClubSpread, aim: Ratio): Ratio =>
  chanceBelow(levelNow(looks, club), aim);

/**
 * Where a level is expected in so many weeks after its last look if all goes on as it does: a trend is followed, and the longer nobody
 * looks, the more it may have become anything.
 * @param looks at least one @returns after each week from none up to `weeks`
 */
export function levelAhead(looks: readonly Look[], club: ClubSpread, weeks: number): Ratio[] {
  let ahead = likelyWays(looks, club, undefined).map(asItGoes);
  return Array.from({ length: weeks + 1 }, (_, week) => {
    if (week > 0) ahead = ahead.map(aWeekLater);
    return sum(ahead, ({ level, weight }) => weight * meanOf(level));
  });
}

const asLevel = (distribution: Float64Array): Level => ({
  level: meanOf(distribution),
  low: quantileOf(distribution, intervalTail),
  high: quantileOf(distribution, 1 - intervalTail),
});
function add(all: Float64Array, one: Float64Array, weight: Ratio): void {
  for (let place = 0; place < all.length; place++) all[place]! += weight * one[place]!;
}
/** Every likeness and motion that explains the looks, by how likely it is after them. */
function likelyWays(looks: readonly Look[], club: ClubSpread, cue: number | undefined): Way[] {
  const seen = looks.map(seenByLikeness);
  const ofMotions = transitionsBetween(looks, cue);
  const all = likenesses.flatMap((_, likeness) => {
    const ofLikeness = seen.map((one) => one[likeness]!);
    return motions.flatMap((motion, place) => {
      const share = club.shares[likeness]![place]!;
      if (share < hardly / 10) return [];
      const transitions = ofMotions[place]!;
      return [{ ...pass(ofLikeness, transitions, club.levels), motion, transitions, seen: ofLikeness, share }];
    });
  });
  const [weights] = weighedShares(
    all.map(({ log }) => log),
    all.map(({ share }) => share),
  );
  const kept = all.flatMap((way, place) => (weights[place]! < hardly ? [] : [{ ...way, weight: weights[place]! }]));
  const left = sum(kept, ({ weight }) => weight);
  return kept.map((way) => ({ ...way, weight: way.weight / left }));
}

/** More weeks ahead than this nobody can see, and below such a chance a trend is none. */
const [farthest, likelyTrend]: readonly [number, Ratio] = [12, 0.5];

/** What is known of a level, and how it goes on. */
interface Ahead {
  level: Float64Array;
  week: Transition;
  weight: Ratio;
}
const asItGoes = ({ known, motion, weight }: Way): Ahead => ({ level: known.at(-1)!, week: transitionOver(motion, 1), weight });
const aWeekLater = (one: Ahead): Ahead => ({ ...one, level: moved(one.level, one.week, new Float64Array(levels.length)) });

/** When the aim is likely met, if a trend leads there. */
function weeksToAim(ways: readonly Way[], aim: Ratio, atAim: Ratio): number | undefined {
  const trend = sum(ways, ({ motion, weight }) => (motion.trend < 0 ? weight : 0));
  if (atAim >= likelyTrend || trend < likelyTrend) return undefined;
  let ahead = ways.map(asItGoes);
  for (let week = 1; week <= farthest; week++) {
    ahead = ahead.map(aWeekLater);
    if (sum(ahead, ({ level, weight }) => weight * chanceBelow(level, aim)) >= likelyTrend) return week;
  }
  return undefined;
}

/** What is known of the level at each look from those before and after it. */
function smoothedOf({ known, transitions, seen }: Way): Float64Array[] {
  const { later } = laterOf(seen, transitions);
  return known.map((one, place) => {
    const smoothed = Float64Array.from(one);
    weighed(smoothed, later[place]!);
    return smoothed;
  });
}

/** Openings that are hardly likely are not followed, and of the others every second one: what becomes of them changes little from one to the next. */
const [hardlyThere, everyPlace] = [1e-3, 2];

/**
 * The chances that a level has moved since the opening: what is known of the opening from all looks, times what becomes of each of its
 * places.
 */
function movedSince(way: Way, atOpening: Float64Array, opening: number, worthwhile: Ratio): Moved {
  const there = [...atOpening.keys()].filter((place) => atOpening[place]! > hardlyThere);
  const [first, last] = [there[0]!, there.at(-1)!];
  const shares = sum(there, (place) => atOpening[place]!);
  const all = { fell: 0, rose: 0 };
  const weigh = (place: number, { fell, rose }: Moved): void => {
    if (atOpening[place]! <= hardlyThere) return;
    all.fell += (atOpening[place]! / shares) * fell;
    all.rose += (atOpening[place]! / shares) * rose;
  };
  let before = { place: first, becomes: becomesOf(way, first, opening, worthwhile) };
  weigh(first, before.becomes);
  while (before.place < last) {
    const place = Math.min(last, before.place + everyPlace);
    const next = { place, becomes: becomesOf(way, place, opening, worthwhile) };
    for (let between = before.place + 1; between <= place; between++) {
      const part = (between - before.place) / (place - before.place);
      weigh(between, {
        fell: before.becomes.fell * (1 - part) + next.becomes.fell * part,
        rose: before.becomes.rose * (1 - part) + next.becomes.rose * part,
      });
    }
    before = next;
  }
  return all;
}

/** How likely a level that was at one place at the opening has moved at the last look. */
function becomesOf({ transitions, seen }: Way, from: number, opening: number, worthwhile: Ratio): Moved {
  let [now, spare] = [new Float64Array(levels.length), new Float64Array(levels.length)];
  now[from] = 1;
  for (let place = opening + 1; place < seen.length; place++) {
    moved(now, transitions[place - 1]!, spare);
    weighed(spare, seen[place]!.shares);
    [now, spare] = [spare, now];
  }
  return {
    fell: chanceBelow(now, levels[from]! - worthwhile),
    rose: 1 - chanceBelow(now, levels[from]! + worthwhile),
  };
}
