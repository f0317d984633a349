import { accountEndpoints } from '@wax-fist/contract/accounts';
import type { RefusalAnswer } from '@wax-fist/contract/refusal';
import { journalEndpoints, type JournalLine } from '@wax-fist/contract/journal';
import type { Page } from '@wax-fist/contract/page';
import { peopleEndpoints, type Person } from '@wax-fist/contract/people';
import { secondFactorEndpoints, type OfferedSecret, type SecondFactor } from '@wax-fist/contract/second-factor';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { uploadPath } from '@wax-fist/contract/footage';
import { expect } from 'chai';
import { secondFactor } from '../../db/schema/index.ts';
import { password, startServer, type Answer, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';
import { codeAt } from './codes.ts';

const email = 'coach@club.example';
const halfMinute = 30_000;

describe('a second factor', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  let head: Visitor;
  beforeEach(async () => {
    server = await startServer({ works: false });
    [coach, head] = [await server.as('coach'), await server.as('head-coach')];
  });
  afterEach(() => server.stop());

  const offer = (current = password) =>
    coach.ask<OfferedSecret & RefusalAnswer>(secondFactorEndpoints.offerSecondFactor, {}, { current });
  const take = (code: string, who = coach) => who.ask<{ codes: string[] }>(secondFactorEndpoints.takeSecondFactor, {}, { code });
  /** The coach has one; as if for long, so that the code of this half minute is still to be taken. */
  async function taken(): Promise<{ secret: string; codes: string[] }> {
    const { secret } = (await offer()).body;
    const { body } = await take(codeAt(secret, Date.now()));
    await server.services.db.update(secondFactor).set({ lastStep: 0 });
    return { secret, codes: body.codes };
  }
  const signIn = (code?: string, by = server.visitor()): Promise<Answer> =>
    by.ask(accountEndpoints.signIn, {}, { email, password, ...(code !== undefined && { code }) });
  const fieldOf = ({ body }: Answer): string | undefined => (body as RefusalAnswer).fields?.[0]?.field;
  const own = async (): Promise<SecondFactor> => (await coach.ask<SecondFactor>(secondFactorEndpoints.mySecondFactor)).body;

  it('is offered for the password, and counts once a code of the app has come', async () => {
    const wrong = await offer('guess');
    expect([wrong.status, fieldOf(wrong)]).to.deep.equal([422, 'current']);
    const { body } = await offer();
    expect(body.address).to.include(`secret=${body.secret}`).and.to.include('Wax%20Fist').and.to.include('coach');
    expect(body.picture).to.match(/^<svg /);
    expect(await own()).to.deep.equal({ since: null, codesLeft: 0, demanded: false });
    expect((await signIn()).status).to.equal(200);
    const nearly = codeAt(body.secret, Date.now() - 20 * halfMinute);
    expect((await take(nearly)).status).to.equal(422);
    const there = await server.as('coach');
    const { codes } = (await take(codeAt(body.secret, Date.now()))).body;
    expect(new Set(codes).size).to.equal(8);
    expect(await own())
      .to.include({ codesLeft: 8 })
      .and.to.have.property('since')
      .that.is.a('string');
    expect((await there.ask(accountEndpoints.me)).status, 'signed out elsewhere').to.equal(401);
  });

  it('is asked for at the door once the password is right, and each code opens once', async () => {
    const { secret } = await taken();
    const asked = await signIn();
    expect([asked.status, fieldOf(asked)]).to.deep.equal([422, 'code']);
    const wrongPassword = await server.visitor().ask(accountEndpoints.signIn, {}, { email, password: 'guess', code: '000000' });
    expect(wrongPassword.status, 'nothing is said of codes').to.equal(401);
    const code = codeAt(secret, Date.now());
    const both = await Promise.all([signIn(code), signIn(`${code.slice(0, 3)} ${code.slice(3)}`)]);
    expect(both.map(({ status }) => status).sort()).to.deep.equal([200, 422]);
    expect((await signIn(code)).status).to.equal(422);
    expect((await signIn(codeAt(secret, Date.now() + halfMinute))).status, 'a clock that is ahead').to.equal(200);
  });

  it('that is lost is replaced by a code from paper, once each', async () => {
    const { codes } = await taken();
    expect((await signIn(codes[0])).status).to.equal(200);
    expect((await signIn(codes[0])).status).to.equal(422);
    expect((await signIn(codes[1]!.toUpperCase().replaceAll('-', ' '))).status).to.equal(200);
    expect((await own()).codesLeft).to.equal(6);
    expect(JSON.stringify(await server.services.db.select().from(secondFactor))).to.not.include(codes[2]!.replaceAll('-', ''));
  });

  it('is not to be guessed', async () => {
    await taken();
    const answers = [];
    for (let guess = 0; guess < 11; guess++) answers.push((await signIn(String(100_000 + guess))).status);
    expect(new Set(answers.slice(0, 10))).to.deep.equal(new Set([422]));
    expect(answers.at(-1)).to.equal(429);
  });

  it('is needed for a new password as well; a link whose code was wrong opens as before', async () => {
    const { secret } = await taken();
    const personId = server.accountId('coach');
    const { code: link } = (await head.ask<{ code: string }>(peopleEndpoints.helpBackIn, { personId })).body;
    const reset = (code: string) =>
      server.visitor().ask(peopleEndpoints.reset, { code: link }, { password: 'another long sentence', code });
    expect(fieldOf(await reset(''))).to.equal('code');
    expect((await reset('000000')).status).to.equal(422);
    expect((await reset(codeAt(secret, Date.now()))).status).to.equal(200);
    expect((await reset(codeAt(secret, Date.now() + halfMinute))).status).to.equal(404);
  });

  it('is demanded of the roles that the head coach names: who has none can do nothing else, and who has one cannot leave it', async () => {
    const demand = (...roles: string[]) => head.ask<RefusalAnswer>(secondFactorEndpoints.saveSecondFactorDemand, {}, { roles });
    const locked = await demand('head-coach', 'coach');
    expect([locked.status, locked.body.message]).to.deep.equal([
      409,
      'Set up your own second factor first: you would be locked out of your own club.',
    ]);
    expect((await demand('coach', 'janitor')).status).to.equal(422);
    expect((await demand('coach', 'assistant', 'coach')).body).to.deep.equal({ roles: ['assistant', 'coach'] });

    const lists = () => coach.ask<RefusalAnswer>(traineeEndpoints.listTrainees);
    expect((await lists()).status).to.equal(403);
    expect((await lists()).body.message).to.include('second factor');
    expect((await head.ask(traineeEndpoints.listTrainees)).status, 'of nobody else').to.equal(200);
    const upload = await coach.fetch(uploadPath, {
      method: 'POST',
      headers: { 'Tus-Resumable': '1.0.0', 'Upload-Length': '10' },
    });
    expect(upload.status, 'nor is anything uploaded').to.equal(403);
    const freshly = await signIn();
    expect(freshly.body).to.include({ secondFactorDue: true });
    expect((await coach.ask(accountEndpoints.me)).body).to.include({ secondFactorDue: true });

    await taken();
    expect((await coach.ask(accountEndpoints.me)).body).to.include({ secondFactorDue: false });
    expect((await lists()).status).to.equal(200);
    expect((await own()).demanded).to.equal(true);
    expect((await coach.ask(secondFactorEndpoints.leaveSecondFactor, {}, { current: password })).status).to.equal(409);

    expect((await demand()).body).to.deep.equal({ roles: [] });
    expect((await coach.ask(secondFactorEndpoints.leaveSecondFactor, {}, { current: password })).status).to.equal(204);
    expect((await lists()).status).to.equal(200);
  });

  it('is left by the password, or taken off by the head coach, and both are written down', async () => {
    await taken();
    const leave = (current: string) => coach.ask(secondFactorEndpoints.leaveSecondFactor, {}, { current });
    expect((await leave('guess')).status).to.equal(422);
    expect((await leave(password)).status).to.equal(204);
    expect((await signIn()).status).to.equal(200);
    await taken();
    const person = async (): Promise<Person> =>
      (await head.ask<Person[]>(peopleEndpoints.listPeople)).body.find((one) => one.email === email)!;
    const { id: personId, secondFactor: has } = await person();
    expect(has).to.equal(true);
    expect((await coach.ask(secondFactorEndpoints.takeOffSecondFactor, { personId })).status).to.equal(403);
    expect((await head.ask(secondFactorEndpoints.takeOffSecondFactor, { personId })).status).to.equal(204);
    expect((await head.ask(secondFactorEndpoints.takeOffSecondFactor, { personId })).status).to.equal(404);
    expect((await person()).secondFactor).to.equal(false);
    expect((await coach.ask(accountEndpoints.me)).status, 'signed out everywhere').to.equal(401);
    const { rows } = (await head.ask<Page<JournalLine>>(journalEndpoints.showJournal)).body;
    const lines = rows.filter(({ kind }) => kind === 'second_factor').map(({ act }) => act);
    expect(lines).to.deep.equal(['removed', 'added', 'removed', 'added']);
    expect(JSON.stringify(rows)).to.not.include('codeHashes').and.to.not.include('code_hashes');
  });
});
