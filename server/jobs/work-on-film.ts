import { importSteps, type ImportStep } from '@wax-fist/contract/footage';
import { and, eq, inArray, notInArray, sql } from 'drizzle-orm';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Database } from '../db/connection.ts';
import { film, filmStep } from '../db/schema/index.ts';
import { canComeBack } from '../features/removals/removals.ts';
import type { watchSteps } from '../metrics/watch-worker.ts';
import { NotFootage } from '../media/probe.ts';
import { Stopped } from '../media/program.ts';
import type { Encoding } from '../media/review-copy.ts';
import type { PoseSize } from '../pose/pose-size.ts';
import type { Storage } from '../storage/storage.ts';
import { importRules, partOf, stepsFrom } from './import-steps.ts';
import { begunAnew, filmNamed, GaveWay, type StepWork } from './import-step.ts';
import type { ImportPart } from './queue.ts';

/** A step is tried so often before it is given up. */
export const mostAttempts = 3;
/** How often a worker says that it is still at a step; see `rescue` for when it is taken for dead. */
const touchEvery = 1000;

export interface ImportServices {
  db: Database;
  storage: Storage;
  /** Data folder, for files that are being made. */
  home: string;
  /** How thoroughly bodies are followed; absent, they are not. */
  pose?: PoseSize;
  encoding?: Encoding;
  /** Name of this worker. */
  worker: string;
  /** Fires when the worker has to stop; what it does goes back to waiting. */
  ending?: AbortSignal;
  /** Whether another film waits for which this one gives way. */
  othersWait?: () => Promise<boolean>;
  /** Is told of every step that ended. */
  ended?: ReturnType<typeof watchSteps>;
}

const isStep = (filmId: string, step: ImportStep) => and(eq(filmStep.filmId, filmId), eq(filmStep.step, step));

/** A new film's steps, all waiting. */
export const addSteps = (db: Database, filmId: string): Promise<unknown> =>
  db
    .insert(filmStep)
    .values(importSteps.map((step) => ({ filmId, step })))
    .onConflictDoNothing();

/**
 * Gives films that are there already the steps that this version knows and they were not asked for, or that were left out because
 * bodies were not followed then. A film that failed or was stopped stays so: its new steps wait for a coach, as the others do. Where a
 * consent was withdrawn there is no film any more.
 * @returns films on which there is something to do now
 */
export async function addMissingSteps({ db, pose }: Pick<ImportServices, 'db' | 'pose'>): Promise<string[]> {
  const state = sql`case when ${film.state} in ('failed', 'stopped') then ${film.state} else 'waiting' end`;
  const steps = sql`unnest(array[${sql.join(
    importSteps.map((step) => sql`${step}`),
    sql`, `,
  )}]::text[])`;
  const { rows } = await db.execute<{ film_id: string; state: string }>(sql`
    insert into ${filmStep} (film_id, step, state) select ${film.id}, step, ${state} from ${film} cross join ${steps} step where ${film.state} <> 'withdrawn'
    on conflict do nothing returning film_id, state`);
  const withdrawn = db.select({ id: film.id }).from(film).where(eq(film.state, 'withdrawn'));
  const left = Object.entries(importRules).flatMap(([step, { needsPose }]) => (needsPose && pose ? [step as ImportStep] : []));
  const anew = await db
    .update(filmStep)
    .set(begunAnew)
    .where(and(inArray(filmStep.step, left), eq(filmStep.state, 'skipped'), notInArray(filmStep.filmId, withdrawn)))
    .returning({ filmId: filmStep.filmId });
  const films = anew.map(({ filmId }) => filmId);
  await db
    .update(filmStep)
    .set(begunAnew)
    .where(and(inArray(filmStep.filmId, films), inArray(filmStep.step, left.flatMap(stepsFrom)), eq(filmStep.state, 'done')));
  return [...new Set([...films, ...rows.filter((row) => row.state === 'waiting').map((row) => row.film_id)])];
}

/** Steps that nobody has begun although they could be, in their order. */
async function openSteps(db: Database, filmId: string): Promise<ImportStep[]> {
  const rows = await db.select({ step: filmStep.step, state: filmStep.state }).from(filmStep).where(eq(filmStep.filmId, filmId));
  const settled = new Set(rows.filter(({ state }) => state === 'done' || state === 'skipped').map(({ step }) => step));
  const waiting = new Set(rows.filter(({ state }) => state === 'waiting').map(({ step }) => step));
  return importSteps.filter((step) => waiting.has(step) && importRules[step].after.every((one) => settled.has(one)));
}

/** Parts of the work in a film, in their order. */
const parts: readonly ImportPart[] = ['review', 'rest', 'later'];
/** The first part in which one of these steps is done; undefined of none. */
export const firstPart = (steps: readonly ImportStep[]): ImportPart | undefined =>
  parts.find((part) => steps.some((step) => partOf(step) === part));

/**
 * Does the steps of a film that can be done, up to those of a part. Any number of workers may be at the same film, each step is done
 * by one of them.
 * @returns in which part there is more to do; undefined where there is nothing
 * @throws whatever made a step fail that will be tried again
 */
export async function workOnFilm(services: ImportServices, filmId: string, until: ImportPart): Promise<ImportPart | undefined> {
  const { db, storage } = services;
  try {
    for (;;) {
      const open = await openSteps(db, filmId);
      const next = open.find((step) => parts.indexOf(partOf(step)) <= parts.indexOf(until));
      if (!next) return firstPart(open);
      if (await claim(services, filmId, next)) await doStep(services, filmId, next);
    }
  } catch (error) {
    if (error instanceof GaveWay) return firstPart(await openSteps(db, filmId));
    throw error;
  } finally {
    await storage.letGo(filmId);
    await rm(draftsOf(services, filmId), { recursive: true, force: true });
    await leaveNothingOfRemoved(services, filmId);
  }
}

