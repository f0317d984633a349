import { importSteps, type ImportStep } from '@wax-fist/contract/footage';
import { packTimeline, timelineOf } from '@wax-fist/core/film';
import { expect } from 'chai';
import { eq, ne, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import pino from 'pino';
import { film, filmStep } from '../db/schema/index.ts';
import { eventually } from '../test/eventually.ts';
import { addScene, startServer, type ServerUnderTest } from '../test/server-under-test.ts';
import { importRules, partOf } from './import-steps.ts';
import { onlyClubId } from '../clubs/open-clubs.ts';
import type { ImportPart } from './queue.ts';
import { rescue } from './rescue.ts';
import { takeJobs } from './take-jobs.ts';

describe('many films that wait for one worker', function () {
  this.timeout(120_000);
  let server: ServerUnderTest;
  const runs = Object.entries(importRules).map(([step, { run }]) => ({ step: step as ImportStep, run }));
  before(async () => (server = await startServer({ works: false })));
  after(async () => {
    for (const { step, run } of runs) importRules[step].run = run;
    await server.stop();
  });

  it('120 films come to their end, those that nobody can review yet before what only adds to others, that of new ones before what is made up for, and that before what takes long, rescue or not', async () => {
    const { db, storage, queue, settings } = server.services;
    const { jobs } = server;
    const { sessionId, filmId: scene } = await addScene(server);
    const films = Array.from({ length: 120 }, () => uuid());
    const there = new Set(films.slice(0, 40));
    /** What the steps would have found; here they find nothing, and only tell that it is their turn. */
    const timeline = Buffer.from(packTimeline(timelineOf([0, 20])));
    const looked = { hasSound: true, duration: 40, frames: 2, firstFrameAt: 0, width: 2, height: 2, timeline };
    const shared = { sessionId, view: 'front' as const, fileName: 'round.mp4', bytes: 1, ...looked };
    await db.insert(film).values(films.map((id) => ({ ...shared, id })));
    await db.insert(filmStep).values(films.flatMap((filmId) => importSteps.map((step) => ({ filmId, step }))));
    for (const id of films) await queue.importFilm(id, 'review', there.has(id));
    const done: { id: string; step: ImportStep }[] = [];
    for (const { step } of runs) {
      importRules[step].run = ({ film: { id } }) => {
        // The scene's own film can be reviewed from the start: whatever it lacks is added when its turn comes, early or late.
        if (id !== scene) done.push({ id, step });
        return Promise.resolve();
      };
    }
    const ending = new AbortController();
    const rescuing = setInterval(() => {
      // As if every step had waited for longer than anybody should: all are asked for again and again.
      void db
        .update(filmStep)
        .set({ touchedAt: sql`now() - interval '1 hour'` })
        .where(eq(filmStep.state, 'waiting'))
        .then(() => rescue(db, queue))
        .catch(() => undefined);
    }, 1500);
    const log = pino({ level: 'silent' });
    const worker = { db, storage, home: settings.home, pose: 'lite' as const, worker: 'one', ending: ending.signal };
    await takeJobs(new Map([[onlyClubId, worker]]), jobs, log, ending.signal);
    await eventually(
      'the end of every film',
      async () => db.$count(filmStep, sql`${filmStep.state} = 'waiting' and ${filmStep.filmId} <> ${scene}`),
      (left) => left === 0,
      110_000,
    ).finally(() => clearInterval(rescuing));
    ending.abort();
    expect(done).to.have.length(120 * importSteps.length);
    const adds = done.filter(({ step }) => partOf(step) === 'rest');
    const lastOfNew = adds.findLastIndex(({ id }) => !there.has(id));
    expect(lastOfNew, 'what is made up for waits').to.be.below(adds.findIndex(({ id }) => there.has(id)));
    const lastOf = (part: ImportPart): number => done.findLastIndex(({ step }) => partOf(step) === part);
    const firstOf = (part: ImportPart): number => done.findIndex(({ step }) => partOf(step) === part);
    expect(lastOf('review'), 'all can be reviewed before anything is added to one').to.be.below(firstOf('rest'));
    expect(lastOf('rest'), 'all is added before anything is looked at again').to.be.below(firstOf('later'));
    expect(await db.$count(film, ne(film.id, scene))).to.equal(120);
  });
});
