import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { heardRate } from './library.ts';

/** How phones and messengers store sound. */
export const encoders = { aac: ['-c:a', 'aac', '-b:a', '48k'], opus: ['-c:a', 'libopus', '-b:a', '20k'] } as const;
export type Encoder = keyof typeof encoders;

const raw = ['-f', 'f32le', '-ar', String(heardRate), '-ac', '1'];
const run = (words: readonly string[], input?: Buffer): Buffer =>
  spawnSync('ffmpeg', ['-hide_banner', '-loglevel', 'error', ...words], { input, maxBuffer: 2 ** 28 }).stdout;

/** The same sound after it was stored and read again: as long as before, and on the same clock. */
export function encodedBy(encoder: Encoder, samples: Float32Array): Float32Array {
  const folder = mkdtempSync(join(tmpdir(), 'wax-fist-encoded-'));
  try {
    const path = join(folder, encoder === 'aac' ? 'sound.mp4' : 'sound.ogg');
    run([...raw, '-i', '-', ...encoders[encoder], path], Buffer.from(samples.buffer, samples.byteOffset, samples.byteLength));
    const bytes = run(['-i', path, ...raw, '-']);
    return Float32Array.from(samples, (_, index) => (4 * index + 4 <= bytes.length ? bytes.readFloatLE(4 * index) : 0));
  } finally {
    rmSync(folder, { recursive: true });
  }
}
