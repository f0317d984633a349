import type { PointPart } from '../body/index.ts';
import type { Ratio } from '../units.ts';

/** From where a point of the body is seen. */
export const pointSides = ['near', 'far', 'along'] as const;
export type PointSeen = (typeof pointSides)[number];

/** How far the model is off in two of three frames, across and upwards, in lengths of the trunk. Written by `bin/bench measures --write`. */
export const pointErrors: Readonly<Record<PointPart, Partial<Record<PointSeen, readonly [across: Ratio, up: Ratio]>>>> = {
  nose: { near: [0.03, 0.027], along: [0.04, 0.029] },
  Shoulder: { near: [0.058, 0.041], far: [0.043, 0.039], along: [0.05, 0.04] },
  Elbow: { near: [0.05, 0.049], far: [0.1, 0.066], along: [0.065, 0.086] },
  Wrist: { near: [0.047, 0.065], far: [0.16, 0.15], along: [0.043, 0.071] },
  Knuckle: { near: [0.07, 0.092], far: [0.18, 0.21], along: [0.056, 0.073] },
  Hip: { near: [0.029, 0.042], far: [0.039, 0.078], along: [0.057, 0.082] },
  Knee: { near: [0.05, 0.034], far: [0.046, 0.061], along: [0.022, 0.057] },
  Ankle: { near: [0.029, 0.068], far: [0.041, 0.032], along: [0.025, 0.098] },
  Heel: { near: [0.028, 0.037], far: [0.043, 0.048], along: [0.036, 0.09] },
  Toe: { near: [0.043, 0.039], far: [0.042, 0.042], along: [0.046, 0.046] },
};
