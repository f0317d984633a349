import type { MeasureId } from '@wax-fist/core/technique';
import { jointNames, type JointName } from './body/skeleton.ts';
import { cameraAt, projected } from './camera.ts';
import type { Performance } from './motion/performance.ts';
import type { Scene, SceneCamera } from './scene.ts';
import { trueMeasures } from './true-measures.ts';

/** What is true of a rendered clip. Times in milliseconds from the first frame, pixels from the upper left corner, metres in the room. */
export interface Truth {
  format: 'wax-fist-truth/1';
  scene: Scene;
  camera: SceneCamera;
  frameTimes: number[];
  jointNames: readonly JointName[];
  /** frame × joint × (x, y). */
  pixels: number[][];
  /** frame × joint × (x, y, z). */
  metres: number[][];
  strikes: {
    technique: string;
    place: number;
    launch: number;
    contact: number;
    home: number;
    elbowAngle: number;
    faults: { id: string; checkpoint: string; strength: number }[];
    /** True values by measure, in its unit. */
    measures?: Partial<Record<MeasureId, number>>;
  }[];
}

const milliseconds = (seconds: number): number => Math.round(seconds * 1e4) / 10;

const rounded = (values: Partial<Record<MeasureId, number>>): Partial<Record<MeasureId, number>> =>
  Object.fromEntries(Object.entries(values).map(([id, value]) => [id, Math.round(value * 1000) / 1000]));

export function truthOf(scene: Scene, camera: SceneCamera, performance: Performance, times: readonly number[]): Truth {
  const pixels: number[][] = [];
  const metres: number[][] = [];
  for (const seconds of times) {
    const { joints } = performance.bodyAt(seconds);
    const lens = cameraAt(camera, scene.stance, scene.stature, seconds);
    pixels.push(jointNames.flatMap((name) => projected(joints[name], lens, camera).map((value) => Math.round(value * 10) / 10)));
    metres.push(jointNames.flatMap((name) => joints[name].toArray().map((value) => Math.round(value * 1000) / 1000)));
  }
  return {
    format: 'wax-fist-truth/1',
    scene,
    camera,
    frameTimes: times.map(milliseconds),
    jointNames,
    pixels,
    metres,
    strikes: performance.strikes.map((strike) => ({
      technique: strike.technique,
      place: strike.place,
      launch: milliseconds(strike.launch),
      contact: milliseconds(strike.contact),
      home: milliseconds(strike.home),
      elbowAngle: Math.round(strike.elbowAngle * 10) / 10,
      measures: rounded(trueMeasures(performance, strike)),
      faults: strike.faults.map((fault) => ({ ...fault, strength: Math.round(fault.strength * 100) / 100 })),
    })),
  };
}
