import { families } from '@wax-fist/core/technique';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { costly, endpoint, seen, staff, staffAndOwn } from './endpoint.ts';
import { count, day, id, rung, share } from './shapes.ts';

const texts = () => array(string().required()).required();
const family = () => string().oneOf(families).nullable().defined();
const rateLine = object({
  family: family(),
  name: string().required(),
  of: string().required(),
  rate: share(),
  low: share(),
  high: share(),
  enough: boolean().required(),
  aim: number().min(0).max(1).nullable().defined(),
  says: string().required(),
  level: string().defined(),
});
const levelsShape = object({
  name: string().required(),
  rung: rung().required(),
  aim: share(),
  points: array(
    object({
      sessionId: id(),
      heldOn: string().required(),
      faults: number().required(),
      seen: number().required(),
      level: share(),
      low: share(),
      high: share(),
    }).required(),
  ).required(),
});

/** A report, see `Report` of the core. */
export const reportShape = object({
  title: string().required(),
  name: string().required(),
  covers: string().required(),
  madeOn: string().required(),
  sections: array(
    object({
      heading: string().required(),
      family: family(),
      says: texts(),
      facts: array(object({ name: string().required(), says: string().required() }).required()).required(),
      rates: array(rateLine.required()).required(),
      levels: array(levelsShape.required()).required(),
      items: texts(),
    }).required(),
  ).required(),
});

/** Sheets that printers have. */
export const papers = ['a4', 'letter'] as const;
export type Paper = (typeof papers)[number];
export const paperNames: Readonly<Record<Paper, string>> = { a4: 'A4', letter: 'US letter' };
export const paper = () => string().oneOf(papers).default('a4');
/** A PDF holds no more than this many cards or reports. */
export const mostAtOnce = 60;

const block = object({ from: day().required('From which day?'), to: day().required('Up to which day?') }).test(
  'order',
  'The last day is before the first.',
  ({ from, to }) => !from || !to || from <= to,
);
/** Ids behind each other, with commas between. */
export const manyIds = () =>
  array(id())
    .transform((_, given: unknown) => (typeof given === 'string' ? given.split(',') : given))
    .min(1, 'Nothing is chosen.')
    .max(mostAtOnce, `At most ${mostAtOnce} at once.`)
    .required();

/** The sessions of a day, whoever trained: what a class has done, and how far their reviews are. */
export const classOfDayShape = object({
  day: day().required(),
  /** The next days before and after it on which somebody trained. */
  before: day().nullable().defined(),
  after: day().nullable().defined(),
  sessions: array(
    object({
      id: id(),
      traineeName: string().required(),
      roundKind: string().required(),
      rung: rung().required(),
      films: count(),
      filmsDone: count(),
      judged: count(),
    }).required(),
  ).required(),
});
export type ClassOfDay = InferType<typeof classOfDayShape>;

/** Reports and cards: on the page, and as a PDF. */
export const reportEndpoints = {
  sessionReport: seen(
    'training_session',
    'sessionId',
    endpoint('GET', '/api/sessions/:sessionId/report', staffAndOwn, { reply: reportShape }),
  ),
  blockReport: seen(
    'trainee',
    'traineeId',
    endpoint('GET', '/api/trainees/:traineeId/report', staff, { query: block, reply: reportShape }),
  ),
  /** Of the last day on which somebody trained where none is told; null where nobody ever did. */
  classOfDay: endpoint('GET', '/api/reports/class', staff, {
    query: object({ day: day().optional() }),
    reply: classOfDayShape.nullable().defined(),
  }),
  /** The reports of sessions behind each other. */
  sessionReportsPdf: costly(
    endpoint('GET', '/api/reports/sessions.pdf', staff, {
      query: object({ of: manyIds(), paper: paper() }),
    }),
  ),
  blockReportPdf: seen(
    'trainee',
    'traineeId',
    costly(endpoint('GET', '/api/trainees/:traineeId/report.pdf', staff, { query: block.shape({ paper: paper() }) })),
  ),
};
