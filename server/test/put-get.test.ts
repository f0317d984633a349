import { accountEndpoints } from '@wax-fist/contract/accounts';
import { clocks, dayOrders, decimalSigns, unitSystems } from '@wax-fist/core/words';
import { answerEndpoints } from '@wax-fist/contract/answers';
import { alignmentEndpoints } from '@wax-fist/contract/alignments';
import { callEndpoints } from '@wax-fist/contract/calls';
import { consentEndpoints } from '@wax-fist/contract/consents';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { drillEndpoints } from '@wax-fist/contract/drills';
import { endpoints } from '@wax-fist/contract/endpoints';
import { footageEndpoints } from '@wax-fist/contract/footage';
import { limitEndpoints } from '@wax-fist/contract/limits';
import { measureEndpoints } from '@wax-fist/contract/measures';
import { planEndpoints } from '@wax-fist/contract/plans';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { packTrack, partOf, pointCount, pointNames } from '@wax-fist/core/body';
import { roundEndpoints, type HitsAndRounds } from '@wax-fist/contract/rounds';
import { schoolEndpoints } from '@wax-fist/contract/schools';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { syllabusEndpoints, testOutcomes } from '@wax-fist/contract/syllabus';
import { stillEndpoints, stillKinds } from '@wax-fist/contract/stills';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { shippedDrills } from '@wax-fist/core/drills';
import { leadShares, makePlan } from '@wax-fist/core/plan';
import { readyCourses } from '@wax-fist/core/syllabus';
import { ageGroups, bodyParts, grades, seenByWhom } from '@wax-fist/core/trainee';
import { readyBooks } from '@wax-fist/core/calls';
import { dayAfter } from '@wax-fist/core/days';
import { largestTarget, rungs } from '@wax-fist/core/correction';
import { roundKinds, roundManners } from '@wax-fist/core/rounds';
import { anyLevel, hitSources } from '@wax-fist/core/sound';
import { momentOrigins } from '@wax-fist/core/strikes';
import { stances, switches, techniques } from '@wax-fist/core/technique';
import { expect } from 'chai';
import fc from 'fast-check';
import { v7 as uuid } from 'uuid';
import { eq } from 'drizzle-orm';
import { film, filmPoints, filmStep, pointCheck, reviewEffort } from '../db/schema/index.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from './server-under-test.ts';

type Body = Record<string, unknown>;
interface Line {
  bodies: () => fc.Arbitrary<Body>;
  params: (body: Body) => Record<string, string>;
  /** What is sent, where a thing is not sent by itself. */
  sent?: (body: Body) => Promise<unknown>;
  /** What is read back of it, in the form in which it was put. */
  read: (body: Body) => Promise<unknown>;
}

/** As people type: spaces at the ends are taken off on the way in. */
const text = (most: number) => fc.string({ maxLength: most }).map((typed) => typed.trim());
const words = (most: number) => text(most).filter((typed) => typed.length > 0);
const dayUntil = (last: string) =>
  fc
    .date({ min: new Date('2001-01-01'), max: new Date(last), noInvalidDate: true })
    .map((date) => date.toISOString().slice(0, 10));
/** A session has been held, a re-check is still to come. */
const pastDay = dayUntil('2026-01-01');
const someDay = dayUntil('2099-12-31');
const share = fc.double({ min: 0, max: 1, noNaN: true }).map(Math.fround);
const time = fc.integer({ min: 0, max: 9000 });
const newId = fc.constant(null).map(() => uuid());

const inTheWordsOfItsOpening = (correction: Body) => ({
  ...correction,
  sessionId: (correction.history as Body[])[0]!.sessionId,
});

