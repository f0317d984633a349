import { findMotion, type Region } from '@wax-fist/core/strikes';
import { listenTo, soundOfWave, type Candidate } from '@wax-fist/core/sound';
import type { FrameTimeline } from '@wax-fist/core/film';

/** What the worker is asked: hits in a WAV file, or peaks of movement in a part of the picture. */
export type ListenWish =
  | { find: 'hits'; wave: Uint8Array }
  | { find: 'motion'; movement: Uint8Array; timeline: FrameTimeline; region: Region };

function answer(wish: ListenWish): Candidate[] {
  if (wish.find === 'motion') return findMotion(wish.movement, wish.timeline, wish.region);
  const { samples, sampleRate } = soundOfWave(wish.wave);
  return listenTo(samples, sampleRate).hits;
}

self.onmessage = ({ data }: MessageEvent<ListenWish>) => self.postMessage(answer(data));
