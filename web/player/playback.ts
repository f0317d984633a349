import { frameAt } from '@wax-fist/core/film';
import type { FrameIndex } from '@wax-fist/core/units';
import { askTime, type PlayableFilm } from './frame-source.ts';

export const speeds = [1, 0.5, 0.25, 0.125] as const;
export type Speed = (typeof speeds)[number];
export const speedNames: Record<Speed, string> = { 1: '1', 0.5: '½', 0.25: '¼', 0.125: '⅛' };

export interface Playback {
  play: (from: FrameIndex, speed: Speed) => Promise<void>;
  setSpeed: (speed: Speed) => void;
  /** Frames between which playing goes round and round; undefined plays on. */
  loop: (range: readonly [FrameIndex, FrameIndex] | undefined) => void;
  /** Stops, and tells the frame that was on show. */
  pause: () => FrameIndex;
  close: () => void;
}

/** Playing with sound through the plain video element, told in frames. */
export function playbackOf(
  film: PlayableFilm,
  video: HTMLVideoElement,
  onFrame: (index: FrameIndex) => void,
  onEnd: () => void,
): Playback {
  let last: FrameIndex = 0;
  let range: readonly [FrameIndex, FrameIndex] | undefined;
  let watching = 0;
  const seconds = (index: FrameIndex): number => askTime(film, index, 4) / 1000;

  const watch = (): void => {
    watching = video.requestVideoFrameCallback((_now, { mediaTime }) => {
      last = frameAt(film.timeline, mediaTime * 1000 - film.firstFrameAt + 0.5);
      onFrame(last);
      if (range && last >= range[1]) video.currentTime = seconds(range[0]);
      watch();
    });
  };
  const ended = (): void => {
    if (!range) return onEnd();
    video.currentTime = seconds(range[0]);
    void video.play();
  };
  video.addEventListener('ended', ended);

  return {
    async play(from, speed) {
      last = range && (from < range[0] || from >= range[1]) ? range[0] : from;
      video.currentTime = seconds(last);
      video.playbackRate = speed;
      video.preservesPitch = false;
      video.cancelVideoFrameCallback(watching);
      watch();
      await video.play();
    },
    setSpeed: (speed) => void (video.playbackRate = speed),
    loop: (wanted) => void (range = wanted),
    pause() {
      video.pause();
      video.cancelVideoFrameCallback(watching);
      return last;
    },
    close() {
      video.pause();
      video.cancelVideoFrameCallback(watching);
      video.removeEventListener('ended', ended);
    },
  };
}
