import { groups } from 'd3-array';
import { dayAfter } from '../days.ts';
import { oneViewEach, seen, type TallyOfView } from '../review/index.ts';
import type { Look } from './level/index.ts';

/** A tally from one view, with the session it was counted in. */
export interface TallyOfSession extends TallyOfView {
  /** YYYY-MM-DD. */
  heldOn: string;
  rung: number;
}

/** What was counted in a session. */
export interface SessionLook extends Look {
  /** Ids are made in the order of time: of two sessions of one day the one that was entered first was before the other. */
  sessionId: string;
}

/** What a question is about: one checkpoint of one technique. */
export interface Thing {
  technique: string;
  checkpointId: string;
}
/** Whether something is about the same thing as another. */
export const isAbout =
  (one: Thing) =>
  (other: Thing): boolean =>
    one.technique === other.technique && one.checkpointId === other.checkpointId;

/** Everything that was counted of one thing under the same conditions, oldest first. */
export interface Series extends Thing {
  rung: number;
  looks: SessionLook[];
}

/** Orders sessions, and what was counted in them: the oldest first. */
export const inSessionOrder = (a: Omit<SessionLook, 'tally'>, b: Omit<SessionLook, 'tally'>): number =>
  a.heldOn < b.heldOn || (a.heldOn === b.heldOn && a.sessionId < b.sessionId) ? -1 : 1;

/** The series of a trainee. Each session is told by its best view; one in which nothing could be seen is no look. */
export const seriesOf = (tallies: Iterable<TallyOfSession>): Series[] =>
  groups(
    oneViewEach(tallies).filter(({ tally }) => seen(tally) > 0),
    ({ technique, checkpointId, rung }) => [technique, checkpointId, rung].join(' '),
  ).map(([, rows]) => ({
    technique: rows[0]!.technique,
    checkpointId: rows[0]!.checkpointId,
    rung: rows[0]!.rung,
    looks: rows.map(({ sessionId, heldOn, tally }) => ({ sessionId, heldOn, tally })).sort(inSessionOrder),
  }));

/** The looks of a series up to a session and with it; none when it was not looked at there. */
export function upTo(looks: readonly SessionLook[], sessionId: string): SessionLook[] {
  const place = looks.findIndex((look) => look.sessionId === sessionId);
  return looks.slice(0, place + 1);
}

/** Without a correction the last twelve weeks are asked about: what was long ago is nobody's question. */
const usualDays = 84;

/** The look against which the last one is held: the last up to the day on which a correction was opened, else the first after it. */
export function openingOf(looks: readonly Look[], openedOn: string | undefined): number {
  const day = openedOn ?? dayAfter(looks.at(-1)!.heldOn, -usualDays);
  const upToDay = looks.filter(({ heldOn }) => heldOn <= day).length;
  // Without a correction what lies behind the twelve weeks is no opening, unless there is nothing else.
  const place = openedOn === undefined ? upToDay : upToDay - 1;
  return Math.min(Math.max(0, place), looks.length - 1);
}

/** Looks before the opening that still tell something of it, and looks that are weighed at all. */
const [fewBefore, mostLooks] = [4, 40];

/** The looks that tell something of a question, and the place of its opening among them. */
export function tellingLooks<One extends Look>(looks: readonly One[], opening: number): { looks: One[]; opening: number } {
  const first = Math.max(0, opening - fewBefore);
  const kept = looks.slice(first);
  const at = opening - first;
  if (kept.length <= mostLooks) return { looks: kept, opening: at };
  return { looks: [...kept.slice(0, at + 1), ...kept.slice(at + 1 - mostLooks)], opening: at };
}
