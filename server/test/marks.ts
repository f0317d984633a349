import type { Mark, ObservationMark, PinMark, StrikeMark } from '@wax-fist/contract/review';
import type { Verdict } from '@wax-fist/core/review';
import { v7 as uuid } from 'uuid';

/** A moment some seconds into a training evening. */
export const atSecond = (seconds: number): string => new Date(Date.UTC(2026, 2, 1, 19, 0, seconds)).toISOString();

export const thrown = (strikeId: string, change: Partial<StrikeMark> = {}): StrikeMark => ({
  kind: 'strike',
  id: uuid(),
  strikeId,
  saidAt: atSecond(0),
  technique: 'jab',
  part: null,
  launchFrame: 50,
  contactFrame: 60,
  homeFrame: 75,
  launchOrigin: 'set',
  contactOrigin: 'set',
  homeOrigin: 'set',
  removed: false,
  ...change,
});

export const observed = (strikeId: string, verdict: Verdict | null, change: Partial<ObservationMark> = {}): ObservationMark => ({
  kind: 'observation',
  id: uuid(),
  strikeId,
  saidAt: atSecond(1),
  checkpointId: 'gd.return-line',
  verdict,
  note: null,
  view: 'lead-side',
  anyway: false,
  proposed: null,
  blind: false,
  checklistVersion: 1,
  ...change,
});

export const pinned = (change: Partial<PinMark> = {}): PinMark => ({
  kind: 'pin',
  id: uuid(),
  saidAt: atSecond(1),
  frame: 60,
  point: 'leftWrist',
  said: 'here',
  x: 412.5,
  y: 230,
  ...change,
});

/** Strikes with one verdict each on one checkpoint. */
export const roundOfMarks = (verdicts: readonly Verdict[], change: Partial<ObservationMark> = {}): Mark[] =>
  verdicts.flatMap((verdict, place) => {
    const strikeId = uuid();
    const moments = { launchFrame: place * 10, contactFrame: place * 10 + 4, homeFrame: place * 10 + 9 };
    return [thrown(strikeId, moments), observed(strikeId, verdict, change)];
  });
