import { gapAt, timeOf, type FrameTimeline } from '../film/index.ts';
import type { Moment, StrikeMoments } from '../strikes/index.ts';
import type { MeasureId } from '../technique/index.ts';
import type { Ms } from '../units.ts';
import { doubtOfMoment, widestDoubt, type MomentDoubts } from './found-moments.ts';
import { whyNotByGuesses, type Measured } from './measured.ts';
import { usualTail } from './spread.ts';

/**
 * Time home by time out, from the three moments alone. Each moment is known to half of the gap between its frames, and one that was
 * found on the path of a limb, or only seen to land, to what that is off by; the doubt is
 * carried through r = (home − contact) / (contact − launch) to first order, contact counting in both. What is guessed from usual
 * times would only measure the guess: there is no value then.
 */
export function snapRatio(timeline: FrameTimeline, strike: StrikeMoments, doubts = widestDoubt): Measured {
  const reason = whyNotByGuesses(strike);
  if (reason) return { value: undefined, reason };
  const { launchFrame, contactFrame, homeFrame } = strike;
  const [launch, contact, home] = [launchFrame, contactFrame, homeFrame].map((frame) => timeOf(timeline, frame)) as [
    number,
    number,
    number,
  ];
  const [out, back] = [contact - launch, home - contact];
  if (out <= 0 || back <= 0)
    return { value: undefined, reason: 'Launch, contact and home lie on one frame: set them, or film at more frames a second.' };
  const value = back / out;
  const off = (moment: Moment): Ms =>
    Math.hypot(gapAt(timeline, strike[`${moment}Frame`]) / 2, doubtOfMoment(strike, moment, doubts) ?? 0);
  const doubt = Math.hypot(off('home') / out, (off('launch') * value) / out, (off('contact') * (1 + value)) / out);
  return { value, doubt, shared: 0, degrees: usualTail };
}

/** What can be measured from the moments of a strike, without a look at the picture. */
export const measuresOfMoments: Readonly<
  Partial<Record<MeasureId, (timeline: FrameTimeline, moments: StrikeMoments, doubts?: MomentDoubts) => Measured>>
> = { 'snap-ratio': snapRatio };
