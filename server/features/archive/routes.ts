import { archiveEndpoints } from '@wax-fist/contract/archives';
import { desc, eq } from 'drizzle-orm';
import type { Router } from 'express';
import { archive, trainee } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { sendDownload } from '../../http/send-download.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import type { Uploads } from '../footage/uploads.ts';
import { archiveRuns, asArchive } from './runs.ts';

const listed = 50;

export function archiveRoutes(router: Router, services: Services, uploads: Uploads): void {
  const { db } = services;
  const runs = archiveRuns(services, uploads);
  const one = async (id: string) => found(await db.select().from(archive).where(eq(archive.id, id)), 'archive');
  // What the last end of the server broke off.
  runs.start();

  serve(router, archiveEndpoints.listArchives, async () =>
    (await db.select().from(archive).orderBy(desc(archive.askedAt)).limit(listed)).map(asArchive),
  );
  serve(router, archiveEndpoints.showArchive, async ({ params }) => asArchive(await one(params.archiveId)));
  serve(router, archiveEndpoints.makeArchive, async ({ body: { id, traineeId }, account }) => {
    const name =
      traineeId === null
        ? ''
        : found(await db.select({ name: trainee.name }).from(trainee).where(eq(trainee.id, traineeId)), 'trainee').name;
    await db.insert(archive).values({ id, kind: 'write', traineeId, name, askedBy: account.id }).onConflictDoNothing();
    runs.start();
    return asArchive(await one(id));
  });
  serve(router, archiveEndpoints.readArchive, async ({ body: { id, uploadId, dryRun, archiveWins }, account }) => {
    await uploads.finished(uploadId);
    const kind = dryRun ? 'look' : 'read';
    await db.insert(archive).values({ id, kind, uploadId, archiveWins, askedBy: account.id }).onConflictDoNothing();
    runs.start();
    return asArchive(await one(id));
  });
  serve(router, archiveEndpoints.archiveFile, async ({ params: { archiveId }, response }) => {
    const { kind, state, name, askedAt } = await one(archiveId);
    if (kind !== 'write') throw notFound('archive');
    if (state !== 'ready') throw new Refusal(409, 'This archive is not made yet.');
    const file = `Wax Fist archive, ${name || 'club'}, ${askedAt.toISOString().slice(0, 10)}.zip`;
    await sendDownload(response, runs.pathOf(archiveId), file);
  });
  serve(router, archiveEndpoints.removeArchive, async ({ params: { archiveId } }) => {
    const { state } = await one(archiveId);
    if (state === 'working') throw new Refusal(409, 'This is still under way. Wait until it has ended.');
    await runs.remove(archiveId);
  });
}
