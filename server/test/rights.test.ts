import { isStaff, roles, type Endpoint, type Role } from '@wax-fist/contract/endpoint';
import { endpoints } from '@wax-fist/contract/endpoints';
import { readyCourses } from '@wax-fist/core/syllabus';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import {
  correction,
  consent,
  correctionEvent,
  drill,
  film,
  gradeTest,
  ownTrainee,
  plan,
  trainingSession,
  pointCheck,
} from '../db/schema/index.ts';
import { clubDay } from '../features/sessions/club-day.ts';
import { addScene, startServer, type ServerUnderTest, type Visitor } from './server-under-test.ts';

type Name = keyof typeof endpoints;
const names = Object.keys(endpoints) as Name[];

/**
 * Who may call what, written down a second time and by hand: the contract says it endpoint by endpoint, this says it role by role,
 * and where the two differ one of them is wrong.
 */
const anyone: readonly Name[] = [
  ...(['signIn', 'signOut', 'health', 'behindLink', 'join', 'reset', 'sharedCard', 'sharedStill'] as const),
];
const oneself: readonly Name[] = [
  ...(['me', 'saveManner', 'changePassword', 'mySignIns', 'endSignIns'] as const),
  ...(['mySecondFactor', 'offerSecondFactor', 'takeSecondFactor', 'leaveSecondFactor'] as const),
];
/** What is about nobody: the timer of a trainee calls combinations by it. */
const knowledge: readonly Name[] = [
  ...(['listChecklistVersions', 'showChecklistVersion', 'listSchools', 'listCallBooks', 'listCallSets'] as const),
  ...(['listDrills', 'listCourses', 'listClosures'] as const),
];
/** Of those for whom they sign in, once it is released; a plan is theirs from the beginning. */
const released: readonly Name[] = ['ownReview', 'sessionReport', 'filmFile', 'showCard', 'cardStill'];
const theirPlan: readonly Name[] = ['showPlan', 'logPlan'];
/** Of others, too, what is shown to everybody of the club. */
const shownToClub: readonly Name[] = ['ownReview', 'filmFile'];
const forTrainees: ReadonlySet<Name> = new Set<Name>([
  ...anyone,
  ...oneself,
  ...knowledge,
  ...released,
  ...theirPlan,
  ...(['ownTrainees', 'shownReviews'] as const),
]);

const ownPagesOnly: readonly Name[] = ['ownTrainees', 'ownReview', 'shownReviews'];
const onlyHeadCoach: readonly Name[] = [
  ...(['listPeople', 'changePerson', 'removePerson', 'helpBackIn', 'listInvites', 'invite', 'removeInvite'] as const),
  ...(['takeOffSecondFactor', 'showSecondFactorDemand', 'saveSecondFactorDemand'] as const),
  ...(['listArchives', 'showArchive', 'makeArchive', 'readArchive', 'archiveFile', 'removeArchive'] as const),
  ...(['showJournal', 'journalFile', 'listBackups', 'removeTrainee', 'endRemoval'] as const),
  ...(['saveCourse', 'removeCourse', 'countMeasure', 'saveChecklists'] as const),
  ...(['saveSchool', 'makeClubDefault', 'removeSchool', 'saveCallBook', 'removeCallBook'] as const),
];
/** What an assistant leaves to a coach: judging what comes of marks, planning, releasing, taking data out of the house. */
const onlyCoaches: readonly Name[] = [
  ...(['saveTrainee', 'judgeSessionBy', 'releaseSession', 'askSecondCoach', 'markedByAssistants'] as const),
  ...(['openCorrection', 'addCorrectionEvent', 'orderSession', 'chooseStill', 'linkCard', 'withdrawLink'] as const),
  ...(['exportFilm', 'exportTrainee', 'savePlan', 'putOnCourse', 'takeOffCourse', 'saveTest'] as const),
  ...([
    'listRemovals',
    'removeSession',
    'putBack',
    'saveClosure',
    'removeClosure',
    'saveReferenceStill',
    'removeReferenceStill',
  ] as const),
];
const withoutOwnPages = names.filter((name) => !ownPagesOnly.includes(name));
const forCoaches = withoutOwnPages.filter((name) => !onlyHeadCoach.includes(name));
const mayCall: Readonly<Record<Role, ReadonlySet<Name>>> = {
  'head-coach': new Set(withoutOwnPages),
  coach: new Set(forCoaches),
  assistant: new Set(forCoaches.filter((name) => !onlyCoaches.includes(name))),
  trainee: forTrainees,
  guardian: forTrainees,
};
/** What staff can undo of their own and nobody else’s, but for the head coach. */
const whoseAdded: readonly Name[] = ['removeFilm', 'removeDrill', 'removeTest', 'removePlan', 'takePointBack'];

