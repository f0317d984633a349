import { accountEndpoints } from '@wax-fist/contract/accounts';
import {
  peopleEndpoints,
  type BehindLink,
  type Invite,
  type OpenInvite,
  type Person,
  type SignedInBrowser,
} from '@wax-fist/contract/people';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { expect } from 'chai';
import { eq, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { account, entryLink } from '../../db/schema/index.ts';
import { password, startServer, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

const newWord = 'a sentence that is kept';

describe('people of a club', () => {
  let server: ServerUnderTest;
  let head: Visitor;
  beforeEach(async () => {
    server = await startServer({ works: false });
    head = await server.as('head-coach');
  });
  afterEach(() => server.stop());

  const invite = async (change: Partial<Invite> = {}): Promise<string> => {
    const body: Invite = { id: uuid(), name: 'Bo', role: 'coach', traineeIds: [], ...change };
    return (await head.ask<{ code: string }>(peopleEndpoints.invite, {}, body)).body.code;
  };
  const join = (code: string, email = 'bo@club.example', by = server.visitor()) =>
    by.ask(peopleEndpoints.join, { code }, { email, name: 'Bo Nilsen', password: newWord });
  const listed = async (): Promise<Person[]> => (await head.ask<Person[]>(peopleEndpoints.listPeople)).body;
  const idOf = async (role: string): Promise<string> => (await listed()).find((one) => one.role === role)!.id;

  it('come in by a link, once, as what they were invited', async () => {
    const code = await invite();
    const visitor = server.visitor();
    const { body: behind } = await visitor.ask<BehindLink>(peopleEndpoints.behindLink, { code });
    expect(behind).to.deep.equal({ kind: 'join', name: 'Bo', role: 'coach', email: null });
    const joined = await join(code, ' Bo@Club.example', visitor);
    expect(joined.body).to.include({ email: 'bo@club.example', name: 'Bo Nilsen', role: 'coach' });
    expect((await visitor.ask(traineeEndpoints.listTrainees)).status).to.equal(200);
    expect((await join(code, 'other@club.example')).status).to.equal(404);
    expect((await visitor.ask(peopleEndpoints.behindLink, { code })).status).to.equal(404);
  });

  it('two who use one link at the same moment: one comes in', async () => {
    const code = await invite();
    const both = await Promise.all([join(code, 'one@club.example'), join(code, 'two@club.example')]);
    expect(both.map(({ status }) => status).sort()).to.deep.equal([200, 404]);
  });

  it('an address that is taken uses up no link, and a password that is short or soon guessed none either', async () => {
    const code = await invite();
    const taken = await join(code, 'coach@club.example');
    expect([taken.status, (taken.body as { fields: { field: string }[] }).fields[0]!.field]).to.deep.equal([409, 'email']);
    for (const word of ['short', 'passwordpassword', 'bo@club.example']) {
      const refused = await server
        .visitor()
        .ask(peopleEndpoints.join, { code }, { email: 'bo@club.example', name: 'Bo', password: word });
      expect([refused.status, (refused.body as { fields: { field: string }[] }).fields[0]!.field]).to.deep.equal([
        422,
        'password',
      ]);
    }
    expect((await join(code)).status).to.equal(200);
  });

  it('a link ends, is made anew, and is taken back', async () => {
    const id = uuid();
    const first = await invite({ id });
    const second = await invite({ id });
    expect((await join(first)).status).to.equal(404);
    expect((await head.ask<OpenInvite[]>(peopleEndpoints.listInvites)).body.map((one) => one.id)).to.deep.equal([id]);
    await server.services.db.update(entryLink).set({ endsAt: sql`now() - interval '1 minute'` });
    expect((await join(second)).status).to.equal(404);
    expect((await head.ask<OpenInvite[]>(peopleEndpoints.listInvites)).body).to.deep.equal([]);
    const third = await invite({ id });
    await head.ask(peopleEndpoints.removeInvite, { inviteId: id });
    expect((await join(third)).status).to.equal(404);
  });

  it('no code lies in the database as it is', async () => {
    const code = await invite();
    const rows = await server.services.db.select().from(entryLink);
    expect(JSON.stringify(rows)).not.to.include(code);
  });

  it('come back in by a code of the head coach, and are signed out everywhere else', async () => {
    const coach = await server.as('coach');
    const { body } = await head.ask<{ code: string }>(peopleEndpoints.helpBackIn, { personId: await idOf('coach') });
    const visitor = server.visitor();
    const behind = await visitor.ask<BehindLink>(peopleEndpoints.behindLink, { code: body.code });
    expect(behind.body).to.include({ kind: 'reset', email: 'coach@club.example' });
    // A code for one thing does not open another.
    expect((await join(body.code)).status).to.equal(404);
    expect((await visitor.ask(peopleEndpoints.reset, { code: body.code }, { password: newWord })).status).to.equal(200);
    expect((await visitor.ask(accountEndpoints.me)).body.email).to.equal('coach@club.example');
    expect((await coach.ask(accountEndpoints.me)).status).to.equal(401);
    const signIn = (word: string) =>
      server.visitor().ask(accountEndpoints.signIn, {}, { email: 'coach@club.example', password: word });
    expect([(await signIn(password)).status, (await signIn(newWord)).status]).to.deep.equal([401, 200]);
    expect((await visitor.ask(peopleEndpoints.reset, { code: body.code }, { password: newWord })).status).to.equal(404);
  });

  it('change their password with the one until now, slowed down when they guess, and stay signed in here only', async () => {
    const [here, there] = [await server.as('coach'), await server.as('coach')];
    const change = (current: string) => here.ask(peopleEndpoints.changePassword, {}, { current, password: newWord });
    const wrong = await change('guess');
    expect([wrong.status, (wrong.body as { fields: { field: string }[] }).fields[0]!.field]).to.deep.equal([422, 'current']);
    expect((await change(password)).status).to.equal(200);
    expect([(await here.ask(accountEndpoints.me)).status, (await there.ask(accountEndpoints.me)).status]).to.deep.equal([
      200, 401,
    ]);
    const guesses = [];
    for (let guess = 0; guess < 11; guess++) guesses.push((await change(`guess ${guess}`)).status);
    expect(guesses.at(-1)).to.equal(429);
  });

  it('see where they are signed in, and end one or all others; nobody else’s', async () => {
    const [here, there] = [await server.as('coach'), await server.as('coach')];
    const other = await server.as('trainee');
    const mine = async (): Promise<SignedInBrowser[]> => (await here.ask<SignedInBrowser[]>(peopleEndpoints.mySignIns)).body;
    expect((await mine()).map((one) => one.here).sort()).to.deep.equal([false, true]);
    const [elsewhere] = (await mine()).filter((one) => !one.here);
    const theirs = (await other.ask<SignedInBrowser[]>(peopleEndpoints.mySignIns)).body[0]!;
    await here.ask(peopleEndpoints.endSignIns, {}, { id: theirs.id });
    expect((await other.ask(accountEndpoints.me)).status).to.equal(200);
    await here.ask(peopleEndpoints.endSignIns, {}, { id: elsewhere!.id });
    expect((await there.ask(accountEndpoints.me)).status).to.equal(401);
    await server.as('coach');
    await here.ask(peopleEndpoints.endSignIns, {}, { id: null });
    expect((await mine()).map((one) => one.here)).to.deep.equal([true]);
  });

  it('have the role that the head coach gives them at once, and the club always has a head coach', async () => {
    const coach = await server.as('coach');
    const [coachId, headId] = [await idOf('coach'), await idOf('head-coach')];
    const give = (personId: string, role: string) => head.ask<Person>(peopleEndpoints.changePerson, { personId }, { role });
    expect((await give(headId, 'coach')).status).to.equal(409);
    expect((await give(coachId, 'head-coach')).body.role).to.equal('head-coach');
    expect((await coach.ask(peopleEndpoints.listPeople)).status).to.equal(200);
    expect((await give(headId, 'coach')).status).to.equal(200);
    expect((await head.ask(peopleEndpoints.listPeople)).status).to.equal(403);
  });

  it('are taken away by the head coach, and are nobody from then on; what they said stays', async () => {
    const coach = await server.as('coach');
    const [coachId, headId] = [await idOf('coach'), await idOf('head-coach')];
    expect((await head.ask(peopleEndpoints.removePerson, { personId: headId })).status).to.equal(409);
    expect((await head.ask(peopleEndpoints.removePerson, { personId: coachId })).status).to.equal(204);
    expect((await coach.ask(accountEndpoints.me)).status).to.equal(401);
    expect((await server.services.db.select().from(account).where(eq(account.id, coachId))).length).to.equal(0);
  });
});
