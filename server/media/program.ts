import { spawn } from 'node:child_process';

/** A media program that ended badly, with the last it said. */
export class MediaFailure extends Error {
  constructor(
    readonly program: string,
    readonly said: string,
  ) {
    super(`${program}: ${said.split('\n').at(-1) ?? 'no reason given'}`);
  }
}

export interface ProgramOptions {
  /** Called with every line of standard output as it comes. */
  onLine?: (line: string) => void;
  /** Called with raw standard output instead of lines. */
  onBytes?: (bytes: Buffer) => void;
  /** Kills the program when it fires. */
  signal?: AbortSignal;
}

/** A program that was told to stop. */
export class Stopped extends Error {}

/** Runs ffmpeg or ffprobe; nothing else of the product starts a process. @throws MediaFailure */
export function runMedia(
  program: 'ffmpeg' | 'ffprobe',
  words: string[],
  { onLine, onBytes, signal }: ProgramOptions = {},
): Promise<void> {
  return new Promise((resolve, reject) => {
    if (signal?.aborted) return reject(new Stopped());
    const child = spawn(program, ['-hide_banner', '-loglevel', 'error', ...words], { stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    let rest = '';
    child.stderr.on('data', (chunk: Buffer) => (said = (said + chunk.toString()).slice(-4000)));
    child.stdout.on('data', (chunk: Buffer) => {
      if (onBytes) return onBytes(chunk);
      const lines = (rest + chunk.toString()).split('\n');
      rest = lines.pop()!;
      for (const line of lines) onLine?.(line);
    });
    const kill = (): void => void child.kill('SIGKILL');
    signal?.addEventListener('abort', kill);
    child.on('error', reject);
    child.on('close', (code) => {
      signal?.removeEventListener('abort', kill);
      if (signal?.aborted) return reject(new Stopped());
      if (rest) onLine?.(rest);
      if (code === 0) resolve();
      else reject(new MediaFailure(program, said.trim()));
    });
  });
}
