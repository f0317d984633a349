import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

/** What is kept of a clip. The original is never touched. */
export type ClipFile = 'original' | 'film.mp4' | 'strip.jpg' | 'sound.wav' | 'motion.bin';

/** First and last byte, both included. */
export interface ByteRange {
  start: number;
  end: number;
}

/** Where bytes live. */
export interface Storage {
  /** Takes over a finished file of this machine; it is gone from its old place afterwards. */
  keep(path: string, clipId: string, file: ClipFile): Promise<void>;
  /** A path of this machine from which programs such as ffmpeg can read. It must not be changed. */
  bring(clipId: string, file: ClipFile): Promise<string>;
  /** Drops copies that `bring` made. */
  letGo(clipId: string): Promise<void>;
  read(clipId: string, file: ClipFile, range?: ByteRange): Promise<Readable>;
  /** Undefined when it is not there. */
  bytes(clipId: string, file: ClipFile): Promise<number | undefined>;
  remove(clipId: string): Promise<void>;
  /** Throws when nothing can be written. */
  check(): Promise<void>;
}

export async function sha256Of(path: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(path), hash);
  return hash.digest('hex');
}
