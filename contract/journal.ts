import { array, mixed, object, string, type InferType } from 'yup';
import { costly, endpoint, headCoachOnly } from './endpoint.ts';
import { pageOf, pageQuery } from './page.ts';
import { day, id, instant } from './shapes.ts';

/** What becomes of an account and not of a thing: of a wrong password the account is the one that was tried. */
export const doorActs = ['signed-in', 'signed-out', 'wrong-password'] as const;
export type DoorAct = (typeof doorActs)[number];
/** What somebody can have done with something, or at the door. */
export const journalActs = ['saw', 'added', 'changed', 'removed', ...doorActs] as const;
export type JournalAct = (typeof journalActs)[number];

/** A line of the journal: who did what, when, with what, about whom. */
export const journalLineShape = object({
  id: string().required(),
  at: instant(),
  /** Null for whoever had only a link; without a name where the account is gone. */
  account: object({ id: id(), name: string().nullable().defined() }).nullable().defined(),
  act: string().oneOf(journalActs).required(),
  /** What kind of thing, by its table. */
  kind: string().required(),
  thing: string().required(),
  trainee: object({ id: id(), name: string().nullable().defined() }).nullable().defined(),
  fields: array(string().required()).required(),
  values: mixed<Record<string, [before: unknown, now: unknown]>>().nullable().defined(),
});
export type JournalLine = InferType<typeof journalLineShape>;

const wanted = {
  accountId: id().optional(),
  traineeId: id().optional(),
  act: string().oneOf(journalActs).optional(),
  from: day().optional(),
  to: day().optional(),
};

/** Who saw and changed what, for the head coach. */
export const journalEndpoints = {
  /** The newest first. */
  showJournal: endpoint('GET', '/api/journal', headCoachOnly, {
    query: pageQuery.shape(wanted),
    reply: pageOf(journalLineShape.required()),
  }),
  /** All of the same, as a table. */
  journalFile: costly(endpoint('GET', '/api/journal.csv', headCoachOnly, { query: object(wanted) })),
};
