import { frameNearest, timeOf, type FrameTimeline } from '../film/index.ts';
import type { Moment, MomentFrames } from '../strikes/index.ts';
import type { FrameIndex, Ms } from '../units.ts';

/** A strike of a film, as far as a clock is concerned. */
export interface TimedStrike {
  timeline: FrameTimeline;
  moments: MomentFrames;
}

/** Two strikes on one clock, on which a moment of both is at 0. */
export interface SharedClock {
  /** Instants at which the picture of the leading film changes, in milliseconds from the moment at which they are locked, rising. */
  instants: readonly Ms[];
  /** The place of 0 among them. */
  lockedAt: number;
  /** What each of the two shows at an instant. */
  framesAt: (instant: Ms) => readonly [first: FrameIndex, second: FrameIndex];
}

/** What lies before the launch and after the home is looked at as well. */
const margin: Ms = 250;

/** When the two are seen, each by its own frames, whatever their rates. */
const spanOf = ({ timeline, moments }: TimedStrike, lock: Ms): readonly [Ms, Ms] => [
  timeOf(timeline, moments.launchFrame) - lock - margin,
  timeOf(timeline, moments.homeFrame) - lock + margin,
];

/**
 * Locks two strikes at a moment. The film with more frames in the time of both leads: one step is one frame of it, and the other shows the frame
 * that was taken nearest to that instant, so that neither ever shows a frame that is not its own.
 */
export function sharedClock(first: TimedStrike, second: TimedStrike, lock: Moment): SharedClock {
  const both = [first, second] as const;
  const locks = both.map(({ timeline, moments }) => timeOf(timeline, moments[`${lock}Frame`])) as [Ms, Ms];
  const spans = both.map((one, place) => spanOf(one, locks[place]!));
  const from = Math.min(...spans.map(([begin]) => begin));
  const to = Math.max(...spans.map(([, end]) => end));
  const own = both.map(({ timeline }, place) =>
    Array.from(timeline, (time) => time - locks[place]!).filter((time) => time >= from && time <= to),
  ) as [Ms[], Ms[]];
  const instants = own[0].length >= own[1].length ? own[0] : own[1];
  return {
    instants,
    lockedAt: instants.indexOf(0),
    framesAt: (instant) => [frameNearest(first.timeline, locks[0] + instant), frameNearest(second.timeline, locks[1] + instant)],
  };
}

/** The place among rising instants that is nearest to one. */
export function placeOfInstant(instants: readonly Ms[], instant: Ms): number {
  return instants.reduce((best, one, place) => (Math.abs(one - instant) < Math.abs(instants[best]! - instant) ? place : best), 0);
}
