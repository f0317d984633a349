import type { PointPart } from '../body/index.ts';
import type { Ratio } from '../units.ts';

/** From where a point of the body is seen. */
export type PointSeen = 'near' | 'far' | 'along';

/** How far the model is off in two of three frames, across and upwards, in lengths of the trunk. Written by `bin/bench measures --write`. */
export const pointErrors: Readonly<Record<PointPart, Partial<Record<PointSeen, readonly [across: Ratio, up: Ratio]>>>> = {
  nose: { near: [0.031, 0.027], along: [0.041, 0.031] },
  Shoulder: { near: [0.06, 0.044], far: [0.042, 0.044], along: [0.051, 0.037] },
  Elbow: { near: [0.053, 0.045], far: [0.11, 0.068], along: [0.065, 0.086] },
  Wrist: { near: [0.049, 0.063], far: [0.16, 0.16], along: [0.045, 0.066] },
  Knuckle: { near: [0.072, 0.091], far: [0.18, 0.22], along: [0.058, 0.064] },
  Hip: { near: [0.028, 0.041], far: [0.04, 0.079], along: [0.057, 0.087] },
  Knee: { near: [0.048, 0.034], far: [0.049, 0.063], along: [0.02, 0.061] },
  Ankle: { near: [0.029, 0.069], far: [0.041, 0.032], along: [0.026, 0.096] },
  Heel: { near: [0.028, 0.038], far: [0.042, 0.047], along: [0.036, 0.086] },
  Toe: { near: [0.044, 0.037], far: [0.042, 0.042], along: [0.047, 0.044] },
};