/** Rows of one trainee, added by one account. */
type Rows = Readonly<Record<string, string>>;

describe('rights', function () {
  this.timeout(60_000);
  let server: ServerUnderTest;
  const visitors = {} as Record<Role, Visitor>;
  /** Of the trainee for whom trainee and guardian sign in, released and not; of another trainee, released. */
  const world = {} as Record<'own' | 'kept' | 'other' | 'shown', Rows>;

  async function rowsOf(addedBy: string, releasedAt: Date | null, about?: string): Promise<Rows> {
    const { db } = server.services;
    const { traineeId, sessionId, filmId } = await addScene(server);
    const of = about ?? traineeId;
    await db.update(trainingSession).set({ traineeId: of, releasedAt }).where(eq(trainingSession.id, sessionId));
    await db.update(film).set({ addedBy }).where(eq(film.id, filmId));
    const [correctionId, planId, drillId, testId, checkId] = [uuid(), uuid(), uuid(), uuid(), uuid()];
    await db.insert(correction).values({
      ...{ id: correctionId, traineeId: of, checkpointId: 'st.chin', cue: 'Chin', target: 0.1 },
      technique: releasedAt ? 'jab' : 'cross',
      ...{ openedIn: sessionId, rung: 3 },
    });
    await db.insert(correctionEvent).values({ id: uuid(), correctionId, kind: 'opened', note: '' });
    await db.insert(plan).values({
      ...{ id: planId, traineeId: of, plannedOn: clubDay(), length: 3600, impact: 0, madeBy: addedBy },
      says: { parts: [], change: 0, kit: [], holder: false, partner: false, leads: 'usual only', technique: null, leftOut: [] },
    });
    const says = {} as (typeof drill.$inferInsert)['says'];
    await db.insert(drill).values({ id: drillId, addedBy, name: 'One of ours', rung: 3, says });
    await db.insert(gradeTest).values({
      ...{ id: testId, traineeId: of, heldOn: clubDay(), heldBy: addedBy, outcome: 'open' },
      course: { ...readyCourses[0]!, place: 1 } as (typeof gradeTest.$inferInsert)['course'],
      sheet: { sets: [], mustHaves: [] },
    });
    await db.insert(pointCheck).values({
      ...{ id: checkId, filmId, frame: 3, point: 'nose', seen: 'along', foundX: 1, foundY: 1, trunk: 100 },
      saidBy: addedBy,
    });
    return { traineeId: of, sessionId, filmId, correctionId, planId, drillId, testId, checkId };
  }

  before(async () => {
    server = await startServer({ works: false });
    for (const role of roles) visitors[role] = await server.as(role);
    const by = server.accountId('coach');
    world.own = await rowsOf(by, new Date());
    world.kept = await rowsOf(by, null, world.own.traineeId);
    world.other = await rowsOf(server.accountId('head-coach'), new Date());
    world.shown = await rowsOf(server.accountId('head-coach'), new Date());
    const { traineeId, sessionId } = world.shown as { traineeId: string; sessionId: string };
    await server.services.db.insert(consent).values({
      ...{ id: uuid(), traineeId, givenBy: 'Themselves', asGuardian: false, seenBy: 'club', asReference: false, until: null },
      ...{ givenOn: '2026-01-01', note: '' },
    });
    await server.services.db.update(trainingSession).set({ shownToClub: true }).where(eq(trainingSession.id, sessionId));
    for (const role of ['trainee', 'guardian'] as const)
      await server.services.db.insert(ownTrainee).values({ accountId: server.accountId(role), traineeId: world.own.traineeId! });
  });
  after(() => server.stop());

  const ask = async (role: Role, name: Name, rows: Rows): Promise<number> => {
    const endpoint: Endpoint = endpoints[name];
    const all: Rows = { file: 'film.mp4', role: 'fault', ...rows };
    const params = Object.fromEntries([...endpoint.path.matchAll(/:(\w+)/g)].map(([, id]) => [id!, all[id!] ?? uuid()]));
    return (await visitors[role].ask(endpoint, params, endpoint.body && {})).status;
  };

  it('are written for every endpoint that there is, and for none that there is not', () => {
    const lists = [anyone, oneself, knowledge, released, theirPlan, onlyHeadCoach, onlyCoaches, whoseAdded, ownPagesOnly];
    for (const list of lists) expect(names).to.include.members([...list]);
  });

  for (const role of roles)
    for (const name of names) {
      // It would end the sign-in by which the others are tried.
      if (['signOut', 'endSignIns'].includes(name)) continue;
      const may = mayCall[role].has(name);
      it(`${role} ${may ? 'reaches' : 'does not reach'} ${name}`, async () => {
        // Trying a removal would take the rows away on which the others are tried: those of nobody stand in.
        const rows = endpoints[name].method === 'DELETE' ? {} : world.own;
        const status = await ask(role, name, rows);
        if (may) expect(status).to.not.be.oneOf([401, 403, 500]);
        else expect(status).to.equal(403);
      });
    }

  for (const role of ['trainee', 'guardian'] as const) {
    for (const name of released) {
      it(`${role} has ${name} of their own once it is released, not before, and never that of others`, async () => {
        // A still or a film that was never made is not there either: what is asked is whether they get past the door.
        const reached = async (rows: Rows) => ask(role, name, rows);
        const staffSees = await ask('head-coach', name === 'ownReview' ? 'sessionReport' : name, world.own);
        expect(await reached(world.own)).to.equal(staffSees);
        expect(await reached(world.kept)).to.equal(404);
        expect(await reached(world.other)).to.equal(404);
        if (shownToClub.includes(name)) expect(await reached(world.shown)).to.equal(staffSees);
        else expect(await reached(world.shown)).to.equal(404);
      });
    }
    it(`${role} gets of a film that is shown to the club what is played, and nothing else`, async () => {
      for (const file of ['original', 'strip.jpg']) {
        expect(await ask(role, 'filmFile', { ...world.shown, file })).to.equal(404);
      }
    });
    for (const name of theirPlan)
      it(`${role} has ${name} of their own, and never that of others`, async () => {
        expect(await ask(role, name, world.own)).to.be.oneOf([200, 422]);
        expect(await ask(role, name, world.other)).to.equal(404);
      });

    it(`${role} sees of whom they sign in for what was released, and nobody else`, async () => {
      const { body } = await visitors[role].ask<{ id: string; sessions: { id: string }[]; corrections: { id: string }[] }[]>(
        endpoints.ownTrainees,
      );
      expect(body.map(({ id }) => id)).to.deep.equal([world.own.traineeId]);
      expect(body[0]!.sessions.map(({ id }) => id)).to.deep.equal([world.own.sessionId]);
      expect(body[0]!.corrections.map(({ id }) => id)).to.deep.equal([world.own.correctionId]);
    });
  }

  for (const name of whoseAdded)
    for (const role of roles.filter(isStaff))
      it(`${role} may ${name} only of what ${role === 'head-coach' ? 'the club has' : 'they added'}`, async () => {
        const [mine, theirs] = [
          await rowsOf(server.accountId(role), null),
          await rowsOf(server.accountId(role === 'coach' ? 'assistant' : 'coach'), null),
        ];
        const done = [200, 204];
        expect(await ask(role, name, theirs)).to.be.oneOf(role === 'head-coach' ? done : [403]);
        expect(await ask(role, name, mine)).to.be.oneOf(done);
      });
});
