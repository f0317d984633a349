import { importSteps, type ImportStep } from '@wax-fist/contract/footage';
import { and, eq, inArray, sql } from 'drizzle-orm';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Database } from '../db/connection.ts';
import { clip, clipStep } from '../db/schema/index.ts';
import { NotFootage } from '../media/probe.ts';
import { Stopped } from '../media/program.ts';
import type { Storage } from '../storage/storage.ts';
import { importRules } from './import-steps.ts';
import { clipNamed, type StepWork } from './step.ts';

/** A step is tried so often before it is given up. */
export const mostAttempts = 3;
/** How often a worker says that it is still at a step; see `rescue` for when it is taken for dead. */
const touchEvery = 1000;

export interface ImportSurroundings {
  db: Database;
  storage: Storage;
  /** Data folder, for files that are being made. */
  home: string;
  /** Name of this worker. */
  worker: string;
  /** Fires when the worker has to stop; what it does goes back to waiting. */
  ending?: AbortSignal;
}

const isStep = (clipId: string, step: ImportStep) => and(eq(clipStep.clipId, clipId), eq(clipStep.step, step));

/** A new clip's steps, all waiting. */
export const addSteps = (db: Database, clipId: string): Promise<unknown> =>
  db
    .insert(clipStep)
    .values(importSteps.map((step) => ({ clipId, step })))
    .onConflictDoNothing();

/** Steps that nobody has begun although they could be, in their order. */
async function openSteps(db: Database, clipId: string): Promise<ImportStep[]> {
  const rows = await db.select({ step: clipStep.step, state: clipStep.state }).from(clipStep).where(eq(clipStep.clipId, clipId));
  const settled = new Set(rows.filter(({ state }) => state === 'done' || state === 'skipped').map(({ step }) => step));
  const waiting = new Set(rows.filter(({ state }) => state === 'waiting').map(({ step }) => step));
  return importSteps.filter((step) => waiting.has(step) && importRules[step].after.every((one) => settled.has(one)));
}

/**
 * Does the steps of a clip that can be done: those up to the review first, all others when `rest` is set. Any number of workers
 * may be at the same clip, each step is done by one of them.
 * @returns whether there is more to do in `rest`
 * @throws whatever made a step fail that will be tried again
 */
export async function workOnClip(surroundings: ImportSurroundings, clipId: string, rest: boolean): Promise<boolean> {
  const { db, storage } = surroundings;
  try {
    for (;;) {
      const open = await openSteps(db, clipId);
      const next = open.find((step) => rest || importRules[step].essential);
      if (!next) return open.length > 0;
      if (await claim(surroundings, clipId, next)) await doStep(surroundings, clipId, next);
    }
  } finally {
    await storage.letGo(clipId);
    await rm(draftsOf(surroundings, clipId), { recursive: true, force: true });
  }
}

/** Where a worker puts what it is making; no other worker looks there. */
const draftsOf = ({ home, worker }: ImportSurroundings, clipId: string): string => join(home, 'drafts', worker, clipId);

/** Takes a waiting step; false when another worker was faster. */
async function claim({ db, worker }: ImportSurroundings, clipId: string, step: ImportStep): Promise<boolean> {
  const taken = await db
    .update(clipStep)
    .set({ state: 'working', worker, attempts: sql`${clipStep.attempts} + 1`, progress: 0, reason: null, startedAt: sql`now()`, touchedAt: sql`now()` })
    .where(and(isStep(clipId, step), eq(clipStep.state, 'waiting')))
    .returning({ step: clipStep.step });
  if (taken.length > 0 && importRules[step].essential) {
    await db.update(clip).set({ state: 'working' }).where(and(eq(clip.id, clipId), eq(clip.state, 'waiting')));
  }
  return taken.length > 0;
} // prettier-ignore

async function doStep(surroundings: ImportSurroundings, clipId: string, step: ImportStep): Promise<void> {
  const { db, storage, worker, ending } = surroundings;
  const rule = importRules[step];
  const mine = and(isStep(clipId, step), eq(clipStep.state, 'working'), eq(clipStep.worker, worker));
  const stop = new AbortController();
  const end = (): void => stop.abort();
  ending?.addEventListener('abort', end);
  let share = 0;
  const touch = async (): Promise<void> => {
    const still = await db
      .update(clipStep)
      .set({ touchedAt: sql`now()`, progress: share })
      .where(mine)
      .returning({ step: clipStep.step });
    if (still.length === 0) stop.abort();
  };
  const touching = setInterval(() => void touch().catch(() => undefined), touchEvery);
  try {
    const row = await clipNamed(db, clipId);
    const work: StepWork = {
      db,
      storage,
      clip: row,
      draft: (file) => join(draftsOf(surroundings, clipId), file),
      progress: (value) => (share = Math.max(share, Math.min(1, value))),
      signal: stop.signal,
    };
    const skipped = rule.needsSound && !row.hasSound;
    if (!skipped) await rule.run(work);
    await db.transaction(async (tx) => {
      const done = await tx
        .update(clipStep)
        .set({ state: skipped ? 'skipped' : 'done', progress: 1, touchedAt: sql`now()` })
        .where(mine)
        .returning({ step: clipStep.step });
      if (done.length > 0 && step === 'timeline') await tx.update(clip).set({ state: 'ready' }).where(eq(clip.id, clipId));
    });
  } catch (error) {
    await failed(surroundings, clipId, step, error, mine);
  } finally {
    clearInterval(touching);
    ending?.removeEventListener('abort', end);
  }
}

/** Says why, in words; throws on when it will be tried again. */
async function failed(
  { db, ending }: ImportSurroundings,
  clipId: string,
  step: ImportStep,
  error: unknown,
  mine: ReturnType<typeof and>,
): Promise<void> {
  if (error instanceof Stopped) {
    // Stopped by a coach: the rows say so already. By the end of this worker: the next one begins the step again.
    if (ending?.aborted) {
      await db.update(clipStep).set({ state: 'waiting', attempts: sql`${clipStep.attempts} - 1` }).where(mine); // prettier-ignore
    }
    throw error;
  }
  const known = error instanceof NotFootage;
  const [row] = await db.select({ attempts: clipStep.attempts }).from(clipStep).where(mine);
  if (!row) throw error;
  if (!known && row.attempts < mostAttempts) {
    await db.update(clipStep).set({ state: 'waiting', reason: 'It broke off and is tried again.', touchedAt: sql`now()` }).where(mine); // prettier-ignore
    throw error;
  }
  await giveUp(db, clipId, step, known ? error.message : `It broke off ${mostAttempts} times. The original is safe; try again.`);
}

/** A step that will not be tried again by itself. What needed it is not done either. */
export async function giveUp(db: Database, clipId: string, step: ImportStep, reason: string): Promise<void> {
  const needed = new Set<ImportStep>([step]);
  for (const one of importSteps) if (importRules[one].after.some((before) => needed.has(before))) needed.add(one);
  await db.transaction(async (tx) => {
    await tx
      .update(clipStep)
      .set({ state: 'failed', reason: sql`case when ${clipStep.step} = ${step} then ${reason} end` })
      .where(and(eq(clipStep.clipId, clipId), inArray(clipStep.step, [...needed])));
    if (importRules[step].essential) {
      await tx.update(clip).set({ state: 'failed', remark: reason }).where(eq(clip.id, clipId));
    }
  });
}
