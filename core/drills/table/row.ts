import type { ShippedCheckpointId, ShippedTechniqueId } from '../../technique/index.ts';
import { ageGroups, type AgeGroup } from '../../trainee/index.ts';
import type { Seconds } from '../../units.ts';
import type { Dose, Drill } from '../drill.ts';

/** A drill that ships: what it trains and throws has to be in the tables that ship. */
export interface ShippedDrill extends Drill {
  trains: readonly ShippedCheckpointId[];
  techniques: readonly ShippedTechniqueId[];
}

/** A drill as a table tells it: what most of them have alike is left out. */
export type DrillRow = Omit<ShippedDrill, keyof typeof usual | 'easier' | 'harder'> &
  Partial<Pick<ShippedDrill, keyof typeof usual | 'easier' | 'harder'>>;

const usual = {
  techniques: [],
  on: ['shadowboxing'],
  needs: [],
  company: 'alone',
  recipe: null,
  film: null,
  loads: [],
  impact: 'none',
  contact: false,
  ages: ageGroups,
  grade: 'beginner',
} satisfies Partial<ShippedDrill>;

/** A row written out. */
export const drillOfRow = (row: DrillRow): ShippedDrill => ({ easier: null, harder: null, ...usual, ...row });

/** So often with each lead, in each of some rounds. */
export const timesEach = (each: number, rounds: number, work: Seconds, rest: Seconds = 30): Dose => ({
  each,
  rounds,
  work,
  rest,
});
/** By the clock alone. */
export const byClock = (rounds: number, work: Seconds, rest: Seconds = 60): Dose => ({ each: null, rounds, work, rest });

/** No child: something heavy swings or somebody strikes back. */
export const notChildren: readonly AgeGroup[] = ['youth', 'adult'];
