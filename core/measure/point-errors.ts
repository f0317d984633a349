import type { PointPart } from '../body/index.ts';
import type { Ratio } from '../units.ts';

/** From where a point of the body is seen. */
export const pointSides = ['near', 'far', 'along'] as const;
export type PointSeen = (typeof pointSides)[number];

/** How far the model is off in two of three frames, across and upwards, in lengths of the trunk. Written by `bin/bench measures --write`. */
export const pointErrors: Readonly<Record<PointPart, Partial<Record<PointSeen, readonly [across: Ratio, up: Ratio]>>>> = {
  nose: { near: [0.034, 0.028], along: [0.041, 0.031] },
  Shoulder: { near: [0.054, 0.042], far: [0.046, 0.036], along: [0.047, 0.043] },
  Elbow: { near: [0.048, 0.05], far: [0.12, 0.075], along: [0.068, 0.082] },
  Wrist: { near: [0.048, 0.066], far: [0.15, 0.16], along: [0.041, 0.066] },
  Knuckle: { near: [0.071, 0.093], far: [0.17, 0.23], along: [0.052, 0.067] },
  Hip: { near: [0.031, 0.043], far: [0.043, 0.078], along: [0.057, 0.082] },
  Knee: { near: [0.048, 0.034], far: [0.046, 0.063], along: [0.022, 0.056] },
  Ankle: { near: [0.029, 0.067], far: [0.038, 0.03], along: [0.023, 0.095] },
  Heel: { near: [0.029, 0.039], far: [0.039, 0.044], along: [0.035, 0.087] },
  Toe: { near: [0.051, 0.041], far: [0.04, 0.04], along: [0.045, 0.045] },
};
