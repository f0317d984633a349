import type { Archive } from '@wax-fist/contract/archives';
import { asc, eq } from 'drizzle-orm';
import { mkdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { messageOf } from '@wax-fist/core/message-of';
import { archive } from '../../db/schema/index.ts';
import { isAway } from '../../http/known-trouble.ts';
import { Refusal } from '../../http/refusal.ts';
import { oneAtATime, type OneAtATime } from '../../jobs/one-at-a-time.ts';
import type { Services } from '../../services.ts';
import type { Uploads } from '../footage/uploads.ts';
import { readArchive } from './read-archive.ts';
import { writeArchive } from './write-archive.ts';

type Job = typeof archive.$inferSelect;
/** No more often than this it is written down how far something is. */
const toldEvery = 500;

/** Archives that are being made and read, one at a time. */
export interface ArchiveRuns extends OneAtATime {
  pathOf: (archiveId: string) => string;
  remove: (archiveId: string) => Promise<void>;
}

export const asArchive = ({ askedAt, ...row }: Job): Archive => ({ ...row, askedAt: askedAt.toISOString() });

/** Works off what was asked. What the end of the server broke off begins again with its next start, what the end of the database broke off when that is back. */
export function archiveRuns(services: Services, uploads: Uploads): ArchiveRuns {
  const { db, storage, queue, settings, log } = services;
  const folder = join(settings.home, 'archives');
  const pathOf = (id: string): string => join(folder, `${id}.zip`);
  const set = (id: string, change: Partial<Job>) => db.update(archive).set(change).where(eq(archive.id, id));

  async function doOne(job: Job): Promise<void> {
    let last = 0;
    const told = (progress: number): void => {
      if (Date.now() - last < toldEvery) return;
      last = Date.now();
      void set(job.id, { progress: Math.min(1, progress) }).catch(() => undefined);
    };
    await mkdir(folder, { recursive: true, mode: 0o700 });
    if (job.kind === 'write') {
      const path = pathOf(job.id);
      const { of } = await writeArchive(db, storage, { traineeId: job.traineeId, path, told });
      await set(job.id, { state: 'ready', progress: 1, name: of.name, bytes: (await stat(path)).size });
      return;
    }
    const { path, bytes } = await uploads.finished(job.uploadId ?? '');
    const wish = { path, home: settings.home, dryRun: job.kind === 'look', archiveWins: job.archiveWins, told };
    const reading = await readArchive({ db, storage, queue }, wish);
    await set(job.id, { state: 'ready', progress: 1, name: reading.of, bytes, reading });
    if (job.kind === 'read') await Promise.all([path, `${path}.json`].map((one) => rm(one, { force: true })));
  }

  async function next(): Promise<boolean> {
    const [job] = await db.select().from(archive).where(eq(archive.state, 'working')).orderBy(asc(archive.askedAt)).limit(1);
    if (!job) return false;
    await doOne(job).catch(async (error: unknown) => {
      if (isAway(error)) throw error;
      if (!(error instanceof Refusal)) log.error(error);
      const reason = error instanceof Refusal ? messageOf(error) : 'Something went wrong on the server. Nothing was changed.';
      await rm(`${pathOf(job.id)}.part`, { force: true });
      await set(job.id, { state: 'failed', reason });
    });
    return true;
  }

  return {
    ...oneAtATime(next, (error) => {
      log.warn(error);
      return isAway(error);
    }),
    pathOf,
    async remove(id) {
      await db.delete(archive).where(eq(archive.id, id));
      await rm(pathOf(id), { force: true });
    },
  };
}
