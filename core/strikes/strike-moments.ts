import type { FrameIndex, Ms } from '../units.ts';
import { phaseNames, phases, type Phase } from './phase.ts';
import { clampFrame, frameAt, timeOf, type FrameTimeline } from '../film/timeline.ts';

/**
 * How one came by a moment: guessed from what is usual, found by ear or on the path of a limb, seen to land where nothing was heard, or
 * set by a coach.
 */
export const momentOrigins = ['guessed', 'found', 'seen', 'set'] as const;
export type MomentOrigin = (typeof momentOrigins)[number];

/** Frames of the three moments of a strike. Always launch ≤ contact ≤ home. */
export interface MomentFrames {
  launchFrame: FrameIndex;
  contactFrame: FrameIndex;
  homeFrame: FrameIndex;
}
/** The three moments of a strike, and how one came by each. What is guessed is never measured. */
export interface StrikeMoments extends MomentFrames {
  launchOrigin: MomentOrigin;
  contactOrigin: MomentOrigin;
  homeOrigin: MomentOrigin;
}
/** A moment that a coach can set. */
export type Moment = 'launch' | 'contact' | 'home';
export const moments: readonly Moment[] = ['launch', 'contact', 'home'];
/** In words. */
export const momentNames: Readonly<Record<Moment, string>> = {
  launch: phaseNames.launch,
  contact: phaseNames.contact,
  home: phaseNames.home,
};

/** The moments of anything that has them, and nothing else of it. */
export const momentsOf = ({
  launchFrame,
  contactFrame,
  homeFrame,
  launchOrigin,
  contactOrigin,
  homeOrigin,
}: StrikeMoments): StrikeMoments => ({ launchFrame, contactFrame, homeFrame, launchOrigin, contactOrigin, homeOrigin });

/** The moments of a strike that are only guessed. */
export const guessedOf = (strike: StrikeMoments): Moment[] => moments.filter((moment) => strike[`${moment}Origin`] === 'guessed');

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
  contactOrigin: MomentOrigin,
): StrikeMoments {
  const contact = timeOf(timeline, contactFrame);
  return {
    launchFrame: frameAt(timeline, contact - usualOut),
    contactFrame: clampFrame(timeline, contactFrame),
    homeFrame: frameAt(timeline, contact + usualReturn),
    launchOrigin: 'guessed',
    contactOrigin,
    homeOrigin: 'guessed',
  };
}

/** Sets one moment; the others give way so that the order holds, and one that had to is a guess again. */
export function withMoment(strike: StrikeMoments, moment: Moment, frame: FrameIndex): StrikeMoments {
  const next: StrikeMoments = { ...strike, [`${moment}Frame`]: frame, [`${moment}Origin`]: 'set' };
  const place = moments.indexOf(moment);
  for (const [other, one] of moments.entries()) {
    const stands = strike[`${one}Frame`];
    const gave = other < place ? Math.min(stands, frame) : Math.max(stands, frame);
    if (other === place || gave === stands) continue;
    next[`${one}Frame`] = gave;
    next[`${one}Origin`] = 'guessed';
  }
  return next;
}

/** The frame of each of the five stills of a strike. */
export function phaseFrames(timeline: FrameTimeline, moments: MomentFrames): Record<Phase, FrameIndex> {
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
 * @param contacts frames in which the first of them land, in order, and how one came by each; at least one
 */
export function guessedSeries(
  timeline: FrameTimeline,
  usual: readonly UsualTimes[],
  contacts: readonly { frame: FrameIndex; origin: MomentOrigin }[],
): StrikeMoments[] {
  const landed: FrameIndex[] = [];
  const end = timeline.at(-1)!;
  for (const [place, times] of usual.entries()) {
    const before = landed.at(-1);
    const usually = before === undefined ? 0 : timeOf(timeline, before) + usual[place - 1]!.usualReturn + times.usualOut;
    if (contacts[place] === undefined && usually > end) break;
    landed.push(contacts[place]?.frame ?? frameAt(timeline, usually));
  }
  return landed.map((contact, place) => {
    const guess = guessedMoments(timeline, usual[place]!, contact, contacts[place]?.origin ?? 'guessed');
    return {
      ...guess,
      launchFrame: Math.max(guess.launchFrame, landed[place - 1] ?? 0),
      homeFrame: Math.min(guess.homeFrame, landed[place + 1] ?? guess.homeFrame),
    };
  });
}
