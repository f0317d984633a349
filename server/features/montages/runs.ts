import type { MontageFilm } from '@wax-fist/contract/montages';
import { gapAt, timeOf, unpackTimeline } from '@wax-fist/core/film';
import { viewNames } from '@wax-fist/core/technique';
import { asc, eq, inArray, lt, sql } from 'drizzle-orm';
import { mkdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { film, montage } from '../../db/schema/index.ts';
import { oneAtATime, type OneAtATime } from '../../jobs/one-at-a-time.ts';
import { writeMontage, type MontageCut } from '../../media/write-montage.ts';
import type { Services } from '../../services.ts';
import { borrowed } from '../../storage/borrowed.ts';
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
    const known = new Map(films.map((one) => [one.id, { ...one, timeline: unpackTimeline(one.timeline!) }]));
    const drafts = join(folder, id);
    await mkdir(drafts, { recursive: true, mode: 0o700 });
    /** All films are at hand until the last is used. */
    const withFilms = async (left: readonly string[], paths: Map<string, string>): Promise<void> => {
      const [next, ...rest] = left;
      if (next === undefined) {
        const cuts = pieces.map(({ filmId, fromFrame, contactFrame, toFrame, label, view }, place): MontageCut => {
          const { timeline, firstFrameAt } = known.get(filmId)!;
          const from = (firstFrameAt ?? 0) + timeOf(timeline, fromFrame) - gapAt(timeline, Math.max(0, fromFrame - 1)) / 2;
          return {
            ...{ film: paths.get(filmId)!, from: Math.max(0, from), frames: toFrame - fromFrame + 1 },
            contact: contactFrame - fromFrame,
            heading: [`${place + 1} of ${pieces.length}`, label || viewNames[view].toLowerCase()].join(' · '),
            cue,
          };
        });
        return writeMontage(cuts, drafts, pathOf(id), (progress) => void set(id, { progress }).catch(() => undefined));
      }
      return borrowed(storage, next, 'film.mp4', (path) => withFilms(rest, paths.set(next, path)));
    };
    try {
      await withFilms(ids, new Map());
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
          log.error(error);
          await set(job.id, { state: 'failed', reason: 'This montage could not be written. Try it again.' });
        });
        return true;
      },
      (error) => log.warn(error),
    ),
  };
}
