import { timeOf, type FrameTimeline } from '../film/index.ts';
import type { Ms, TimeSpan } from '../units.ts';
import { numbersOfFrame, type Track } from './track.ts';

/** Whoever is away for less has only been lost for a moment. */
const shortestAway: Ms = 2000;

/** Spans of a film in which nobody is in the picture. */
export function awayIn(track: Track, timeline: FrameTimeline): TimeSpan[] {
  const spans: TimeSpan[] = [];
  let since: Ms | undefined;
  for (let frame = 0; frame <= track.frames; frame++) {
    const time = timeOf(timeline, track.from + frame);
    if (frame < track.frames && Number.isNaN(track.values[frame * numbersOfFrame]!)) since ??= time;
    else if (since !== undefined) {
      if (time - since >= shortestAway) spans.push({ from: since, to: time });
      since = undefined;
    }
  }
  return spans;
}
