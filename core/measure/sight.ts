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
import { handOf, type CheckpointId, type Stance, type Technique, type View } from '../technique/index.ts';
import type { Ms, Px, Ratio } from '../units.ts';
import type { FollowedFilm } from './followed-film.ts';
import { normalAt, type NormalRow } from './shake.ts';

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
  /** It sinks before it goes out: what goes down then gives nothing away. */
  sinks: boolean;
  /** When it was launched, landed and was home, and an instant before it when nothing of it has begun. */
  launch: Ms;
  contact: Ms;
  home: Ms;
  ready: Ms;
  /** As far as it is looked at: so long after it is home, or until the film ends. */
  until: Ms;
  at: (point: PointName, time: Ms) => Spot;
  /** The same of whoever holds, ahead being where whoever strikes looks; undefined where nobody was followed beside them. */
  partner: Sight['at'] | undefined;
}

/** Long enough before the launch that nothing of the strike has begun. */
export const readyBefore: Ms = 200;
/** What is looked at besides the strike itself: whoever is slow to base takes more than a second. */
const [before, lookedAtAfter]: readonly [Ms, Ms] = [500, 1400];

/** The piece of a track round a strike, point by point. */
export interface StrikePoints {
  times: Float64Array;
  /** x and y of each point in each frame, in pixels of the picture, as a track has them; NaN where nobody was found, where it is somebody else than at contact, and outside of the picture. */
  places: Float32Array;
  /** How far each point of each frame is held by a pin, as a share; undefined where nobody has pinned anything near. */
  held?: Float64Array;
}
/** By how much the numbers of `places` are off. Worked out only for what is looked at: most of a strike never is. */
export interface Shake {
  /** By how much each point is spread, in pixels: in all frames alike, or in each frame. */
  spreads: Float64Array;
  row: NormalRow;
}

