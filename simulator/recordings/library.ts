import { evenly } from '@wax-fist/core/evenly';
import { spawn } from 'node:child_process';
import { readdir, readFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import pLimit from 'p-limit';
import { fontSamples, patchSample } from './sound-font.ts';
import { soundKinds, sources, type Source, type SoundKind, type Use } from './sources.ts';

/** Everything here is heard as the product hears it. */
export const heardRate = 16_000;

/** A recording and where it is from. */
export interface Recording {
  package: string;
  name: string;
  /** Mono, `heardRate`; the largest is ±1. */
  samples: Float32Array;
}
export type Library = Record<SoundKind, Recording[]>;

/** Longer pieces of music and talk are not needed. Seconds. */
const longest = 90;
const atOnce = pLimit(2);

/** Decodes with ffmpeg to mono floats. `input` says how a file without a head of its own is to be read. */
function decoded(input: readonly string[], from?: Buffer): Promise<Float32Array> {
  return new Promise((resolve, reject) => {
    const words = [...input, '-t', String(longest), '-ac', '1', '-ar', String(heardRate), '-f', 'f32le', '-'];
    const program = spawn('ffmpeg', ['-hide_banner', '-loglevel', 'error', ...words]);
    const parts: Buffer[] = [];
    program.stdout.on('data', (part: Buffer) => parts.push(part));
    program.on('error', reject);
    program.on('close', () => {
      const bytes = Buffer.concat(parts);
      const count = Math.floor(bytes.length / 4);
      resolve(Float32Array.from({ length: count }, (_, index) => bytes.readFloatLE(4 * index)));
    });
    program.stdin.on('error', () => undefined);
    program.stdin.end(from);
  });
}

/** As loud as can be, from where it begins: 30 dB below its peak. */
function trimmed(samples: Float32Array): Float32Array {
  let peak = 1e-9;
  for (const value of samples) peak = Math.max(peak, Math.abs(value));
  const from = Math.max(
    0,
    samples.findIndex((value) => Math.abs(value) > peak * 0.03),
  );
  return samples.subarray(from).map((value) => value / peak);
}

/** Reads one file of a package; a sound font holds many recordings. */
async function read(path: string, { samples, most }: Source): Promise<{ name: string; samples: Float32Array }[]> {
  const name = basename(path);
  if (!/\.(?:sf2|pat)$/.test(path)) {
    const head = path.endsWith('.g722') ? ['-f', 'g722'] : [];
    return [{ name, samples: await decoded([...head, '-i', path]) }];
  }
  const bytes = await readFile(path);
  const wanted = samples
    ? evenly(
        fontSamples(bytes, (one) => samples.test(one)),
        most,
      )
    : [patchSample(name, bytes)];
  return Promise.all(
    wanted.map(async (one) => {
      const raw = Buffer.from(one.samples.buffer, one.samples.byteOffset, one.samples.byteLength);
      return {
        name: one.name,
        samples: await decoded(['-f', 'f32le', '-ar', String(one.sampleRate), '-ac', '1', '-i', '-'], raw),
      };
    }),
  );
}

async function recordingsOf(folder: string, source: Source): Promise<Recording[]> {
  const root = join(folder, source.package);
  const all = (await readdir(root, { recursive: true, withFileTypes: true }))
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .filter((path) => source.files.test(path))
    .sort();
  if (all.length === 0) throw new Error(`${source.package} has no recordings of the kind “${source.kind}” any more.`);
  const files = source.samples ? all : evenly(all, source.most);
  const found = await Promise.all(files.map((path) => atOnce(() => read(path, source))));
  return found
    .flat()
    .map(({ name, samples }) => ({ package: source.package, name, samples: trimmed(samples) }))
    .filter(({ samples }) => samples.length > 0.02 * heardRate);
}

/** All recordings for a use. @param folder in which each package lies unpacked under its own name */
export async function libraryFor(use: Use, folder: string): Promise<Library> {
  const library = Object.fromEntries(soundKinds.map((kind) => [kind, []])) as unknown as Library;
  for (const source of sources.filter((one) => one.use === use))
    library[source.kind].push(...(await recordingsOf(folder, source)));
  return library;
}
