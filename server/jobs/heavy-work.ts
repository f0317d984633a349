import { unpackTimeline } from '@wax-fist/core/film';
import { alignSounds, listenTo, loudnessOf, soundOfWave, type Sound } from '@wax-fist/core/sound';
import { findMotion } from '@wax-fist/core/strikes';
import { readFile } from 'node:fs/promises';
import type { MessagePort } from 'node:worker_threads';

// What takes seconds or minutes of computing. It runs in a thread of its own: see `heavily`.

const waveAt = async (path: string): Promise<Sound> => soundOfWave(await readFile(path));

/** Hits and bells of a wave file. @param told gets the share that is done, 0 to 1 */
export async function listen({ wave, told }: { wave: string; told: MessagePort }) {
  const { samples, sampleRate } = await waveAt(wave);
  return listenTo(samples, sampleRate, (share) => told.postMessage(share));
}

/** Loudness of a wave file, see `loudnessOf`. */
export async function loudness({ wave }: { wave: string }): Promise<Uint8Array> {
  const { samples, sampleRate } = await waveAt(wave);
  return loudnessOf(samples, sampleRate);
}

/** How two wave files stand to each other, see `alignSounds`. */
export async function align({ wave, other }: { wave: string; other: string }) {
  const [one, two] = [await waveAt(wave), await waveAt(other)];
  return alignSounds(one.samples, two.samples, one.sampleRate);
}

/** Moments of most movement. @param timeline packed, see `packTimeline` */
export const motion = async ({ movement, timeline }: { movement: string; timeline: Uint8Array }) =>
  findMotion(await readFile(movement), unpackTimeline(timeline));
