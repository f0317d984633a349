import { archiveEndpoints } from '@wax-fist/contract/archives';
import { cardEndpoints } from '@wax-fist/contract/cards';
import { consentEndpoints, type Consent, type ConsentDraft } from '@wax-fist/contract/consents';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { filmFileUrl, footageEndpoints } from '@wax-fist/contract/footage';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { stillEndpoints } from '@wax-fist/contract/stills';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { mkdir, readdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import {
  archive,
  cardLink,
  film,
  filmPoints,
  filmStep,
  montage,
  observation,
  referenceStill,
  strike,
  trainee,
  trainingSession,
} from '../../db/schema/index.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';
import { clubDay } from '../sessions/club-day.ts';
import { forgetAgain } from './forget-films.ts';

describe('consent to be filmed', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
  });
  beforeEach(async () => (scene = await addScene(server)));
  after(() => server.stop());

  const word = (change: Partial<ConsentDraft> = {}): ConsentDraft => ({
    ...{
      id: uuid(),
      traineeId: scene.traineeId,
      givenBy: 'Themselves',
      asGuardian: false,
      seenBy: 'coaches',
      asReference: false,
    },
    ...{ givenOn: '2026-03-01', until: null, note: '' },
    ...change,
  });
  const give = (sent: ConsentDraft) => coach.ask<Consent>(consentEndpoints.giveConsent, { consentId: sent.id }, sent);
  const words = async (): Promise<Consent[]> =>
    (await coach.ask<Consent[]>(consentEndpoints.traineeConsents, { traineeId: scene.traineeId })).body;
  const withdraw = () => coach.ask<{ films: number }>(consentEndpoints.withdrawConsent, { traineeId: scene.traineeId });

  it('is written down word by word: one that was given is not changed, another one is given', async () => {
    const first = word();
    await give(first);
    await give({ ...first, seenBy: 'anyone' });
    await give(word({ givenOn: '2026-04-01', seenBy: 'club', until: '2099-01-01' }));
    expect((await words()).map(({ seenBy, withdrawnOn }) => [seenBy, withdrawnOn])).to.deep.equal([
      ['club', null],
      ['coaches', null],
    ]);
    expect((await give(word({ until: '2026-02-01' }))).status).to.equal(422);
    expect((await give(word({ givenOn: '2099-01-01' }))).status).to.equal(422);
    expect((await give(word({ traineeId: uuid() }))).status).to.equal(404);
  });

  it('is a guardian’s for a child', async () => {
    await server.services.db.update(trainee).set({ ageGroup: 'child' }).where(eq(trainee.id, scene.traineeId));
    const { status, body } = await give(word());
    expect([status, (body as unknown as { fields: { field: string }[] }).fields[0]!.field]).to.deep.equal([422, 'asGuardian']);
    expect((await give(word({ asGuardian: true, givenBy: 'Their mother' }))).status).to.equal(200);
  });

  it('to be shown to others is asked for a reference still, and for a link', async () => {
    await give(word());
    const still = {
      technique: 'jab',
      checkpoint: 'st.chin',
      kind: 'fault',
      filmId: scene.filmId,
      frame: 5,
      fromFrame: null,
      toFrame: null,
    };
    const params = { technique: still.technique, checkpoint: still.checkpoint, kind: still.kind };
    expect((await coach.ask(stillEndpoints.saveReferenceStill, params, still)).status).to.equal(409);
    const opened = {
      ...{ id: uuid(), sessionId: scene.sessionId, checkpointId: 'gd.return-line', technique: 'jab', cue: 'Touch home' },
      ...{ target: 0.15, recheckOn: null },
    };
    await coach.ask(correctionEndpoints.openCorrection, { correctionId: opened.id }, opened);
    expect((await coach.ask(cardEndpoints.linkCard, { correctionId: opened.id })).status).to.equal(409);
    await give(word({ givenOn: '2026-04-01', seenBy: 'anyone', asReference: true }));
    expect((await coach.ask(stillEndpoints.saveReferenceStill, params, still)).status).to.equal(200);
    expect((await coach.ask(cardEndpoints.linkCard, { correctionId: opened.id })).status).to.equal(200);
    expect((await server.services.db.select().from(cardLink)).length).to.equal(1);
    await withdraw();
    expect((await server.services.db.select().from(cardLink)).length).to.equal(0);
    expect((await server.services.db.select().from(referenceStill)).length).to.equal(0);
  });

  /** Everything of a film that lies in the store of this server. */
  const inStore = async (): Promise<string[]> =>
    (await readdir(server.services.settings.home, { recursive: true })).filter((name) => name.includes(scene.filmId));
  const keptInStore = async (file: 'original' | 'film.mp4' | 'strip.jpg'): Promise<void> => {
    const { storage, settings } = server.services;
    const path = join(settings.home, `${uuid()}.bytes`);
    await writeFile(path, 'bytes');
    await storage.keep(path, scene.filmId, file);
  };

  it('withdrawn, nothing that shows them is left in database and store, and what was counted stays', async () => {
    const { db, settings } = server.services;
    await give(word());
    for (const file of ['original', 'film.mp4', 'strip.jpg'] as const) await keptInStore(file);
    await db
      .insert(filmPoints)
      .values({ filmId: scene.filmId, fromFrame: 0, frames: 1, model: 'lite', version: 1, packed: Buffer.from('x') });
    await db.insert(filmStep).values({ filmId: scene.filmId, step: 'pose', state: 'waiting' });
    const strikeId = uuid();
    await db.insert(strike).values({
      ...{ id: strikeId, filmId: scene.filmId, technique: 'jab', launchFrame: 1, contactFrame: 4, homeFrame: 9 },
      ...{ removed: false, saidAt: new Date(), revisionId: uuid() },
    });
    const [session] = await db.select().from(trainingSession).where(eq(trainingSession.id, scene.sessionId));
    await db.insert(observation).values({
      ...{ id: uuid(), strikeId, checkpointId: 'gd.return-line', subject: 'trainee', verdict: 'fault', view: 'lead-side' },
      ...{ checklistVersion: session!.checklistVersion, saidAt: new Date() },
    } as typeof observation.$inferInsert);
    const montageId = uuid();
    await db.insert(montage).values({
      ...{
        id: montageId,
        sessionId: scene.sessionId,
        technique: 'jab',
        checkpointId: 'gd.return-line',
        which: 'faults',
        state: 'ready',
      },
    });
    const archiveId = uuid();
    await db.insert(archive).values({ id: archiveId, kind: 'write', traineeId: null, state: 'ready' });
    for (const [folder, file] of [
      ['montages', `${montageId}.mp4`],
      ['archives', `${archiveId}.zip`],
    ] as const) {
      await mkdir(join(settings.home, folder), { recursive: true });
      await writeFile(join(settings.home, folder, file), 'bytes');
    }
    const judged = async () => (await coach.ask(reviewEndpoints.traineeJudged, { traineeId: scene.traineeId })).body;
    const before = await judged();
    const sent = async () => (await coach.fetch(filmFileUrl(scene.filmId, 'film.mp4'))).status;
    expect(await sent()).to.equal(200);
    expect(await inStore()).not.to.deep.equal([]);

    expect((await withdraw()).body).to.deep.equal({ films: 1 });

    expect(await inStore()).to.deep.equal([]);
    const left = (await readdir(settings.home, { recursive: true })).filter(
      (name) => name.includes(montageId) || name.includes(archiveId),
    );
    expect(left).to.deep.equal([]);
    expect((await db.select().from(filmPoints).where(eq(filmPoints.filmId, scene.filmId))).length).to.equal(0);
    const head = await server.as('head-coach');
    expect((await head.ask(archiveEndpoints.archiveFile, { archiveId })).status).to.equal(404);
    const [gone] = await db.select().from(film).where(eq(film.id, scene.filmId));
    expect(gone).to.include({ state: 'withdrawn', fileName: '', sha256: null, loudness: null });
    expect((await db.select().from(filmStep).where(eq(filmStep.filmId, scene.filmId))).map(({ state }) => state)).to.deep.equal([
      'skipped',
    ]);
    expect(await sent()).to.equal(404);
    expect(await judged()).to.deep.equal(before);
    expect(before).to.deep.equal([
      { technique: 'jab', checkpointId: 'gd.return-line', tally: { clean: 0, watch: 0, fault: 1, cantSee: 0 } },
    ]);
    expect((await words())[0]!.withdrawnOn).to.equal(clubDay());
  });

  it('withdrawn, what a worker still writes afterwards is gone with the next look', async () => {
    const { db } = server.services;
    await give(word());
    await withdraw();
    await keptInStore('film.mp4');
    await db
      .insert(filmPoints)
      .values({ filmId: scene.filmId, fromFrame: 0, frames: 1, model: 'lite', version: 1, packed: Buffer.from('x') });
    await forgetAgain(server.services);
    const points = await db.select().from(filmPoints).where(eq(filmPoints.filmId, scene.filmId));
    expect([await inStore(), points.length]).to.deep.equal([[], 0]);
  });

  it('withdrawn by whoever held the pads, the film is gone as well; nobody else’s is', async () => {
    const { db } = server.services;
    const holder = await addScene(server);
    const other = await addScene(server);
    await db.update(trainingSession).set({ holderId: holder.traineeId }).where(eq(trainingSession.id, scene.sessionId));
    const { body } = await coach.ask<{ films: number }>(consentEndpoints.withdrawConsent, { traineeId: holder.traineeId });
    expect(body.films).to.equal(2);
    const states = new Map((await db.select({ id: film.id, state: film.state }).from(film)).map(({ id, state }) => [id, state]));
    expect([scene, holder, other].map(({ filmId }) => states.get(filmId))).to.deep.equal(['withdrawn', 'withdrawn', 'ready']);
  });

  it('withdrawn or ended, nothing more is filmed until it is given again', async () => {
    const add = () => {
      const id = uuid();
      const draft = { id, sessionId: scene.sessionId, fileName: 'a.mp4', view: 'front', uploadId: 'none' };
      return coach.ask(footageEndpoints.addFilm, { filmId: id }, draft);
    };
    const said = async (): Promise<string> => JSON.stringify((await add()).body);
    expect(await said()).not.to.include('agreed');
    await give(word({ until: '2026-03-31' }));
    expect(await said()).to.include('has not agreed');
    await give(word({ givenOn: '2026-05-01' }));
    expect(await said()).not.to.include('agreed');
    await withdraw();
    expect(await said()).to.include('has not agreed');
  });
});
