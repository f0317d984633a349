import { type PlanOfDay } from '@wax-fist/contract/plan-lists';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { planEndpoints, type Plan, type PlanDraft, type PlanLog, type WeekGround } from '@wax-fist/contract/plans';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { shippedDrills } from '@wax-fist/core/drills';
import { impactRounds, makePlan, type PlannedCorrection } from '@wax-fist/core/plan';
import { expect } from 'chai';
import { v7 as uuid } from 'uuid';
import { bodyLimit, plan as planTable } from '../../db/schema/index.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';
import { clubDay, clubDayAfter } from '../sessions/club-day.ts';

const touchHome: PlannedCorrection = {
  ...{ id: uuid(), technique: 'jab', techniqueName: 'Jab', checkpointId: 'gd.return-line', checkpointName: 'Comes back high' },
  ...{ cue: 'Touch home', rung: 3, due: true, strikes: 12, view: 'lead-side', rate: 50 },
};

describe('plans', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
    scene = await addScene(server);
  });
  after(() => server.stop());

  const who = { grade: 'improver', ageGroup: 'adult', limits: [], kit: ['heavy bag'], holder: false, partner: false } as const;
  const made = makePlan({
    ...{ length: 3600, who, leads: 'both alike', corrections: [touchHome], technique: null },
    ...{ impactThisWeek: 0, drills: shippedDrills },
  });
  const draft = (change: Partial<PlanDraft> = {}): PlanDraft => ({
    ...{ id: uuid(), traineeId: scene.traineeId, plannedOn: '2026-03-04', length: 3600, leads: 'both alike', technique: null },
    ...{ kit: ['heavy bag'], holder: false, partner: false },
    ...made,
    ...change,
  });
  const save = (sent: PlanDraft, by = coach) => by.ask<Plan>(planEndpoints.savePlan, { planId: sent.id }, sent);
  const log = (id: string, sent: PlanLog) => coach.ask<Plan>(planEndpoints.logPlan, { planId: id }, sent);
  const all = (doneOn = '2026-03-05'): PlanLog => ({
    doneOn,
    done: made.parts.map(({ rounds, work }, part) => ({ part, rounds, worked: rounds * work })),
  });

  it('are kept part by part, changed, listed on their day, and taken away', async () => {
    const first = draft();
    const { body } = await save(first);
    expect(body.parts).to.deep.equal(made.parts);
    expect(body).to.include({ impact: impactRounds(made.parts), log: null });
    expect((await save({ ...first, plannedOn: '2026-03-06', parts: made.parts.slice(0, 2) })).body.parts).to.have.length(2);
    const between = { from: '2026-03-06', to: '2026-03-12' };
    const { body: listed } = await coach.ask<PlanOfDay[]>(planEndpoints.plansBetween, {}, undefined, {}, between);
    expect(listed).to.deep.include({
      ...{
        id: first.id,
        plannedOn: '2026-03-06',
        length: 3600,
        impact: impactRounds(made.parts.slice(0, 2)),
        parts: 2,
        doneOn: null,
      },
      ...{ traineeId: scene.traineeId, traineeName: 'Somebody' },
    });
    expect((await coach.ask(planEndpoints.removePlan, { planId: first.id })).status).to.equal(204);
    expect((await coach.ask(planEndpoints.showPlan, { planId: first.id })).status).to.equal(404);
  });

  it('sum the hard rounds of a week, Monday to Sunday, without the one that is asked for', async () => {
    const [sunday, monday] = [draft({ plannedOn: '2026-04-05' }), draft({ plannedOn: '2026-04-06' })];
    await save(sunday);
    await save(monday);
    const impact = async (day: string, without?: string) =>
      (
        await coach.ask(
          planEndpoints.weekImpact,
          { traineeId: scene.traineeId },
          undefined,
          {},
          { day, ...(without && { without }) },
        )
      ).body.impact;
    const one = impactRounds(made.parts);
    expect([await impact('2026-03-31'), await impact('2026-04-08'), await impact('2026-04-08', monday.id)]).to.deep.equal([
      one,
      one,
      0,
    ]);
  });

  it('are logged once: what was done, and a session for what is filmed', async () => {
    const one = draft();
    await save(one);
    const { body } = await log(one.id, all());
    expect(body.log!.done).to.have.length(made.parts.length);
    expect(body.sessions.map(({ roundKind, rung }) => [roundKind, rung])).to.deep.equal([['heavy bag', 3]]);
    const { body: again } = await log(one.id, all('2026-03-07'));
    expect(again).to.deep.equal(body);
    const { body: session } = await coach.ask(sessionEndpoints.showSession, { sessionId: body.sessions[0]!.sessionId });
    expect(session).to.include({ heldOn: '2026-03-05', roundKind: 'heavy bag', rung: 3, traineeId: scene.traineeId });
    const { body: back } = await coach.ask<Plan>(planEndpoints.sessionPlan, { sessionId: session.id });
    expect(back.id).to.equal(one.id);
    expect((await save(one)).status).to.equal(409);
  });

  it('logged twice at once are logged once', async () => {
    const one = draft();
    await save(one);
    const [first, second] = await Promise.all([log(one.id, all()), log(one.id, all())]);
    expect(first.body).to.deep.equal(second.body);
  });

  it('make no session for what was not filmed, and count the hard rounds that were done', async () => {
    const one = draft();
    await save(one);
    const { body } = await log(one.id, { doneOn: '2026-03-05', done: [{ part: 0, rounds: 1, worked: 300 }] });
    expect(body).to.deep.include({ impact: 0, sessions: [] });
    expect((await coach.ask(planEndpoints.sessionPlan, { sessionId: scene.sessionId })).body).to.equal(null);
  });

  it('refuse what cannot be, in words, and lose nothing', async () => {
    const one = draft();
    expect((await save({ ...one, traineeId: uuid() })).status).to.equal(404);
    expect((await save({ ...one, length: 100 })).body).to.have.nested.property('fields[0].field', 'length');
    expect((await save({ ...one, parts: [] })).status).to.equal(422);
    expect((await save({ ...one, parts: [one.parts[0]!, one.parts[0]!] })).status).to.equal(422);
    expect((await save({ ...one, parts: [{ ...one.parts[0]!, rounds: 31 }] })).status).to.equal(422);
    await save(one);
    expect((await log(one.id, all(clubDayAfter(new Date(), 1)))).status).to.equal(422);
    expect((await log(one.id, { doneOn: '2026-03-05', done: [{ part: 39, rounds: 1, worked: 1 }] })).status).to.equal(422);
    expect((await log(uuid(), all())).status).to.equal(404);
    const days = { from: '2026-03-06', to: '2026-05-12' };
    expect((await coach.ask(planEndpoints.plansBetween, {}, undefined, {}, days)).status).to.equal(422);
    expect((await coach.ask<Plan>(planEndpoints.showPlan, { planId: one.id })).body.log).to.equal(null);
  });

  it('are taken away by whoever made them, or the head coach', async () => {
    const one = draft();
    await save(one, await server.as('head-coach'));
    expect((await coach.ask(planEndpoints.removePlan, { planId: one.id })).status).to.equal(403);
    expect((await (await server.as('head-coach')).ask(planEndpoints.removePlan, { planId: one.id })).status).to.equal(204);
  });

  it('are held by the database itself to what must hold', async () => {
    const { db } = server.services;
    const row = { id: uuid(), traineeId: scene.traineeId, plannedOn: '2026-03-04', length: 3600, impact: 0, says: draft() };
    const refused = async (making: Promise<unknown>): Promise<unknown> => making.then(() => 'taken').catch(() => 'refused');
    expect(
      await refused(
        db
          .insert(planTable)
          .values({ ...row, length: 10 })
          .execute(),
      ),
    ).to.equal('refused');
    expect(
      await refused(
        db
          .insert(planTable)
          .values({ ...row, doneOn: clubDay() })
          .execute(),
      ),
    ).to.equal('refused');
    const head = { id: uuid(), traineeId: scene.traineeId, part: 'head', since: '2026-03-04', until: '2026-03-20' } as const;
    expect(await refused(db.insert(bodyLimit).values(head).execute())).to.equal('refused');
    expect(
      await refused(
        db
          .insert(bodyLimit)
          .values({ ...head, until: '2026-03-01', clearedBy: 'X' })
          .execute(),
      ),
    ).to.equal('refused');
  });

  it('of a whole club start from what everybody works on, when they come and what stands', async () => {
    const other = await addScene(server, '2026-05-25');
    await addScene(server, '2026-05-27', 3, other.traineeId);
    const opened = {
      ...{ id: uuid(), sessionId: other.sessionId, checkpointId: 'gd.return-line', technique: 'jab', cue: 'Touch home' },
      ...{ target: 0.15, recheckOn: '2026-06-02' },
    };
    await coach.ask(correctionEndpoints.openCorrection, { correctionId: opened.id }, opened);
    const standing = draft({ traineeId: other.traineeId, plannedOn: '2026-06-03' });
    await coach.ask(planEndpoints.savePlan, { planId: standing.id }, standing);
    const { body } = await coach.ask<WeekGround[]>(planEndpoints.weekGrounds, {}, undefined, {}, { monday: '2026-06-01' });
    const ground = body.find(({ trainee }) => trainee.id === other.traineeId)!;
    expect(ground.lately).to.deep.equal(['2026-05-25', '2026-05-27']);
    expect(ground.standing).to.deep.equal([{ day: '2026-06-03', impact: impactRounds(standing.parts) }]);
    expect([ground.limits, ground.onCourse]).to.deep.equal([[], null]);
    expect(ground.corrections.map(({ cue }) => cue)).to.deep.equal(['Touch home']);
  });
});
