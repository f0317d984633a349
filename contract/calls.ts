import { array, boolean, object, string, type InferType } from 'yup';
import { endpoint, everybody, headCoachOnly, staff } from './endpoint.ts';
import { id, recordOf, shortText, text } from './shapes.ts';

/** A call book as it is written: which technique each number calls, by technique id. */
export const callBookDraftShape = object({
  id: id(),
  name: shortText('Name').required('What is this book called?'),
  /** The technique that each call means. */
  calls: recordOf(() => string().required('Which strike?')),
});
/** A call book that is kept; the ready ones cannot be changed. */
export const callBookShape = callBookDraftShape.shape({
  /** Ships with the product; it is copied and not changed. */
  ready: boolean().required(),
});
export type SavedCallBook = InferType<typeof callBookShape>;

/** Combinations under a name, as a syllabus has them: written as they are called, by the numbers of their book. */
export const callSetShape = object({
  id: id(),
  name: shortText('Name').required('What is this set called?'),
  /** In words, so that it means the same with every book. */
  recipe: text().max(1000, 'A set has at most 1,000 letters.').required('What is called?'),
});
export type CallSet = InferType<typeof callSetShape>;

/** Call books and sets of combinations. */
export const callEndpoints = {
  listCallBooks: endpoint('GET', '/api/call-books', everybody, { reply: array(callBookShape.required()).required() }),
  saveCallBook: endpoint('PUT', '/api/call-books/:bookId', headCoachOnly, { body: callBookDraftShape, reply: callBookShape }),
  removeCallBook: endpoint('DELETE', '/api/call-books/:bookId', headCoachOnly),
  listCallSets: endpoint('GET', '/api/call-sets', everybody, { reply: array(callSetShape.required()).required() }),
  saveCallSet: endpoint('PUT', '/api/call-sets/:setId', staff, { body: callSetShape, reply: callSetShape }),
  removeCallSet: endpoint('DELETE', '/api/call-sets/:setId', staff),
};
