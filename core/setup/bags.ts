import type { Centimetres } from '../units.ts';
import { exactly, sumOf, tellMeasure, timesOf, type KnownBody, type Told } from './body.ts';

/** Soles that a stature without shoes has not. */
export const soles: Centimetres = 2;
/** A speed bag whose belly hangs off by more than this is struck upward, or down. */
export const speedBagTolerance: Centimetres = 4;

/** A speed bag: its belly, the widest part, hangs at the height of the mouth. */
export interface SpeedBag {
  /** Of the belly, over the floor. */
  belly: Told;
  /** Of the board's underside, over the floor. */
  board: Told;
  /** Whether stature alone is sure enough of it. */
  sure: boolean;
}

/** @param bellyToTop from the widest part of the bag to where it hangs from the board */
export function speedBagFor(body: KnownBody, bellyToTop: Centimetres): SpeedBag {
  const belly = sumOf([tellMeasure(body, 'mouth'), exactly(soles, 'soles')], 'mouth of the trainee, in shoes');
  const board = sumOf([belly, exactly(bellyToTop, 'the bag')], 'belly at the mouth, and the bag from belly to top');
  return { belly, board, sure: 2 * board.error <= speedBagTolerance };
}

/** How a speed bag hangs that is there already. @param board its underside over the floor */
export function speedBagIsOff(body: KnownBody, bellyToTop: Centimetres, board: Centimetres): Centimetres {
  return board - speedBagFor(body, bellyToTop).board.value;
}

/** An uppercut bag: from the solar plexus to the chin of an opponent. */
export function uppercutBagFor(opponent: KnownBody): { bottom: Told; middle: Told; top: Told } {
  const [bottom, top] = [tellMeasure(opponent, 'solarPlexus'), tellMeasure(opponent, 'chin')];
  return { bottom, middle: timesOf(sumOf([bottom, top], 'between plexus and chin'), 0.5), top };
}

/** A place on a heavy bag. */
export interface Target {
  name: string;
  height: Told;
}
/** Where an opponent would be, on a heavy bag: heights over the floor, from the top. Nothing is struck below the belt line. */
export const targetsOf = (opponent: KnownBody): Target[] => [
  { name: 'Eyes', height: tellMeasure(opponent, 'eyes') },
  { name: 'Chin', height: tellMeasure(opponent, 'chin') },
  { name: 'Solar plexus', height: tellMeasure(opponent, 'solarPlexus') },
  { name: 'Lower ribs', height: tellMeasure(opponent, 'lowerRibs') },
  { name: 'Belt line', height: tellMeasure(opponent, 'belt') },
];

/** Side seams of a round bag: a quarter of its girth to each side of the middle; nothing behind them. */
export const seamFromMiddle = (girth: Centimetres): Centimetres => girth / 4;
