import type { FrameIndex } from '@wax-fist/core/units';
import type { FromDecoder, ToDecoder } from './decode-messages.ts';
import type { Direction, PlayableFilm, FrameSource, Picture } from './frame-source.ts';
import { fetchPlan, isKept } from './window-plan.ts';

/** This many frames of a running fetch are waited for before it is replaced. */
const patience = 8;

/** Frames decoded in a worker, with a window of them kept round the playhead so that stepping costs nothing. */
export function decodedFrames(film: PlayableFilm): FrameSource {
  const count = film.timeline.length;
  const worker = new Worker(new URL('./decode-worker.ts', import.meta.url), { type: 'module' });
  const held = new Map<FrameIndex, VideoFrame>();
  const stills = new Map<number, { resolve: (still: ImageBitmap) => void; reject: (error: Error) => void }>();
  let at: FrameIndex = 0;
  let direction: Direction = 1;
  let likely: readonly FrameIndex[] = [];
  let tickets = 0;
  /** What the running fetch will still bring. */
  let coming = new Set<FrameIndex>();
  let lastCame: FrameIndex = -Infinity;
  let waiting: { resolve: (picture: Picture | undefined) => void; reject: (error: Error) => void } | undefined;

  const tell = (message: ToDecoder): void => worker.postMessage(message);
  const pictureOf = (index: FrameIndex, image: VideoFrame): Picture => ({
    index,
    image,
    width: image.displayWidth,
    height: image.displayHeight,
  });

  const drop = (index: FrameIndex): void => {
    held.get(index)?.close();
    held.delete(index);
  };

  const refill = (): void => {
    for (const index of held.keys()) if (!isKept(index, { at, likely })) drop(index);
    // A frame that the running fetch is about to bring is waited for; one further off is worth a new fetch.
    const underWay = (index: FrameIndex): boolean => coming.has(index) && (index !== at || Math.abs(at - lastCame) <= patience);
    if (fetchPlan({ at, direction, count, likely, held: (index) => held.has(index) || underWay(index) }).length === 0) return;
    const runs = fetchPlan({ at, direction, count, likely, held: (index) => held.has(index) });
    coming = new Set(runs.flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, place) => from + place)));
    tell({ kind: 'fetch', runs });
  };

  worker.onmessage = ({ data }: MessageEvent<FromDecoder>) => {
    if (data.kind === 'frame') {
      coming.delete(data.index);
      lastCame = data.index;
      if (!isKept(data.index, { at, likely })) return data.frame.close();
      drop(data.index);
      held.set(data.index, data.frame);
      if (data.index !== at) return;
      waiting?.resolve(pictureOf(at, data.frame));
      waiting = undefined;
    } else if (data.kind === 'still') {
      const wanted = stills.get(data.ticket);
      stills.delete(data.ticket);
      if (wanted) wanted.resolve(data.still);
      else data.still.close();
    } else {
      const error = new Error(data.reason);
      waiting?.reject(error);
      waiting = undefined;
      for (const { reject } of stills.values()) reject(error);
      stills.clear();
      coming = new Set();
    }
  };
  worker.postMessage({ kind: 'open', film } satisfies ToDecoder);

  return {
    frame(index, towards) {
      at = index;
      direction = towards;
      waiting?.resolve(undefined);
      waiting = undefined;
      const ready = held.get(index);
      const answer = ready
        ? Promise.resolve(pictureOf(index, ready))
        : new Promise<Picture | undefined>((resolve, reject) => (waiting = { resolve, reject }));
      refill();
      return answer;
    },
    expect(frames) {
      likely = frames.filter((index) => index >= 0 && index < count);
      refill();
    },
    still(index, height, signal) {
      const ticket = ++tickets;
      signal.addEventListener('abort', () => {
        stills.delete(ticket);
        tell({ kind: 'forget', ticket });
      });
      return new Promise((resolve, reject) => {
        stills.set(ticket, { resolve, reject });
        tell({ kind: 'still', ticket, index, height });
      });
    },
    close() {
      worker.terminate();
      for (const index of [...held.keys()]) drop(index);
      waiting?.resolve(undefined);
    },
  };
}
