import type { CheckpointId, ShippedCheckpointId } from '../technique/index.ts';
import type { Ms } from '../units.ts';
import type { MeasurableStrike } from './measurable-strike.ts';
import { pointMeasureOf } from './of-points.ts';
import { readOf } from './read-from.ts';

/** The instant that decides a row of a strike, with its standard error. */
export interface DecidedAt {
  time: Ms;
  doubt: Ms;
}

interface Decided {
  /** By how much it is found too late in trials, and what of it is doubted then. */
  late: Ms;
  doubt: Ms;
  /** Of what is clean there is none: a hand that stays up is lowest at no time. */
  onlyAmiss: boolean;
}
/**
 * What trials say of such instants; what is not here is not found well enough: when a fist is furthest the wrong way, the hand on the
 * side that kicks is lowest or a hook is furthest past the middle is off by a tenth of a second. Printed and checked by
 * `bin/bench measures`.
 */
export const decidedIn: Readonly<Partial<Record<ShippedCheckpointId, Decided>>> = {
  'gd.other-hand': { late: -6, doubt: 90, onlyAmiss: true },
  'gd.return-line': { late: 4, doubt: 18, onlyAmiss: true },
  'kk.chamber': { late: -3, doubt: 18, onlyAmiss: false },
  'kk.return': { late: 25, doubt: 105, onlyAmiss: false },
  'pv.sync': { late: 2, doubt: 25, onlyAmiss: false },
  'ex.move': { late: 0, doubt: 100, onlyAmiss: false },
};
const decidedOf = (id: CheckpointId): Decided | undefined => (decidedIn as Readonly<Record<CheckpointId, Decided>>)[id];

/** What the points alone say, before any trial corrects it. */
export function rawDecidedAt(strike: MeasurableStrike, checkpoint: CheckpointId): Ms | undefined {
  const measure = pointMeasureOf(checkpoint);
  const one = measure && readOf(strike, measure);
  const time = one && measure.when?.(one.sight);
  return time === undefined || Number.isNaN(time) ? undefined : time;
}

/**
 * When a row of a strike is decided: when a hand is lowest, the leg chambered, the base there again. Undefined where a moment of the
 * strike itself decides it, and where the strike does not show it.
 * @param isClean whether the row is clean by what is measured
 */
export function decidedAt(strike: MeasurableStrike, checkpoint: CheckpointId, isClean: boolean): DecidedAt | undefined {
  const known = decidedOf(checkpoint);
  if (!known || (known.onlyAmiss && isClean)) return undefined;
  const time = rawDecidedAt(strike, checkpoint);
  return time === undefined ? undefined : { time: time - known.late, doubt: known.doubt };
}
