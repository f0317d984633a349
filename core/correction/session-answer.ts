import { oneViewEach, seen, type Tally, type TallyOfView } from '../review/index.ts';
import { changeBetween, type ChangeVerdict } from './change.ts';
import { fewestSeen } from './rate.ts';

/** A tally from one view, with the session it was counted in. */
export interface TallyOfSession extends TallyOfView {
  /** YYYY-MM-DD. */
  heldOn: string;
  rung: number;
}

/** What a session says of one checkpoint of one technique, beside the last time that it was looked at under the same conditions. */
export interface SessionAnswer {
  technique: string;
  checkpointId: string;
  tally: Tally;
  before?: { sessionId: string; heldOn: string; tally: Tally };
  /** Only when there is something to compare with. */
  change?: ChangeVerdict;
}

/** A session, as far as it is asked what was before it. */
export interface SessionPlace {
  /** Ids are made in the order of time: of two sessions of one day the one that was entered first was before the other. */
  id: string;
  /** YYYY-MM-DD. */
  heldOn: string;
  rung: number;
}

/**
 * The last time that something was looked at under the same conditions before a session. A session in which too few strikes were
 * seen to say anything hides none before it in which enough were; one in which nothing was seen counts not at all.
 * @param tallies one view each, see `oneViewEach`
 */
export function lastBefore<Row extends TallyOfSession>(
  tallies: readonly Row[],
  { id, heldOn, rung }: SessionPlace,
  about: Pick<Row, 'technique' | 'checkpointId'>,
): Row | undefined {
  const earlier = tallies
    .filter((row) => row.technique === about.technique && row.checkpointId === about.checkpointId && row.rung === rung)
    .filter((row) => row.heldOn < heldOn || (row.heldOn === heldOn && row.sessionId < id))
    .filter((row) => seen(row.tally) > 0)
    .sort((a, b) => (a.heldOn < b.heldOn || (a.heldOn === b.heldOn && a.sessionId < b.sessionId) ? -1 : 1));
  return earlier.findLast((row) => seen(row.tally) >= fewestSeen) ?? earlier.at(-1);
}

/** Answers of a session to every question that was asked in it. Only sessions at the same rung are compared. */
export function sessionAnswers(tallies: readonly TallyOfSession[], session: SessionPlace): SessionAnswer[] {
  const all = oneViewEach(tallies);
  return all
    .filter(({ sessionId }) => sessionId === session.id)
    .map(({ technique, checkpointId, tally }) => {
      const before = lastBefore(all, session, { technique, checkpointId });
      return { technique, checkpointId, tally, before, change: before && changeBetween(before.tally, tally) };
    });
}
