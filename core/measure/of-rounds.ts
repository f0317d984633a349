import { deviation, mean, median, pairs } from 'd3-array';
import { thirds, thirdOfRound } from '../rounds/index.ts';
import type { MeasureId } from '../technique/index.ts';
import type { Ms, Ratio } from '../units.ts';
import type { Measured } from './measured.ts';
import { usualTail } from './spread.ts';

/** A round by what was heard in it, and what is marked in it. */
export interface MarkedRound {
  from: Ms;
  to: Ms;
  /** When something was heard to land, in order. */
  hits: readonly Ms[];
  /**
   * When strikes of one kind land, as they are marked, in order, and by how much a mark is off. What is heard tells no beat: a speed bag
   * knocks three times for each fist, and the fist is the quietest.
   */
  beats: readonly Ms[];
  markOff: Ms;
}

/** One hit in so many is not heard, and as many are heard where none was: what two counts differ by of themselves. */
const miscounted: Ratio = 0.1;
const none = (reason: string): Measured => ({ value: undefined, reason });

/** A beat that comes later than this after the one before is not marked or begun anew, and a sooner one is none; of the usual gap. */
const [soonest, latest]: readonly [Ratio, Ratio] = [0.4, 1.7];
/** Fewer gaps say nothing of a beat. */
const fewestGaps = 10;
/**
 * Spread of the gaps between the beats of a round, over their mean, without what marks are off by: each gap has two ends, so that
 * v² = s²/m² − 2f²/m². The doubt is that of a spread of as many normally spread gaps, s/√(2(n − 1)), carried through,
 * together with what was taken off.
 */
function beatVariation({ beats, markOff }: MarkedRound): Measured {
  const all = pairs(beats, (before, after) => after - before);
  const usual = median(all) ?? 0;
  const gaps = all.filter((gap) => gap > soonest * usual && gap < latest * usual);
  if (gaps.length < fewestGaps)
    return none('Too few beats in a row are marked in this round: mark a dozen or more, one for each punch.');
  const spread = deviation(gaps)! / mean(gaps)!;
  const ofMarks = (Math.SQRT2 * markOff) / mean(gaps)!;
  const value = Math.sqrt(Math.max(0, spread ** 2 - ofMarks ** 2));
  const ofSpread = spread / Math.sqrt(2 * (gaps.length - 1));
  // What is next to nothing is known no better than what was taken off.
  const doubt = Math.hypot((spread * ofSpread) / Math.max(value, spread / 2), ofMarks);
  return { value, doubt, shared: doubt, degrees: usualTail };
}

/** Fewer hits in a third say nothing of its pace. */
const fewestHits = 8;
/** Hits of the last third of a round by those of its first. The doubt is that of two counts: r · √(q/a + q/b). */
function paceKept(round: MarkedRound): Measured {
  const [first, , last] = thirds.map((third) => round.hits.filter((time) => thirdOfRound(round, time) === third).length) as [
    number,
    number,
    number,
  ];
  if (first < fewestHits) return none('Too few hits were heard in the first third of this round to say.');
  const value = last / first;
  const doubt = Math.sqrt((miscounted * (value + value ** 2)) / first);
  return { value, doubt, shared: doubt, degrees: usualTail };
}

/** Whether it is measured of a round as a whole. */
export const isOfRounds = (measure: string): boolean => Object.hasOwn(measuresOfRounds, measure);
/** What is measured of a round as a whole, by what was heard in it: the same at each of its strikes. */
export const measuresOfRounds: Readonly<Partial<Record<MeasureId, (round: MarkedRound) => Measured>>> = {
  'beat-variation': beatVariation,
  pace: paceKept,
};
