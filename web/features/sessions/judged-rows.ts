import type { LevelAnswer } from '@wax-fist/contract/answers';
import type { Correction } from '@wax-fist/contract/corrections';
import type { SessionMeasures } from '@wax-fist/contract/measures';
import type { SessionTally } from '@wax-fist/contract/review';
import { faultRate, isAbout } from '@wax-fist/core/correction';
import { oneViewEach } from '@wax-fist/core/review';
import { checkpointName, families, type Catalogue, type Family, type TechniqueId } from '@wax-fist/core/technique';
import { ratesNobodyJudged, toldRate } from '../measures/sheet-rows.ts';

export interface WhatIsKnown {
  sessionId: string;
  /** Those by which the session is judged. */
  checklists: Catalogue;
  tallies: readonly SessionTally[];
  corrections: readonly Correction[];
  /** What was measured, and what all sessions say; both come later than all else. */
  measures?: SessionMeasures | undefined;
  answers?: readonly LevelAnswer[] | undefined;
}

/** What coaches said of each checkpoint in a session, seen from one view each, with what else is known of it. */
export const judgedRows = ({ sessionId, checklists, tallies, corrections, measures, answers }: WhatIsKnown) =>
  oneViewEach(tallies)
    .filter((one) => one.sessionId === sessionId)
    .map(({ technique, checkpointId, tally, byMeasure = 0 }) => {
      const isIt = isAbout({ technique, checkpointId });
      return {
        ...{ technique, checkpointId, tally, byMeasure },
        family: checklists.checkpoints.get(checkpointId)?.family,
        name: checkpointName(checklists, checkpointId),
        now: faultRate(tally),
        measured: toldRate(measures?.rates ?? [], technique, checkpointId),
        answer: answers?.find(isIt),
        correction: corrections.find((one) => isIt(one) && one.state !== 'closed'),
      };
    });
export type JudgedRow = ReturnType<typeof judgedRows>[number];

const placeOf = (family: Family | undefined): number => (family ? families.indexOf(family) : families.length);
/**
 * The same technique by technique, in the order of the checklists, with the rates that measures alone tell of what nobody has judged.
 * Most faults first; what was clean throughout comes last, in the order of the walk.
 */
export const rowsByTechnique = (judged: readonly JudgedRow[], { checklists, measures }: WhatIsKnown) =>
  [...new Set<TechniqueId>([...checklists.techniques.keys(), ...judged.map(({ technique }) => technique)])]
    .map((technique) => {
      const rows = judged
        .filter((row) => row.technique === technique)
        .sort((a, b) => b.now.low - a.now.low || b.now.rate - a.now.rate || placeOf(a.family) - placeOf(b.family));
      const checkpoints = rows.map(({ checkpointId }) => checkpointId);
      return { technique, rows, unjudged: ratesNobodyJudged(measures?.rates ?? [], technique, checkpoints) };
    })
    .filter(({ rows, unjudged }) => rows.length > 0 || unjudged.length > 0);
export type RowsOfTechnique = ReturnType<typeof rowsByTechnique>[number];
