import {
  families,
  measureIds,
  severities,
  subjects,
  targetZones,
  techniqueKinds,
  views,
  walkStops,
  type Family,
  type Technique,
} from '@wax-fist/core/technique';
import { phases } from '@wax-fist/core/strikes';
import { array, boolean, mixed, number, object, string, tuple, type InferType } from 'yup';
import { endpoint, everybody, headCoachOnly, staff } from './endpoint.ts';
import { pageOf, pageQuery } from './page.ts';
import { count, recordOf, shortText, text, textLine } from './shapes.ts';

/** A number, or null where it is open. */
const end = () => number().typeError('An end of a band is a number, or empty for open.').nullable().defined();
const span = (what: string) => tuple([end(), end()]).typeError(`${what} needs two ends.`).required(`${what} is missing.`);
/** What is clean and what one watches, each from and to in the unit of the measure; null is open. */
export const bandShape = object({ clean: span('What is clean'), watch: span('What is one to watch') });

const asks = () => textLine('The question').matches(/\?$/, { message: 'A question ends with “?”.', excludeEmptyString: true });

/** Leaves out what was left empty, so that it is not there as undefined. */
const sparse = <T extends object>(value: T): T =>
  Object.fromEntries(Object.entries(value).filter(([, held]) => held !== undefined && held !== '')) as T;

const longestCue = 7;
const fewWords = (cue: string | undefined): boolean => !cue || cue.trim().split(/\s+/).length <= longestCue;

/** A row of a checklist as a club wants it: what is left out stays as it ships. */
export const editedRowShape = object({
  checkpointId: string().required('Which checkpoint is this row about?'),
  hidden: boolean(),
  question: asks(),
  clean: textLine('What clean is'),
  cue: textLine('The cue').test('short', `A cue is short: at most ${longestCue} words.`, fewWords),
  band: bandShape.optional().default(undefined),
}).transform((value: object | null) => value && sparse(value));

const texts = (what: string) =>
  array(textLine(what).required(`${what} is empty.`))
    .min(1, `${what}: at least one.`)
    .required();
const oneOf = <const T extends string>(list: readonly T[], what: string) =>
  string()
    .oneOf([...list], `${what} is one of: ${list.join(', ')}.`)
    .required(`${what} is missing.`);

/** A club adds nothing to what is looked at in a holder. */
const ownFamilies: readonly Family[] = families.filter((family) => family !== 'holding');

/** A checkpoint of a club’s own, with everything that a shipped one has. */
export const checkpointShape = object({
  id: string().required('A checkpoint needs an id.'),
  family: oneOf(ownFamilies, 'The family'),
  stop: oneOf(walkStops, 'The stop of the walk'),
  phase: oneOf(phases, 'The phase'),
  subject: string().oneOf(subjects, 'Whom is it about: the trainee or the holder?').default('trainee'),
  name: shortText('Name').required('What is it called?'),
  question: asks().required('What is asked?'),
  clean: textLine('What clean is').required('What does clean look like?'),
  faults: texts('A fault'),
  why: textLine('Why it matters').required('Why does it matter?'),
  cues: texts('A cue'),
  severity: oneOf(severities, 'What a fault costs'),
  views: array(string().oneOf(views).required()).min(1, 'From where can it be seen?').required('From where can it be seen?'),
  measure: string()
    .oneOf([...measureIds, 'eye', 'ear'], 'The measure is one of the catalogue, “eye” or “ear”.')
    .required('The measure is missing; “eye” if only the coach can tell.'),
  leastRate: number().min(0).max(240).default(0),
  causes: array(string().required()).default([]),
});

/** A technique of a club’s own, or a series of others. Usual times in milliseconds. */
export const techniqueShape = object({
  id: string().required('A technique needs an id.'),
  name: shortText('Name').required('What is it called?'),
  kind: oneOf(techniqueKinds, 'The kind'),
  side: oneOf(['lead', 'rear', 'both'], 'The side'),
  range: oneOf(['long', 'middle', 'close', 'any'], 'The range'),
  alsoSaid: array(text().required()).default([]),
  /** Of a series, the strikes in their order. */
  parts: array(string().required()).max(100, 'A series has at most 100 strikes.').default([]),
  checkpoints: array(string().required()).required('What is looked at in it?'),
  bands: recordOf(() => bandShape),
  zones: array(oneOf(targetZones, 'A zone')).default([]),
  chain: array(string().required()).default([]),
  risk: textLine('The risk').default(''),
  without: mixed<Technique['without']>().default({}),
  usualOut: number().min(20, 'A strike takes some time: at least 20 ms.').max(3000).required('How long does it take?'),
  usualReturn: number().min(20).max(3000).required('How long does it take back?'),
});

const mostOwn = 500;
/** A club's checklists as a document: what is saved, sent to another club, and read back. */
export const clubEditsShape = object({
  checkpoints: array(checkpointShape).max(mostOwn).required('“checkpoints” is missing; an empty list if there are none.'),
  techniques: array(techniqueShape).max(mostOwn).required('“techniques” is missing; an empty list if there are none.'),
  checklists: recordOf(
    () => array(editedRowShape).max(mostOwn).required('A checklist is a list of rows.'),
    '“checklists” is missing.',
  ),
});

/** What a checklist document is marked with, so that nothing else is taken for one. */
export const checklistFormat = 'wax-fist-checklists';
/** A club’s checklists as a file: its format, version and edits. */
export const checklistDocumentShape = object({
  format: string()
    .oneOf([checklistFormat], `The file is not one of checklists: “format” is not “${checklistFormat}”.`)
    .required('The file is not one of checklists: “format” is missing.'),
  version: number().oneOf([1], 'This version of the format is not known here.').required('“version” is missing.'),
  edits: clubEditsShape,
});

/** One saved version of the club’s checklists; a session keeps the one it was judged by. */
export const versionShape = object({
  version: number().integer().required(),
  note: string().defined(),
  by: string().required(),
  at: string().required(),
});
export type ChecklistVersion = InferType<typeof versionShape>;

/** A measured value of one strike with its doubt, both in the unit of the measure. */
export const measuredStrikeShape = object({ value: number().required(), doubt: number().min(0).required() });

/** The club’s checklists: versions, saving, taking in a file, and what a band would do. */
export const checklistEndpoints = {
  /** Newest first. */
  listChecklistVersions: endpoint('GET', '/api/checklists', everybody, {
    query: pageQuery,
    reply: pageOf(versionShape.required()),
  }),
  showChecklistVersion: endpoint('GET', '/api/checklists/:version', everybody, {
    reply: versionShape.shape({ edits: clubEditsShape }),
  }),
  /** A new version made from the one told; refused when somebody else has made one meanwhile. */
  saveChecklists: endpoint('POST', '/api/checklists', headCoachOnly, {
    body: object({ basedOn: count(), note: textLine('The note').default(''), edits: clubEditsShape }),
    reply: versionShape,
  }),
  /** What a measure gave on the newest strikes of a technique. */
  measuredStrikes: endpoint('GET', '/api/techniques/:technique/measured/:measure', staff, {
    reply: array(measuredStrikeShape.required()).required(),
  }),
};
