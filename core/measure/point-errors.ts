import type { PointPart } from '../body/index.ts';
import type { Ratio } from '../units.ts';

/** From where a point of the body is seen. */
export const pointSides = ['near', 'far', 'along'] as const;
export type PointSeen = (typeof pointSides)[number];

/** How far the model is off in two of three frames, across and upwards, in lengths of the trunk. Written by `bin/bench measures --write`. */
export const pointErrors: Readonly<Record<PointPart, Partial<Record<PointSeen, readonly [across: Ratio, up: Ratio]>>>> = {
  nose: { near: [0.033, 0.029], along: [0.038, 0.032] },
  Shoulder: { near: [0.053, 0.041], far: [0.046, 0.036], along: [0.047, 0.044] },
  Elbow: { near: [0.047, 0.051], far: [0.12, 0.074], along: [0.065, 0.081] },
  Wrist: { near: [0.048, 0.068], far: [0.15, 0.16], along: [0.041, 0.063] },
  Knuckle: { near: [0.071, 0.095], far: [0.17, 0.23], along: [0.054, 0.065] },
  Hip: { near: [0.031, 0.041], far: [0.045, 0.077], along: [0.056, 0.082] },
  Knee: { near: [0.047, 0.035], far: [0.048, 0.062], along: [0.022, 0.052] },
  Ankle: { near: [0.028, 0.066], far: [0.037, 0.029], along: [0.022, 0.095] },
  Heel: { near: [0.028, 0.036], far: [0.039, 0.043], along: [0.034, 0.086] },
  Toe: { near: [0.05, 0.04], far: [0.039, 0.039], along: [0.045, 0.044] },
};
