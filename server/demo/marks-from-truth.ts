import type { Mark } from '@wax-fist/contract/review';
import { frameAt, timelineOf } from '@wax-fist/core/film';
import type { Verdict } from '@wax-fist/core/review';
import {
  checklistFor,
  isSeries,
  rowsOfPart,
  shippedCatalogue,
  shippedVersion,
  techniqueIn,
  type CheckpointId,
  type School,
  type Stance,
  type View,
} from '@wax-fist/core/technique';
import { v7 as uuid } from 'uuid';

/** What is known of a rendered film; times in milliseconds from its first frame. */
export interface FilmTruth {
  scene: { stance: Stance };
  frameTimes: number[];
  strikes: {
    technique: string;
    launch: number;
    contact: number;
    home: number;
    /** Of a series, its strikes in their order. */
    parts?: { technique: string; launch: number; contact: number; home: number }[];
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

type ShownStrike = FilmTruth['strikes'][number];
/** As it is tagged: a series strike by strike at its places; what has no set strikes, such as called pads, as what is thrown. */
function oneByOne(strike: ShownStrike): (ShownStrike & { part: number | null })[] {
  if (!strike.parts) return [{ ...strike, part: null }];
  const series = isSeries(techniqueIn(shippedCatalogue, strike.technique));
  return strike.parts.map(({ technique, ...moments }, part) => ({
    ...strike,
    ...moments,
    ...(series ? { part } : { technique, part: null }),
  }));
}

/** The marks that a careful coach would have set on a film whose truth is known. */
export function marksFromTruth(truth: FilmTruth, { rows, ...judging }: MarkedBy, saidAt: Date): Mark[] {
  const timeline = timelineOf(truth.frameTimes);
  const strikes = truth.strikes.filter(({ technique }) => shippedCatalogue.techniques.has(technique)).flatMap(oneByOne);
  return strikes.flatMap((strike, place) => {
    const { technique, part } = strike;
    const strikeId = uuid();
    const shownFaults = [...strike.faults, ...(strike.held ?? [])];
    const said = { strikeId, saidAt: new Date(saidAt.getTime() + place * 9000).toISOString() };
    const marks: Mark[] = [
      {
        kind: 'strike',
        id: uuid(),
        ...said,
        technique,
        part,
        launchFrame: frameAt(timeline, strike.launch),
        contactFrame: frameAt(timeline, strike.contact),
        homeFrame: frameAt(timeline, strike.home),
        launchOrigin: 'set',
        contactOrigin: 'set',
        homeOrigin: 'set',
        removed: false,
      },
    ];
    const checklist = rowsOfPart(checklistFor(shippedCatalogue, technique, judging), shippedCatalogue, { technique, part });
    for (const { checkpoint, shown } of checklist) {
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
        proposed: null,
        blind: false,
        checklistVersion: shippedVersion,
      });
    }
    return marks;
  });
}
