import { consentEndpoints } from '@wax-fist/contract/consents';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { footageEndpoints } from '@wax-fist/contract/footage';
import { journalEndpoints, type JournalLine } from '@wax-fist/contract/journal';
import type { Page } from '@wax-fist/contract/page';
import { removalEndpoints, type Removal } from '@wax-fist/contract/removals';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { emptyTrack, packTrack } from '@wax-fist/core/body';
import { expect } from 'chai';
import { eq, sql } from 'drizzle-orm';
import { mkdir, mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { archive, filmPoints, removal, trainingSession } from '../../db/schema/index.ts';
import { roundOfMarks } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';
import { endOldRemovals } from './removals.ts';

describe('what is removed', () => {
  let server: ServerUnderTest;
  let head: Visitor;
  let coach: Visitor;
  let scene: ClubScene;
  let folder: string;
  const db = () => server.services.db;
  before(async () => {
    server = await startServer({ works: false });
    [head, coach] = [await server.as('head-coach'), await server.as('coach')];
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-removed-'));
  });
  after(async () => {
    await server.stop();
    await rm(folder, { recursive: true });
  });

  /** A trainee with about everything that belongs to one. */
  beforeEach(async () => {
    scene = await addScene(server);
    const { filmId, sessionId, traineeId } = scene;
    await coach.ask(reviewEndpoints.writeMarks, { filmId }, { marks: roundOfMarks(['fault', 'clean', 'watch']) });
    const packed = Buffer.from(packTrack(emptyTrack(0, 600)));
    await db().insert(filmPoints).values({ filmId, fromFrame: 0, frames: 600, model: 'm', version: 1, packed });
    const correctionId = uuid();
    const draft = {
      technique: 'jab',
      checkpointId: 'gd.return-line',
      cue: 'Touch home',
      target: 0.15,
      topRung: 6,
      recheckOn: null,
    };
    await coach.ask(correctionEndpoints.openCorrection, { correctionId }, { id: correctionId, sessionId, ...draft });
    const consentId = uuid();
    const agreed = { givenBy: 'Somebody', asGuardian: false, seenBy: 'club', asReference: true, until: null, note: '' };
    await coach.ask(consentEndpoints.giveConsent, { consentId }, { id: consentId, traineeId, givenOn: '2026-01-01', ...agreed });
    // Somebody else's session in which they hold.
    const other = await addScene(server, '2026-03-02');
    await db().update(trainingSession).set({ holderId: traineeId }).where(eq(trainingSession.id, other.sessionId));
    const bytes = join(folder, filmId);
    await writeFile(bytes, filmId);
    await server.services.storage.keep(bytes, filmId, 'original');
  });

  /** Every row of every table, but for those that say what was removed and what was done. */
  async function everything(): Promise<Record<string, string[]>> {
    const { rows } = await db().execute<{ name: string }>(sql`select table_name as name from information_schema.tables
      where table_schema = 'public' and table_type = 'BASE TABLE' and table_name not in ('removal', 'removed_row', 'journal', 'sign_in')`);
    const all: Record<string, string[]> = {};
    for (const { name } of rows) {
      const of = await db().execute<{ row: string }>(sql`select to_jsonb(t)::text as row from ${sql.identifier(name)} t`);
      all[name] = of.rows.map(({ row }) => row).sort();
    }
    return all;
  }
  const isThere = async (filmId: string): Promise<boolean> =>
    (await server.services.storage.bytes(filmId, 'original')) !== undefined;
  const left = async (): Promise<Removal[]> => (await coach.ask<Removal[]>(removalEndpoints.listRemovals)).body;

  const kinds: [what: string, remove: () => Promise<{ status: number; body: Removal }>, says: RegExp][] = [
    ['a trainee', () => head.ask<Removal>(removalEndpoints.removeTrainee, { traineeId: scene.traineeId }), /^Somebody$/],
    [
      'a session',
      () => coach.ask<Removal>(removalEndpoints.removeSession, { sessionId: scene.sessionId }),
      /^Somebody, 1 March 2026$/,
    ],
    ['a film', () => head.ask<Removal>(footageEndpoints.removeFilm, { filmId: scene.filmId }), /: round\.mp4$/],
  ];
  for (const [what, remove, says] of kinds) {
    it(`${what} comes back with everything, each row as it was, and its bytes`, async () => {
      const before = await everything();
      const { status, body } = await remove();
      expect(status).to.equal(200);
      expect(body.says).to.match(says);
      expect((await coach.ask(footageEndpoints.showFilm, { filmId: scene.filmId })).status).to.equal(404);
      expect(await everything()).to.not.deep.equal(before);
      expect(await isThere(scene.filmId)).to.equal(true);
      expect((await left()).map(({ id }) => id)).to.include(body.id);
      expect((await head.ask(removalEndpoints.putBack, { removalId: body.id })).status).to.equal(204);
      expect(await everything()).to.deep.equal(before);
      expect((await left()).map(({ id }) => id)).to.not.include(body.id);
      expect((await head.ask(removalEndpoints.putBack, { removalId: body.id })).status).to.equal(404);
    });

    it(`${what} is gone for good after a day, with its bytes, and no sooner`, async () => {
      const { body } = await remove();
      const age = (hours: number) =>
        db()
          .update(removal)
          .set({ removedAt: sql`now() - make_interval(hours => ${hours})` })
          .where(eq(removal.id, body.id));
      await age(23);
      await endOldRemovals(server.services);
      expect(await isThere(scene.filmId)).to.equal(true);
      await age(25);
      await endOldRemovals(server.services);
      expect(await isThere(scene.filmId)).to.equal(false);
      expect((await left()).map(({ id }) => id)).to.not.include(body.id);
      const { rows } = await db().execute(sql`select 1 from removed_row where removal_id = ${body.id}`);
      expect(rows).to.have.length(0);
    });
  }

  it('is gone at once when the head coach says so', async () => {
    const { body } = await coach.ask<Removal>(removalEndpoints.removeSession, { sessionId: scene.sessionId });
    expect((await coach.ask(removalEndpoints.endRemoval, { removalId: body.id })).status).to.equal(403);
    expect((await head.ask(removalEndpoints.endRemoval, { removalId: body.id })).status).to.equal(204);
    expect(await isThere(scene.filmId)).to.equal(false);
  });

  it('is gone at once when whoever it shows takes their consent back, also when they only held', async () => {
    const { body } = await coach.ask<Removal>(removalEndpoints.removeSession, { sessionId: scene.sessionId });
    const held = await addScene(server, '2026-03-03');
    await db().update(trainingSession).set({ holderId: scene.traineeId }).where(eq(trainingSession.id, held.sessionId));
    const other = (await coach.ask<Removal>(removalEndpoints.removeSession, { sessionId: held.sessionId })).body;
    const nobodys = (await coach.ask<Removal>(removalEndpoints.removeSession, { sessionId: (await addScene(server)).sessionId }))
      .body;
    await coach.ask(consentEndpoints.withdrawConsent, { traineeId: scene.traineeId });
    expect(await isThere(scene.filmId)).to.equal(false);
    const ids = (await left()).map(({ id }) => id);
    expect(ids).to.include(nobodys.id);
    for (const gone of [body.id, other.id]) expect(ids).to.not.include(gone);
  });

  it('takes the archives with it that were made of a trainee alone', async () => {
    const { home } = server.services.settings;
    const [own, club] = [uuid(), uuid()];
    await mkdir(join(home, 'archives'), { recursive: true });
    for (const [id, traineeId] of [
      [own, scene.traineeId],
      [club, null],
    ] as const) {
      await db().insert(archive).values({ id, kind: 'write', state: 'ready', traineeId });
      await writeFile(join(home, 'archives', `${id}.zip`), 'all of it');
    }
    const { body } = await head.ask<Removal>(removalEndpoints.removeTrainee, { traineeId: scene.traineeId });
    await head.ask(removalEndpoints.endRemoval, { removalId: body.id });
    expect(await readdir(join(home, 'archives')))
      .to.include(`${club}.zip`)
      .and.not.include(`${own}.zip`);
    expect(await db().$count(archive, eq(archive.id, own))).to.equal(0);
  });

  it('comes back in the order in which it went: what it belonged to first', async () => {
    const film = (await head.ask<Removal>(footageEndpoints.removeFilm, { filmId: scene.filmId })).body;
    const session = (await coach.ask<Removal>(removalEndpoints.removeSession, { sessionId: scene.sessionId })).body;
    const refused = await coach.ask(removalEndpoints.putBack, { removalId: film.id });
    expect(refused.status).to.equal(409);
    expect(refused.body.message).to.include('Put that back first');
    for (const { id } of [session, film])
      expect((await coach.ask(removalEndpoints.putBack, { removalId: id })).status).to.equal(204);
    expect((await coach.ask(footageEndpoints.showFilm, { filmId: scene.filmId })).status).to.equal(200);
  });

  it('does not come back over something new that stands in its place', async () => {
    const { body } = await coach.ask<Removal>(removalEndpoints.removeSession, { sessionId: scene.sessionId });
    const other = await addScene(server, '2026-03-09', 3, scene.traineeId);
    const id = uuid();
    const draft = { technique: 'jab', checkpointId: 'gd.return-line', cue: 'Again', target: 0.15, topRung: 6, recheckOn: null };
    await coach.ask(reviewEndpoints.writeMarks, { filmId: other.filmId }, { marks: roundOfMarks(['fault']) });
    await coach.ask(correctionEndpoints.openCorrection, { correctionId: id }, { id, sessionId: other.sessionId, ...draft });
    const refused = await coach.ask(removalEndpoints.putBack, { removalId: body.id });
    expect(refused.status).to.equal(409);
    expect(refused.body.message).to.include('something new stands in its place');
    expect((await left()).map((one) => one.id)).to.include(body.id);
  });

  it('is one line of the journal, and so is that it was put back', async () => {
    const { traineeId } = scene;
    const lines = async () =>
      (await head.ask<Page<JournalLine>>(journalEndpoints.showJournal)).body.rows.map(({ act, kind }) => `${act} ${kind}`);
    const before = (await lines()).length;
    const { body } = await head.ask<Removal>(removalEndpoints.removeTrainee, { traineeId });
    await head.ask(removalEndpoints.putBack, { removalId: body.id });
    const after = await lines();
    expect(after.slice(0, after.length - before)).to.deep.equal(['removed removal', 'added removal']);
    const about = await head.ask<Page<JournalLine>>(journalEndpoints.showJournal, {}, undefined, {}, { traineeId });
    expect(about.body.rows.slice(0, 2).map(({ values }) => values?.kind)).to.deep.equal([
      ['trainee', null],
      [null, 'trainee'],
    ]);
  });

  it('is a trainee’s by the head coach alone, and nobody’s by an assistant', async () => {
    const assistant = await server.as('assistant');
    expect((await coach.ask(removalEndpoints.removeTrainee, { traineeId: scene.traineeId })).status).to.equal(403);
    expect((await assistant.ask(removalEndpoints.removeSession, { sessionId: scene.sessionId })).status).to.equal(403);
    const { body } = await head.ask<Removal>(removalEndpoints.removeTrainee, { traineeId: scene.traineeId });
    expect((await coach.ask(removalEndpoints.putBack, { removalId: body.id })).status).to.equal(403);
    expect((await head.ask(removalEndpoints.putBack, { removalId: body.id })).status).to.equal(204);
    expect((await coach.ask(traineeEndpoints.showTrainee, { traineeId: scene.traineeId })).status).to.equal(200);
    expect((await coach.ask(sessionEndpoints.showSession, { sessionId: scene.sessionId })).status).to.equal(200);
  });
});
