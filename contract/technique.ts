import {
  families,
  phases,
  severities,
  targetZones,
  techniqueKinds,
  views,
  walkStops,
  isMeasureId,
  measures,
  type MeasureId,
  type Band,
  type Checkpoint,
  type ClubEdits,
  type EditedRow,
  type Span,
  type Technique,
} from '@wax-fist/core/technique';
import { array, lazy, mixed, number, object, string, boolean, type InferType, type Schema } from 'yup';
import { coaches, endpoint } from './endpoint.ts';
import { count, frame, id, shortText } from './shapes.ts';

/** A number, or null where it is open. */
const end = () => number().typeError('An end of a band is a number, or empty for open.').nullable().defined();
const span = (what: string) =>
  array(end()).length(2, `${what} needs two ends.`).required(`${what} is missing.`) as unknown as Schema<Span>;
export const bandShape = object({ clean: span('What is clean'), watch: span('What is one to watch') }) as unknown as Schema<Band>;

const line = (what: string) => string().trim().max(200, `${what}: at most 200 letters.`);
const asks = () => line('The question').matches(/\?$/, { message: 'A question ends with “?”.', excludeEmptyString: true });

/** A thing that is left out is left out, and not there as undefined. */
const sparse = <T extends object>(value: T): T =>
  Object.fromEntries(Object.entries(value).filter(([, held]) => held !== undefined && held !== '')) as T;

export const editedRowShape = object({
  checkpointId: string().required('Which checkpoint is this row about?'),
  hidden: boolean(),
  question: asks(),
  clean: line('What clean is'),
  cue: line('The cue').test('short', 'A cue is short: at most seven words.', (cue) => !cue || cue.trim().split(/\s+/).length <= 7),
  band: bandShape.optional().default(undefined) as unknown as Schema<Band | undefined>,
}).transform((value: object | null) => value && sparse(value)) as unknown as Schema<EditedRow>; // prettier-ignore

const texts = (what: string) =>
  array(line(what).required(`${what} is empty.`))
    .min(1, `${what}: at least one.`)
    .required();
const oneOf = <T extends string>(list: readonly T[], what: string) =>
  string().oneOf([...list], `${what} is one of: ${list.join(', ')}.`).required(`${what} is missing.`); // prettier-ignore

export const checkpointShape = object({
  id: string().required('A checkpoint needs an id.'),
  family: oneOf(families.filter((family) => family !== 'holding'), 'The family'),
  stop: oneOf(walkStops, 'The stop of the walk'),
  phase: oneOf(phases, 'The phase'),
  name: shortText('Name').required('What is it called?'),
  question: asks().required('What is asked?'),
  clean: line('What clean is').required('What does clean look like?'),
  faults: texts('A fault'),
  why: line('Why it matters').required('Why does it matter?'),
  cues: texts('A cue'),
  severity: oneOf(severities, 'What a fault costs'),
  views: array(string().oneOf([...views]).required()).min(1, 'From where can it be seen?').required('From where can it be seen?'),
  measure: string().test('known', 'The measure is one of the catalogue, “eye” or “ear”.', (value) => value === 'eye' || value === 'ear' || isMeasureId(value ?? '')).required('The measure is missing; “eye” if only the coach can tell.'),
  leastRate: number().min(0).max(240).default(0),
  causes: array(string().required()).default([]),
}) as unknown as Schema<Checkpoint>; // prettier-ignore

export const techniqueShape = object({
  id: string().required('A technique needs an id.'),
  name: shortText('Name').required('What is it called?'),
  kind: oneOf(techniqueKinds, 'The kind'),
  side: oneOf(['lead', 'rear', 'both'], 'The side'),
  range: oneOf(['long', 'middle', 'close', 'any'], 'The range'),
  alsoSaid: array(string().trim().required()).default([]),
  checkpoints: array(string().required()).required('What is looked at in it?'),
  bands: lazy((value: object | undefined) => object(Object.fromEntries(Object.keys(value ?? {}).map((key) => [key, bandShape]))).default({})),
  zones: array(oneOf(targetZones, 'A zone')).default([]),
  chain: array(string().required()).default([]),
  risk: line('The risk').default(''),
  without: mixed().default({}),
  usualOut: number().min(20, 'A strike takes some time: at least 20 ms.').max(3000).required('How long does it take?'),
  usualReturn: number().min(20).max(3000).required('How long does it take back?'),
}) as unknown as Schema<Technique>; // prettier-ignore

const mostOwn = 500;
/** A club's checklists as a document: what is saved, sent to another club, and read back. */
export const clubEditsShape = object({
  checkpoints: array(checkpointShape).max(mostOwn).required('“checkpoints” is missing; an empty list if there are none.'),
  techniques: array(techniqueShape).max(mostOwn).required('“techniques” is missing; an empty list if there are none.'),
  checklists: lazy((value: unknown) =>
    object(Object.fromEntries(Object.keys((value as object | null) ?? {}).map((key) => [key, array(editedRowShape).max(mostOwn).required('A checklist is a list of rows.')]))).required('“checklists” is missing.'),
  ),
}) as unknown as Schema<ClubEdits>; // prettier-ignore

