import { emptyTrack, numbersOfFrame, numbersOfPoint, pointNames, type PointName } from '@wax-fist/core/body';
import { timelineOf } from '@wax-fist/core/film';
import type { MovingBody } from '@wax-fist/core/strikes';
import { jointAt } from '../body/model-points.ts';
import { cameraAt, projected } from '../camera.ts';

import { plainLook } from '../look.ts';
import { canShow, faultModels } from '../motion/fault/index.ts';
import { feintModels } from '../motion/technique/feint.ts';
import { everySingle, isBeat, isMove, type Single } from '../motion/technique/single.ts';
import type { Performance } from '../motion/thrown-round.ts';
import { seededRandom, type Random } from '../random.ts';
import type { Scene, SceneCamera, SceneView } from '../scene.ts';

/** What is thrown alone and in combinations. Beats of the speed bag are found by ear. */
const singles = everySingle.filter((one) => !isBeat(one));
const strikes = singles.filter((one) => !isMove(one));
const feints = singles.filter((one) => one in feintModels);
const moves = singles.filter((one) => isMove(one) && !feints.includes(one));
/** What is thrown most, so often more. */
const common: readonly Single[] = [
  'jab',
  'jab',
  'jab',
  'cross',
  'cross',
  'lead-hook',
  'rear-hook',
  'lead-uppercut',
  'rear-uppercut',
  'rear-round',
  'lead-round',
  'push-kick',
  'low-kick',
  'rear-knee',
  'body-straight',
  'body-jab',
  'overhand',
  'lead-body-hook',
];

/** Half of it is what is thrown most. A feint goes out by any way of its own, so it is shown more often than any one move. */
const pools = [common, common, common, common, strikes, strikes, moves, moves, feints];

/** Somebody who was never filmed, with habits and faults of their own. */
export function anybody(seed: number): Scene {
  const random = seededRandom(seed * 7919 + 3);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random.next() * list.length)]!;
  const work = Array.from({ length: 26 }, () => ({
    strikes: Array.from({ length: 1 + Math.floor(random.next() * 4) }, () => pick(pick(pools))),
    times: 1,
  }));
  const thrown = [...new Set(work.flatMap((one) => one.strikes))];
  return {
    name: `anybody${seed}`,
    seed,
    stance: random.next() < 0.7 ? 'orthodox' : 'southpaw',
    stature: random.between(1.4, 1.95),
    look: plainLook,
    work,
    station: random.next() < 0.4 ? 'shadow' : undefined,
    tired: random.between(0, 0.8),
    faults: thrown.flatMap((strike) =>
      faultModels
        .filter((fault) => canShow(fault, strike) && random.next() < 0.25)
        .map(({ id }) => ({ fault: id, strike, share: random.between(0.2, 0.7), strength: [0.3, 1] as [number, number] })),
    ),
    cameras: [],
    noise: -42,
  };
}

/** Any place of a camera on one side. */
const anyCamera = (random: Random, view: SceneView): SceneCamera => ({
  view,
  distance: random.between(2.6, 4.6),
  height: random.between(0.8, 1.6),
  frameRate: random.next() < 0.5 ? 30 : 60,
  pictureWidth: 1280,
  pictureHeight: 720,
  shake: random.between(0, 1),
  roll: random.normal(0, 2),
  turned: random.normal(0, 9),
});

/** Limbs that a model loses from time to time. */
const isLimb = (name: PointName): boolean => /Wrist|Elbow|Ankle|Toe|Knee/.test(name);

/**
 * Puts points off as a model does, in trunks: each by as much all the time, by what changes slowly, and by what jumps; the limbs of
 * the side that is turned away most, and now and then they are somewhere else altogether.
 */
function disturbed(random: Random, name: PointName, hidden: boolean, frames: number, frameRate: number): Float32Array {
  const wide = (isLimb(name) ? 1.6 : 1) * (hidden ? 1.8 : 1);
  const put = new Float32Array(frames * 2);
  for (const axis of [0, 1]) {
    const always = random.normal(0, 0.035 * wide);
    let slow = 0;
    let lost = 0;
    let jump = 0;
    const keeps = Math.exp(-1 / (0.15 * frameRate));
    for (let frame = 0; frame < frames; frame++) {
      slow = keeps * slow + Math.sqrt(1 - keeps * keeps) * random.normal(0, 0.04 * wide);
      if (lost <= 0 && random.next() < (hidden && isLimb(name) ? 0.5 : 0.04) / frameRate) {
        lost = random.between(0.05, 0.4) * frameRate;
        jump = random.normal(0, 0.25);
      }
      lost--;
      put[frame * 2 + axis] = always + slow + (lost > 0 ? jump : 0) + random.normal(0, 0.012);
    }
  }
  return put;
}

/** A film that nobody has rendered: a body's points as a model might see them, and what was thrown when. */
export interface Unfilmed {
  body: MovingBody;
  thrown: Performance['strikes'];
}

/** One performance, seen by any camera from one side. */
export function unfilmed(plan: Scene, performance: Performance, view: SceneView, seed: number): Unfilmed {
  const random = seededRandom(seed * 31 + 7);
  const camera = anyCamera(random, view);
  const frames = Math.floor(performance.seconds * camera.frameRate);
  const track = emptyTrack(0, frames);
  const leftLeads = plan.stance === 'orthodox';
  const far = view === 'front' ? undefined : (view === 'rear-side') === leftLeads ? 'left' : 'right';
  for (let frame = 0; frame < frames; frame++) {
    const at = frame / camera.frameRate;
    const { joints } = performance.bodyAt(at);
    const lens = cameraAt(camera, plan, at);
    for (const [point, name] of pointNames.entries()) {
      const [x, y] = projected(jointAt(joints, name), lens, camera);
      track.values.set([x, y, 0, 1], frame * numbersOfFrame + point * numbersOfPoint);
    }
  }
  const torso = trunkOf(track.values);
  for (const [point, name] of pointNames.entries()) {
    const put = disturbed(random, name, far !== undefined && name.startsWith(far), frames, camera.frameRate);
    for (let frame = 0; frame < frames; frame++)
      for (const axis of [0, 1])
        track.values[frame * numbersOfFrame + point * numbersOfPoint + axis]! += put[frame * 2 + axis]! * torso;
  }
  const timeline = timelineOf(Array.from({ length: frames }, (_, frame) => (frame * 1000) / camera.frameRate));
  return { body: { timeline, track, torso, leftLeads }, thrown: performance.strikes };
}

/** Length of the trunk in the first frame. */
function trunkOf(values: Float32Array): number {
  const middle = (part: 'Shoulder' | 'Hip', axis: number): number =>
    (['left', 'right'] as const).reduce(
      (sum, side) => sum + values[pointNames.indexOf(`${side}${part}`) * numbersOfPoint + axis]! / 2,
      0,
    );
  return Math.hypot(middle('Shoulder', 0) - middle('Hip', 0), middle('Shoulder', 1) - middle('Hip', 1));
}
