import type { LogEntry, ObservationEntry, StrikeEntry } from '@wax-fist/contract/review';
import type { Verdict } from '@wax-fist/core/review';
import { v7 as uuid } from 'uuid';

/** A moment some seconds into a training evening. */
export const at = (seconds: number): string => new Date(Date.UTC(2026, 2, 1, 19, 0, seconds)).toISOString();

export const strikeSaid = (strikeId: string, change: Partial<StrikeEntry> = {}): StrikeEntry => ({
  kind: 'strike',
  id: uuid(),
  strikeId,
  saidAt: at(0),
  technique: 'jab',
  launchFrame: 50,
  contactFrame: 60,
  homeFrame: 75,
  removed: false,
  ...change,
});

export const said = (strikeId: string, verdict: Verdict | null, change: Partial<ObservationEntry> = {}): ObservationEntry => ({
  kind: 'observation',
  id: uuid(),
  strikeId,
  saidAt: at(1),
  checkpointId: 'gd.return-line',
  verdict,
  note: null,
  view: 'lead-side',
  anyway: false,
  checklistVersion: 1,
  ...change,
});

/** Strikes with one verdict each on one checkpoint. */
export const round = (verdicts: readonly Verdict[], change: Partial<ObservationEntry> = {}): LogEntry[] =>
  verdicts.flatMap((verdict, place) => {
    const strikeId = uuid();
    const moments = { launchFrame: place * 10, contactFrame: place * 10 + 4, homeFrame: place * 10 + 9 };
    return [strikeSaid(strikeId, moments), said(strikeId, verdict, change)];
  });
