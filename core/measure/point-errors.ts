import type { PointPart } from '../body/index.ts';
import type { Ratio } from '../units.ts';

/** From where a point of the body is seen. */
export const pointSides = ['near', 'far', 'along'] as const;
export type PointSeen = (typeof pointSides)[number];

/** How far the model is off in two of three frames, across and upwards, in lengths of the trunk. Written by `bin/bench measures --write`. */
export const pointErrors: Readonly<Record<PointPart, Partial<Record<PointSeen, readonly [across: Ratio, up: Ratio]>>>> = {
  nose: { near: [0.034, 0.029], along: [0.041, 0.033] },
  Shoulder: { near: [0.054, 0.042], far: [0.046, 0.036], along: [0.047, 0.043] },
  Elbow: { near: [0.047, 0.051], far: [0.13, 0.076], along: [0.067, 0.082] },
  Wrist: { near: [0.048, 0.067], far: [0.15, 0.16], along: [0.042, 0.065] },
  Knuckle: { near: [0.071, 0.094], far: [0.17, 0.23], along: [0.055, 0.066] },
  Hip: { near: [0.031, 0.043], far: [0.044, 0.077], along: [0.056, 0.082] },
  Knee: { near: [0.048, 0.034], far: [0.047, 0.063], along: [0.022, 0.054] },
  Ankle: { near: [0.029, 0.067], far: [0.038, 0.03], along: [0.024, 0.094] },
  Heel: { near: [0.029, 0.039], far: [0.04, 0.043], along: [0.035, 0.085] },
  Toe: { near: [0.052, 0.041], far: [0.041, 0.04], along: [0.046, 0.045] },
};
