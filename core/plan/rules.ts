import type { AgeGroup, Grade } from '../trainee/index.ts';
import type { Seconds } from '../units.ts';

/** What may be asked of somebody: what no plan breaks. */
export interface FloorRules {
  /** A usual round, and the longest one. */
  work: Seconds;
  longestWork: Seconds;
  /** Between two rounds, and between two parts, at the least. */
  rest: Seconds;
  /** Rounds in which something is hit hard, at most. */
  impactASession: number;
  impactAWeek: number;
  /** Warm-up and cool-down at the least. */
  warmUp: Seconds;
  coolDown: Seconds;
}

/**
 * By age and grade. Beginners work two minutes and rest one, later ones three; children shorter. How many hard rounds a body may take
 * nobody has measured for this work: these caps are careful, and local rules and those of a federation go before them.
 */
const table: Record<AgeGroup, Record<Grade, FloorRules>> = {
  child: {
    beginner: rules(60, 90, 60, [2, 6], [300, 180]),
    improver: rules(90, 90, 60, [3, 8], [300, 180]),
    advanced: rules(90, 120, 60, [4, 10], [300, 180]),
  },
  youth: {
    beginner: rules(120, 120, 60, [4, 10], [360, 180]),
    improver: rules(120, 120, 60, [5, 14], [360, 180]),
    advanced: rules(120, 180, 60, [6, 16], [360, 180]),
  },
  adult: {
    beginner: rules(120, 120, 60, [6, 15], [360, 180]),
    improver: rules(180, 180, 60, [8, 22], [360, 180]),
    advanced: rules(180, 300, 60, [10, 28], [360, 180]),
  },
};

function rules(
  work: Seconds,
  longestWork: Seconds,
  rest: Seconds,
  [impactASession, impactAWeek]: readonly [number, number],
  [warmUp, coolDown]: readonly [Seconds, Seconds],
): FloorRules {
  return { work, longestWork, rest, impactASession, impactAWeek, warmUp, coolDown };
}

/** The rules for somebody; whose age nobody has entered is asked no more than a youth is. */
export const rulesFor = ({ grade, ageGroup }: { grade: Grade; ageGroup: AgeGroup | null }): FloorRules =>
  table[ageGroup ?? 'youth'][grade];
