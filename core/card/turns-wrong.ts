import { maxIndex } from 'd3-array';
import { otherSideOf, pointAt, pointIn, type BodySide, type PointName } from '../body/index.ts';
import { placed, placementOf, sharedClock } from '../compare/index.ts';
import { frameAt, timeOf } from '../film/index.ts';
import type { FollowedFilm } from '../measure/index.ts';
import type { MomentFrames } from '../strikes/index.ts';
import type { FrameIndex, Ratio } from '../units.ts';

/** A strike of a film in which a body was followed. */
export interface SeenStrike {
  film: FollowedFilm;
  moments: MomentFrames;
}

/** Bodies that are never further apart than this, in lengths of the trunk, go the same way. */
const leastApart: Ratio = 0.25;
/** What is not yet this share of the way apart is still together. */
const togetherBelow: Ratio = 0.35;

const sideOf = (name: PointName): BodySide | undefined =>
  name.startsWith('left') ? 'left' : name.startsWith('right') ? 'right' : undefined;
/** The same point of somebody who stands the other way round. */
function mirroredPoint(name: PointName): PointName {
  const side = sideOf(name);
  return side === undefined ? name : (name.replace(side, otherSideOf(side)) as PointName);
}

/**
 * The frame in which a faulty strike leaves the way of a good one: both on one clock, locked at contact, the good body laid over the
 * faulty one as both stand at the launch. It is the last frame before they are furthest apart in which they were together still.
 * @param points that the fault is read from
 * @returns undefined where they go the same way, or one of them was not seen
 */
export function turnsWrong(fault: SeenStrike, good: SeenStrike, points: readonly PointName[]): FrameIndex | undefined {
  const launch = placementOf(
    { track: fault.film.track, frame: fault.moments.launchFrame },
    { track: good.film.track, frame: good.moments.launchFrame },
  );
  if (!launch) return undefined;
  const clock = sharedClock(
    { timeline: fault.film.timeline, moments: fault.moments },
    { timeline: good.film.timeline, moments: good.moments },
    'contact',
  );
  const frames = clock.instants
    .map((instant) => clock.framesAt(instant))
    .filter(([frame]) => frame >= fault.moments.launchFrame && frame <= fault.moments.homeFrame);
  const apart = frames.map(([frame, other]) =>
    Math.max(
      0,
      ...points.flatMap((name) => {
        const here = pointIn(fault.film.track, frame, pointAt[name]);
        const there = pointIn(good.film.track, other, pointAt[launch.mirrored ? mirroredPoint(name) : name]);
        if (!here || !there) return [];
        const [x, y] = placed(launch, [there.x, there.y]);
        return [Math.hypot(here.x - x, here.y - y) / fault.film.size.torso];
      }),
    ),
  );
  const furthest = maxIndex(apart);
  const most = apart[furthest];
  if (most === undefined || most < leastApart) return undefined;
  const together = apart.slice(0, furthest).findLastIndex((distance) => distance <= togetherBelow * most);
  return frames[together]?.[0];
}

/** Where it likely turns wrong when nothing tells: half way from the launch to where the fault is judged, or to contact. */
export function likelyTurn({ timeline }: Pick<FollowedFilm, 'timeline'>, moments: MomentFrames, judged: FrameIndex): FrameIndex {
  const end = judged > moments.launchFrame ? judged : moments.contactFrame;
  return frameAt(timeline, (timeOf(timeline, moments.launchFrame) + timeOf(timeline, end)) / 2);
}
