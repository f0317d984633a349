import { soundOfWave, type Sound } from '@wax-fist/core/sound';
import type { Ms } from '@wax-fist/core/units';
import { mkdtemp, readFile, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { shownTimes, writeSound } from '../server/media/inspect.ts';
import { MediaFailure } from '../server/media/program.ts';
import { channelsOf } from '../server/media/probe.ts';

/** A file that cannot be used, with the reason in words. */
export class BadFile extends Error {}

async function reading<T>(path: string, what: string, read: () => Promise<T>): Promise<T> {
  const there = await stat(path).catch(() => undefined);
  if (!there) throw new BadFile(`There is no file “${path}”.`);
  if (!there.isFile()) throw new BadFile(`“${path}” is not a file.`);
  if (there.size === 0) throw new BadFile(`“${path}” is empty.`);
  try {
    return await read();
  } catch (error) {
    if (error instanceof MediaFailure) throw new BadFile(`“${path}” has no ${what} that can be read.`);
    throw error;
  }
}

/** When each frame is shown, as the file has it. @throws BadFile */
export function timesOf(path: string): Promise<Ms[]> {
  return reading(path, 'picture', async () => {
    const times = await shownTimes(path);
    if (times.length === 0) throw new BadFile(`“${path}” has no picture that can be read.`);
    return times;
  });
}

/** The sound of a file, mono, counted from the first frame where there is a picture. @throws BadFile */
export function soundOf(path: string): Promise<Sound> {
  return reading(path, 'sound', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'wax-fist-sound-'));
    try {
      const [firstFrameAt = 0] = await shownTimes(path, 1).catch(() => []);
      await writeSound(path, join(folder, 'sound.wav'), { from: firstFrameAt, channels: await channelsOf(path) });
      return soundOfWave(await readFile(join(folder, 'sound.wav')));
    } finally {
      await rm(folder, { recursive: true });
    }
  });
}
