import { highestRung, lowestRung } from '@wax-fist/core/correction';
import { leadShares, partKinds } from '@wax-fist/core/plan';
import { roundKinds } from '@wax-fist/core/rounds';
import { views } from '@wax-fist/core/technique';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { correctionShape } from './corrections.ts';
import { coaches, endpoint, staff, staffAndOwn, whoAddedIt } from './endpoint.ts';
import { limitShape } from './limits.ts';
import { planListEndpoints } from './plan-lists.ts';
import { count, day, id, line, note, shortText, textLine } from './shapes.ts';
import { onCourseShape } from './syllabus.ts';
import { traineeShape } from './trainees.ts';

const seconds = (most: number) => number().integer('Whole seconds, please.').min(0).max(most).required();
/** No session is longer, in seconds. */
export const longestSession = 14_400;

/** Rounds of one thing, as the core plans them. */
export const planPartShape = object({
  id: string().max(120).required(),
  kind: string().oneOf(partKinds).required(),
  title: textLine('Title').required('What is it called?'),
  says: note().default(''),
  drillId: string().max(80).nullable().default(null),
  correctionId: id().nullable().default(null),
  technique: string().max(80).nullable().default(null),
  checkpointId: string().max(80).nullable().default(null),
  on: string().oneOf(roundKinds).required(),
  rung: number().integer().min(lowestRung).max(highestRung).nullable().default(null),
  impact: boolean().required(),
  rounds: number().integer().min(1, 'At least one round.').max(30, 'At most 30 rounds.').required(),
  work: seconds(3600).min(5, 'A round lasts at least 5 seconds.'),
  rest: seconds(900),
  leads: string().oneOf(leadShares).required(),
  recipe: line('Calls', 300).nullable().default(null),
  cue: line('Cue', 80).default(''),
  caution: textLine('Caution').default(''),
  shot: object({ view: string().oneOf(views).required(), rate: number().min(0).max(1000).required(), strikes: count() })
    .nullable()
    .default(null),
});

const doneShape = object({ part: count().max(40), rounds: count().max(60), worked: seconds(longestSession * 2) });

/** A planned session of a trainee. */
export const planDraftShape = object({
  id: id(),
  traineeId: id(),
  plannedOn: day().required('For which day?'),
  /** Seconds that there are. */
  length: seconds(longestSession).min(300, 'A session has at least five minutes.'),
  /** Seconds from one part to the next. */
  change: seconds(600),
  /** What was there when it was planned. */
  kit: array(string().oneOf(roundKinds).required()).max(roundKinds.length).default([]),
  holder: boolean().default(false),
  partner: boolean().default(false),
  leads: string().oneOf(leadShares).required(),
  /** The technique of the week. */
  technique: string().max(80).nullable().default(null),
  parts: array(planPartShape.required())
    .min(1, 'A session without a part is none.')
    .max(40, 'At most 40 parts.')
    .required()
    .test('apart', 'Two parts of one id.', (parts) => new Set(parts.map((one) => one.id)).size === parts.length),
  leftOut: array(object({ what: shortText('What').required(), why: textLine('Why').required() }).required())
    .max(40)
    .default([]),
});
export type PlanDraft = InferType<typeof planDraftShape>;

/** What was done of a plan, and the sessions in which what was filmed of it stands. */
export const planLogShape = object({
  doneOn: day().required(),
  done: array(doneShape.required()).max(40).required(),
});
export type PlanLog = InferType<typeof planLogShape>;

/** A session that came of a plan: what was filmed on one thing at one rung. */
const filmedShape = object({ sessionId: id(), roundKind: string().oneOf(roundKinds).required(), rung: count() });
export const planShape = planDraftShape.shape({
  /** Hard rounds. */
  impact: count(),
  log: planLogShape.nullable().default(null),
  sessions: array(filmedShape.required()).required(),
});
export type Plan = InferType<typeof planShape>;

/** What the sessions of a week are planned from, of one trainee. */
export const weekGroundShape = object({
  trainee: traineeShape.required(),
  /** Open ones, those due first. */
  corrections: array(correctionShape.required()).required(),
  limits: array(limitShape.required()).required(),
  /** What would settle a correction at a rung. */
  settling: array(object({ correctionId: id(), rung: count(), strikes: count() }).required()).required(),
  onCourse: onCourseShape.nullable().defined(),
  /** Days on which they were there lately. */
  lately: array(day().required()).required(),
  /** Sessions that stand already, from the day before the week on. */
  standing: array(object({ day: day().required(), impact: count() }).required()).required(),
});
export type WeekGround = InferType<typeof weekGroundShape>;

/** Planned sessions. */
export const planEndpoints = {
  ...planListEndpoints,
  /** Hard rounds of the week round a day, Monday to Sunday, without this plan. */
  weekImpact: endpoint('GET', '/api/trainees/:traineeId/week-impact', staff, {
    query: object({ day: day().required('Of which day?'), without: id().optional() }),
    reply: object({ impact: count() }),
  }),
  /** Of everybody in the club, by name; a Monday is asked for. */
  weekGrounds: endpoint('GET', '/api/week-grounds', staff, {
    query: object({ monday: day().required('Which week?') }),
    reply: array(weekGroundShape.required()).required(),
  }),
  /** The plan of which a session is a part; null where there is none. */
  sessionPlan: endpoint('GET', '/api/sessions/:sessionId/plan', staff, { reply: planShape.nullable().defined() }),
  showPlan: endpoint('GET', '/api/plans/:planId', staffAndOwn, { reply: planShape }),
  /** A plan that was done is not planned anew. */
  savePlan: endpoint('PUT', '/api/plans/:planId', coaches, { body: planDraftShape, reply: planShape }),
  /** Writes what was done, once; sent again it changes nothing. The sessions that are filmed in are made with it. */
  logPlan: endpoint('PUT', '/api/plans/:planId/log', staffAndOwn, { body: planLogShape, reply: planShape }),
  removePlan: endpoint('DELETE', '/api/plans/:planId', whoAddedIt),
};
