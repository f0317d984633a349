import {
  framesOfSameBody,
  numbersOfFrame,
  numbersOfPoint,
  otherSideOf,
  pointAt,
  pointCount,
  type BodySide,
  type BodySize,
  type PointName,
} from '../body/index.ts';
import { frameAt, lastNotAfter, timeOf } from '../film/index.ts';
import type { StrikeMoments } from '../strikes/index.ts';
import { handOf, type Stance, type Technique, type View } from '../technique/index.ts';
import type { Ms, Px, Ratio } from '../units.ts';
import type { FollowedFilm } from './followed-film.ts';

/** A place of the body: pixels towards the target, where the camera stands across, and pixels upwards. */
export type Spot = readonly [ahead: Px, up: Px];

/** One strike as a camera saw it: where every point of the body was at any instant, and who did what. */
export interface Sight {
  view: View;
  size: BodySize;
  /** How far under the chin each wrist usually is. */
  guard: Readonly<Record<BodySide, Px>>;
  /** The side that strikes, the other one, the side of the lead foot, and the side nearer to the camera (none from the front). */
  striking: BodySide;
  idle: BodySide;
  lead: BodySide;
  near: BodySide | undefined;
  /** A foot, shin or knee strikes. */
  byLeg: boolean;
  /** Nothing strikes: the feet go, and contact is when both stand again. */
  steps: boolean;
  /** When it was launched, landed and was home, and an instant before it when nothing of it has begun. */
  launch: Ms;
  contact: Ms;
  home: Ms;
  ready: Ms;
  at: (point: PointName, time: Ms) => Spot;
}

/** Long enough before the launch that nothing of the strike has begun. */
export const readyBefore: Ms = 200;
/** What is looked at besides the strike itself. */
const before: Ms = 500;
export const lookedAtAfter: Ms = 1000;

/** The piece of a track round a strike, point by point. */
export interface StrikePoints {
  times: Float64Array;
  /** x and y of each point in each frame, in pixels of the picture; NaN where nobody was found, where it is somebody else than at contact, and outside of the picture. */
  places: Float64Array;
  /** How far each point of each frame is held by a pin, as a share; undefined where nobody has pinned anything near. */
  held?: Float64Array;
}
/** By how much a number of `places` is off, by its index. Asked only for what is looked at: most of a strike never is. */
export type Shake = (index: number) => Px;
const still: Shake = () => 0;

export function strikePoints({ timeline, track, picture: { width, height } }: FollowedFilm, strike: StrikeMoments): StrikePoints {
  const from = frameAt(timeline, timeOf(timeline, strike.launchFrame) - before);
  const to = frameAt(timeline, timeOf(timeline, strike.homeFrame) + lookedAtAfter);
  const frames = to - from + 1;
  const points: StrikePoints = {
    times: Float64Array.from({ length: frames }, (_, place) => timeOf(timeline, from + place)),
    places: new Float64Array(frames * pointCount * 2).fill(NaN),
  };
  const { values } = track;
  const [first, last] = framesOfSameBody(
    track,
    strike.contactFrame,
    Math.max(from, track.from),
    Math.min(to, track.from + track.frames - 1),
  );
  for (let frame = first - from; frame <= last - from; frame++) {
    const inTrack = (from + frame - track.from) * numbersOfFrame;
    for (let point = 0; point < pointCount; point++) {
      const [x, y] = [values[inTrack + point * numbersOfPoint]!, values[inTrack + point * numbersOfPoint + 1]!];
      if (x < 0 || y < 0 || x > width || y > height) continue;
      const place = (frame * pointCount + point) * 2;
      points.places[place] = x;
      points.places[place + 1] = y;
    }
  }
  const held =
    track.held &&
    Float64Array.from({ length: frames * pointCount }, (_, place) => track.held![(from - track.from) * pointCount + place] ?? 0);
  return held?.some((share) => share > 0) ? { ...points, held } : points;
}

/** A number between two others, by a cubic that leaves and arrives with these slopes. @param share of the way from `a` to `b` */
function onCubic(share: Ratio, width: Ms, a: Px, b: Px, leaving: number, arriving: number): Px {
  const [s2, s3] = [share * share, share * share * share];
  return (2 * s3 - 3 * s2 + 1) * a + (3 * s2 - 2 * s3) * b + width * ((s3 - 2 * s2 + share) * leaving + (s3 - s2) * arriving);
}

