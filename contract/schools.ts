import { array, boolean, object, string, type InferType } from 'yup';
import { endpoint, everybody, headCoachOnly } from './endpoint.ts';
import { id, recordOf, shortText } from './shapes.ts';

/** The id of a choice for each switch. */
const choices = recordOf(() => string().required());

/** The school by which a session is judged, as it was when it was chosen. */
export const judgedByShape = object({ name: string().required(), choices, bookId: id() });
export type JudgedBy = InferType<typeof judgedByShape>;

/** A school as it is written: a choice for every switch that does not stay as usual, and words of its own. */
export const schoolDraftShape = object({
  id: id(),
  name: shortText('Name').required('What is this school called?'),
  choices,
  bookId: id(),
});
/** A school that is kept; the ready ones cannot be changed. */
export const schoolShape = schoolDraftShape.shape({
  /** Ships with the product; it is copied and not changed. */
  ready: boolean().required(),
  clubDefault: boolean().required(),
});
export type SavedSchool = InferType<typeof schoolShape>;

/** Schools: what coaches differ in, and what each has chosen. */
export const schoolEndpoints = {
  listSchools: endpoint('GET', '/api/schools', everybody, { reply: array(schoolShape.required()).required() }),
  saveSchool: endpoint('PUT', '/api/schools/:schoolId', headCoachOnly, { body: schoolDraftShape, reply: schoolShape }),
  makeClubDefault: endpoint('PUT', '/api/schools/:schoolId/club-default', headCoachOnly, { reply: schoolShape }),
  removeSchool: endpoint('DELETE', '/api/schools/:schoolId', headCoachOnly),
};
