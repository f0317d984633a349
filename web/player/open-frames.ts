import { decodedFrames } from './decoded-frames.ts';
import { elementFrames } from './element-frames.ts';
import type { PlayableFilm, FrameSource } from './frame-source.ts';

/** The best source of frames that this browser has: decoding by ourselves needs a secure page (https or localhost). */
export const openFrames = (film: PlayableFilm): FrameSource =>
  typeof VideoDecoder === 'undefined' ? elementFrames(film) : decodedFrames(film);
