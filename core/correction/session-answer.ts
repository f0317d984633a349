import { oneViewEach, type Tally, type TallyOfView } from '../review/index.ts';
import { changeBetween, type ChangeVerdict } from './change.ts';

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

/** Answers of a session to every question that was asked in it. Only sessions at the same rung are compared. */
export function sessionAnswers(
  tallies: readonly TallyOfSession[],
  session: { id: string; heldOn: string; rung: number },
): SessionAnswer[] {
  const all = oneViewEach(tallies);
  return all
    .filter(({ sessionId }) => sessionId === session.id)
    .map(({ technique, checkpointId, tally }) => {
      const before = all
        .filter((row) => row.technique === technique && row.checkpointId === checkpointId)
        .filter((row) => row.sessionId !== session.id && row.rung === session.rung && row.heldOn <= session.heldOn)
        .sort((a, b) => (a.heldOn < b.heldOn ? -1 : 1))
        .at(-1);
      return { technique, checkpointId, tally, before, change: before && changeBetween(before.tally, tally) };
    });
}
