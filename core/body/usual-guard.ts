import { median } from 'd3-array';
import type { Px } from '../units.ts';
import { type BodySide, bodySides, pointAt, type PointName, pointsOf } from './points.ts';
import { numbersOfFrame, numbersOfPoint, type Track } from './track.ts';

/**
 * How high the chin is, which the model does not tell: under the mouth, nearly as far again as that is under the nose. Upwards is
 * greater. The head is so small in the picture that more would be noise.
 */
export const chinHeight = (mouth: Px, nose: Px): Px => mouth + Math.min(0, mouth - nose) * 0.9;

/** A hand is where it usually is in most frames: every second tells as much as all. */
const everySoMany = 2;

/** How far under the chin each wrist is for half of the time, in pixels: where somebody keeps their hands, high or low. */
export function usualGuardOf({ frames, values }: Track): Readonly<Record<BodySide, Px>> {
  const height = (frame: number, name: PointName): Px => -values[frame * numbersOfFrame + pointAt[name] * numbersOfPoint + 1]!;
  const seen = Array.from({ length: Math.ceil(frames / everySoMany) }, (_, place) => place * everySoMany).filter(
    (frame) => !Number.isNaN(values[frame * numbersOfFrame]!),
  );
  const under = (side: BodySide): Px =>
    median(seen, (frame) => {
      const mouth = (height(frame, 'leftMouth') + height(frame, 'rightMouth')) / 2;
      return chinHeight(mouth, height(frame, 'nose')) - height(frame, pointsOf[side].Wrist);
    }) ?? 0;
  return Object.fromEntries(bodySides.map((side) => [side, under(side)])) as Record<BodySide, Px>;
}