/** What a checklist document is marked with, so that nothing else is taken for one. */
export const checklistFormat = 'wax-fist-checklists';
export const checklistDocumentShape = object({
  format: string().oneOf([checklistFormat], `The file is not one of checklists: “format” is not “${checklistFormat}”.`).required(`The file is not one of checklists: “format” is missing.`),
  version: number().oneOf([1], 'This version of the format is not known here.').required('“version” is missing.'),
  edits: clubEditsShape as unknown as ReturnType<typeof object>,
}); // prettier-ignore

export const versionShape = object({
  version: number().integer().required(),
  note: string().defined(),
  by: string().required(),
  at: string().required(),
});
export type ChecklistVersion = InferType<typeof versionShape>;

const choices = () => lazy((value: object | undefined) => object(Object.fromEntries(Object.keys(value ?? {}).map((key) => [key, string().required()]))).required()); // prettier-ignore
/** The school by which a session is judged, as it was when it was chosen. */
export const judgedByShape = object({ name: string().required(), choices: choices(), bookId: id() });

export const schoolDraftShape = object({
  id: id(),
  name: shortText('Name').required('What is this school called?'),
  choices: choices(),
  bookId: id(),
});
export const schoolShape = schoolDraftShape.shape({
  /** Ships with the product; it is copied and not changed. */
  ready: boolean().required(),
  clubDefault: boolean().required(),
});
export interface SavedSchool {
  id: string;
  name: string;
  choices: Record<string, string>;
  bookId: string;
  ready: boolean;
  clubDefault: boolean;
}
export type JudgedBy = Pick<SavedSchool, 'name' | 'choices' | 'bookId'>;

const calls = () => lazy((value: object | undefined) => object(Object.fromEntries(Object.keys(value ?? {}).map((key) => [key, string().required('Which strike?')]))).required()); // prettier-ignore
export const callBookDraftShape = object({ id: id(), name: shortText('Name').required('What is this book called?'), calls: calls() }); // prettier-ignore
export const callBookShape = callBookDraftShape.shape({ ready: boolean().required() });
export interface SavedCallBook {
  id: string;
  name: string;
  calls: Record<string, string>;
  ready: boolean;
}

export const callSetShape = object({
  id: id(),
  name: shortText('Name').required('What is this set called?'),
  /** In words, so that it means the same with every book. */
  recipe: string().trim().max(1000, 'A set has at most 1,000 letters.').required('What is called?'),
});
export type CallSet = InferType<typeof callSetShape>;

export const stillKinds = ['clean', 'fault'] as const;
/** A frame of the club's own footage that shows how something should, or should not, look. */
export const referenceStillShape = object({
  technique: string().required(),
  checkpoint: string().required(),
  kind: string().oneOf(stillKinds).required(),
  clipId: id(),
  frame: frame(),
});
export type ReferenceStill = InferType<typeof referenceStillShape>;

export const measuredRepShape = object({ value: number().required(), doubt: number().min(0).required() });

export const techniqueEndpoints = {
  listChecklistVersions: endpoint('GET', '/api/checklists', coaches, { reply: array(versionShape.required()).required() }),
  showChecklistVersion: endpoint('GET', '/api/checklists/:version', coaches, {
    reply: versionShape.shape({ edits: clubEditsShape as unknown as ReturnType<typeof object> }),
  }),
  /** A new version made from the one told; refused when somebody else has made one meanwhile. */
  saveChecklists: endpoint('POST', '/api/checklists', coaches, {
    body: object({ basedOn: count(), note: line('The note').default(''), edits: clubEditsShape as unknown as ReturnType<typeof object> }), // prettier-ignore
    reply: versionShape,
  }),
  /** What a measure gave on the newest strikes of a technique. */
  measuredReps: endpoint('GET', '/api/techniques/:technique/measured/:measure', coaches, {
    reply: array(measuredRepShape.required()).required(),
  }),
  listSchools: endpoint('GET', '/api/schools', coaches, { reply: array(schoolShape.required()).required() }),
  saveSchool: endpoint('PUT', '/api/schools/:schoolId', coaches, { body: schoolDraftShape, reply: schoolShape }),
  makeClubDefault: endpoint('PUT', '/api/schools/:schoolId/club-default', coaches, { reply: schoolShape }),
  removeSchool: endpoint('DELETE', '/api/schools/:schoolId', coaches),
  listCallBooks: endpoint('GET', '/api/call-books', coaches, { reply: array(callBookShape.required()).required() }),
  saveCallBook: endpoint('PUT', '/api/call-books/:bookId', coaches, { body: callBookDraftShape, reply: callBookShape }),
  removeCallBook: endpoint('DELETE', '/api/call-books/:bookId', coaches),
  listCallSets: endpoint('GET', '/api/call-sets', coaches, { reply: array(callSetShape.required()).required() }),
  saveCallSet: endpoint('PUT', '/api/call-sets/:setId', coaches, { body: callSetShape, reply: callSetShape }),
  removeCallSet: endpoint('DELETE', '/api/call-sets/:setId', coaches),
  listReferenceStills: endpoint('GET', '/api/reference-stills', coaches, {
    reply: array(referenceStillShape.required()).required(),
  }),
  saveReferenceStill: endpoint('PUT', '/api/reference-stills/:technique/:checkpoint/:kind', coaches, {
    body: referenceStillShape,
    reply: referenceStillShape,
  }),
  removeReferenceStill: endpoint('DELETE', '/api/reference-stills/:technique/:checkpoint/:kind', coaches),
};

/** Measures by name, for those who write documents. */
export const measureNames = Object.keys(measures) as MeasureId[];
