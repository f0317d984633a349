import { derivedFiles, type DerivedFile } from '@wax-fist/contract/footage';
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

/** What is kept of a film. The original is never touched. */
export type FilmFile = 'original' | DerivedFile;

/** Where films lie in a store. It keeps the name it first had, so that what is kept there is found. */
export const filmsFolder = 'clips';

/** First and last byte, both included. */
export interface ByteRange {
  start: number;
  end: number;
}

/** A file of a film that is there. */
export interface KeptFile {
  file: FilmFile;
  bytes: number;
  /** When it was written, in milliseconds since 1970. */
  writtenAt: number;
}
const filmFiles: ReadonlySet<string> = new Set<FilmFile>(['original', ...derivedFiles]);
/** Of the names in a film’s place, those that are its files and no half of one. */
export const isFilmFile = (name: string): name is FilmFile => filmFiles.has(name);

/** Where bytes live. */
export interface Storage {
  /** Takes over a finished file of this machine; it is gone from its old place afterwards. */
  keep: (path: string, filmId: string, file: FilmFile) => Promise<void>;
  /** A path of this machine from which programs such as ffmpeg can read. It must not be changed. */
  bring: (filmId: string, file: FilmFile) => Promise<string>;
  /** Drops copies that `bring` made. */
  letGo: (filmId: string) => Promise<void>;
  read: (filmId: string, file: FilmFile, range?: ByteRange) => Promise<Readable>;
  /** Undefined when it is not there. */
  bytes: (filmId: string, file: FilmFile) => Promise<number | undefined>;
  /** What there is of a film; nothing where it is not there. */
  list: (filmId: string) => Promise<KeptFile[]>;
  remove: (filmId: string) => Promise<void>;
  /** Removes every film of the club. */
  removeAll: () => Promise<void>;
  /** Throws when nothing can be written. */
  check: () => Promise<void>;
}

export async function sha256Of(path: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(path), hash);
  return hash.digest('hex');
}
