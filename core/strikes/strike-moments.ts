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

/** A moment that a coach can set. */
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

/**
 * A first guess at every strike of a series, from the contacts that are known. Where contacts are missing at the end, the strikes
 * follow each other in their usual times, and those that would land after the film are left out. No strike is launched before the
 * one before it has landed, and none is home after the next one lands.
 * @param usual how long each of its strikes usually takes, in their order
 * @param contacts frames in which the first of them land, in order; at least one
 */
export function guessedSeries(
  timeline: FrameTimeline,
  usual: readonly UsualTimes[],
  contacts: readonly FrameIndex[],
): StrikeMoments[] {
  const landed: FrameIndex[] = [];
  const end = timeline.at(-1)!;
  for (const [place, times] of usual.entries()) {
    const before = landed.at(-1);
    const usually = before === undefined ? 0 : timeOf(timeline, before) + usual[place - 1]!.usualReturn + times.usualOut;
    if (contacts[place] === undefined && usually > end) break;
    landed.push(contacts[place] ?? frameAt(timeline, usually));
  }
  return landed.map((contact, place) => {
    const { launchFrame, contactFrame, homeFrame } = guessedMoments(timeline, usual[place]!, contact);
    return {
      launchFrame: Math.max(launchFrame, landed[place - 1] ?? 0),
      contactFrame,
      homeFrame: Math.min(homeFrame, landed[place + 1] ?? homeFrame),
    };
  });
}
