import type { Ms, Seconds } from '@wax-fist/core/units';
import { jointNames, referenceStature, type JointName } from '../body/skeleton.ts';
import { cameraAt, projected } from '../camera.ts';
import { cameraTime, roundTime } from '../clock.ts';
import type { StrikeTimes } from '../motion/part.ts';
import type { Performance } from '../motion/thrown-round.ts';
import type { Scene, SceneCamera } from '../scene.ts';
import { trueMeasures, trueOfHolder, type TrueValues } from './measures.ts';
import { obstaclesOf, visibilityOf } from './visibility.ts';

/**
 * What is true of a rendered film. Times in milliseconds of the camera's clock, from its first frame; pixels from the upper left
 * corner, metres in the room.
 */
export interface Truth {
  format: 'wax-fist-truth/1';
  scene: Scene;
  camera: SceneCamera;
  /** The camera's clock against the round's: it was started so many seconds into it, and runs faster by so much. */
  clock?: { starts: Seconds; drift: number };
  frameTimes: Ms[];
  jointNames: readonly JointName[];
  /** frame × joint × (x, y). */
  pixels: number[][];
  /** frame × joint × (x, y, z). */
  metres: number[][];
  /** frame × joint: 0 outside of the picture, 1 hidden behind something, 2 seen. One digit each. */
  visibility?: string[];
  strikes: {
    technique: string;
    place: number;
    launch: Ms;
    contact: Ms;
    home: Ms;
    elbowAngle: number;
    /** Of a series. */
    parts?: { technique: string; launch: Ms; contact: Ms; home: Ms; measures?: TrueValues }[];
    faults: { id: string; checkpoint: string; strength: number }[];
    /** What the holder does wrong meanwhile. */
    held?: { id: string; checkpoint: string; strength: number }[];
    /** True values by checkpoint, in the unit of its measure. */
    measures?: TrueValues;
  }[];
  /** Everything that is heard to land. */
  hits?: { at: Ms; on: string; snap: number }[];
  /** From the first launch to the last strike home of every round, and its bells. */
  rounds?: { from: Ms; to: Ms; rings: Ms[] }[];
}

const tenths = (value: number): number => Math.round(value * 10) / 10;
const hundredths = (value: number): number => Math.round(value * 100) / 100;
const rounded = (values: TrueValues): TrueValues =>
  Object.fromEntries(Object.entries(values).map(([id, value]) => [id, Math.round(value * 1000) / 1000]));
const told = (faults: readonly { id: string; checkpoint: string; strength: number }[]) =>
  faults.map(({ id, checkpoint, strength }) => ({ id, checkpoint, strength: hundredths(strength) }));

/** The truth of one camera's film; `moments` are its frames in seconds of its own clock. */
export function truthOf(scene: Scene, camera: SceneCamera, performance: Performance, moments: readonly Seconds[]): Truth {
  const pixels: number[][] = [];
  const metres: number[][] = [];
  const visibility: string[] = [];
  const size = scene.stature / referenceStature;
  for (const seconds of moments.map((own) => roundTime(camera, own))) {
    const body = performance.bodyAt(seconds);
    const lens = cameraAt(camera, scene, seconds);
    pixels.push(jointNames.flatMap((name) => projected(body.joints[name], lens, camera).map(tenths)));
    metres.push(jointNames.flatMap((name) => body.joints[name].toArray().map((value) => Math.round(value * 1000) / 1000)));
    const around = obstaclesOf(scene, performance.bagAt(seconds), performance.holder?.bodyAt(seconds));
    visibility.push(visibilityOf(body, jointNames, lens, camera, around, size).join(''));
  }
  const onClock = (seconds: Seconds): Ms => tenths(cameraTime(camera, seconds) * 1000);
  const moments3 = ({ launch, contact, home }: StrikeTimes) => ({
    launch: onClock(launch),
    contact: onClock(contact),
    home: onClock(home),
  });
  return {
    format: 'wax-fist-truth/1',
    scene,
    camera,
    clock: { starts: camera.starts ?? 0, drift: camera.drift ?? 0 },
    frameTimes: moments.map((own) => tenths(own * 1000)),
    jointNames,
    pixels,
    metres,
    visibility,
    strikes: performance.strikes.map((strike) => ({
      technique: strike.technique,
      place: strike.place,
      ...moments3(strike),
      elbowAngle: tenths(strike.elbowAngle),
      ...(strike.parts.length > 1 && {
        parts: strike.parts.map((part) => ({
          technique: part.technique,
          ...moments3(part),
          ...(performance.holder && { measures: rounded(trueOfHolder(performance, strike, part)) }),
        })),
      }),
      measures: rounded({ ...trueOfHolder(performance, strike, strike.parts[0]!), ...trueMeasures(performance, strike) }),
      faults: told(strike.faults),
      ...(strike.held && { held: told(strike.held) }),
    })),
    hits: performance.hits.map(({ at, on, snap }) => ({ at: onClock(at), on, snap: hundredths(snap) })),
    rounds: performance.rounds.map(([from, to], index) => ({
      from: onClock(from),
      to: onClock(to),
      rings: performance.rings.slice(index * 2, index * 2 + 2).map(onClock),
    })),
  };
}
