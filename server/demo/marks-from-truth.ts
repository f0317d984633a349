import type { LogEntry } from '@wax-fist/contract/review';
import { frameAt, timelineOf } from '@wax-fist/core/moments';
import type { Verdict } from '@wax-fist/core/review';
import {
  checklistFor,
  shippedCatalogue,
  shippedVersion,
  usualSchool,
  type CheckpointId,
  type View,
} from '@wax-fist/core/technique';
import { v7 as uuid } from 'uuid';

/** What is known of a rendered film; times in milliseconds from its first frame. */
export interface FilmTruth {
  frameTimes: number[];
  strikes: {
    technique: string;
    launch: number;
    contact: number;
    home: number;
    faults: { checkpoint: string; strength: number }[];
  }[];
}

/** A fault shown less strongly than this is one that a coach would watch. */
const watchBelow = 0.62;

/** The marks that a careful coach would have set on a film whose truth is known. */
export function marksFromTruth(truth: FilmTruth, view: View, rows: readonly CheckpointId[], saidAt: Date): LogEntry[] {
  const timeline = timelineOf(truth.frameTimes);
  return truth.strikes.flatMap((strike, place) => {
    const { technique } = strike;
    if (!shippedCatalogue.techniques.has(technique)) return [];
    const strikeId = uuid();
    const said = { strikeId, saidAt: new Date(saidAt.getTime() + place * 9000).toISOString() };
    const marks: LogEntry[] = [
      {
        kind: 'strike',
        id: uuid(),
        ...said,
        technique,
        launchFrame: frameAt(timeline, strike.launch),
        contactFrame: frameAt(timeline, strike.contact),
        homeFrame: frameAt(timeline, strike.home),
        removed: false,
      },
    ];
    for (const { checkpoint, shown } of checklistFor(shippedCatalogue, technique, { school: usualSchool, view })) {
      if (!shown || !rows.includes(checkpoint.id)) continue;
      const fault = strike.faults.find((one) => one.checkpoint === checkpoint.id);
      const verdict: Verdict = !fault ? 'clean' : fault.strength < watchBelow ? 'watch' : 'fault';
      marks.push({
        kind: 'observation',
        id: uuid(),
        ...said,
        checkpointId: checkpoint.id,
        verdict,
        note: null,
        view,
        anyway: false,
        checklistVersion: shippedVersion,
      });
    }
    return marks;
  });
}
