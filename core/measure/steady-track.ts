import { isSameBody, numbersOfFrame, numbersOfPoint, partOf, pointNames, type PointPart, type Track } from '../body/index.ts';
import type { FrameTimeline } from '../film/index.ts';
import type { Px } from '../units.ts';
import type { FollowedFilm } from './followed-film.ts';
import { pointErrors } from './point-errors.ts';
import { pointSeen } from './point-doubt.ts';
import type { Steadiness } from './seen.ts';

/**
 * How hard a part of the body is sped up and slowed down, as a standard deviation, in trunks per second squared: a fist that lands
 * stops within a frame, the trunk never does.
 */
const hardest: Readonly<Record<PointPart, number>> = {
  ...{ nose: 27, Shoulder: 27, Hip: 27 },
  ...{ Elbow: 72, Wrist: 108, Knuckle: 108 },
  ...{ Knee: 36, Ankle: 36, Heel: 36, Toe: 36 },
};
/** How much less hard it is taken to be: what is followed over many frames tells more the steadier it is, what turns within few less. */
const softer: Readonly<Record<Steadiness, number>> = { found: Infinity, steady: 1, steadier: 0.5, steadiest: 0.25 };
/** What lies further off than so many spreads counts less, and the further the less (Huber 1964). */
const outlying = 2;
/** So often it is weighed anew what lies far off. */
const rounds = 4;

/** A run of frames in which the same body is seen, and what it takes to tell how fast something changes its speed there. */
interface Run {
  from: number;
  frames: number;
  /** For each frame but the first and the last: what of the place before it, its own and the one after it. */
  before: Float64Array;
  own: Float64Array;
  after: Float64Array;
}

function runsOf(track: Track, timeline: FrameTimeline): Run[] {
  const { frames, from: first } = track;
  const runs: Run[] = [];
  for (let from = 0, to = 1; from < frames; from = to++) {
    while (to < frames && isSameBody(track, first + to - 1, track, first + to)) to++;
    if (to - from >= 3) {
      const [before, own, after] = [0, 1, 2].map(() => new Float64Array(to - from)) as [Float64Array, Float64Array, Float64Array];
      for (let frame = from + 1; frame < to - 1; frame++) {
        const [a, b, c] = [frame - 1, frame, frame + 1].map((one) => timeline[first + one]! / 1000) as [number, number, number];
        before[frame - from] = 2 / ((b - a) * (c - a));
        own[frame - from] = -2 / ((b - a) * (c - b));
        after[frame - from] = 2 / ((c - b) * (c - a));
      }
      runs.push({ from, frames: to - from, before, own, after });
    }
  }
  return runs;
}

/**
 * The places that fit best both what was found and that nothing changes its speed without reason: the least of
 * Σ ((place − found) / spread)² + Σ (change of speed / hardest)² (Whittaker 1923), found that lies far off weighing less. It is a
 * symmetric system of which each row has five numbers, solved by its decomposition into L D Lᵀ; forwards and backwards count alike,
 * so that nothing comes late.
 */
function steadied(found: Float64Array, { frames, before, own, after }: Run, spread: number, hardest: number): Float64Array {
  const places = found.slice();
  const weights = new Float64Array(frames);
  const [diagonal, next, second] = [new Float64Array(frames), new Float64Array(frames), new Float64Array(frames)];
  const bend = 1 / hardest ** 2;
  for (let round = 0; round < rounds; round++) {
    for (let frame = 0; frame < frames; frame++) {
      const off = Math.abs(places[frame]! - found[frame]!) / spread;
      weights[frame] = (off > outlying ? outlying / off : 1) / spread ** 2;
      diagonal[frame] = weights[frame]!;
      next[frame] = second[frame] = 0;
    }
    for (let frame = 1; frame < frames - 1; frame++) {
      const [a, b, c] = [before[frame]!, own[frame]!, after[frame]!];
      diagonal[frame - 1]! += bend * a * a;
      diagonal[frame]! += bend * b * b;
      diagonal[frame + 1]! += bend * c * c;
      next[frame - 1]! += bend * a * b;
      next[frame]! += bend * b * c;
      second[frame - 1]! += bend * a * c;
    }
    for (let frame = 0; frame < frames; frame++) {
      places[frame] = weights[frame]! * found[frame]!;
      if (frame > 0) places[frame]! -= next[frame - 1]! * places[frame - 1]!;
      if (frame > 1) places[frame]! -= second[frame - 2]! * places[frame - 2]!;
      // From here on `next` and `second` hold L, and the diagonal D.
      if (frame > 0) diagonal[frame]! -= next[frame - 1]! ** 2 * diagonal[frame - 1]!;
      if (frame > 1) diagonal[frame]! -= second[frame - 2]! ** 2 * diagonal[frame - 2]!;
      if (frame > 0) next[frame]! -= second[frame - 1]! * next[frame - 1]! * diagonal[frame - 1]!;
      next[frame]! /= diagonal[frame]!;
      second[frame]! /= diagonal[frame]!;
    }
    for (let frame = 0; frame < frames; frame++) places[frame]! /= diagonal[frame]!;
    for (let frame = frames - 2; frame >= 0; frame--) {
      places[frame]! -= next[frame]! * places[frame + 1]!;
      if (frame < frames - 2) places[frame]! -= second[frame]! * places[frame + 2]!;
    }
  }
  return places;
}

/** As which part a point moves, and is found: the face as the nose, a thumb as the knuckles. */
const movesAs = pointNames.map((name) => partOf(name) ?? (name.endsWith('Thumb') ? 'Knuckle' : 'nose'));

/** A track without what points jump from frame to frame: each where it lies most likely, by what was found of it before and after. */
export function steadyTrack(
  track: Track,
  { timeline, size: { torso }, ...film }: Pick<FollowedFilm, 'timeline' | 'size' | 'view' | 'stance'>,
  steadiness: Steadiness,
): Track {
  if (steadiness === 'found') return track;
  const steady: Track = { ...track, values: track.values.slice() };
  const runs = runsOf(track, timeline);
  for (const [point, name] of pointNames.entries()) {
    const part = movesAs[point]!;
    const spread = pointErrors[part][pointSeen(film, name)] ?? pointErrors[part].near!;
    for (const run of runs)
      for (const axis of [0, 1] as const) {
        const at = (frame: number): number => (run.from + frame) * numbersOfFrame + point * numbersOfPoint + axis;
        const found = Float64Array.from({ length: run.frames }, (_, frame): Px => track.values[at(frame)]!);
        const places = steadied(found, run, spread[axis] * torso, hardest[part] * softer[steadiness] * torso);
        for (let frame = 0; frame < run.frames; frame++) steady.values[at(frame)] = places[frame]!;
      }
  }
  return steady;
}
