import type { SessionTally } from '@wax-fist/contract/review';
import { faultRate, inSessionOrder, usualTarget, type FaultRate } from '@wax-fist/core/correction';
import { oneViewEach, tallySum, type Tally } from '@wax-fist/core/review';
import { groups } from 'd3-array';

/** One thing over sessions. */
export interface MapRow {
  technique: string;
  checkpointId: string;
  /** In the order of the columns; undefined where it was not looked at. */
  cells: (FaultRate | undefined)[];
  /** All sessions on the map together. */
  rate: FaultRate;
}
/** Checkpoints by sessions: what is faulty most often first, what surely is a strength apart. */
export interface CheckpointMap {
  sessions: { sessionId: string; heldOn: string }[];
  rows: MapRow[];
  strengths: MapRow[];
}

/** A strength was looked at so often, and its rate surely lies below what is aimed for. */
const fewestForStrength = 20;
const isStrength = ({ rate }: MapRow): boolean => rate.seen >= fewestForStrength && rate.high <= usualTarget;

/** @param tallies of the sessions that are shown, from every view */
export function checkpointMap(tallies: readonly SessionTally[]): CheckpointMap {
  const all = oneViewEach(tallies);
  const sessions = groups(all, ({ sessionId }) => sessionId)
    .map(([sessionId, [first]]) => ({ sessionId, heldOn: first!.heldOn }))
    .sort(inSessionOrder);
  const rows = groups(all, ({ technique, checkpointId }) => `${technique} ${checkpointId}`).map(([, list]): MapRow => {
    const tallyIn = new Map(list.map(({ sessionId, tally }) => [sessionId, tally]));
    const rated = (tally: Tally | undefined): FaultRate | undefined => {
      const rate = tally && faultRate(tally);
      return rate && rate.seen > 0 ? rate : undefined;
    };
    return {
      technique: list[0]!.technique,
      checkpointId: list[0]!.checkpointId,
      cells: sessions.map(({ sessionId }) => rated(tallyIn.get(sessionId))),
      rate: faultRate([...tallyIn.values()].reduce(tallySum)),
    };
  });
  const seenRows = rows.filter(({ rate }) => rate.seen > 0);
  return {
    sessions,
    rows: seenRows.filter((row) => !isStrength(row)).sort((a, b) => b.rate.low - a.rate.low || b.rate.rate - a.rate.rate),
    strengths: seenRows.filter(isStrength).sort((a, b) => a.rate.high - b.rate.high),
  };
}
