import type { SessionTally } from '@wax-fist/contract/review';
import { faultRate, type FaultRate } from '@wax-fist/core/correction';
import { oneViewEach } from '@wax-fist/core/review';

export interface RatePoint {
  sessionId: string;
  heldOn: string;
  rung: number;
  rate: FaultRate;
}

/** The rate of one checkpoint of one technique in each session that looked at it, oldest first. */
export const ratesOverSessions = (tallies: readonly SessionTally[], technique: string, checkpointId: string): RatePoint[] =>
  oneViewEach(tallies)
    .filter((row) => row.technique === technique && row.checkpointId === checkpointId)
    .map(({ sessionId, heldOn, rung, tally }) => ({ sessionId, heldOn, rung, rate: faultRate(tally) }))
    .sort((a, b) => (a.heldOn < b.heldOn ? -1 : 1));

/** Places of the points that belong together because they were seen at one rung, lowest rung first. */
export const runsOfRung = (points: readonly { rung: number }[]): number[][] =>
  [...new Set(points.map(({ rung }) => rung))]
    .sort((a, b) => a - b)
    .map((rung) => points.flatMap((point, place) => (point.rung === rung ? [place] : [])));
