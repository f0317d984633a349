import { bandOfMeasure } from './stance-bands.ts';
import type { Centimetres } from '../units.ts';
import { sumOf, tellMeasure, timesOf, type KnownBody, type Told } from './body.ts';

/** From how far something is thrown. */
export const ranges = ['long', 'just outside', 'middle', 'close'] as const;
export type RangeName = (typeof ranges)[number];

/** A mark on the floor: where the toes of the lead foot stand, from the face of the bag. */
export interface RangeMark {
  range: RangeName;
  says: string;
  distance: Told;
}

/**
 * Marks for each range, from the reach. The toes of the lead foot are taken to stand below the lead shoulder: whoever leans or turns
 * more moves the tape once they have tried it, and then it is right.
 */
export function rangeMarks(body: KnownBody): RangeMark[] {
  const reach = tellMeasure(body, 'reach');
  const [upper, fore] = [tellMeasure(body, 'upperArm'), tellMeasure(body, 'forearmAndFist')];
  const step = tellMeasure(body, 'foot');
  const bent: Told = {
    value: Math.hypot(upper.value, fore.value),
    error: Math.hypot(upper.error, fore.error),
    source: 'upper arm and forearm at a right angle',
  };
  return [
    {
      range: 'long',
      says: 'The lead fist touches at full reach with a step of a foot’s length.',
      distance: sumOf([reach, step], 'reach and a step'),
    },
    {
      range: 'just outside',
      says: 'The lead fist touches with a straight arm, without a step.',
      distance: sumOf([reach], 'reach'),
    },
    { range: 'middle', says: 'The elbow is at a right angle as the fist lands.', distance: bent },
    {
      range: 'close',
      says: 'The forearm stands upright: uppercuts and short hooks.',
      distance: sumOf([upper], 'upper arm, level'),
    },
  ];
}

/** Where both feet are taped to the floor: middles of the feet, as the checklist has them at its middle. */
export interface StanceBox {
  /** Sideways, between the middles of both feet. */
  width: Told;
  /** Front to back, between both ankles. */
  length: Told;
  foot: Told;
  /** What is still clean. */
  widthFrom: Centimetres;
  widthTo: Centimetres;
}

/** From the shoulders, and from what the checklist calls clean. */
export function stanceBoxFor(body: KnownBody): StanceBox {
  const shoulders = tellMeasure(body, 'shoulderWidth');
  // Between the joints it is less than over both shoulders (0.21 against 0.259 of the stature).
  const joints = timesOf(shoulders, 0.21 / 0.259);
  const torso = tellMeasure(body, 'torso');
  const [width, length] = [bandOfMeasure('stance-width'), bandOfMeasure('stance-length')];
  return {
    width: joints,
    length: timesOf(torso, (length.from + length.to) / 2),
    foot: tellMeasure(body, 'foot'),
    widthFrom: joints.value * width.from,
    widthTo: joints.value * width.to,
  };
}
