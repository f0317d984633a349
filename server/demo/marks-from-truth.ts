import type { Mark } from '@wax-fist/contract/review';
import { frameAt, timelineOf } from '@wax-fist/core/film';
import type { Verdict } from '@wax-fist/core/review';
import {
  checklistFor,
  shippedCatalogue,
  shippedVersion,
  type CheckpointId,
  type School,
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
    faults: FaultShown[];
    /** What whoever holds the pads does wrong; not told where nobody does. */
    held?: FaultShown[];
  }[];
}

interface FaultShown {
  checkpoint: string;
  strength: number;
}

/** From where, in which school, and which rows are judged. */
export interface MarkedBy {
  view: View;
  school: School;
  rows: readonly CheckpointId[];
  withHolder: boolean;
}

/** A fault shown less strongly than this is one that a coach would watch. */
const watchBelow = 0.62;

/** The marks that a careful coach would have set on a film whose truth is known. */
export function marksFromTruth(truth: FilmTruth, { rows, ...judging }: MarkedBy, saidAt: Date): Mark[] {
  const timeline = timelineOf(truth.frameTimes);
  return truth.strikes.flatMap((strike, place) => {
    const { technique } = strike;
    if (!shippedCatalogue.techniques.has(technique)) return [];
    const strikeId = uuid();
    const shownFaults = [...strike.faults, ...(strike.held ?? [])];
    const said = { strikeId, saidAt: new Date(saidAt.getTime() + place * 9000).toISOString() };
    const marks: Mark[] = [
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
    for (const { checkpoint, shown } of checklistFor(shippedCatalogue, technique, judging)) {
      if (!shown || !rows.includes(checkpoint.id)) continue;
      const fault = shownFaults.find((one) => one.checkpoint === checkpoint.id);
      const verdict: Verdict = !fault ? 'clean' : fault.strength < watchBelow ? 'watch' : 'fault';
      marks.push({
        kind: 'observation',
        id: uuid(),
        ...said,
        checkpointId: checkpoint.id,
        verdict,
        note: null,
        view: judging.view,
        anyway: false,
        checklistVersion: shippedVersion,
      });
    }
    return marks;
  });
}
