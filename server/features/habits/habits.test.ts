import { habitEndpoints, type FirstMoveOfSession, type TraineeHabits } from '@wax-fist/contract/habits';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { packTimeline, timelineOf } from '@wax-fist/core/film';
import type { Ms } from '@wax-fist/core/units';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { film, round } from '../../db/schema/index.ts';
import { becomes, follow, tagsOf } from '../../test/followed-film.ts';
import { thrown } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('habits', function () {
  this.timeout(30_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
  });
  after(() => server.stop());

  /** A film with a strike every 300 ms in combinations that are two seconds apart. */
  async function tagged(scene: ClubScene, combinations: readonly string[], from = 0): Promise<number> {
    const timeline = timelineOf(Array.from({ length: 6000 }, (_, frame) => (frame * 1000) / 50));
    const known = { frames: timeline.length, timeline: Buffer.from(packTimeline(timeline)), state: 'ready' as const };
    await server.services.db.update(film).set(known).where(eq(film.id, scene.filmId));
    let frame = from;
    const marks = combinations.flatMap((told) => {
      frame += 100;
      return told
        .split(' ')
        .map((technique) =>
          thrown(uuid(), { technique, launchFrame: (frame += 15) - 5, contactFrame: frame, homeFrame: frame + 8 }),
        );
    });
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks });
    return frame;
  }
  const times = (count: number, one: string): string[] => Array.from({ length: count }, () => one);
  const habitsOf = async (traineeId: string) =>
    (await coach.ask<TraineeHabits>(habitEndpoints.traineeHabits, { traineeId })).body;

  it('over sessions tell what could be read in any of them, how often in each, and that it has gone', async () => {
    const first = await addScene(server, '2026-03-01');
    await tagged(first, [...times(24, 'jab cross'), ...times(2, 'cross')]);
    await tagged(await addScene(server, '2026-03-08', 3, first.traineeId), times(24, 'jab cross'));
    for (const day of ['2026-03-15', '2026-03-22'])
      await tagged(await addScene(server, day, 3, first.traineeId), [...times(18, 'jab lead-hook'), ...times(6, 'jab cross')]);
    await tagged(await addScene(server, '2026-03-29', 3, first.traineeId), times(4, 'jab'));
    const { sessions, habits, fewest } = await habitsOf(first.traineeId);
    expect(sessions.map(({ heldOn, strikes }) => [heldOn, strikes])).to.deep.equal([
      ['2026-03-01', 50],
      ['2026-03-08', 48],
      ['2026-03-15', 48],
      ['2026-03-22', 48],
      ['2026-03-29', 4],
    ]);
    expect(fewest).to.be.above(4);
    const follow = habits.find(({ kind, technique, what }) => kind === 'follow' && technique === 'jab' && what === 'cross')!;
    expect(follow.looks.map(({ times: many, of }) => `${many} of ${of}`)).to.deep.equal([
      ...times(2, '24 of 24'),
      ...times(2, '6 of 24'),
    ]);
    expect(follow).to.deep.include({ change: 'better', since: '2026-03-01' });
    expect(follow.looks[0]!.proof).to.deep.include({ filmId: first.filmId });
    const opening = habits.find(({ kind, what }) => kind === 'opening' && what === 'jab')!;
    expect(opening.looks.every(({ times: many, of }) => many >= of - 2)).to.equal(true);
    expect(opening.change).to.not.equal('better');
  });

  it('leave out what was called', async () => {
    const scene = await addScene(server, '2026-04-01');
    const called = await tagged(scene, times(10, 'cross jab'));
    await tagged(scene, times(10, 'jab cross'), called);
    const span = { startsAt: 0, endsAt: called * 20 + 500 };
    const row = { id: uuid(), filmId: scene.filmId, name: 'Round 1', kind: 'focus mitts' as const, proposed: false };
    await server.services.db.insert(round).values({ ...row, ...span, manner: 'called' });
    const { sessions, habits } = await habitsOf(scene.traineeId);
    expect(sessions[0]).to.deep.include({ strikes: 20, called: 20 });
    expect(habits.find(({ kind }) => kind === 'opening')).to.deep.include({ what: 'jab' });
  });

  it('are none of a trainee without sessions, and of nobody', async () => {
    const { traineeId } = await addScene(server, '2026-04-02');
    expect(await habitsOf(traineeId)).to.deep.include({ sessions: [], habits: [] });
    expect((await coach.ask(habitEndpoints.traineeHabits, { traineeId: uuid() })).status).to.equal(404);
    expect((await coach.ask(habitEndpoints.firstMoves, { sessionId: uuid() })).status).to.equal(404);
  });

  const name = 'sunniva-pads-lead-side';
  /** A session with a film in which somebody was followed. @param late how long after it sets out a strike is said to */
  async function followed(day: string, { late, traineeId }: { late?: Ms; traineeId?: string } = {}): Promise<ClubScene> {
    const { db } = server.services;
    const scene = await addScene(server, day, 3, traineeId);
    await becomes(db, scene, name, { state: 'ready', width: 1280, height: 720, view: 'lead-side' });
    await follow(db, scene.filmId, name);
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks: tagsOf(name, late) });
    return scene;
  }

  it('tell what moves before strikes of somebody who was followed', async () => {
    const scene = await followed('2026-04-03');
    const { body: found } = await coach.ask<FirstMoveOfSession[]>(habitEndpoints.firstMoves, { sessionId: scene.sessionId });
    expect(found.every(({ readable }) => !readable)).to.equal(true);
    const head = found.find(({ technique, part }) => technique === 'jab' && part === 'head')!;
    expect(head.of).to.be.above(40);
    expect(head.times / head.of).to.be.within(0.1, 0.3);
    expect(head.proof.filmId).to.equal(scene.filmId);
  });

  it('over sessions tell what moves before strikes, and that it does so more often', async () => {
    const first = await followed('2026-04-10');
    const second = await followed('2026-04-17', { late: 160, traineeId: first.traineeId });
    const { habits } = await habitsOf(first.traineeId);
    const hand = habits.find(({ kind, technique, what }) => kind === 'move' && technique === 'jab' && what === 'hand')!;
    const [before, since] = hand.looks.map(({ times: many, of }) => many / of) as [number, number];
    expect(before).to.be.below(0.2);
    expect(since).to.be.above(0.5);
    expect(hand.looks[1]!.proof!.filmId).to.equal(second.filmId);
  });
});
