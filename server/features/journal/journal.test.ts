import { accountEndpoints } from '@wax-fist/contract/accounts';
import { cardEndpoints, type Card } from '@wax-fist/contract/cards';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { footageEndpoints } from '@wax-fist/contract/footage';
import { doorActs, journalEndpoints, type JournalLine } from '@wax-fist/contract/journal';
import { everyRow, type Page } from '@wax-fist/contract/page';
import { peopleEndpoints, type Person } from '@wax-fist/contract/people';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { expect } from 'chai';
import { eq, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { film, journal, trainee } from '../../db/schema/index.ts';
import { onBehalfOf } from '../../db/on-behalf.ts';
import {
  addScene,
  password,
  startServer,
  type ClubScene,
  type ServerUnderTest,
  type Visitor,
} from '../../test/server-under-test.ts';
import { endJournal, writeSeen } from './queries.ts';

/** Tables of which no line is written, and why. */
const unwritten: Record<string, string> = {
  ...Object.fromEntries(
    ['observation', 'second_word', 'strike', 'strike_revision', 'point_pin', 'pointed_body', 'correction_event', 'own_order'].map(
      (log) => [log, 'a log itself: it says of every word who said it, and when'],
    ),
  ),
  ...Object.fromEntries(
    [
      ...[
        'film_points',
        'holder_points',
        'second_pass_points',
        'film_step',
        'film_tally',
        'measured_strike',
        'strike_measure',
        'level_answer',
        'learned_spread',
      ],
      ...['compared_level', 'kept_readiness', 'worker_sign'],
    ].map((made) => [made, 'made by workers of what is written elsewhere']),
  ),
  round: 'saved together with film_hits, which is written',
  plan_session: 'made together with its plan, which is written',
  invited_for: 'made together with its link, which is written',
  review_effort: 'a measure of time that is about nobody’s rows',
  sign_in: 'who comes and goes is written as that',
  sign_in_try: 'counted for an hour, about nobody who is known',
  request_count: 'counted for some minutes',
  removed_row: 'goes along with a removal, which is written',
  journal: 'it is the journal',
  backup: 'written on the machine, by nobody who signs in',
};

describe('the journal', () => {
  let server: ServerUnderTest;
  let head: Visitor;
  let coach: Visitor;
  let scene: ClubScene;
  const db = () => server.services.db;
  beforeEach(async () => {
    server = await startServer({ works: false });
    [head, coach] = [await server.as('head-coach'), await server.as('coach')];
    scene = await addScene(server);
  });
  afterEach(() => server.stop());

  const read = async (query: Record<string, string> = {}): Promise<JournalLine[]> =>
    (await head.ask<Page<JournalLine>>(journalEndpoints.showJournal, {}, undefined, {}, query)).body.rows;
  /** Without who came and went, which every test does. */
  const told = async (query = {}): Promise<string[]> =>
    (await read(query))
      .filter(({ act }) => !(doorActs as readonly string[]).includes(act))
      .map(({ act, kind }) => `${act} ${kind}`);
  const add = (name: string, change = {}) => {
    const body = { id: uuid(), name, stance: 'orthodox', grade: 'beginner', note: '', ...change };
    return coach.ask<{ id: string }>(traineeEndpoints.saveTrainee, { traineeId: body.id }, body);
  };

  it('is written for every table, or there is a reason why not', async () => {
    const { rows } = await db().execute<{ name: string; written: boolean }>(sql`
      select relname as name, exists (select from pg_trigger where tgrelid = pg_class.oid and tgname = 'journal') as written
      from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r'`);
    expect(rows.length).to.be.above(40);
    for (const { name, written } of rows) expect(written, name).to.equal(!(name in unwritten));
  });

  it('says who added, changed and removed what, about whom, and of few things what they were', async () => {
    const { id } = (await add('Ada')).body;
    await add('Ada', { id, grade: 'improver', note: 'Sore wrist.' });
    const [changed, added] = await read({ traineeId: id });
    expect(added).to.deep.include({ act: 'added', kind: 'trainee', thing: id, trainee: { id, name: 'Ada' }, fields: [] });
    expect(added!.account).to.deep.equal({ id: server.accountId('coach'), name: 'A coach' });
    expect(changed!.fields).to.deep.equal(['grade', 'note']);
    expect(changed!.values).to.deep.equal({ grade: ['beginner', 'improver'] });
    expect(JSON.stringify(await db().select().from(journal)), 'neither names nor what was said').to.not.match(/Ada|Sore wrist/);

    await coach.ask(sessionEndpoints.releaseSession, { sessionId: scene.sessionId }, { to: 'themselves' });
    expect((await read())[0]).to.deep.include({ act: 'changed', kind: 'training_session', fields: ['released_at'] });
    await head.ask(footageEndpoints.removeFilm, { filmId: scene.filmId });
    const [removed] = await read();
    expect(removed).to.deep.include({ act: 'added', kind: 'removal', thing: scene.filmId, values: { kind: [null, 'film'] } });
    expect(removed!.account!.id).to.equal(server.accountId('head-coach'));
  });

  it('is written in the transaction that changes: what is taken back was never done', async () => {
    const before = await db().$count(journal);
    const failing = onBehalfOf(server.accountId('coach'), () =>
      db().transaction(async (tx) => {
        await tx.update(trainee).set({ grade: 'advanced' }).where(eq(trainee.id, scene.traineeId));
        expect(await tx.$count(journal)).to.equal(before + 1);
        throw new Error('taken back');
      }),
    );
    await failing.catch(() => undefined);
    expect(await db().$count(journal)).to.equal(before);
    // A connection that was told who asks within a transaction has forgotten it with it.
    await Promise.all(
      Array.from({ length: 12 }, (_, place) =>
        onBehalfOf(server.accountId('coach'), () =>
          db()
            .insert(trainee)
            .values({ id: uuid(), name: `${place}`, stance: 'orthodox', grade: 'beginner' }),
        ),
      ),
    );
    expect(await db().$count(journal)).to.equal(before + 12);
  });

  it('mixes nobody up who works at the same time on the same connections', async () => {
    const people = (['head-coach', 'coach', 'assistant'] as const).map((role) => server.accountId(role));
    const ids: [string, string][] = Array.from({ length: 90 }, (_, place) => [people[place % 3]!, uuid()]);
    await Promise.all(
      ids.map(([who, id]) =>
        onBehalfOf(who, async () => {
          await db().insert(trainee).values({ id, name: 'Somebody', stance: 'orthodox', grade: 'beginner' });
          await db().transaction((tx) => tx.update(trainee).set({ note: 'x' }).where(eq(trainee.id, id)));
        }),
      ),
    );
    // Nobody’s: workers do without a name.
    await db().insert(trainee).values({ id: uuid(), name: 'Somebody', stance: 'orthodox', grade: 'beginner' });
    const rows = await db().select().from(journal);
    expect(rows.filter(({ kind }) => kind === 'trainee')).to.have.length(180);
    for (const [who, id] of ids)
      expect(rows.filter(({ thing }) => thing === id).map(({ accountId }) => accountId)).to.deep.equal([who, who]);
  });

  it('says who has seen what, once an hour, also by a link and also a film in pieces', async () => {
    for (let time = 0; time < 3; time++) await coach.ask(sessionEndpoints.showSession, { sessionId: scene.sessionId });
    expect(await told({ act: 'saw' })).to.deep.equal(['saw training_session']);
    for (const range of ['bytes=0-9', 'bytes=10-19'])
      await coach.fetch(`/api/films/${scene.filmId}/files/film.mp4`, { headers: { range } });
    expect(await told({ act: 'saw' })).to.deep.equal(['saw film', 'saw training_session']);
    await writeSeen(db(), server.accountId('coach'), 'film', scene.filmId);
    expect(await told({ act: 'saw' }), 'another process says it too').to.have.length(2);

    const correctionId = uuid();
    const draft = { technique: 'jab', checkpointId: 'gd.return-line', cue: 'Touch home', target: 0.15, topRung: 6 };
    await coach.ask(
      correctionEndpoints.openCorrection,
      { correctionId },
      { id: correctionId, sessionId: scene.sessionId, ...draft, recheckOn: '2026-05-04' },
    );
    const { link } = (await coach.ask<Card>(cardEndpoints.linkCard, { correctionId })).body;
    await server.visitor().ask(cardEndpoints.sharedCard, { code: link!.code });
    const [seen] = await read({ act: 'saw' });
    expect(seen).to.deep.include({ kind: 'correction', thing: correctionId, account: null });
    expect(seen!.trainee!.id).to.equal(scene.traineeId);
  });

  it('says who came in, who left, and whose account was tried with a wrong password; nothing of whom nobody knows', async () => {
    const visitor = server.visitor();
    const tried = (email: string, password: string) => visitor.ask(accountEndpoints.signIn, {}, { email, password });
    const coachId = server.accountId('coach');
    const atDoor = async () =>
      (await read({ accountId: coachId })).filter(({ kind }) => kind === 'account').map(({ act }) => act);
    expect(await atDoor()).to.deep.equal(['signed-in']);
    await tried('coach@club.example', 'no such password');
    await tried('nobody@club.example', 'no such password');
    await tried('coach@club.example', password);
    await visitor.ask(accountEndpoints.signOut);
    expect(await atDoor()).to.deep.equal(['signed-out', 'signed-in', 'wrong-password', 'signed-in']);
    expect(await read({ act: 'wrong-password' })).to.have.length(1);
    expect(JSON.stringify(await read())).to.not.include('no such password');
  });

  it('keeps what somebody did who is gone, and says of whom who was removed nothing but that', async () => {
    await add('Ada');
    const { id: personId } = (await head.ask<Person[]>(peopleEndpoints.listPeople)).body.find(({ role }) => role === 'coach')!;
    await head.ask(peopleEndpoints.removePerson, { personId });
    const line = (await read({ accountId: personId })).find(({ kind }) => kind === 'trainee')!;
    expect(line.account).to.deep.equal({ id: personId, name: null });
    await db().delete(trainee).where(eq(trainee.id, line.thing));
    expect((await read({ accountId: personId })).find(({ kind }) => kind === 'trainee')!.trainee).to.deep.equal({
      id: line.thing,
      name: null,
    });
  });

  it('cannot be changed, emptied, or shortened before its time', async () => {
    await add('Ada');
    for (const wish of [
      sql`update journal set act = 'saw'`,
      sql`delete from journal`,
      sql`truncate journal`,
      sql`with ends as (select set_config('wax.journal_ends', 'on', false)) delete from journal using ends`,
    ]) {
      const refused = await db()
        .execute(wish)
        .then(
          () => '',
          (error: unknown) => (error as { cause?: { message: string } }).cause?.message,
        );
      expect(refused).to.equal('The journal is only written to.');
    }
    const old = { act: 'added', kind: 'trainee', thing: uuid() } as const;
    const daysAgo = (days: number) => ({ ...old, at: new Date(Date.now() - days * 24 * 3_600_000) });
    await db()
      .insert(journal)
      .values([daysAgo(400), daysAgo(200)]);
    const before = await db().$count(journal);
    await endJournal(db(), 365);
    expect(await db().$count(journal)).to.equal(before - 1);
  });

  it('is read page by page and taken along whole, by the head coach alone', async () => {
    const many = Array.from({ length: 250 }, (_, place) => ({
      ...{ act: 'added' as const, kind: 'film', thing: `=${place}`, at: new Date(Date.UTC(2026, 0, 1, 0, 0, place >> 1)) },
    }));
    await db().insert(journal).values(many);
    const query = { from: '2026-01-01', to: '2026-01-01' };
    const all = await everyRow(
      async (after) =>
        (await head.ask<Page<JournalLine>>(journalEndpoints.showJournal, {}, undefined, {}, { ...query, ...after })).body,
    );
    expect(new Set(all.map(({ id }) => id)).size).to.equal(250);
    const response = await head.fetch('/api/journal.csv?from=2026-01-01&to=2026-01-01');
    const lines = (await response.text()).trim().split('\r\n');
    expect(lines).to.have.length(251);
    expect(lines[1], 'no spreadsheet takes it for a formula').to.include("'=249");
    expect((await coach.fetch('/api/journal.csv')).status).to.equal(403);
    expect(await db().$count(film)).to.equal(1);
  });
});
