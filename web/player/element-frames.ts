import { frameAt } from '@wax-fist/core/film';
import type { FrameIndex } from '@wax-fist/core/units';
import { askTime, WrongFrame, type PlayableFilm, type FrameSource, type Picture } from './frame-source.ts';
import { playerWords as words } from './words.ts';

/** Milliseconds beyond a frame's own time: the exact time gives the frame before now and then, the middle misses long gaps. */
const grace = 4;
/** How often a seek that brought the wrong frame is done again. */
const tries = 4;
const patience = 5000;

/** Frames by seeking a plain video element: slower, and for browsers that cannot decode by themselves. */
export function elementFrames(film: PlayableFilm): FrameSource {
  const video = document.createElement('video');
  video.muted = true;
  video.preload = 'auto';
  video.src = film.url;
  const loaded = new Promise<void>((resolve, reject) => {
    video.addEventListener('loadeddata', () => resolve(), { once: true });
    video.addEventListener('error', () => reject(new Error(words.theFilmCannotBePlayed)), { once: true });
  });
  loaded.catch(() => undefined);
  let turn = 0;
  let running: Promise<unknown> = loaded;

  /** Seeks, waits for both signs that the picture is there, and tells which frame it is. */
  async function seek(index: FrameIndex): Promise<FrameIndex> {
    const shown = new Promise<number>((resolve, reject) => {
      const late = setTimeout(() => reject(new WrongFrame(words.frameDidNotCome(index))), patience);
      video.requestVideoFrameCallback((_now, { mediaTime }) => {
        clearTimeout(late);
        resolve(mediaTime * 1000);
      });
    });
    const sought = new Promise<void>((resolve) => video.addEventListener('seeked', () => resolve(), { once: true }));
    const time = askTime(film, index, grace) / 1000;
    // Setting the same time again brings no new picture; half a grace further on it is the same frame.
    video.currentTime = Math.abs(video.currentTime - time) < 1e-6 ? askTime(film, index, grace / 2) / 1000 : time;
    const [mediaTime] = await Promise.all([shown, sought]);
    return frameAt(film.timeline, mediaTime - film.firstFrameAt + 0.5);
  }

  async function bring(index: FrameIndex): Promise<void> {
    for (let attempt = 0; attempt < tries; attempt++) if ((await seek(index)) === index) return;
    throw new WrongFrame(words.anotherFrameCameInsteadOf(index));
  }

  return {
    frame(index) {
      const mine = ++turn;
      const answer = running.then(async (): Promise<Picture | undefined> => {
        if (mine !== turn) return undefined;
        await bring(index);
        return { index, image: video, width: video.videoWidth, height: video.videoHeight };
      });
      running = answer.catch(() => loaded);
      return answer;
    },
    // A video element holds one picture at a time.
    expect: () => undefined,
    still(index, height) {
      const answer = running.then(async () => {
        await bring(index);
        const resizeWidth = Math.round((height * video.videoWidth) / video.videoHeight);
        return createImageBitmap(video, { resizeHeight: height, resizeWidth });
      });
      running = answer.catch(() => loaded);
      return answer;
    },
    close() {
      turn++;
      video.removeAttribute('src');
      video.load();
    },
  };
}
