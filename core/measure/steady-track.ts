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
const rounds = 2;

/** A run of frames in which the same body is seen, and how a change of speed there hangs on the places of three frames in a row. */
interface Run {
  from: number;
  frames: number;
  /** The band of what this comes to, squared and summed up: of each place with itself, with the next and with the one after that. */
  itself: Float64Array;
  next: Float64Array;
  second: Float64Array;
}

function runsOf(track: Track, timeline: FrameTimeline): Run[] {
  const { frames, from: first } = track;
  const runs: Run[] = [];
  for (let from = 0, to = 1; from < frames; from = to++) {
    while (to < frames && isSameBody(track, first + to - 1, track, first + to)) to++;
    if (to - from >= 3) runs.push(runBetween(timeline, first, from, to));
  }
  return runs;
}
function runBetween(timeline: FrameTimeline, first: number, from: number, to: number): Run {
  const frames = to - from;
  const [itself, next, second] = [new Float64Array(frames), new Float64Array(frames), new Float64Array(frames)];
  for (let frame = 1; frame < frames - 1; frame++) {
    const at = first + from + frame;
    const [a, b, c] = [timeline[at - 1]! / 1000, timeline[at]! / 1000, timeline[at + 1]! / 1000];
    const [before, own, after] = [2 / ((b - a) * (c - a)), -2 / ((b - a) * (c - b)), 2 / ((c - b) * (c - a))];
    itself[frame - 1]! += before * before;
    itself[frame]! += own * own;
    itself[frame + 1]! += after * after;
    next[frame - 1]! += before * own;
    next[frame]! += own * after;
    second[frame - 1]! += before * after;
  }
  return { from, frames, itself, next, second };
}

/** Room to work in, for the longest run. */
interface Room {
  found: Float64Array;
  places: Float64Array;
  weights: Float64Array;
  /** What one is over the diagonal D, and what L has one and two places below it. */
  inverse: Float64Array;
  one: Float64Array;
  two: Float64Array;
}
const roomFor = (frames: number): Room => {
  const array = (): Float64Array => new Float64Array(frames);
  return { found: array(), places: array(), weights: array(), inverse: array(), one: array(), two: array() };
};

/**
 * The decomposition into L D Lᵀ of a symmetric system of which each row has five numbers, and its first half: the places that
 * solve L.
 */
function solveForwards({ found, places, weights, inverse, one, two }: Room, run: Run, bend: number): void {
  const { frames, itself, next, second } = run;
  // With `under` and `deep` for what `below` and `far` are times their pivots.
  let [below1, under1, far1, far2, deep1, deep2, place1, place2] = [0, 0, 0, 0, 0, 0, 0, 0];
  for (let frame = 0; frame < frames; frame++) {
    const weight = weights[frame]!;
    const share = 1 / (weight + bend * itself[frame]! - below1 * under1 - far2 * deep2);
    const under = bend * next[frame]! - under1 * far1;
    const deep = bend * second[frame]!;
    const place = weight * found[frame]! - below1 * place1 - far2 * place2;
    const [below, far] = [under * share, deep * share];
    inverse[frame] = share;
    one[frame] = below;
    two[frame] = far;
    places[frame] = place;
    [below1, under1, far2, far1, deep2, deep1, place2, place1] = [below, under, far1, far, deep1, deep, place1, place];
  }
}
/** Its other half. What then lies far off is to weigh less. @returns whether anything is to weigh otherwise than it did */
function solveBackwards({ found, places, weights, inverse, one, two }: Room, frames: number, liesOff: Px): boolean {
  let [after1, after2] = [0, 0];
  let otherwise = false;
  for (let frame = frames - 1; frame >= 0; frame--) {
    const place = places[frame]! * inverse[frame]! - one[frame]! * after1 - two[frame]! * after2;
    const off = Math.abs(place - found[frame]!);
    const weight = off > liesOff ? liesOff / off : 1;
    if (weight !== weights[frame]) otherwise = true;
    places[frame] = place;
    weights[frame] = weight;
    [after2, after1] = [after1, place];
  }
  return otherwise;
}

/**
 * The places that fit best both what was found and that nothing changes its speed without reason: the least of
 * Σ ((place − found) / spread)² + Σ (change of speed / hardest)² (Whittaker 1923), found that lies far off weighing less; forwards and
 * backwards count alike, so that nothing comes late. They are left in the room, as what was found is there before.
 */
function steady(room: Room, run: Run, spread: Px, hardest: number): void {
  room.weights.fill(1, 0, run.frames);
  for (let round = 0; round < rounds; round++) {
    solveForwards(room, run, (spread / hardest) ** 2);
    if (!solveBackwards(room, run.frames, outlying * spread)) return;
  }
}

/** As which part a point moves, and is found: the face as the nose. Nothing is measured by eyes and thumbs, which stay as they are. */
const movesAs = pointNames.map((name) => partOf(name) ?? (/Ear|Mouth/.test(name) ? 'nose' : undefined));

/** A track without what points jump from frame to frame: each where it lies most likely, by what was found of it before and after. */
export function steadyTrack(
  track: Track,
  { timeline, size: { torso }, ...film }: Pick<FollowedFilm, 'timeline' | 'size' | 'view' | 'stance'>,
  steadiness: Steadiness,
): Track {
  if (steadiness === 'found') return track;
  const values = track.values.slice();
  const runs = runsOf(track, timeline);
  const room = roomFor(Math.max(0, ...runs.map(({ frames }) => frames)));
  for (const [point, name] of pointNames.entries()) {
    const part = movesAs[point];
    if (!part) continue;
    const spread = pointErrors[part][pointSeen(film, name)] ?? pointErrors[part].near!;
    for (const run of runs)
      for (const axis of [0, 1] as const) {
        const first = run.from * numbersOfFrame + point * numbersOfPoint + axis;
        for (let frame = 0; frame < run.frames; frame++) room.found[frame] = values[first + frame * numbersOfFrame]!;
        steady(room, run, spread[axis] * torso, hardest[part] * softer[steadiness] * torso);
        for (let frame = 0; frame < run.frames; frame++) values[first + frame * numbersOfFrame] = room.places[frame]!;
      }
  }
  return { ...track, values };
}
