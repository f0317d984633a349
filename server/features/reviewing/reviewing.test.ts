import { footageEndpoints, type Film } from '@wax-fist/contract/footage';
import { measureEndpoints } from '@wax-fist/contract/measures';
import { reviewEndpoints, type Mark, type Review, type SessionTally, type StrikeMark } from '@wax-fist/contract/review';
import { reviewingEndpoints, type EffortWeek, type PairedCheckpoint, type Quarrel } from '@wax-fist/contract/reviewing';
import type { WaitingFilm } from '@wax-fist/contract/today';
import type { Verdict } from '@wax-fist/core/review';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { reviewEffort } from '../../db/schema/index.ts';
import { atSecond, observed, thrown } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('how the club reviews', () => {
  let server: ServerUnderTest;
  let first: Visitor;
  let second: Visitor;
  let scene: ClubScene;
  let strikes: StrikeMark[];
  before(async () => {
    server = await startServer({ works: false });
    [first, second] = [await server.as('head-coach'), await server.as('coach')];
  });
  after(() => server.stop());
  beforeEach(async () => {
    scene = await addScene(server);
    strikes = [0, 1, 2, 3].map((place) =>
      thrown(uuid(), { launchFrame: 100 * place, contactFrame: 100 * place + 10, homeFrame: 100 * place + 20 }),
    );
    await write(first, strikes);
  });

  const film = () => ({ filmId: scene.filmId });
  const write = (who: Visitor, marks: Mark[]) => who.ask(reviewEndpoints.writeMarks, film(), { marks });
  const judged = (verdicts: readonly Verdict[], change = {}) =>
    verdicts.map((verdict, place) => observed(strikes[place]!.strikeId, verdict, change));
  const ask = (coachId: string | null = server.accountId('coach')) =>
    first.ask(reviewingEndpoints.askSecondCoach, film(), { coachId });
  const review = async (who: Visitor) => (await who.ask<Review>(reviewEndpoints.showReview, film())).body;
  const shown = async () => (await first.ask<Film>(footageEndpoints.showFilm, film())).body;
  const done = () => second.ask(reviewingEndpoints.secondCoachDone, film());
  const agreement = async () => {
    const { body } = await first.ask<PairedCheckpoint[]>(reviewingEndpoints.agreement);
    return body.find(({ checkpointId }) => checkpointId === 'gd.return-line');
  };

  it('a second coach does not see what was said, and what they say counts for nothing else', async () => {
    await write(first, judged(['fault', 'fault', 'clean', 'watch']));
    expect((await ask()).status).to.equal(204);
    expect((await shown()).secondCoach).to.deep.include({ done: false, name: 'A coach' });

    const before = await review(second);
    expect([before.blind, before.observations.length, before.strikes.length]).to.deep.equal([true, 0, 4]);
    const { body } = await write(second, judged(['fault', 'clean', 'clean', 'cant-see'], { blind: true }));
    expect(body.refused).to.deep.equal([]);
    expect((await review(second)).observations.map(({ verdict }) => verdict)).to.have.members([
      ...['fault', 'clean', 'clean', 'cant-see'],
    ]);
    expect((await review(first)).observations.map(({ verdict }) => verdict)).to.have.members([
      ...['fault', 'fault', 'clean', 'watch'],
    ]);
    const { body: tallies } = await first.ask<SessionTally[]>(reviewEndpoints.traineeTallies, { traineeId: scene.traineeId });
    expect(tallies.map(({ tally }) => tally)).to.deep.equal([{ clean: 1, watch: 1, fault: 2, cantSee: 0 }]);
  });

  it('what they say later of the same strike counts instead, and sent twice it is said once', async () => {
    await ask();
    const [word] = judged(['fault'], { blind: true });
    await write(second, [word!]);
    await write(second, [word!]);
    await write(second, [{ ...observed(strikes[0]!.strikeId, 'clean', { blind: true, saidAt: new Date().toISOString() }) }]);
    expect((await review(second)).observations.map(({ verdict }) => verdict)).to.deep.equal(['clean']);
  });

  it('pairs are counted once both have said all, and what they quarrel over is shown', async () => {
    await write(first, judged(['fault', 'fault', 'clean', 'watch']));
    await ask();
    await write(second, judged(['fault', 'clean', 'clean', 'cant-see'], { blind: true }));
    expect(await agreement()).to.equal(undefined);
    expect((await done()).status).to.equal(204);
    expect(await agreement()).to.deep.equal({
      checkpointId: 'gd.return-line',
      films: [
        [
          [1, 0, 0],
          [0, 0, 0],
          [1, 0, 1],
        ],
      ],
      seenByOne: 1,
    });
    const { body: quarrels } = await first.ask<Quarrel[]>(reviewingEndpoints.quarrels, { checkpoint: 'gd.return-line' });
    const own = quarrels.filter(({ filmId }) => filmId === scene.filmId);
    expect(own.map((one) => [one.first, one.second])).to.deep.equal([
      ['fault', 'clean'],
      ['watch', 'cant-see'],
    ]);
    expect(own[0]!.strikeId).to.equal(strikes[1]!.strikeId);
    expect((await review(second)).blind).to.equal(false);
    expect((await shown()).secondCoach!.done).to.equal(true);
    // Nobody is asked again, and nothing more is said blind.
    expect((await ask()).status).to.equal(409);
    expect((await done()).status).to.equal(409);
    const { body } = await write(second, judged(['fault'], { blind: true }));
    expect(body.refused[0].reason).to.match(/not marking this film a second time/);
  });

  it('who marks blind can change nothing that counts', async () => {
    await ask();
    const { body } = await write(second, [thrown(uuid()), ...judged(['fault'])]);
    expect(body.kept).to.deep.equal([]);
    expect(body.refused.map(({ reason }: { reason: string }) => reason.slice(0, 12))).to.deep.equal([
      'Strikes stay',
      'You mark thi',
    ]);
  });

  it('nobody is asked who has marked it, is no coach, or is not here', async () => {
    await write(second, judged(['fault']));
    expect((await ask()).body.message).to.match(/has marked this film already/);
    expect((await ask(server.accountId('trainee'))).status).to.equal(422);
    expect((await ask(uuid())).status).to.equal(422);
    expect((await first.ask(reviewingEndpoints.askSecondCoach, { filmId: uuid() }, { coachId: null })).status).to.equal(404);
  });

  it('asking is taken back and asked again, and what was said meanwhile is still there', async () => {
    await ask();
    await write(second, judged(['fault'], { blind: true }));
    const waiting = async () => (await second.ask(reviewingEndpoints.filmsToMarkBlind)).body;
    const waits = async () => (await waiting()).some((one: { film: Film }) => one.film.id === scene.filmId);
    expect(await waits()).to.equal(true);
    await ask(null);
    expect([(await shown()).secondCoach, await waits()]).to.deep.equal([null, false]);
    await ask();
    expect((await review(second)).observations.map(({ verdict }) => verdict)).to.deep.equal(['fault']);
  });

  it('a stretch of work counts once, never in the future, and weeks are told with what came of them', async () => {
    await write(first, [
      ...judged(['fault', 'clean'], { saidAt: new Date().toISOString(), proposed: 'fault' }),
      observed(strikes[2]!.strikeId, 'clean', { saidAt: new Date().toISOString() }),
    ]);
    const week = async () => (await first.ask<EffortWeek[]>(reviewingEndpoints.effort)).body;
    const before = (await week()).at(-1)!;
    const effort = { id: uuid(), at: '2099-01-01T00:00:00.000Z', worked: 90_000, presses: 40 };
    const tell = (body: object = effort) => first.ask(reviewingEndpoints.tellEffort, { ...film(), effortId: effort.id }, body);
    expect((await tell()).status).to.equal(204);
    await tell({ ...effort, presses: 400 });
    const weeks = await week();
    expect(weeks).to.have.length(12);
    const after = weeks.at(-1)!;
    expect([after.worked - before.worked, after.presses - before.presses]).to.deep.equal([90_000, 40]);
    expect([after.rounds >= 1, after.strikes >= 3, after.proposed >= 2, after.accepted >= 1]).to.not.include(false);
    const [row] = await server.services.db.select().from(reviewEffort).where(eq(reviewEffort.id, effort.id));
    expect(row!.at.getTime()).to.be.at.most(Date.now());
    expect((await tell({ ...effort, worked: 11 * 60_000 })).status).to.equal(422);
  });

  it('a film stands the other way round when a coach says so, and is measured so', async () => {
    const change = (stance: string | null) => first.ask<Film>(footageEndpoints.changeFilm, film(), { stance });
    expect((await change('southpaw')).body.stance).to.equal('southpaw');
    expect((await change(null)).body.stance).to.equal(null);
    expect((await change('sideways')).status).to.equal(422);
    expect((await first.ask(measureEndpoints.sessionMeasures, { sessionId: scene.sessionId })).status).to.equal(200);
  });

  it('what only an assistant has marked waits for a coach, until one is asked or has judged it', async () => {
    const assistant = await server.as('assistant');
    const waits = async (): Promise<string[]> =>
      (await first.ask<WaitingFilm[]>(reviewingEndpoints.markedByAssistants)).body.map(({ film: { id } }) => id);
    expect(await waits()).to.deep.equal([]);
    await write(assistant, judged(['fault', 'clean', 'clean', 'clean']));
    expect(await waits()).to.deep.equal([scene.filmId]);
    await ask();
    expect(await waits()).to.deep.equal([]);
    await ask(null);
    expect(await waits()).to.deep.equal([scene.filmId]);
    await write(first, [observed(strikes[0]!.strikeId, 'clean', { saidAt: atSecond(5) })]);
    expect(await waits()).to.deep.equal([]);
  });
});
