import type { MontageFilm } from '@wax-fist/contract/montages';
import { unpackTimeline } from '@wax-fist/core/film';
import { viewNames } from '@wax-fist/core/technique';
import { asc, eq, inArray, lt, sql } from 'drizzle-orm';
import { mkdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { film, montage } from '../../db/schema/index.ts';
import { isAway } from '../../http/known-trouble.ts';
import { oneAtATime, type OneAtATime } from '../../jobs/one-at-a-time.ts';
import { justBefore } from '../../media/just-before.ts';
import { writeMontage, type MontageCut } from '../../media/write-montage.ts';
import type { Services } from '../../services.ts';
import { allBorrowed } from '../../storage/borrowed.ts';
import { montageOf } from './pieces.ts';

type Job = typeof montage.$inferSelect;
export const asMontageFilm = ({ id, state, progress, reason }: Job): MontageFilm => ({ id, state, progress, reason });

/** Whoever wanted it has it by then. */
const keptFor = sql`now() - interval '2 days'`;

export interface MontageRuns extends OneAtATime {
  pathOf: (montageId: string) => string;
}

/** Writes montages as films, one at a time. */
export function montageRuns({ db, storage, settings, log }: Services): MontageRuns {
  const folder = join(settings.home, 'montages');
  const pathOf = (id: string): string => join(folder, `${id}.mp4`);
  const set = (id: string, change: Partial<Job>) => db.update(montage).set(change).where(eq(montage.id, id));

  async function doOne({ id, sessionId, technique, checkpointId, which }: Job): Promise<void> {
    const { pieces, cue } = await montageOf(db, sessionId, { technique, checkpointId, which });
    const ids = [...new Set(pieces.map(({ filmId }) => filmId))];
    const films = await db
      .select({ id: film.id, timeline: film.timeline, firstFrameAt: film.firstFrameAt })
      .from(film)
      .where(inArray(film.id, ids));
    const known = new Map(
      films.map(({ id: filmId, timeline, firstFrameAt }) => [
        filmId,
        { timeline: unpackTimeline(timeline!), firstFrameAt: firstFrameAt ?? 0 },
      ]),
    );
    const cutsOf = (paths: ReadonlyMap<string, string>): MontageCut[] =>
      pieces.map(({ filmId, fromFrame, contactFrame, toFrame, label, view }, place) => ({
        film: paths.get(filmId)!,
        from: Math.max(0, justBefore(known.get(filmId)!, fromFrame)),
        frames: toFrame - fromFrame + 1,
        contact: contactFrame - fromFrame,
        heading: [`${place + 1} of ${pieces.length}`, label || viewNames[view].toLowerCase()].join(' · '),
        cue,
      }));
    const told = (progress: number): void => void set(id, { progress }).catch(() => undefined);
    const drafts = join(folder, id);
    await mkdir(drafts, { recursive: true, mode: 0o700 });
    try {
      await allBorrowed(storage, ids, 'film.mp4', (paths) => writeMontage(cutsOf(paths), drafts, pathOf(id), told));
    } finally {
      await rm(drafts, { recursive: true, force: true });
    }
    await set(id, { state: 'ready', progress: 1 });
  }

  /** What nobody has come for. */
  async function tidy(): Promise<void> {
    const old = await db.delete(montage).where(lt(montage.askedAt, keptFor)).returning({ id: montage.id });
    for (const { id } of old) await rm(pathOf(id), { force: true });
  }

  return {
    pathOf,
    ...oneAtATime(
      async () => {
        const [job] = await db.select().from(montage).where(eq(montage.state, 'working')).orderBy(asc(montage.askedAt)).limit(1);
        if (!job) {
          await tidy();
          return false;
        }
        await doOne(job).catch(async (error: unknown) => {
          if (isAway(error)) throw error;
          log.error(error);
          await set(job.id, { state: 'failed', reason: 'This montage could not be written. Try it again.' });
        });
        return true;
      },
      (error) => {
        log.warn(error);
        return isAway(error);
      },
    ),
  };
}
