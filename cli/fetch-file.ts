import type { RefusalAnswer } from '@wax-fist/contract/refusal';
import { createWriteStream } from 'node:fs';
import { rename } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Club } from './club.ts';

/**
 * Fetches a file of the club; it is there whole, or not at all.
 * @param progress told bytes so far, and how many there are where that is known
 * @throws Error in words for the person
 */
export async function fetchFile(
  { url, cookie }: Club,
  path: string,
  out: string,
  progress: (bytes: number, all: number | undefined) => void = () => undefined,
): Promise<void> {
  const part = `${out}.part`;
  const response = await fetch(new URL(path, url), { headers: { Cookie: cookie } }).catch(() => {
    throw new Error(`No server answers at ${url}. Start it, or set WAX_URL.`);
  });
  if (!response.ok) {
    const failure = (await response.json().catch(() => undefined)) as RefusalAnswer | undefined;
    throw new Error(failure?.message ?? `The server at ${url} answers with ${response.status}.`);
  }
  const length = response.headers.get('content-length');
  const all = length === null ? undefined : Number(length);
  let bytes = 0;
  const counted = async function* (source: AsyncIterable<Uint8Array>) {
    for await (const piece of source) {
      progress((bytes += piece.length), all);
      yield piece;
    }
  };
  await pipeline(Readable.fromWeb(response.body as never), counted, createWriteStream(part, { mode: 0o600 }));
  await rename(part, out);
}
