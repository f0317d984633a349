import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';

const wax = join(import.meta.dirname, '..', 'bin', 'wax');

export interface WaxRun {
  child: ChildProcess;
  /** What has been said on standard error until now. */
  said: () => string;
  ended: Promise<{ code: number | null; out: string; said: string }>;
}

/** Starts `bin/wax` in a folder, for tests. */
export function startWax(folder: string, words: string[], environment: NodeJS.ProcessEnv = {}): WaxRun {
  const child = spawn(wax, words, { cwd: folder, env: { ...process.env, ...environment }, stdio: ['ignore', 'pipe', 'pipe'] });
  let [out, said] = ['', ''];
  child.stdout.on('data', (bytes: Buffer) => (out += bytes.toString()));
  child.stderr.on('data', (bytes: Buffer) => (said += bytes.toString()));
  const ended = once(child, 'close').then(([code]) => ({ code: code as number | null, out, said }));
  return { child, said: () => said, ended };
}
export const runWax = (folder: string, words: string[], environment?: NodeJS.ProcessEnv) =>
  startWax(folder, words, environment).ended;
