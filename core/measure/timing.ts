import { gapAt, timeOf, type FrameTimeline } from '../film/index.ts';
import type { StrikeMoments } from '../strikes/index.ts';
import type { MeasureId } from '../technique/index.ts';
import type { Ms } from '../units.ts';
import { widestDoubt, type FoundName } from './found-moments.ts';
import { whyNotByGuesses, type Measured } from './measured.ts';

/**
 * Time home by time out, from the three moments alone. Each moment is known to half of the gap between its frames, and one that was
 * found on the path of a limb to what that is off by; the doubt is
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
  const half = (frame: number): Ms => gapAt(timeline, frame) / 2;
  const off = (name: FoundName): Ms =>
    Math.hypot(half(strike[`${name}Frame`]), strike[`${name}Origin`] === 'found' ? doubts[name] : 0);
  const doubt = Math.hypot(off('home') / out, (off('launch') * value) / out, (half(contactFrame) * (1 + value)) / out);
  return { value, doubt, shared: 0 };
}

/** What can be measured from the moments of a strike, without a look at the picture. */
export const measuresOfMoments: Readonly<
  Partial<
    Record<MeasureId, (timeline: FrameTimeline, moments: StrikeMoments, doubts?: Readonly<Record<FoundName, Ms>>) => Measured>
  >
> = { 'snap-ratio': snapRatio };