/** Of a film that is gone for good nothing stays, whatever was put into storage meanwhile. */
async function leaveNothingOfRemoved({ db, storage }: ImportServices, filmId: string): Promise<void> {
  const known = await db.select({ id: film.id }).from(film).where(eq(film.id, filmId));
  if (known.length === 0 && !(await canComeBack(db, filmId))) await storage.remove(filmId);
}

/** Where a worker puts what it is making; no other worker looks there. */
const draftsOf = ({ home, worker }: ImportServices, filmId: string): string => join(home, 'drafts', worker, filmId);

/** Takes a waiting step; false when another worker was faster. */
async function claim({ db, worker }: ImportServices, filmId: string, step: ImportStep): Promise<boolean> {
  const taken = await db
    .update(filmStep)
    .set({
      state: 'working',
      worker,
      attempts: sql`${filmStep.attempts} + 1`,
      progress: 0,
      reason: null,
      startedAt: sql`now()`,
      touchedAt: sql`now()`,
    })
    .where(and(isStep(filmId, step), eq(filmStep.state, 'waiting')))
    .returning({ step: filmStep.step });
  if (taken.length > 0 && importRules[step].essential) {
    await db
      .update(film)
      .set({ state: 'working' })
      .where(and(eq(film.id, filmId), eq(film.state, 'waiting')));
  }
  return taken.length > 0;
}

async function doStep(services: ImportServices, filmId: string, step: ImportStep): Promise<void> {
  const { db, storage, worker, ending, othersWait, ended, pose, encoding } = services;
  const begun = performance.now();
  const tell = (how: Parameters<NonNullable<typeof ended>>[1]): void => ended?.(step, how, (performance.now() - begun) / 1000);
  const rule = importRules[step];
  const mine = and(isStep(filmId, step), eq(filmStep.state, 'working'), eq(filmStep.worker, worker));
  const stop = new AbortController();
  const end = (): void => stop.abort();
  ending?.addEventListener('abort', end);
  let share = 0;
  const touch = async (): Promise<void> => {
    const still = await db
      .update(filmStep)
      .set({ touchedAt: sql`now()`, progress: share })
      .where(mine)
      .returning({ step: filmStep.step });
    if (still.length === 0) stop.abort();
  };
  const touching = setInterval(() => void touch().catch(() => undefined), touchEvery);
  try {
    const row = await filmNamed(db, filmId);
    const work: StepWork = {
      db,
      storage,
      film: row,
      ...{ pose, encoding },
      draft: (file) => join(draftsOf(services, filmId), file),
      progress: (value) => (share = Math.max(share, Math.min(1, value))),
      async giveWay() {
        if (await othersWait?.()) throw new GaveWay();
      },
      signal: stop.signal,
    };
    const skipped = (rule.needsSound && !row.hasSound) || (rule.needsPose && !pose);
    if (!skipped) await rule.run(work);
    await db.transaction(async (tx) => {
      const done = await tx
        .update(filmStep)
        .set({ state: skipped ? 'skipped' : 'done', progress: 1, touchedAt: sql`now()` })
        .where(mine)
        .returning({ step: filmStep.step });
      if (done.length > 0 && step === 'timeline') await tx.update(film).set({ state: 'ready' }).where(eq(film.id, filmId));
    });
    tell('done');
  } catch (error) {
    tell(error instanceof Stopped || error instanceof GaveWay ? 'stopped' : 'failed');
    await failed(services, filmId, step, error, mine);
  } finally {
    clearInterval(touching);
    ending?.removeEventListener('abort', end);
  }
}

/** Says why, in words; throws on when it will be tried again. */
async function failed(
  { db, ending }: ImportServices,
  filmId: string,
  step: ImportStep,
  error: unknown,
  mine: ReturnType<typeof and>,
): Promise<void> {
  if (error instanceof Stopped || error instanceof GaveWay) {
    // Stopped by a coach: the rows say so already. By the end of this worker, or for another film: the step is begun again later.
    if (ending?.aborted || error instanceof GaveWay) {
      await db
        .update(filmStep)
        .set({ state: 'waiting', attempts: sql`${filmStep.attempts} - 1` })
        .where(mine);
    }
    throw error;
  }
  const known = error instanceof NotFootage;
  const [row] = await db.select({ attempts: filmStep.attempts }).from(filmStep).where(mine);
  if (!row) throw error;
  if (!known && row.attempts < mostAttempts) {
    await db
      .update(filmStep)
      .set({ state: 'waiting', reason: 'It broke off and is tried again.', touchedAt: sql`now()` })
      .where(mine);
    throw error;
  }
  await giveUp(db, filmId, step, known ? error.message : `It broke off ${mostAttempts} times. The original is safe; try again.`);
}

/** A step that will not be tried again by itself. What needed it is not done either. */
export async function giveUp(db: Database, filmId: string, step: ImportStep, reason: string): Promise<void> {
  await db.transaction(async (tx) => {
    await tx
      .update(filmStep)
      .set({ state: 'failed', reason: sql`case when ${filmStep.step} = ${step} then ${reason} end` })
      .where(and(eq(filmStep.filmId, filmId), inArray(filmStep.step, stepsFrom(step))));
    if (importRules[step].essential) {
      await tx.update(film).set({ state: 'failed', remark: reason }).where(eq(film.id, filmId));
    }
  });
}
