import { array, object, string, type InferType } from 'yup';

/** What every refused request answers: what happened, in words for a coach; and where, when fields are at fault. */
export const refusalShape = object({
  message: string().required(),
  fields: array(object({ field: string().required(), message: string().required() }).required()).optional(),
});
export type RefusalAnswer = InferType<typeof refusalShape>;