export function strikePoints({ timeline, track, picture: { width, height } }: FollowedFilm, strike: StrikeMoments): StrikePoints {
  const from = frameAt(timeline, timeOf(timeline, strike.launchFrame) - before);
  const to = frameAt(timeline, timeOf(timeline, strike.homeFrame) + lookedAtAfter);
  const frames = to - from + 1;
  const points: StrikePoints = {
    times: timeline.slice(from, to + 1),
    places: new Float32Array(frames * pointCount * 2).fill(NaN),
  };
  const { values } = track;
  const [first, last] = framesOfSameBody(
    track,
    strike.contactFrame,
    Math.max(from, track.from),
    Math.min(to, track.from + track.frames - 1),
  );
  const { places } = points;
  for (let frame = first - from; frame <= last - from; frame++) {
    let number = (from + frame - track.from) * numbersOfFrame;
    const after = (frame + 1) * pointCount * 2;
    for (let place = frame * pointCount * 2; place < after; place += 2, number += numbersOfPoint) {
      const x = values[number]!;
      const y = values[number + 1]!;
      if (x < 0 || y < 0 || x > width || y > height) continue;
      places[place] = x;
      places[place + 1] = y;
    }
  }
  const held =
    track.held &&
    Float64Array.from({ length: frames * pointCount }, (_, place) => track.held![(from - track.from) * pointCount + place] ?? 0);
  return held?.some((share) => share > 0) ? { ...points, held } : points;
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

/** What sinks before it goes out, or with it, goes no straight way: uppercuts are looked at for these, and straights to the body. */
const sinking: readonly CheckpointId[] = ['sm.load', 'sm.level'];
export const sinksFirst = ({ checkpoints }: Pick<Thrown, 'checkpoints'>): boolean =>
  checkpoints.some((id) => sinking.includes(id));

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

/** Points of one body round a strike, and how they are shaken: not at all, as they were found. */
export interface SeenPoints {
  points: StrikePoints;
  shake?: Shake | undefined;
}
/** The way of a point from one frame to the next: that frame, and x and y from there on, each as a cubic of the share of the gap. */
type Way = [from: number, x0: Px, x1: Px, x2: Px, x3: Px, y0: Px, y1: Px, y2: Px, y3: Px];
/**
 * Where points are at any instant. Between frames a number goes by a cubic through both neighbours with the slopes of theirs (Catmull and
 * Rom 1974, for times that are not evenly apart), so that what turns round between two frames does so between them; beside somebody who
 * is not seen it is a straight line. Rows go through a strike in steps that are shorter than a frame: the way of a point is kept until
 * another gap between frames is asked for.
 */
function placesOf({ points: { times, places }, shake }: SeenPoints, ahead: 1 | -1): Sight['at'] {
  const last = times.length - 1;
  const ways = new Map<PointName, Way>();
  let asked = NaN;
  // The frame before the instant that is asked for, the ends of the gap after it, and how much of a slope over two gaps lies in this one.
  let [from, begins, ends, leaving, arriving] = [0, Infinity, -Infinity, 0, 0];
  let share: Ratio = 0;
  const goTo = (time: Ms): void => {
    asked = time;
    if (!(time >= begins && time < ends)) {
      from = lastNotAfter(times, time);
      begins = times[from]!;
      ends = from === last ? Infinity : times[from + 1]!;
      // At the ends of a film slopes are those of one gap.
      leaving = from === 0 ? 1 : (ends - begins) / (ends - times[from - 1]!);
      arriving = from + 1 >= last ? 1 : (ends - begins) / (times[from + 2]! - begins);
    }
    share = from === last ? 0 : Math.max(0, (time - begins) / (ends - begins));
  };
  const alike = shake?.spreads.length === pointCount;
  const numberAt = (frame: number, number: number): Px => {
    const index = frame * pointCount * 2 + number;
    const place = places[index]!;
    return shake ? place + shake.spreads[(alike ? number : index) >> 1]! * normalAt(shake.row, index) : place;
  };
  const follow = (way: Way, first: 1 | 5, number: number): void => {
    const a = numberAt(from, number);
    const b = numberAt(Math.min(last, from + 1), number);
    const leaves = leaving * (b - numberAt(Math.max(0, from - 1), number));
    const arrives = arriving * (numberAt(Math.min(last, from + 2), number) - a);
    const straight = Number.isNaN(leaves + arrives);
    way[first] = a;
    way[first + 1] = straight ? b - a : leaves;
    way[first + 2] = straight ? 0 : 3 * (b - a) - 2 * leaves - arrives;
    way[first + 3] = straight ? 0 : 2 * (a - b) + leaves + arrives;
  };
  return (point, time) => {
    // Most points of an instant are asked for one after the other.
    if (time !== asked) goTo(time);
    let way = ways.get(point);
    // One that is no whole number from the start is kept as such, and never made over.
    if (!way) ways.set(point, (way = [-1, 0.5, 0, 0, 0, 0, 0, 0, 0]));
    if (way[0] !== from) {
      const number = pointAt[point] * 2;
      way[0] = from;
      follow(way, 1, number);
      follow(way, 5, number + 1);
    }
    // On a frame it does not matter whether anybody is seen in the next.
    if (share === 0) return [ahead * way[1], -way[5]];
    return [
      ahead * (way[1] + share * (way[2] + share * (way[3] + share * way[4]))),
      -(way[5] + share * (way[6] + share * (way[7] + share * way[8]))),
    ];
  };
}

/** What of a sight is the same however often it is shaken. */
export interface WhoIsSeen {
  sides: ReturnType<typeof sidesOf>;
  body: Pick<Sight, 'size' | 'guard' | 'steps' | 'sinks'>;
}
/** One strike as it was seen. @param partner whoever holds: few rows look at them, so they are asked for only then */
export function sightOf(
  { sides, body }: WhoIsSeen,
  striker: SeenPoints,
  launch: Ms,
  contact: Ms,
  home: Ms,
  partner?: () => SeenPoints,
): Sight {
  const ahead = aheadIs(sides.near);
  let theirs: Sight['at'] | undefined;
  const { view, lead, near, striking, idle, byLeg } = sides;
  const { size, guard, steps, sinks } = body;
  // Written out: spread into it, each of the thousands of a round takes a hundred times as long to be made.
  return {
    view,
    lead,
    near,
    striking,
    idle,
    byLeg,
    size,
    guard,
    steps,
    sinks,
    launch,
    contact,
    home,
    ready: launch - readyBefore,
    until: Math.min(home + lookedAtAfter, striker.points.times.at(-1)!),
    at: placesOf(striker, ahead),
    partner: partner && ((point, time) => (theirs ??= placesOf(partner(), ahead))(point, time)),
  };
}
