import type { Candidate } from '@wax-fist/core/sound';
import type { ListenWish } from '../../workers/listen-worker.ts';

/** Runs the finders of the core aside, with the same result as on the server. */
export function listen(wish: ListenWish): Promise<Candidate[]> {
  const worker = new Worker(new URL('../../workers/listen-worker.ts', import.meta.url), { type: 'module' });
  return new Promise<Candidate[]>((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<Candidate[]>) => resolve(data);
    worker.onerror = ({ message }) => reject(new Error(message));
    worker.postMessage(wish);
  }).finally(() => worker.terminate());
}
