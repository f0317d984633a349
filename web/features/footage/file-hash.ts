import { footageWords as words } from './words.ts';

type Told = { read: number } | { hash: string };

/** SHA-256 of a file, worked out aside so that the page stays quick. @throws Error when the file cannot be read */
export function fileHash(file: File, onRead: (share: number) => void, signal: AbortSignal): Promise<string> {
  const worker = new Worker(new URL('../../workers/hash-worker.ts', import.meta.url), { type: 'module' });
  return new Promise<string>((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<Told>) => ('hash' in data ? resolve(data.hash) : onRead(data.read));
    worker.onerror = () => reject(new Error(words.theFileCannotBeRead));
    signal.addEventListener('abort', () => reject(new Error(words.stopped)));
    worker.postMessage(file);
  }).finally(() => worker.terminate());
}