/** The frames round an instant, and how far it is from the second of them to the third. */
interface Between {
  frames: readonly [before: number, from: number, to: number, after: number];
  share: Ratio;
}
function betweenFrames(times: Float64Array, time: Ms): Between {
  const last = times.length - 1;
  const from = Math.min(lastNotAfter(times, time), Math.max(0, last - 1));
  const to = Math.min(last, from + 1);
  const width = times[to]! - times[from]!;
  return {
    frames: [Math.max(0, from - 1), from, to, Math.min(last, from + 2)],
    share: width > 0 ? Math.max(0, Math.min(1, (time - times[from]!) / width)) : 0,
  };
}
const numberAt = ({ places }: StrikePoints, shake: Shake, frame: number, number: number): Px => {
  const index = frame * pointCount * 2 + number;
  return places[index]! + shake(index);
};

/**
 * A number of a point at an instant: between frames by a cubic through both neighbours with the slopes of theirs (Catmull and Rom
 * 1974, for times that are not evenly apart), so that what turns round between two frames does so between them.
 */
function numberBetween(points: StrikePoints, shake: Shake, { frames, share }: Between, number: number): Px {
  const [before, from, to, after] = frames;
  if (share === 0) return numberAt(points, shake, from, number);
  if (share === 1) return numberAt(points, shake, to, number);
  const { times } = points;
  const [a, b] = [numberAt(points, shake, from, number), numberAt(points, shake, to, number)];
  const width = times[to]! - times[from]!;
  const leaving = (b - numberAt(points, shake, before, number)) / (times[to]! - times[before]!);
  const arriving = (numberAt(points, shake, after, number) - a) / (times[after]! - times[from]!);
  const straight = (b - a) / width;
  return onCubic(share, width, a, b, Number.isNaN(leaving) ? straight : leaving, Number.isNaN(arriving) ? straight : arriving);
}

/** The side of the body that is nearer to a camera which stands across; undefined from the front and from behind. */
export function nearSide(view: View, lead: BodySide): BodySide | undefined {
  if (view === 'lead-side') return lead;
  return view === 'rear-side' ? otherSideOf(lead) : undefined;
}
/** Who does what, seen from where. @param side of the technique; a move without a limb counts as the lead side's */
export function sidesOf(
  view: View,
  stance: Stance,
  { side, kind }: Pick<Technique, 'side' | 'kind'>,
): Pick<Sight, 'view' | 'lead' | 'near' | 'striking' | 'idle' | 'byLeg'> {
  const lead = handOf('lead', stance)!;
  const near = nearSide(view, lead);
  // Of whoever holds, whose lead nobody tells, both hands are looked at.
  const striking = handOf(side, stance) ?? (kind === 'holding' ? near : undefined) ?? lead;
  const byLeg = kind === 'kick' || kind === 'knee';
  return { view, lead, near, striking, idle: otherSideOf(striking), byLeg };
}

/** What has to be known of a technique. */
export type Thrown = Pick<Technique, 'side' | 'kind' | 'checkpoints'>;
/** Whether only the feet go. With a fist that lands meanwhile, contact is the fist's. */
export const isStep = ({ kind, checkpoints }: Pick<Thrown, 'kind' | 'checkpoints'>): boolean =>
  kind === 'footwork' && !checkpoints.includes('pv.sync');

/** From where whoever holds is seen, who stands opposite. */
export const viewOfHolder: Readonly<Record<View, View>> = {
  ...{ front: 'rear', rear: 'front', 'lead-side': 'rear-side', 'rear-side': 'lead-side', quarter: 'quarter' },
};
/** What the one who holds does while somebody strikes. */
export const holdingPads: Thrown = { side: 'both', kind: 'holding', checkpoints: [] };

/** The side of the foot that stands behind. */
export const rearOf = ({ lead }: Pick<Sight, 'lead'>): BodySide => otherSideOf(lead);

/** Whether the target lies to the right in the picture: whoever shows the left side faces left. */
const aheadIs = (near: BodySide | undefined): 1 | -1 => (near === 'left' ? -1 : 1);

/** One strike as it was seen. @param shake none, as the points were found */
export function sightOf(
  { size, guard }: Pick<FollowedFilm, 'size' | 'guard'>,
  points: StrikePoints,
  sides: ReturnType<typeof sidesOf> & Pick<Sight, 'steps'>,
  { launch, contact, home }: Pick<Sight, 'launch' | 'contact' | 'home'>,
  shake = still,
): Sight {
  const ahead = aheadIs(sides.near);
  let asked = launch;
  let between = betweenFrames(points.times, launch);
  return {
    ...sides,
    ...{ size, guard },
    ...{ launch, contact, home },
    ready: launch - readyBefore,
    at(point, time) {
      // Most points of an instant are asked for one after the other.
      if (time !== asked) [asked, between] = [time, betweenFrames(points.times, time)];
      const number = pointAt[point] * 2;
      return [ahead * numberBetween(points, shake, between, number), -numberBetween(points, shake, between, number + 1)];
    },
  };
}
