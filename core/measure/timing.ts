import { gapAt, timeOf, type FrameTimeline } from '../film/index.ts';
import { guessedOf, type StrikeMoments } from '../strikes/index.ts';
import type { MeasureId } from '../technique/index.ts';
import type { Measured } from './measured.ts';

/**
 * Time home by time out, from the three moments alone. Each moment is known to half of the gap between its frames; the doubt is
 * carried through r = (home − contact) / (contact − launch) to first order, contact counting in both. What is guessed from usual
 * times would only measure the guess: there is no value then.
 */
export function snapRatio(timeline: FrameTimeline, strike: StrikeMoments): Measured {
  const guessed = guessedOf(strike);
  if (guessed.length > 0)
    return {
      value: undefined,
      reason: `Guessed so far: ${guessed.join(' and ')}. Set ${guessed.length > 1 ? 'them' : 'it'} to have it measured.`,
    };
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
  const half = (frame: number): number => gapAt(timeline, frame) / 2;
  const doubt = Math.hypot(half(homeFrame) / out, (half(launchFrame) * value) / out, (half(contactFrame) * (1 + value)) / out);
  return { value, doubt };
}

/** What can be measured from the moments of a strike, without a look at the picture. */
export const measuresOfMoments: Readonly<
  Partial<Record<MeasureId, (timeline: FrameTimeline, moments: StrikeMoments) => Measured>>
> = { 'snap-ratio': snapRatio };