describe('what is put is what is got', function () {
  this.timeout(60_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  let otherFilm: string;
  let holder: string;
  const courseId = readyCourses[0]!.id;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('head-coach');
    scene = await addScene(server);
    holder = (await addScene(server)).traineeId;
    await coach.ask(syllabusEndpoints.saveCourse, { courseId }, { ...readyCourses[0]!, place: 1 });
    otherFilm = uuid();
    const [known] = await server.services.db.select().from(film);
    const { db } = server.services;
    await db.insert(film).values({ ...known!, id: otherFilm, sessionId: scene.sessionId, sha256: null });
    await db.insert(filmStep).values({ filmId: scene.filmId, step: 'pose', state: 'done' });
    const somebody = Float32Array.from({ length: 600 * pointCount * 4 }, (_, place) => 100 + (place % 97));
    const packed = Buffer.from(packTrack({ from: 0, frames: 600, values: somebody }));
    await db.insert(filmPoints).values({ filmId: scene.filmId, fromFrame: 0, frames: 600, model: 'm', version: 1, packed });
  });
  after(() => server.stop());

  const listed = async (endpoint: (typeof endpoints)[keyof typeof endpoints], id: unknown): Promise<unknown> =>
    (await coach.ask(endpoint, { traineeId: scene.traineeId })).body.find((one: { id: unknown }) => one.id === id);
  const hitsAndRounds = async (): Promise<HitsAndRounds> =>
    (await coach.ask<HitsAndRounds>(roundEndpoints.showHitsAndRounds, { filmId: scene.filmId })).body;
  const ofFilm = () => ({ filmId: scene.filmId });

  /** Only one correction can be open for a technique's checkpoint. */
  let opened = 0;
  const aboutSomethingNew = {
    technique: fc.constant(null).map(() => techniques[opened++ % techniques.length]!.id),
    checkpointId: fc.constant('st.chin'),
  };

  /** By the name of its endpoint. */
  const lines: Record<string, Line> = {
    saveManner: {
      bodies: () =>
        fc.record({
          units: fc.constantFrom(...unitSystems),
          days: fc.constantFrom(...dayOrders),
          clock: fc.constantFrom(...clocks),
          decimals: fc.constantFrom(...decimalSigns),
        }),
      params: () => ({}),
      read: async () => (await coach.ask(accountEndpoints.me)).body.manner,
    },
    saveTrainee: {
      bodies: () =>
        fc.record({
          id: newId,
          name: words(120),
          stance: fc.constantFrom(...stances),
          grade: fc.constantFrom(...grades),
          note: text(300),
          stature: fc.option(fc.integer({ min: 90, max: 230 }), { nil: null }),
          reach: fc.option(fc.integer({ min: 30, max: 110 }), { nil: null }),
          ageGroup: fc.constantFrom(null, ...ageGroups),
          schoolId: fc.constant(null),
        }),
      params: ({ id }) => ({ traineeId: String(id) }),
      read: async ({ id }) => (await coach.ask(traineeEndpoints.showTrainee, { traineeId: String(id) })).body,
    },
    saveSession: {
      bodies: () =>
        fc.record({
          id: newId,
          traineeId: fc.constant(scene.traineeId),
          heldOn: pastDay,
          place: text(120),
          kit: text(120),
          roundKind: fc.constantFrom(...roundKinds),
          rung: fc.constantFrom(...rungs.map(({ rung }) => rung)),
          schoolNote: text(300),
          holderId: fc.constantFrom(null, holder),
          holderStance: fc.constantFrom(null, ...stances),
        }),
      params: ({ id }) => ({ sessionId: String(id) }),
      read: async ({ id }) => (await coach.ask(sessionEndpoints.showSession, { sessionId: String(id) })).body,
    },
    saveCallBook: {
      bodies: () =>
        fc.record({
          id: newId,
          name: words(120),
          // A number for each technique, and no technique twice: nobody could say which number is meant.
          calls: fc
            .uniqueArray(fc.nat(techniques.length - 1), { minLength: 1, maxLength: 8 })
            .map((all) => Object.fromEntries(all.map((one, place) => [String(place + 1), techniques[one]!.id]))),
        }),
      params: ({ id }) => ({ bookId: String(id) }),
      read: ({ id }) => listed(callEndpoints.listCallBooks, id),
    },
    saveCallSet: {
      bodies: () =>
        fc.record({ id: newId, name: words(120), recipe: fc.constantFrom('jab, cross', 'lead hook', '(jab, cross)x2') }),
      params: ({ id }) => ({ setId: String(id) }),
      read: ({ id }) => listed(callEndpoints.listCallSets, id),
    },
    saveSchool: {
      bodies: () =>
        fc.record({
          id: newId,
          name: words(120),
          choices: fc.record(
            Object.fromEntries(switches.map(({ id, choices }) => [id, fc.constantFrom(...choices.map((choice) => choice.id))])),
          ),
          bookId: fc.constantFrom(...readyBooks.map(({ id }) => id)),
        }),
      params: ({ id }) => ({ schoolId: String(id) }),
      read: ({ id }) => listed(schoolEndpoints.listSchools, id),
    },
    saveDrill: {
      bodies: () =>
        fc
          .record({ id: newId, name: words(120), how: words(300), cue: words(80), pick: fc.nat(shippedDrills.length - 1) })
          .map(({ pick, ...own }) => ({ ...shippedDrills[pick]!, easier: null, harder: 'touch-home', ...own })),
      params: ({ id }) => ({ drillId: String(id) }),
      read: ({ id }) => listed(drillEndpoints.listDrills, id),
    },
    saveLimit: {
      bodies: () =>
        fc.record({
          id: newId,
          traineeId: fc.constant(scene.traineeId),
          part: fc.constantFrom(...bodyParts),
          since: pastDay,
          until: fc.constantFrom(null, '2026-02-01'),
          note: text(300),
          clearedBy: words(120),
        }),
      params: ({ id }) => ({ limitId: String(id) }),
      read: ({ id }) => listed(limitEndpoints.traineeLimits, id),
    },
    savePlan: {
      bodies: () =>
        fc
          .record({
            id: newId,
            plannedOn: someDay,
            minutes: fc.integer({ min: 15, max: 120 }),
            leads: fc.constantFrom(...leadShares),
          })
          .map(({ minutes, ...plan }) => {
            const who = {
              grade: 'improver',
              ageGroup: 'adult',
              limits: [],
              kit: ['heavy bag'],
              holder: true,
              partner: false,
            } as const;
            const length = minutes * 60;
            const made = makePlan({
              ...{ length, who, leads: plan.leads, corrections: [], technique: { id: 'jab', name: 'Jab' } },
              ...{ impactThisWeek: 0, drills: shippedDrills },
            });
            const { kit, holder: held, partner } = who;
            return {
              ...plan,
              ...made,
              traineeId: scene.traineeId,
              length,
              kit: [...kit],
              holder: held,
              partner,
              technique: 'jab',
            };
          }),
      params: ({ id }) => ({ planId: String(id) }),
      read: async ({ id }) => (await coach.ask(planEndpoints.showPlan, { planId: String(id) })).body,
    },
    giveConsent: {
      bodies: () =>
        fc.record({
          ...{ id: newId, traineeId: fc.constant(scene.traineeId), givenBy: words(120), asGuardian: fc.boolean() },
          ...{ seenBy: fc.constantFrom(...seenByWhom), asReference: fc.constant(true), givenOn: pastDay },
          ...{ until: fc.constant('2099-12-31'), note: text(300) },
        }),
      params: ({ id }) => ({ consentId: String(id) }),
      read: ({ id }) => listed(consentEndpoints.traineeConsents, id),
    },
    saveCourse: {
      bodies: () =>
        fc
          .record({ id: newId, name: words(120), place: fc.nat(100), pick: fc.nat(readyCourses.length - 1) })
          .map(({ pick, ...own }) => ({ ...readyCourses[pick]!, ...own })),
      params: ({ id }) => ({ courseId: String(id) }),
      read: ({ id }) => listed(syllabusEndpoints.listCourses, id),
    },
    putOnCourse: {
      bodies: () => fc.record({ courseId: fc.constant(courseId), begunOn: pastDay, testOn: fc.constantFrom(null, '2026-06-30') }),
      params: () => ({ traineeId: scene.traineeId }),
      read: async () =>
        (await coach.ask(syllabusEndpoints.showTraineeCourse, { traineeId: scene.traineeId })).body.onCourse as Body,
    },
    saveTest: {
      bodies: () =>
        fc.record({
          id: newId,
          traineeId: fc.constant(scene.traineeId),
          courseId: fc.constant(courseId),
          heldOn: pastDay,
          outcome: fc.constantFrom(...testOutcomes.filter((outcome) => outcome !== 'passed')),
          note: text(300),
          sheet: fc.record({
            sets: fc.constantFrom(
              [],
              [{ setId: readyCourses[0]!.sets[0]!.id, lead: 'usual', thrown: ['jab', 'cross'], saidAloud: true }],
            ),
            mustHaves: fc.constantFrom(
              [],
              [{ technique: 'jab', checkpointId: 'gd.return-line', lead: 'other', clean: 3, fault: 1 }],
            ),
          }),
        }),
      params: ({ id }) => ({ testId: String(id) }),
      read: async ({ id }) => (await coach.ask(syllabusEndpoints.showTest, { testId: String(id) })).body,
    },
    saveClosure: {
      bodies: () =>
        fc.record({ id: newId, name: words(120), from: pastDay, days: fc.nat(40) }).map(({ days, ...one }) => ({
          ...one,
          to: dayAfter(one.from, days),
        })),
      params: ({ id }) => ({ closureId: String(id) }),
      read: ({ id }) => listed(syllabusEndpoints.listClosures, id),
    },
    saveReferenceStill: {
      bodies: () =>
        fc
          .record({
            technique: fc.constantFrom('jab', 'cross'),
            checkpoint: fc.constantFrom('gd.return-line', 'st.chin'),
            kind: fc.constantFrom(...stillKinds),
            filmId: fc.constant(scene.filmId),
            frame: fc.nat({ max: 500 }),
            around: fc.constantFrom(null, 5),
          })
          .map(({ around, ...still }) => ({
            ...still,
            fromFrame: around && Math.max(0, still.frame - around),
            toFrame: around && still.frame + around,
          })),
      params: ({ technique, checkpoint, kind }) => ({ technique, checkpoint, kind }) as Record<string, string>,
      read: async ({ technique, checkpoint, kind }) =>
        (await coach.ask(stillEndpoints.listReferenceStills)).body.find(
          (one: Body) => one.technique === technique && one.checkpoint === checkpoint && one.kind === kind,
        ),
    },
    pointOutBody: {
      bodies: () =>
        fc.record({
          ...{ id: newId, frame: fc.nat(599) },
          ...{
            x: fc.integer({ min: 0, max: 1280 }),
            y: fc.integer({ min: 0, max: 720 }),
            side: fc.integer({ min: 24, max: 900 }),
          },
        }),
      params: ({ id }) => ({ ...ofFilm(), bodyId: String(id) }),
      read: async ({ id }) => (await coach.ask(footageEndpoints.pointedBodies, ofFilm())).body.find((one: Body) => one.id === id),
    },
    sayPoint: {
      bodies: () =>
        fc.record({
          id: newId,
          filmId: fc.constant(scene.filmId),
          frame: fc.nat(599),
          point: fc.constantFrom(...pointNames.filter(partOf)),
          ...{ x: fc.integer({ min: 0, max: 1280 }), y: fc.integer({ min: 0, max: 720 }) },
        }),
      params: ({ id }) => ({ checkId: String(id) }),
      sent: ({ id: _, ...said }) => Promise.resolve(said),
      read: async ({ id }) => {
        const [row] = await server.services.db
          .select()
          .from(pointCheck)
          .where(eq(pointCheck.id, String(id)));
        return row;
      },
    },
    tellEffort: {
      bodies: () =>
        fc.record({
          id: newId,
          at: fc.constant(new Date().toISOString()),
          worked: fc.integer({ min: 0, max: 600_000 }),
          presses: fc.nat(500),
        }),
      params: ({ id }) => ({ ...ofFilm(), effortId: String(id) }),
      read: async ({ id }) => {
        const [row] = await server.services.db
          .select()
          .from(reviewEffort)
          .where(eq(reviewEffort.id, String(id)));
        return { ...row, at: row!.at.toISOString() };
      },
    },
    orderSession: {
      bodies: () =>
        fc.record({
          id: newId,
          placed: fc
            .subarray(['gd.return-line', 'st.chin', 'st.lean'], { minLength: 1 })
            .map((all) => all.map((checkpointId) => ({ technique: 'jab', checkpointId }))),
          reason: words(300),
        }),
      params: () => ({ sessionId: scene.sessionId }),
      read: async ({ id }) => ({
        id,
        ...(await coach.ask(answerEndpoints.sessionOrder, { sessionId: scene.sessionId })).body,
      }),
    },
    saveHits: {
      bodies: () =>
        fc.record({
          source: fc.constantFrom(...hitSources),
          sensitivity: share,
          leastLevel: fc.integer({ min: anyLevel, max: 20 }),
          gap: fc.integer({ min: 100, max: 5000 }),
          added: fc.uniqueArray(time, { maxLength: 5 }),
          removed: fc.uniqueArray(time, { maxLength: 5 }),
          region: fc.record({ left: share, top: share, width: share, height: share }),
        }),
      params: ofFilm,
      sent: async (edits) => ({ edits, basedOn: (await hitsAndRounds()).version }),
      read: async () => (await hitsAndRounds()).edits,
    },
    saveRounds: {
      bodies: () =>
        fc.uniqueArray(time, { minLength: 2, maxLength: 8 }).chain((edges) => {
          const order = edges.sort((a, b) => a - b);
          const spans = order.flatMap((from, place) =>
            place % 2 === 0 && order[place + 1] ? [[from, order[place + 1]!] as const] : [],
          );
          const round = ([from, to]: readonly [number, number]) =>
            fc.record({
              id: newId,
              name: words(120),
              from: fc.constant(from),
              to: fc.constant(to),
              kind: fc.constantFrom(...roundKinds),
              manner: fc.constantFrom(...roundManners),
              planned: text(200),
              proposed: fc.boolean(),
            });
          return fc.tuple(...spans.map(round)).map((rounds) => ({ rounds }));
        }),
      params: ofFilm,
      sent: async (rounds) => ({ ...rounds, basedOn: (await hitsAndRounds()).version }),
      read: async () => ({ rounds: (await hitsAndRounds()).rounds }),
    },
    saveAlignment: {
      bodies: () => fc.record({ offset: fc.integer({ min: -5000, max: 5000 }) }),
      params: () => ({ ...ofFilm(), otherId: otherFilm }),
      read: async () =>
        (await coach.ask(alignmentEndpoints.showAlignments, ofFilm())).body.find((one: Body) => one.otherId === otherFilm),
    },
    countMeasure: {
      bodies: () => fc.record({ checkpoint: fc.constantFrom('st.lean', 'gd.return-line'), counts: fc.boolean() }),
      params: ({ checkpoint }) => ({ checkpoint }) as Record<string, string>,
      read: async ({ checkpoint }) => {
        const { measures } = (await coach.ask(measureEndpoints.measureAgreements)).body;
        // What is neither measured nor counts is not listed.
        return measures.find((one: Body) => one.checkpointId === checkpoint)
          ? { checkpoint, counts: true }
          : { checkpoint, counts: false };
      },
    },
    openCorrection: {
      bodies: () =>
        fc.record({
          id: newId,
          sessionId: fc.constant(scene.sessionId),
          ...aboutSomethingNew,
          cue: words(80),
          target: fc.integer({ min: 0, max: Math.floor(largestTarget * 100) }).map((percent) => percent / 100),
          recheckOn: fc.option(someDay, { nil: null }),
        }),
      params: ({ id }) => ({ correctionId: String(id) }),
      read: async ({ id }) =>
        inTheWordsOfItsOpening((await coach.ask(correctionEndpoints.showCorrection, { correctionId: String(id) })).body),
    },
    writeMarks: {
      bodies: () =>
        fc.oneof(
          aPin(),
          fc.tuple(fc.nat(599), fc.nat(599), fc.nat(599), fc.constantFrom(...momentOrigins)).map(([one, two, three, origin]) => {
            const [launchFrame, contactFrame, homeFrame] = [one, two, three].sort((a, b) => a - b) as [number, number, number];
            const saidAt = new Date().toISOString();
            const moments = { launchFrame, contactFrame, homeFrame };
            return {
              kind: 'strike',
              id: uuid(),
              strikeId: uuid(),
              saidAt,
              technique: 'jab-cross-step',
              part: homeFrame % 2,
              ...moments,
              ...{ launchOrigin: origin, contactOrigin: 'found', homeOrigin: origin },
              removed: false,
            };
          }),
        ),
      params: ofFilm,
      sent: (mark) => Promise.resolve({ marks: [mark] }),
      read: async ({ id }) => {
        const { strikes, pins } = (await coach.ask(reviewEndpoints.showReview, ofFilm())).body;
        return [...strikes, ...pins].find((one: Body) => one.id === id);
      },
    },
  };
  /** Each on a frame and point of its own, or later than the one before it. */
  const aPin = () =>
    fc
      .record({ frame: fc.nat(599), point: fc.constantFrom(...pointNames), place: fc.option(fc.tuple(pixels, pixels)) })
      .map(({ frame, point, place }) => ({
        ...{ kind: 'pin', id: uuid(), saidAt: new Date().toISOString(), frame, point },
        ...{ said: place ? 'here' : 'hidden', x: place?.[0] ?? null, y: place?.[1] ?? null },
      }));
  const pixels = fc.double({ min: -2000, max: 4000, noNaN: true }).map((one) => one || 0);
  /** These have no thing for a body: what is sent says what to do. A film needs the upload that it ends. */
  const wishes = [
    'makeClubDefault',
    'saveSecondFactorDemand',
    'changePerson',
    'changePassword',
    'judgeSessionBy',
    'releaseSession',
    'addFilm',
    'askSecondCoach',
    'linkCard',
    'chooseStill',
    'saveNote',
    'logPlan',
  ];

  it('by every endpoint that puts', () => {
    const puts = Object.entries(endpoints).filter(([, { method }]) => method === 'PUT');
    expect([...Object.keys(lines), ...wishes]).to.have.members(puts.map(([name]) => name));
  });

  for (const [name, { bodies, params, sent, read }] of Object.entries(lines)) {
    const endpoint = endpoints[name as keyof typeof endpoints];
    it(`by ${name}`, async () => {
      await fc.assert(
        fc.asyncProperty(bodies(), async (body) => {
          const answer = await coach.ask(endpoint, params(body), (await sent?.(body)) ?? body);
          expect(answer.status, JSON.stringify(answer.body)).to.be.oneOf([200, 201, 204]);
          const got = (await read(body)) as Body;
          for (const [field, value] of Object.entries(body)) expect(got[field], field).to.deep.equal(value);
        }),
        { numRuns: 12 },
      );
    });
  }
});
