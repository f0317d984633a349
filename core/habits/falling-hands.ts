import { greatest, group } from 'd3-array';
import { fewestSeen } from '../correction/index.ts';
import type { MeasuredRate } from '../measure/index.ts';
import type { CheckpointId, TechniqueId, TechniqueKind } from '../technique/index.ts';
import type { Habit } from './habits.ts';

/** What falls while a leg is thrown, as measures alone tell it. */
export const fallingHand: CheckpointId = 'gd.other-hand';
const byLeg: readonly (TechniqueKind | undefined)[] = ['kick', 'knee'];

/** How often one thing of a technique is amiss, by measures alone. */
export interface RateOfTechnique extends Pick<MeasuredRate, 'strikes' | 'rate' | 'low' | 'high' | 'watch' | 'fault'> {
  technique: TechniqueId;
  checkpointId: CheckpointId;
}
/** A strike of which the same was measured. */
export interface StrikeValue {
  strikeId: string;
  technique: TechniqueId;
  checkpointId: CheckpointId;
  value: number;
}

/**
 * How often a hand falls with each kick and knee of a session, as seen from the side from which most was measured. Its proof is the
 * strike with which it falls farthest.
 */
export function fallHabits(
  rates: readonly RateOfTechnique[],
  values: readonly StrikeValue[],
  kindOf: (technique: TechniqueId) => TechniqueKind | undefined,
): Extract<Habit, { kind: 'fall' }>[] {
  const asked = rates.filter(({ technique, checkpointId }) => checkpointId === fallingHand && byLeg.includes(kindOf(technique)));
  return [...group(asked, ({ technique }) => technique)].map(([technique, views]) => {
    const { strikes: of, fault, watch, rate, low, high } = greatest(views, ({ strikes }) => strikes)!;
    const worst = greatest(
      values.filter((one) => one.checkpointId === fallingHand && one.technique === technique),
      ({ value }) => value,
    );
    const proof = worst ? [worst.strikeId] : [];
    const times = Math.round(fault + watch / 2);
    return { kind: 'fall', technique, share: { what: 'hand', times, of, rate, low, high, enough: of >= fewestSeen, proof } };
  });
}
