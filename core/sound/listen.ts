import { findHits } from './find-hits.ts';
import type { Candidate } from './hit.ts';
import type { TimeSpan } from '../units.ts';
import { findRings, type Ring } from './ring.ts';
import { findTalk } from './talk.ts';

/** Long sounds are listened to in pieces, so that an afternoon's camera does not need a machine of its own. Seconds. */
const piece = 600;

/**
 * Hits, bells and talk of a whole film's sound. In a film longer than ten minutes, levels and snaps are relative to the ten minutes
 * that a hit lies in.
 * @param samples mono, −1 to 1
 * @param sampleRate samples a second
 * @param progress told the share that is done, 0 to 1
 */
export function listenTo(
  samples: Float32Array,
  sampleRate: number,
  progress: (share: number) => void = () => undefined,
): { hits: Candidate[]; rings: Ring[]; talk: TimeSpan[] } {
  const hits: Candidate[] = [];
  const rings: Ring[] = [];
  const talk: TimeSpan[] = [];
  for (let from = 0; from < samples.length; from += piece * sampleRate) {
    const part = samples.subarray(from, from + piece * sampleRate);
    const later = <T extends { time: number }>(one: T): T => ({ ...one, time: one.time + (from / sampleRate) * 1000 });
    hits.push(...findHits(part, sampleRate).map(later));
    const rung = findRings(part, sampleRate);
    rings.push(...rung.map(later));
    const begins = (from / sampleRate) * 1000;
    talk.push(...findTalk(part, sampleRate, rung).map((one) => ({ from: one.from + begins, to: one.to + begins })));
    progress(Math.min(1, (from + part.length) / samples.length));
  }
  return { hits, rings, talk };
}
