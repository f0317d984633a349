import { array, object, string, type InferType } from 'yup';
import { endpoint, staff } from './endpoint.ts';
import { pageOf, pageQuery } from './page.ts';
import { count, day, id } from './shapes.ts';

/** A plan as a line of a list. */
export const planRowShape = object({
  id: id(),
  plannedOn: day().required(),
  length: count(),
  parts: count(),
  impact: count(),
  /** When it was done; null while it waits. */
  doneOn: day().nullable().defined(),
});
export type PlanRow = InferType<typeof planRowShape>;

/** A plan on its day, with whose it is. */
export const planOfDayShape = planRowShape.shape({ traineeId: id(), traineeName: string().required() });
export type PlanOfDay = InferType<typeof planOfDayShape>;
/** So many days are asked for at once. */
export const mostDays = 42;

/** Plans as lists show them: apart from what a plan is made of, so that the first page need not know it. */
export const planListEndpoints = {
  /** The latest day first. */
  traineePlans: endpoint('GET', '/api/trainees/:traineeId/plans', staff, {
    query: pageQuery,
    reply: pageOf(planRowShape.required()),
  }),
  /** All of the club’s from one day to another, by day and name: at most six weeks. */
  plansBetween: endpoint('GET', '/api/plans', staff, {
    query: object({ from: day().required('From which day?'), to: day().required('To which day?') }),
    reply: array(planOfDayShape.required()).required(),
  }),
};
