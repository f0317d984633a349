import { mean } from 'd3-array';
import { bodySides, pointsOf } from '../body/index.ts';
import type { Degrees, Ms, Ratio } from '../units.ts';
import type { Sight } from './sight.ts';
import { trunkLean } from './trunk.ts';

/** Round contact whoever holds hardly moves, and what single frames are off by falls out in the mean. */
const roundContact: readonly Ms[] = [-60, -30, 0, 30];

/** How far the nearer pad hand of whoever holds is ahead of their own nose at contact, in trunks; below 0 the head is past the pads. */
export function headClear({ at, contact, size }: Sight): Ratio {
  const clear = (time: Ms): number =>
    Math.min(...bodySides.map((side) => at(pointsOf[side].Wrist, time)[0])) - at('nose', time)[0];
  return mean(roundContact, (besides) => clear(contact + besides))! / size.torso;
}

/** The trunk of whoever holds from upright at contact, towards whoever strikes. */
export const holderLean = (sight: Sight): Degrees =>
  mean(roundContact, (besides) => trunkLean({ ...sight, contact: sight.contact + besides }))!;
