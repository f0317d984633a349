import type { RefusalAnswer } from '@wax-fist/contract/refusal';
import { createWriteStream } from 'node:fs';
import { rename, stat } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Club } from './club.ts';

/**
 * Fetches a file of the club. What is half there from an earlier try goes on where it stopped.
 * @param progress told bytes so far, and how many there are where that is known
 * @throws Error in words for the person
 */
export async function fetchFile(
  { url, cookie }: Club,
  path: string,
  out: string,
  {
    goOn = false,
    progress = () => undefined,
  }: { goOn?: boolean; progress?: (bytes: number, all: number | undefined) => void } = {},
): Promise<void> {
  const part = `${out}.part`;
  const there = goOn ? ((await stat(part).catch(() => undefined))?.size ?? 0) : 0;
  const headers = { Cookie: cookie, ...(there > 0 && { Range: `bytes=${there}-` }) };
  const response = await fetch(new URL(path, url), { headers }).catch(() => {
    throw new Error(`No server answers at ${url}. Start it, or set WAX_URL.`);
  });
  if (!response.ok) {
    const failure = (await response.json().catch(() => undefined)) as RefusalAnswer | undefined;
    throw new Error(failure?.message ?? `The server at ${url} answers with ${response.status}.`);
  }
  const from = response.status === 206 ? there : 0;
  const length = response.headers.get('content-length');
  const all = length === null ? undefined : from + Number(length);
  let bytes = from;
  const counted = async function* (source: AsyncIterable<Uint8Array>) {
    for await (const piece of source) {
      progress((bytes += piece.length), all);
      yield piece;
    }
  };
  await pipeline(
    Readable.fromWeb(response.body as never),
    counted,
    createWriteStream(part, { flags: from > 0 ? 'a' : 'w', mode: 0o600 }),
  );
  await rename(part, out);
}
