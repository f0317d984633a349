import { Piscina } from 'piscina';
import type { Transferable } from 'node:worker_threads';
import { Stopped } from '../media/program.ts';
import type * as work from './heavy-work.ts';

type Work = typeof work;
type Name = keyof Work;
export interface HeavyOptions {
  signal?: AbortSignal;
  /** What is handed over with the task, such as a port for its progress. */
  transferList?: Transferable[];
}

/**
 * One thread beside the one that talks to the database: a worker that computes for minutes must still say every second that it is
 * alive. It ends when nothing has been asked of it for a while: beginning takes it a second, in which whoever asked waits.
 */
const threads = new Piscina({
  filename: new URL('heavy-thread.js', import.meta.url).href,
  minThreads: 0,
  maxThreads: 1,
  idleTimeout: 300_000,
});

/** Does a piece of heavy work in its thread. @throws Stopped, and whatever the work throws */
export async function heavily<One extends Name>(
  name: One,
  task: Parameters<Work[One]>[0],
  { signal, transferList }: HeavyOptions = {},
): Promise<Awaited<ReturnType<Work[One]>>> {
  try {
    return (await threads.run(task, { name, signal, transferList })) as Awaited<ReturnType<Work[One]>>;
  } catch (error) {
    throw signal?.aborted ? new Stopped() : error;
  }
}
