import type { Request, Response } from 'express';
import { LRUCache } from 'lru-cache';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

/** How hard is packed. One step above what is usual of Brotli: a twentieth smaller, for no more time than a request has to spare. */
export const howHard = {
  brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } },
  gzip: { level: constants.Z_BEST_SPEED },
};
/** Ways to pack an answer, the one that packs best first. */
const packers = {
  br: (bytes: Buffer) => promisify(brotliCompress)(bytes, howHard.brotli),
  gzip: (bytes: Buffer) => promisify(gzip)(bytes, howHard.gzip),
} as const;
type Packing = keyof typeof packers;
const packings = Object.keys(packers) as Packing[];
/** What is shorter fits into one packet anyway. */
const worthPacking = 1024;

/** An answer as it was sent, and the state of the database of which it was made. */
export interface Kept {
  asOf: string | undefined;
  bytes: Buffer;
  packing: Packing | undefined;
}

const mostBytes = 32 * 1024 * 1024;
/** Answers may also follow from the day; whatever they follow from, they are made anew after a minute. */
const longestMs = 60_000;

/**
 * Answers to questions that are asked again before anything was written, as they were sent.
 *
 * A snapshot of PostgreSQL names every transaction that is over: while its text stays the same, no transaction has ended, and
 * whatever is read reads the same. Each request gets that text with its sign-in, in the same statement, so that it costs nothing to
 * know that an answer is still true, and no writer has to tell what becomes untrue by it, in whichever process it works.
 */
export class KeptAnswers {
  readonly #kept = new LRUCache<string, Kept>({
    maxSize: mostBytes,
    sizeCalculation: ({ bytes }, question) => bytes.length + question.length + 100,
    ttl: longestMs,
  });

  /** How often an answer was still true, and how often it had to be made. */
  readonly counts = { kept: 0, made: 0 };

  /**
   * What answers a request of somebody who has signed in, as bytes.
   * @param making makes the answer from what the database holds, and from nothing else
   */
  async answerTo(request: Request, making: () => Promise<unknown>): Promise<Kept> {
    const { account, asOf } = request.session;
    const packing = (request.acceptsEncodings(...packings) || undefined) as Packing | undefined;
    const question = [account?.id, account?.role, packing, request.originalUrl].join(' ');
    const kept = this.#kept.get(question);
    if (asOf !== undefined && kept?.asOf === asOf) {
      this.counts.kept++;
      return kept;
    }
    this.counts.made++;
    const made = { asOf, ...(await packed(await making(), packing)) };
    this.#kept.set(question, made);
    return made;
  }
}

/** Sends an answer that is packed already. */
export function sendKept(response: Response, { bytes, packing }: Kept): void {
  response.type('json').vary('Accept-Encoding').set('Content-Length', String(bytes.length));
  if (packing) response.set('Content-Encoding', packing);
  response.end(bytes);
}

async function packed(answer: unknown, packing: Packing | undefined): Promise<Omit<Kept, 'asOf'>> {
  const bytes = Buffer.from(JSON.stringify(answer));
  return packing === undefined || bytes.length < worthPacking
    ? { bytes, packing: undefined }
    : { bytes: await packers[packing](bytes), packing };
}
