import { compareEndpoints, type ComparedStrike, type Counterpart, type TypicalStrike } from '@wax-fist/contract/compare';
import { consentEndpoints, type ConsentDraft } from '@wax-fist/contract/consents';
import { footageEndpoints } from '@wax-fist/contract/footage';
import { reviewingEndpoints } from '@wax-fist/contract/reviewing';
import { reviewEndpoints, type Mark, type StrikeMark } from '@wax-fist/contract/review';
import type { Verdict } from '@wax-fist/core/review';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { film } from '../../db/schema/index.ts';
import { observed, thrown } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('strikes to compare with', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
  });
  after(() => server.stop());

  /** A session of a trainee with these strikes, ten frames apart; each has one verdict, or none. */
  async function session(day: string, list: readonly [technique: string, verdict?: Verdict][], traineeId?: string) {
    const scene = await addScene(server, day, 3, traineeId);
    await server.services.db.update(film).set({ frames: 600, state: 'ready' }).where(eq(film.id, scene.filmId));
    const strikes = list.map(([technique], place) =>
      thrown(uuid(), { technique, launchFrame: 10 * place, contactFrame: 10 * place + 4, homeFrame: 10 * place + 9 }),
    );
    const words = list.flatMap(([, verdict], place) => (verdict ? [observed(strikes[place]!.strikeId, verdict)] : []));
    const marks: Mark[] = [...strikes, ...words];
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks });
    return { scene, strikes };
  }
  const counterparts = async (strike: StrikeMark) => {
    const { body } = await coach.ask<Counterpart[]>(compareEndpoints.counterparts, { strikeId: strike.strikeId });
    return Object.fromEntries(body.map(({ kind, strikeId }) => [kind, strikeId]));
  };
  const standsAs = ({ filmId }: ClubScene, stance: string) => coach.ask(footageEndpoints.changeFilm, { filmId }, { stance });

  it('a strike comes with its film, whose it is, and what was said of it', async () => {
    const { scene, strikes } = await session('2026-03-01', [['jab', 'fault']]);
    const { body } = await coach.ask<ComparedStrike>(compareEndpoints.comparedStrike, { strikeId: strikes[0]!.strikeId });
    expect(body).to.deep.include({
      technique: 'jab',
      contactFrame: 4,
      heldOn: '2026-03-01',
      traineeId: scene.traineeId,
      stance: 'orthodox',
      verdicts: [{ checkpointId: 'gd.return-line', verdict: 'fault' }],
    });
    expect(body.film.id).to.equal(scene.filmId);
    expect((await coach.ask(compareEndpoints.comparedStrike, { strikeId: uuid() })).status).to.equal(404);
  });

  it('what was said of a strike is kept from whoever marks its film blind', async () => {
    const { scene, strikes } = await session('2026-03-01', [['jab', 'fault']]);
    const head = await server.as('head-coach');
    const verdicts = async () =>
      (await head.ask<ComparedStrike>(compareEndpoints.comparedStrike, { strikeId: strikes[0]!.strikeId })).body.verdicts;
    expect(await verdicts()).to.have.length(1);
    const coachId = server.accountId('head-coach');
    await coach.ask(reviewingEndpoints.askSecondCoach, { filmId: scene.filmId }, { coachId });
    expect(await verdicts()).to.deep.equal([]);
  });

  it('the typical strike of a session has the verdict that was said most often; blind films tell nothing', async () => {
    const { scene, strikes } = await session('2026-03-01', [
      ['jab', 'clean'],
      ['jab', 'fault'],
      ['cross', 'clean'],
      ['jab', 'fault'],
      ['jab'],
    ]);
    const typical = async (who: Visitor, technique = 'jab') =>
      (
        await who.ask<TypicalStrike | null>(
          compareEndpoints.typicalStrike,
          { sessionId: scene.sessionId },
          undefined,
          {},
          {
            technique,
            checkpointId: 'gd.return-line',
          },
        )
      ).body;
    expect(await typical(coach)).to.deep.equal({ strikeId: strikes[1]!.strikeId, filmId: scene.filmId, verdict: 'fault' });
    expect(await typical(coach, 'cross')).to.include({ strikeId: strikes[2]!.strikeId, verdict: 'clean' });
    expect(await typical(coach, 'lead-hook')).to.equal(null);
    const coachId = server.accountId('head-coach');
    await coach.ask(reviewingEndpoints.askSecondCoach, { filmId: scene.filmId }, { coachId });
    expect(await typical(await server.as('head-coach'))).to.equal(null);
  });

  it('last time is the session before, at about the same place of its film', async () => {
    const { scene, strikes: long } = await session('2026-03-01', [['jab'], ['jab'], ['jab']]);
    const { strikes: before } = await session('2026-03-08', [['jab'], ['cross'], ['jab']], scene.traineeId);
    const { strikes: now } = await session('2026-03-15', [['cross'], ['jab'], ['jab']], scene.traineeId);
    expect((await counterparts(now[2]!))['last-time']).to.equal(before[2]!.strikeId);
    expect((await counterparts(before[0]!))['last-time']).to.equal(long[0]!.strikeId);
    expect(await counterparts(long[0]!)).to.not.have.property('last-time');
  });

  it('the cleanest has no fault, and is another one', async () => {
    const { scene } = await session('2026-03-01', [['jab', 'fault'], ['jab']]);
    const { strikes: clean } = await session('2026-03-02', [['jab', 'clean']], scene.traineeId);
    const { strikes: now } = await session('2026-03-03', [['jab', 'watch']], scene.traineeId);
    expect((await counterparts(now[0]!)).cleanest).to.equal(clean[0]!.strikeId);
    expect(await counterparts(clean[0]!)).to.not.have.property('cleanest');
  });

  it('the other side is the same with the other foot in front, or what the other hand does', async () => {
    const { scene, strikes: own } = await session('2026-03-01', [['lead-hook'], ['rear-hook'], ['push-kick']]);
    expect((await counterparts(own[0]!))['other-side']).to.equal(own[1]!.strikeId);
    expect(await counterparts(own[2]!)).to.not.have.property('other-side');
    const { scene: turned, strikes: other } = await session('2026-02-01', [['lead-hook'], ['push-kick']], scene.traineeId);
    await standsAs(turned, 'southpaw');
    expect((await counterparts(own[0]!))['other-side']).to.equal(other[0]!.strikeId);
    expect((await counterparts(own[2]!))['other-side']).to.equal(other[1]!.strikeId);
  });

  it('somebody else’s is one only where they have agreed to be shown, clean, and as long as that holds', async () => {
    const { strikes: mine } = await session('2026-03-01', [['jab', 'clean']]);
    const { scene, strikes: other } = await session('2026-02-01', [['jab', 'fault'], ['jab', 'clean'], ['cross']]);
    expect(await counterparts(mine[0]!)).to.deep.equal({});
    const agreed = async (change: Partial<ConsentDraft>): Promise<void> => {
      const draft = { givenBy: 'Somebody', asGuardian: false, seenBy: 'club' as const, until: null, note: '' };
      const { traineeId } = scene;
      const sent: ConsentDraft = { id: uuid(), traineeId, ...draft, asReference: true, givenOn: '2026-01-01', ...change };
      expect((await coach.ask(consentEndpoints.giveConsent, { consentId: sent.id }, sent)).status).to.equal(200);
    };
    await agreed({});
    expect(await counterparts(mine[0]!)).to.deep.equal({ 'somebody-else': other[1]!.strikeId });
    await agreed({ asReference: false, givenOn: '2026-01-02' });
    expect(await counterparts(mine[0]!)).to.deep.equal({});
    await agreed({ givenOn: '2026-01-03', until: '2026-01-04' });
    expect(await counterparts(mine[0]!)).to.deep.equal({});
    await agreed({ givenOn: '2026-01-04' });
    expect(await counterparts(mine[0]!)).to.have.property('somebody-else');
    await coach.ask(consentEndpoints.withdrawConsent, { traineeId: scene.traineeId });
    expect(await counterparts(mine[0]!)).to.deep.equal({});
  });
});
