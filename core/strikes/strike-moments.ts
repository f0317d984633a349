import type { FrameIndex, Ms } from '../units.ts';
import { phases, type Phase } from './phase.ts';
import { clampFrame, frameAt, timeOf, type FrameTimeline } from '../film/timeline.ts';

/** The three moments a coach sets. Always launch ≤ contact ≤ home. */
export interface StrikeMoments {
  launchFrame: FrameIndex;
  contactFrame: FrameIndex;
  homeFrame: FrameIndex;
}

const readyBefore: Ms = 130;
const exitAfter: Ms = 350;

/** How long a technique usually takes. */
export interface UsualTimes {
  usualOut: Ms;
  usualReturn: Ms;
}

/** A first guess from the contact alone, by the technique's usual times. */
export function guessedMoments(
  timeline: FrameTimeline,
  { usualOut, usualReturn }: UsualTimes,
  contactFrame: FrameIndex,
): StrikeMoments {
  const contact = timeOf(timeline, contactFrame);
  return {
    launchFrame: frameAt(timeline, contact - usualOut),
    contactFrame: clampFrame(timeline, contactFrame),
    homeFrame: frameAt(timeline, contact + usualReturn),
  };
}

export type Moment = 'launch' | 'contact' | 'home';

/** Moves one moment; the others give way so that the order holds. */
export function withMoment(moments: StrikeMoments, moment: Moment, frame: FrameIndex): StrikeMoments {
  const next = { ...moments, [`${moment}Frame`]: frame };
  if (moment === 'launch') {
    next.contactFrame = Math.max(next.contactFrame, frame);
    next.homeFrame = Math.max(next.homeFrame, next.contactFrame);
  } else if (moment === 'home') {
    next.contactFrame = Math.min(next.contactFrame, frame);
    next.launchFrame = Math.min(next.launchFrame, next.contactFrame);
  } else {
    next.launchFrame = Math.min(next.launchFrame, frame);
    next.homeFrame = Math.max(next.homeFrame, frame);
  }
  return next;
}

/** The frame of each of the five stills of a strike. */
export function phaseFrames(timeline: FrameTimeline, moments: StrikeMoments): Record<Phase, FrameIndex> {
  const frames = [
    frameAt(timeline, timeOf(timeline, moments.launchFrame) - readyBefore),
    moments.launchFrame,
    moments.contactFrame,
    moments.homeFrame,
    frameAt(timeline, timeOf(timeline, moments.homeFrame) + exitAfter),
  ];
  return Object.fromEntries(phases.map((phase, place) => [phase, frames[place]!])) as Record<Phase, FrameIndex>;
}
