import { doorActs, type DoorAct, type JournalAct, type JournalLine } from '@wax-fist/contract/journal';
import { dayAndTime } from '../../app/format.ts';

export const actNames: Readonly<Record<JournalAct, string>> = {
  saw: 'saw',
  added: 'added',
  changed: 'changed',
  removed: 'removed',
  'signed-in': 'signed in',
  'signed-out': 'signed out',
  'wrong-password': 'was tried with a wrong password',
};
export const isAtDoor = (act: JournalAct): act is DoorAct => (doorActs as readonly JournalAct[]).includes(act);
const kindNames: Readonly<Record<string, string>> = {
  account: 'somebody who signs in',
  archive: 'an archive',
  body_limit: 'a limit of the body',
  call_book: 'a call book',
  call_set: 'a set of calls',
  card_link: 'the link of a card',
  card_still: 'a still of a card',
  checklist_version: 'the checklists',
  closure: 'closed days',
  consent: 'a consent',
  correction: 'a correction',
  counted_measure: 'what counts by measure',
  course: 'a course',
  drill: 'a drill',
  entry_link: 'an invitation or a reset',
  film: 'a film',
  film_alignment: 'how two films lie',
  film_hits: 'hits and rounds',
  grade_test: 'a test',
  montage: 'a montage',
  note: 'a note',
  on_course: 'a place on a course',
  own_trainee: 'for whom somebody signs in',
  plan: 'a planned session',
  point_check: 'a point that was checked',
  reference_still: 'a reference still',
  school: 'a school',
  second_factor: 'a second factor',
  second_factor_demand: 'of whom a second factor is demanded',
  second_marking: 'who marks a second time',
  trainee: 'a trainee',
  training_session: 'a session',
};
/** A kind that is not known yet is told by its table. */
export const kindName = (kind: string): string => kindNames[kind] ?? kind.replaceAll('_', ' ');

type Told = Pick<JournalLine, 'act' | 'kind' | 'values'>;
const isRemoval = ({ kind }: Pick<Told, 'kind'>): boolean => kind === 'removal';
/** What somebody did: that something was removed, to be put back for a day, and that it was taken out of there again. */
export function actInWords(line: Told): string {
  if (!isRemoval(line)) return actNames[line.act];
  return line.act === 'added' ? 'removed, for a day to be put back,' : 'put back, or removed for good,';
}
/** With what. */
export function thingInWords(line: Told): string {
  const removed = isRemoval(line) && line.values?.kind?.find((kind) => typeof kind === 'string');
  return kindName(removed || line.kind);
}
const word = (name: string): string => name.replace(/_(id|at)$/, '').replaceAll('_', ' ');
const isInstant = /^\d{4}-\d{2}-\d{2}T/;
function told(value: unknown): string {
  if (value === null || value === undefined) return 'nothing';
  return typeof value === 'string' && isInstant.test(value)
    ? dayAndTime(value)
    : typeof value === 'string'
      ? value
      : JSON.stringify(value);
}

/** What was changed of it, in a line; of few things what it was and is. */
export function changedInWords({ kind, act, fields, values }: Pick<JournalLine, 'kind' | 'act' | 'fields' | 'values'>): string {
  if (isRemoval({ kind })) return '';
  const known = Object.entries(values ?? {}).map(([name, [was, is]]) =>
    act === 'changed' ? `${word(name)}: ${told(was)} → ${told(is)}` : `${word(name)}: ${told(act === 'removed' ? was : is)}`,
  );
  const others = fields.filter((name) => !(name in (values ?? {}))).map(word);
  return [...known, ...others].join(', ');
}
/** Where a thing can still be looked at, as long as it is there. */
export const placeOf = ({ kind, thing, act }: Pick<JournalLine, 'kind' | 'thing' | 'act'>) =>
  act === 'removed' ? undefined : places[kind]?.(thing);
const places: Readonly<Record<string, (id: string) => { name: string; params: Record<string, string> }>> = {
  trainee: (traineeId) => ({ name: 'trainee', params: { traineeId } }),
  training_session: (sessionId) => ({ name: 'session', params: { sessionId } }),
  film: (filmId) => ({ name: 'bench', params: { filmId } }),
  plan: (planId) => ({ name: 'plan', params: { planId } }),
  correction: (correctionId) => ({ name: 'card', params: { correctionId } }),
  grade_test: (testId) => ({ name: 'test-sheet', params: { testId } }),
};
