import { spawn } from 'node:child_process';
import type { Ms } from '@wax-fist/core/units';
import { caged, type Limits } from './cage.ts';

/** A media program that ended badly, with the last it said. */
export class MediaFailure extends Error {
  constructor(
    readonly program: string,
    readonly said: string,
  ) {
    super(`${program}: ${said.split('\n').at(-1) ?? 'no reason given'}`);
  }
}

/** A file that asks for more time or memory than any film needs. */
export class OverLimit extends MediaFailure {}

/** The program was broken off from outside, or the disk is full: the file is not to blame, and it is worth trying again. */
export class BrokenOff extends Error {}

/** A program that was told to stop. */
export class Stopped extends Error {}

export interface ProgramOptions {
  /** Called with every line of standard output as it comes. */
  onLine?: (line: string) => void;
  /** Called with raw standard output instead of lines. While what it returns is under way, nothing more is read. */
  onBytes?: (bytes: Buffer) => void | Promise<void>;
  /** Kills the program when it fires. */
  signal?: AbortSignal;
  /** Longer than this it does not run. */
  within?: Ms;
}

const gigabyte = 1024 ** 3;
/** No film that phones make needs more memory to be read, or gives a larger file. */
const limits: Limits = { memory: 4 * gigabyte, written: 16 * gigabyte };
const usuallyWithin: Ms = 10 * 60_000;
/** A picture with more pixels is no film of a phone; one frame of it would fill the memory. */
export const mostPixels = 8192 * 4608;

/** Containers that films come in, sounds for the command line, and pictures only so that one can say that they are no film. */
const formats = [
  'mov,matroska,webm,avi,mpegts,mpeg,mpegvideo,ogg,flv,asf,mxf,dv,m4v,h264,hevc',
  'wav,mp3,aac,flac,caf,aiff',
  'gif,apng,png_pipe,jpeg_pipe,webp_pipe,bmp_pipe,tiff_pipe,image2',
].join(',');

/**
 * The words that open a file for reading. A film may name other files, streams or addresses that are to be played in its place;
 * only what lies in the file itself is read.
 */
export const reading = (path: string): string[] => [
  '-protocol_whitelist',
  'file',
  '-format_whitelist',
  formats,
  '-max_pixels',
  String(mostPixels),
  '-i',
  `file:${path}`,
];

/**
 * Runs ffmpeg or ffprobe; nothing else of the product starts a process.
 * @returns what it complained about although it came to its end
 * @throws MediaFailure, OverLimit, BrokenOff, Stopped
 */
export function runMedia(
  program: 'ffmpeg' | 'ffprobe',
  words: string[],
  { onLine, onBytes, signal, within = usuallyWithin }: ProgramOptions = {},
): Promise<string> {
  return new Promise((resolve, reject) => {
    if (signal?.aborted) return reject(new Stopped());
    const [first, ...others] = caged(program, ['-hide_banner', '-loglevel', 'error', ...words], limits);
    const child = spawn(first, others, { stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    let rest = '';
    let late = false;
    child.stderr.on('data', (chunk: Buffer) => (said = (said + chunk.toString()).slice(-4000)));
    child.stdout.on('data', (chunk: Buffer) => {
      if (onBytes) return taking(onBytes(chunk));
      const lines = (rest + chunk.toString()).split('\n');
      rest = lines.pop()!;
      for (const line of lines) onLine?.(line);
    });
    const kill = (): void => void child.kill('SIGKILL');
    let trouble: Error | undefined;
    let taken: Promise<void> = Promise.resolve();
    const taking = (under: void | Promise<void>): void => {
      if (!under) return;
      child.stdout.pause();
      taken = under.then(
        () => void child.stdout.resume(),
        (error: unknown) => {
          trouble = error instanceof Error ? error : new Error(String(error));
          kill();
        },
      );
    };
    signal?.addEventListener('abort', kill);
    const alarm = setTimeout(() => {
      late = true;
      kill();
    }, within);
    child.on('error', reject);
    const end = (code: number | null, killedBy: NodeJS.Signals | null): void => {
      clearTimeout(alarm);
      signal?.removeEventListener('abort', kill);
      if (trouble) return reject(trouble);
      if (signal?.aborted) return reject(new Stopped());
      if (late) return reject(new OverLimit(program, `It took longer than ${Math.round(within / 1000)} seconds.`));
      if (rest) onLine?.(rest);
      if (code === 0) return resolve(said.trim());
      reject(failureOf(program, said.trim(), killedBy));
    };
    child.on('close', (code, killedBy) => void taken.then(() => end(code, killedBy)));
  });
}

function failureOf(program: string, said: string, killedBy: NodeJS.Signals | null): Error {
  if (/Cannot allocate memory|File size limit/i.test(said) || killedBy === 'SIGXFSZ') return new OverLimit(program, said);
  if (killedBy !== null || /No space left on device|Input\/output error|Disk quota/i.test(said))
    return new BrokenOff(`${program} was broken off${killedBy ? ` (${killedBy})` : ''}: ${said.split('\n').at(-1)}`);
  return new MediaFailure(program, said);
}
