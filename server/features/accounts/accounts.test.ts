import { accountEndpoints } from '@wax-fist/contract/accounts';
import { reportEndpoints } from '@wax-fist/contract/reports';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { usualManner } from '@wax-fist/core/words';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { account } from '../../db/schema/index.ts';
import { addScene, password, startServer, type ServerUnderTest } from '../../test/server-under-test.ts';

describe('sign-in', () => {
  let server: ServerUnderTest;
  before(async () => (server = await startServer()));
  after(() => server.stop());
  const trainee = { name: 'Somebody tall', stance: 'orthodox', grade: 'beginner' };
  const signIn = (email: string, word: string) => server.visitor().ask(accountEndpoints.signIn, {}, { email, password: word });

  it('keeps the password as an argon2id hash and nowhere else', async () => {
    const [row] = await server.services.db.select().from(account).where(eq(account.email, 'coach@club.example'));
    expect(row!.passwordHash).to.match(/^\$argon2id\$/);
    const { body } = await signIn('coach@club.example', password);
    expect(body).to.have.all.keys('id', 'email', 'name', 'role', 'manner', 'secondFactorDue');
  });

  it('knows a returning browser by a cookie that scripts cannot read', async () => {
    const visitor = server.visitor();
    const { headers } = await visitor.ask(accountEndpoints.signIn, {}, { email: ' Coach@Club.example ', password });
    expect(headers.get('set-cookie'))
      .to.match(/HttpOnly/i)
      .and.match(/SameSite=Lax/i);
    expect((await visitor.ask(accountEndpoints.me)).body.role).to.equal('coach');
  });

  it('tells everybody in their own manner what the server puts into words, also two at once', async () => {
    const [coach, head] = [await server.as('coach'), await server.as('head-coach')];
    expect((await coach.ask(accountEndpoints.me)).body.manner).to.deep.equal(usualManner);
    const other = { ...usualManner, units: 'imperial', days: 'month-first' };
    expect((await coach.ask(accountEndpoints.saveManner, {}, other)).body).to.deep.equal(other);
    expect((await coach.ask(accountEndpoints.me)).body.manner).to.deep.equal(other);
    const { sessionId } = await addScene(server, '2026-03-01');
    const reports = await Promise.all([coach, head].map((who) => who.ask(reportEndpoints.sessionReport, { sessionId })));
    expect(reports.map(({ body }) => body.covers)).to.deep.equal(['March 1, 2026', '1 March 2026']);
    const tooTall = { ...trainee, id: uuid(), stature: 300 };
    const answer = await coach.ask(traineeEndpoints.saveTrainee, { traineeId: tooTall.id }, tooTall);
    expect(answer.body.message).to.equal('Stature: between 2′ 11″ and 7′ 7″.');
    const refused = await coach.ask(accountEndpoints.saveManner, {}, { ...other, days: 'week-first' });
    expect(refused.status).to.equal(422);
  });

  it('says the same for a wrong password and for an unknown address', async () => {
    const wrong = await signIn('coach@club.example', 'no');
    const unknown = await signIn('nobody@club.example', 'no');
    expect([wrong.status, unknown.status]).to.deep.equal([401, 401]);
    expect(wrong.body.message).to.equal(unknown.body.message);
  });

  it('names the field that is missing', async () => {
    const { status, body } = await server.visitor().ask(accountEndpoints.signIn, {}, { email: 'not an address' });
    expect(status).to.equal(422);
    expect(body.fields.map(({ field }: { field: string }) => field)).to.have.members(['email', 'password']);
  });

  it('takes nothing for an address or a password but texts', async () => {
    for (const email of [[], {}, ['coach@club.example'], 7, null, 'a\0@club.example'])
      expect((await server.visitor().ask(accountEndpoints.signIn, {}, { email, password: { length: 9 } })).status).to.equal(422);
  });

  it('ends with signing out, also for whoever has kept the cookie', async () => {
    const visitor = await server.as('coach');
    await visitor.ask(accountEndpoints.signOut);
    expect((await visitor.ask(accountEndpoints.me)).status).to.equal(401);
  });

  it('is a new session each time, so that a planted cookie is worth nothing', async () => {
    const visitor = await server.as('coach');
    const first = await visitor.ask(accountEndpoints.signIn, {}, { email: 'coach@club.example', password });
    const second = await visitor.ask(accountEndpoints.signIn, {}, { email: 'coach@club.example', password });
    expect(first.headers.get('set-cookie')).to.not.equal(second.headers.get('set-cookie'));
  });

  it('slows down whoever guesses, for that address only', async () => {
    const email = 'head-coach@club.example';
    const statuses = [];
    for (let guess = 0; guess < 12; guess++) statuses.push((await signIn(email, `guess ${guess}`)).status);
    expect(statuses.slice(0, 10)).to.deep.equal(Array(10).fill(401));
    expect(statuses.slice(10)).to.deep.equal([429, 429]);
    expect((await signIn(email, password)).status).to.equal(429);
    expect((await signIn('coach@club.example', password)).status).to.equal(200);
  });
});

describe('requests from elsewhere', () => {
  let server: ServerUnderTest;
  before(async () => (server = await startServer()));
  after(() => server.stop());
  const body = { id: uuid(), name: 'Somebody', stance: 'orthodox', grade: 'beginner', note: '' };

  const table: [headers: Record<string, string>, status: number][] = [
    [{}, 200],
    [{ 'sec-fetch-site': 'same-origin' }, 200],
    [{ 'sec-fetch-site': 'cross-site' }, 403],
    [{ 'sec-fetch-site': 'same-site' }, 403],
    [{ origin: 'https://elsewhere.example' }, 403],
    [{ origin: 'null' }, 403],
  ];
  for (const [headers, status] of table) {
    it(`with ${JSON.stringify(headers)} get ${status}`, async () => {
      const coach = await server.as('coach');
      expect((await coach.ask(traineeEndpoints.saveTrainee, { traineeId: body.id }, body, headers)).status).to.equal(status);
    });
  }

  it('may not frame our pages, nor run or load anything foreign in them', async () => {
    const policy = (await server.visitor().fetch('/api/health')).headers.get('content-security-policy')!;
    expect(policy).to.include("default-src 'none'").and.include("script-src 'self'").and.include("frame-ancestors 'none'");
    expect(policy).to.not.match(/unsafe/);
    const nonces = await Promise.all(
      [1, 2].map(async () => (await server.visitor().fetch('/api/health')).headers.get('content-security-policy')),
    );
    expect(nonces[0]).to.not.equal(nonces[1]);
  });

  it('with more than a megabyte are too much', async () => {
    const coach = await server.as('coach');
    const { status } = await coach.ask(
      traineeEndpoints.saveTrainee,
      { traineeId: body.id },
      { ...body, note: 'x'.repeat(2_000_000) },
    );
    expect(status).to.equal(413);
  });

  it('that are no JSON are told so', async () => {
    const coach = await server.as('coach');
    const response = await coach.fetch(`/api/trainees/${body.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: '{oops',
    });
    expect(response.status).to.equal(400);
    expect(((await response.json()) as { message: string }).message).to.equal('This request cannot be read.');
  });
});
