import {
  emptyTrack,
  hipsAt,
  numbersOfFrame,
  numbersOfPoint,
  packTrack,
  pointCount,
  reachOfLimbs,
  unpackTrack,
  type Look,
  type Picture,
  type Square,
  type Track,
} from '@wax-fist/core/body';
import type { FrameIndex, Ms, Px } from '@wax-fist/core/units';
import { setPriority } from 'node:os';
import type { MessagePort } from 'node:worker_threads';
import { eachColourPicture } from '../media/inspect.ts';
import { bodiesIn, bodyFinder, type Place } from './body-in-pictures.ts';
import type { PoseSize } from './pose-size.ts';

// What runs in a thread of the pose pool. A coach who is at the bench meanwhile goes first.
setPriority(10);
// The runtime tells of every tensor of its models, which nobody asked.
const silent = (): undefined => undefined;
Object.assign(console, { warn: silent, info: silent, log: silent, error: silent });

/** More pixels than this on the longer side tell no more. */
const mostSide: Px = 960;

/** A piece of a film in which a body is to be followed. */
export interface PoseTask {
  film: string;
  size: PoseSize;
  /** Its first frame, and when that is shown by the film's own clock: a little before, so that it is not missed. */
  from: FrameIndex;
  at: Ms;
  frames: number;
  /** Of the film as it is shown. */
  width: Px;
  height: Px;
  /** Where the middle of the hips was seen in another piece. */
  near?: Place;
  /** Where a coach has said that the body is, in the first frame that is looked at. */
  round?: Square;
  /** When each of its frames is shown, as `at`: where it is gone through from the last one to the first. */
  backwards?: readonly Ms[];
  /** Whom not to follow, frame by frame, as a packed track: the other one in the picture is meant. */
  butNot?: Uint8Array;
  /** Gets the number of frames that have been looked at. */
  told?: MessagePort;
}

/** The pictures of a piece, small enough, and how places in them become places in the film. */
async function eachSmallPicture(
  { film, at, frames, width, height }: PoseTask,
  onPicture: (picture: Picture, frame: number) => Promise<void>,
): Promise<void> {
  const scale = scaleOf({ width, height });
  const [small, low] = [Math.round(width * scale), Math.round(height * scale)];
  let frame = 0;
  await eachColourPicture(film, { from: at, frames, width: small, height: low }, (rgb) =>
    onPicture({ width: small, height: low, rgb }, frame++),
  );
}
/** So many pictures are held at a time where they are gone through backwards: a film is read forwards only. */
const heldAtOnce = 24;
/** The same, the last picture first. */
async function eachSmallPictureBack(
  task: PoseTask,
  times: readonly Ms[],
  onPicture: (picture: Picture, frame: number) => Promise<void>,
): Promise<void> {
  for (let end = task.frames; end > 0; end -= heldAtOnce) {
    const begin = Math.max(0, end - heldAtOnce);
    const held: Picture[] = [];
    await eachSmallPicture({ ...task, at: times[begin]!, frames: end - begin }, (picture) => {
      held.push({ ...picture, rgb: picture.rgb.slice() });
      return Promise.resolve();
    });
    for (let frame = held.length - 1; frame >= 0; frame--) await onPicture(held[frame]!, begin + frame);
  }
}
const scaleOf = ({ width, height }: Pick<PoseTask, 'width' | 'height'>): number =>
  Math.min(1, mostSide / Math.max(width, height));

function keep(track: Track, frame: number, { points }: Look, scale: number): void {
  for (let point = 0; point < pointCount; point++)
    for (let one = 0; one < 3; one++) points[point * numbersOfPoint + one]! /= scale;
  track.values.set(points, frame * numbersOfFrame);
}

/** Follows one body through a piece of a film. @returns the track, packed, and where the body was last */
export async function followBody(task: PoseTask): Promise<{ packed: Uint8Array; near: Place | undefined }> {
  const { size, from, frames, told } = task;
  const scale = scaleOf(task);
  const finder = await bodyFinder(size, {
    near: task.near && [task.near[0] * scale, task.near[1] * scale],
    round: task.round && { ...task.round, x: task.round.x * scale, y: task.round.y * scale, side: task.round.side * scale },
  });
  const track = emptyTrack(from, frames);
  const butNot = task.butNot && unpackTrack(0, task.butNot);
  let near = task.near;
  let looked = 0;
  const onPicture = async (picture: Picture, frame: number): Promise<void> => {
    const hips = butNot && hipsAt(butNot, frame);
    const look = await finder.look(picture, hips && [hips[0] * scale, hips[1] * scale]);
    if (look) {
      keep(track, frame, look, scale);
      near = [look.next.x / scale, look.next.y / scale];
    }
    told?.postMessage(++looked);
  };
  await (task.backwards ? eachSmallPictureBack(task, task.backwards, onPicture) : eachSmallPicture(task, onPicture));
  told?.close();
  return { packed: packTrack(track), near };
}

/** Of all who are in the picture, where the one is who strikes: whose hands or feet get furthest. Undefined when nobody is there. */
export async function whoStrikes(task: PoseTask): Promise<Place | undefined> {
  const scale = scaleOf(task);
  let followed: { finder: Awaited<ReturnType<typeof bodyFinder>>; track: Track; at: Place }[] | undefined;
  await eachSmallPicture(task, async (picture, frame) => {
    followed ??= await Promise.all(
      (await bodiesIn(picture)).map(async (at) => ({
        at,
        finder: await bodyFinder(task.size, { near: at }),
        track: emptyTrack(0, task.frames),
      })),
    );
    for (const one of followed.length > 1 ? followed : []) {
      const look = await one.finder.look(picture);
      if (look) keep(one.track, frame, look, 1);
    }
  });
  const [first, ...others] = followed ?? [];
  if (!first) return undefined;
  const best = others.reduce((most, one) => (reachOfLimbs(one.track) > reachOfLimbs(most.track) ? one : most), first);
  return [best.at[0] / scale, best.at[1] / scale];
}

/** The body in one picture, its points in pixels as a frame of a track; and how many there are. */
export interface SeenBody {
  points: Float32Array | undefined;
  bodies: number;
}
/** Looks at one picture: quickly, as somebody stands before the camera and waits. */
export async function lookOnce({ picture }: { picture: Picture }): Promise<SeenBody> {
  const bodies = await bodiesIn(picture);
  const look = await (await bodyFinder('lite')).look(picture);
  return { points: look?.points, bodies: bodies.length };
}
