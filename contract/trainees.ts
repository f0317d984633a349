import { lengthInWords } from '@wax-fist/core/setup';
import { stances } from '@wax-fist/core/technique';
import { ageGroups, grades } from '@wax-fist/core/trainee';
import { number, object, string, type InferType } from 'yup';
import { coaches, endpoint, seen, staff } from './endpoint.ts';
import { pageOf, pageQuery } from './page.ts';
import { count, id, note, shortText, text } from './shapes.ts';

/** Centimetres of a body, or nothing. @param what it is called where it is wrong */
const centimetres = (what: string, least: number, most: number) => {
  const says = (): string => `${what}: between ${lengthInWords(least)} and ${lengthInWords(most)}.`;
  return number().typeError(says).min(least, says).max(most, says).nullable().default(null);
};

const traineeFields = {
  name: shortText('Name').required('A name is needed.'),
  stance: string().oneOf(stances, 'Orthodox or southpaw.').required('Which foot leads?'),
  grade: string().oneOf(grades).required(),
  note: note().default(''),
  /** Centimetres. Lengths are told in centimetres where it is known. */
  stature: centimetres('Stature', 90, 230),
  /** Centimetres from the shoulder to the knuckles of a straight arm. */
  reach: centimetres('Reach', 30, 110),
  ageGroup: string().oneOf(ageGroups, 'Child, youth or adult.').nullable().default(null),
  /** The school of this trainee; the club’s when none. */
  schoolId: id().nullable().default(null),
};

/** A trainee as they are written down. */
export const traineeDraftShape = object({ id: id(), ...traineeFields });
/** A trainee. */
export const traineeShape = object({ id: id(), ...traineeFields });
export type Trainee = InferType<typeof traineeShape>;
export type TraineeDraft = InferType<typeof traineeDraftShape>;

/** A trainee as a line of a list, with what is open for them. */
export const traineeRowShape = traineeShape.shape({
  sessions: count(),
  lastSession: string().nullable().defined(),
  openCorrections: count(),
  filmsToReview: number().required(),
});
export type TraineeRow = InferType<typeof traineeRowShape>;

/** By what the list of trainees is ordered; those that are alike in it, by name. */
export const traineeColumns = ['name', 'stance', 'grade', 'lastSession', 'sessions', 'openCorrections', 'filmsToReview'] as const;
export type TraineeColumn = (typeof traineeColumns)[number];
/** Upwards, or downwards with a minus before it. */
export type TraineeOrder = TraineeColumn | `-${TraineeColumn}`;
const traineeOrders: readonly TraineeOrder[] = traineeColumns.flatMap((column) => [column, `-${column}` as const]);

/** The people of the club who train. */
export const traineeEndpoints = {
  /** In order of their names, if nothing else is said; `find` looks for a part of the name. */
  listTrainees: endpoint('GET', '/api/trainees', staff, {
    query: pageQuery.shape({ find: text().max(120).optional(), order: string().oneOf(traineeOrders).optional() }),
    reply: pageOf(traineeRowShape.required()),
  }),
  saveTrainee: endpoint('PUT', '/api/trainees/:traineeId', coaches, { body: traineeDraftShape, reply: traineeShape }),
  showTrainee: seen('trainee', 'traineeId', endpoint('GET', '/api/trainees/:traineeId', staff, { reply: traineeShape })),
};
