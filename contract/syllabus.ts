import { requirementKinds, testLeads } from '@wax-fist/core/syllabus';
import { grades } from '@wax-fist/core/trainee';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { coaches, endpoint, everybody, headCoachOnly, staff, whoAddedIt } from './endpoint.ts';
import { count, day, id, note, rung, shortText, textLine, whole } from './shapes.ts';

const technique = () => string().max(80).required();
const lead = () => string().oneOf(testLeads).required();
const mustHave = { technique: technique(), checkpointId: string().max(80).required(), rung: rung().required() };

/** A part of a syllabus. What it names is checked against the checklists when it is saved. */
export const courseShape = object({
  id: id(),
  name: shortText('Name').required('What is this course called?'),
  /** Which course comes before which. */
  place: count(),
  leadsTo: string().oneOf(grades).required(),
  weeks: array(
    object({
      techniques: array(technique()).max(12).default([]),
      says: textLine('What the week is about').default(''),
    }).required(),
  )
    .min(1, 'A course has at least one week.')
    .max(52, 'A course has at most 52 weeks.')
    .required(),
  sets: array(
    object({
      id: id(),
      name: shortText('Name of a set').required('What is this set called?'),
      recipe: textLine('A set').required('What is called?'),
    }).required(),
  )
    .max(20)
    .default([]),
  mustHaves: array(object(mustHave).required()).max(30).default([]),
  passMark: number().min(0.5, 'Pass mark: at least 50%.').max(0.99, 'Pass mark: at most 99%.').required(),
  bothLeads: boolean().required(),
  credits: whole('Credits', 0, 300).required(),
  creditsAWeek: whole('Credits a week', 1, 7).required(),
});
export type SavedCourse = InferType<typeof courseShape>;

/** On which course somebody is. */
export const onCourseShape = object({
  courseId: id(),
  begunOn: day().required('Since when?'),
  /** Null while no day is set. */
  testOn: day().nullable().default(null),
}).test('order', 'The test comes after the beginning.', ({ begunOn, testOn }) => !testOn || testOn > begunOn);
export type OnCourse = InferType<typeof onCourseShape>;

const requirementShape = object({
  kind: string().oneOf(requirementKinds).required(),
  what: string().required(),
  lead: string().oneOf(testLeads).nullable().defined(),
  met: boolean().required(),
  has: string().defined(),
  missing: string().defined(),
  earliest: day().nullable().defined(),
  sessions: number().nullable().defined(),
  remark: string().defined(),
});

/** How somebody stands to their test; nothing of it where they are on no course. */
export const traineeCourseShape = object({
  onCourse: onCourseShape.nullable().defined(),
  /** Credits so far. */
  credits: count(),
  readiness: object({
    requirements: array(requirementShape.required()).required(),
    ready: boolean().required(),
    earliest: day().nullable().defined(),
  })
    .nullable()
    .default(null),
});
export type TraineeCourse = InferType<typeof traineeCourseShape>;

/** How a test ended: a coach says it. */
export const testOutcomes = ['open', 'passed', 'not-yet'] as const;

const sheetShape = object({
  sets: array(
    object({
      setId: id(),
      lead: lead(),
      thrown: array(technique()).max(100).default([]),
      saidAloud: boolean().required(),
    }).required(),
  )
    .max(40)
    .default([]),
  mustHaves: array(
    object({
      technique: technique(),
      checkpointId: string().max(80).required(),
      lead: lead(),
      clean: whole('Clean', 0, 999).required(),
      fault: whole('Faults', 0, 999).required(),
    }).required(),
  )
    .max(60)
    .default([]),
});

/** A test as it is written down. */
export const gradeTestDraftShape = object({
  id: id(),
  traineeId: id(),
  courseId: id(),
  heldOn: day().required('When was it?'),
  sheet: sheetShape.required(),
  outcome: string().oneOf(testOutcomes).required(),
  note: note().default(''),
});
export type GradeTestDraft = InferType<typeof gradeTestDraftShape>;
/** The same with what it was held by: the course as it was on that day, and the credits until then. */
export const gradeTestShape = gradeTestDraftShape.shape({ course: courseShape.required(), credits: count() });
export type GradeTest = InferType<typeof gradeTestShape>;

/** What films of a day show of what a test asks. */
export const testFilmsShape = object({ sheet: sheetShape.required(), films: count() });
export type TestFilms = InferType<typeof testFilmsShape>;

/** Days on which nobody trains. */
export const closureShape = object({
  id: id(),
  name: shortText('Name').required('Why is it closed?'),
  from: day().required('From which day?'),
  to: day().required('To which day?'),
}).test('order', 'It cannot end before it began.', ({ from, to }) => to >= from);
export type Closure = InferType<typeof closureShape>;

/** Somebody’s test on its day. */
export const testDayShape = object({
  traineeId: id(),
  traineeName: string().required(),
  courseName: string().required(),
  testOn: day().required(),
});
export type TestDay = InferType<typeof testDayShape>;

/** The syllabus of a club, who is on which course, tests, and days on which it is closed. */
export const syllabusEndpoints = {
  /** In their order. */
  listCourses: endpoint('GET', '/api/courses', everybody, { reply: array(courseShape.required()).required() }),
  saveCourse: endpoint('PUT', '/api/courses/:courseId', headCoachOnly, { body: courseShape, reply: courseShape }),
  /** Not while somebody is on it. */
  removeCourse: endpoint('DELETE', '/api/courses/:courseId', headCoachOnly),
  /** Null when on none. */
  showOnCourse: endpoint('GET', '/api/trainees/:traineeId/course', staff, { reply: onCourseShape.nullable().defined() }),
  showTraineeCourse: endpoint('GET', '/api/trainees/:traineeId/readiness', staff, { reply: traineeCourseShape }),
  putOnCourse: endpoint('PUT', '/api/trainees/:traineeId/course', coaches, { body: onCourseShape, reply: onCourseShape }),
  takeOffCourse: endpoint('DELETE', '/api/trainees/:traineeId/course', coaches),
  /** The newest first. */
  traineeTests: endpoint('GET', '/api/trainees/:traineeId/tests', staff, {
    reply: array(gradeTestShape.required()).required(),
  }),
  showTest: endpoint('GET', '/api/tests/:testId', staff, { reply: gradeTestShape }),
  /** Whoever passes has reached what the course leads to, and is on the next one from that day. */
  saveTest: endpoint('PUT', '/api/tests/:testId', coaches, { body: gradeTestDraftShape, reply: gradeTestShape }),
  removeTest: endpoint('DELETE', '/api/tests/:testId', whoAddedIt),
  /** What was tagged and judged on a day, as a sheet has it. */
  testFilms: endpoint('GET', '/api/trainees/:traineeId/test-films', staff, {
    query: object({ courseId: id(), day: day().required('Of which day?') }),
    reply: testFilmsShape,
  }),
  testDays: endpoint('GET', '/api/test-days', staff, {
    query: object({ from: day().required('From which day?'), to: day().required('To which day?') }),
    reply: array(testDayShape.required()).required(),
  }),
  /** Those to come first named, by their beginning. */
  listClosures: endpoint('GET', '/api/closures', everybody, { reply: array(closureShape.required()).required() }),
  saveClosure: endpoint('PUT', '/api/closures/:closureId', coaches, { body: closureShape, reply: closureShape }),
  removeClosure: endpoint('DELETE', '/api/closures/:closureId', coaches),
};
