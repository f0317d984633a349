import { pointAt, pointIn, type PointName } from '../body/index.ts';
import { timeOf, type FrameTimeline } from '../film/index.ts';
import { sidesOf, type FollowedFilm } from '../measure/index.ts';
import type { MomentFrames } from '../strikes/index.ts';
import type { Technique } from '../technique/index.ts';
import type { Ms, Px } from '../units.ts';

/** A place on the way of a hand or foot, and when it was there. */
export interface OnTheWay {
  x: Px;
  y: Px;
  time: Ms;
}

/** The way of the hand, or foot, that strikes, from launch to home; frames in which it was not seen are left out. */
export function strikingPath(
  { track, view, stance }: Pick<FollowedFilm, 'track' | 'view' | 'stance'>,
  timeline: FrameTimeline,
  { launchFrame, homeFrame }: MomentFrames,
  technique: Pick<Technique, 'side' | 'kind'>,
): OnTheWay[] {
  const { striking, byLeg } = sidesOf(view, stance, technique);
  const limb: PointName = technique.kind === 'knee' ? `${striking}Knee` : byLeg ? `${striking}Ankle` : `${striking}Wrist`;
  return Array.from({ length: homeFrame - launchFrame + 1 }, (_, place) => launchFrame + place).flatMap((frame) => {
    const point = pointIn(track, frame, pointAt[limb]);
    return point ? [{ x: point.x, y: point.y, time: timeOf(timeline, frame) }] : [];
  });
}
