import type { Seconds } from '@wax-fist/core/units';
import { checkpointIn, shippedCatalogue, stillFor, type Checkpoint, type WalkStop } from '@wax-fist/core/technique';
import type { BodySide } from '@wax-fist/core/body';
import { jointNames, type Body, type JointName } from './body/skeleton.ts';
import { cameraAt, projected } from './camera.ts';
import type { Performance } from './motion/thrown-round.ts';
import type { Scene, SceneCamera } from './scene.ts';
import { seenOf } from './truth/seen.ts';

/** A part of a picture of the same shape as the whole: left, top and size, in thousandths of the picture. */
export type StillArea = readonly [left: number, top: number, size: number];

const bothOf = (...parts: readonly string[]): JointName[] =>
  parts.flatMap((part) => [`left${part}` as JointName, `right${part}` as JointName]);
const hand = (side: BodySide): JointName[] => [`${side}Elbow`, `${side}Wrist`, `${side}Knuckles`];
const head: readonly JointName[] = ['crown', 'chin', 'nose', ...bothOf('Ear')];

/** What of a body is looked at where the eye stops; nothing where it is the whole. */
const jointsOf: Record<WalkStop, (striking: BodySide, idle: BodySide) => readonly JointName[]> = {
  feet: () => bothOf('Ankle', 'Heel', 'Toe'),
  hips: () => bothOf('Hip', 'Knee'),
  leg: (striking) => [`${striking}Hip`, `${striking}Knee`, `${striking}Ankle`, `${striking}Toe`],
  'striking hand': (striking) => [...hand(striking), `${striking}Shoulder`],
  'other hand': (_, idle) => [...hand(idle), ...head],
  head: () => [...head, ...bothOf('Shoulder')],
  holder: () => [...head, ...bothOf('Shoulder', 'Elbow', 'Wrist', 'Knuckles')],
  after: () => [],
  round: () => [],
};

/** Where more is looked at than where the eye stops: a knee's bend from hip to ankle, a lean from shoulder to knee; nothing is all of it. */
const jointsOfMeasure: Partial<Record<Checkpoint['measure'], readonly JointName[]>> = {
  'knee-angle': bothOf('Hip', 'Knee', 'Ankle'),
  'trunk-lean': [...bothOf('Shoulder', 'Hip', 'Knee'), 'chin'],
  'shoulder-turn': [...bothOf('Shoulder', 'Elbow', 'Hip'), 'chin'],
  'legs-share': bothOf('Shoulder', 'Hip', 'Ankle'),
  'base-fraction': [],
  'reach-use': [],
  'foot-hand': [],
  'head-offset': [],
  'gap-change': [],
};

/** Room round the points, as a share of what they span; flesh and gloves are wider than joints. */
const margin = 0.3;
/** A picture is never cut smaller than this: it would be all grain. */
const smallest = 0.3;

/** The part of a picture that holds all points with room round them. @param points shares of the picture's width and height */
export function areaRound(points: readonly (readonly [x: number, y: number])[]): StillArea {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const size = Math.min(1, Math.max(smallest, (1 + 2 * margin) * Math.max(right - left, bottom - top)));
  const within = (middle: number): number => Math.max(0, Math.min(1 - size, middle - size / 2));
  return [within((left + right) / 2), within((top + bottom) / 2), size].map((share) => Math.round(share * 1000)) as [
    number,
    number,
    number,
  ];
}

/** What of a still is looked at where the eye stops, by the true points of its moment; undefined where it is the whole. */
export function areaOf(
  { performance, scene, camera }: { performance: Performance; scene: Scene; camera: SceneCamera },
  seconds: Seconds,
  { stop, measure }: Pick<Checkpoint, 'stop' | 'measure'>,
): StillArea | undefined {
  const strike = performance.strikes.at(-1)!;
  const { striking, idle } = seenOf(performance, strike, strike.parts.at(-1)!);
  const names = jointsOfMeasure[measure] ?? jointsOf[stop](striking, idle);
  const body: Body | undefined = stop === 'holder' ? performance.holder?.bodyAt(seconds) : performance.bodyAt(seconds);
  if (names.length === 0 || !body) return undefined;
  const lens = cameraAt(camera, scene, seconds);
  const points = jointNames
    .filter((name) => names.includes(name))
    .map((name) => projected(body.joints[name], lens, camera))
    .map(([x, y]) => [x / camera.pictureWidth, y / camera.pictureHeight] as const);
  return areaRound(points);
}

/** The checkpoints that are looked at in a picture: one in those of a fault or a school, in a clean one all that use it. */
export function lookedAt({
  folder,
  name,
  view,
  moment,
}: {
  folder: string;
  name: string;
  view: string;
  moment: string;
}): Checkpoint[] {
  const all = [...shippedCatalogue.checkpoints.values()];
  const one = all.find(({ id }) => name.startsWith(`${id}.`));
  if (one) return [one];
  const technique = shippedCatalogue.techniques.get(folder);
  return (technique?.checkpoints ?? [])
    .map((id) => checkpointIn(shippedCatalogue, id))
    .filter((checkpoint) => {
      const still = stillFor(checkpoint);
      return still.view === view && still.moment === moment;
    });
}
