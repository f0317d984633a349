import { asksWhatFirst, inOwnOrder, whatFirst, type Thing, type Together } from '../correction/index.ts';
import type { CorrectionEventKind, CorrectionState } from '../correction/index.ts';
import type { Tally } from '../review/index.ts';
import { checkpointName, techniqueName, type Catalogue } from '../technique/index.ts';
import { drillInWords, faultsOfSeen, standingInWords, wholeDay } from '../words/index.ts';
import type { ReportSection } from './report.ts';
import { section } from './report.ts';
import type { CorrectionInReport } from './rates.ts';

/** A correction as it stands, with its history as far as words need it. */
export interface StandingInReport extends CorrectionInReport {
  state: CorrectionState;
  rung: number;
  topRung: number;
  recheckOn: string | null;
  history: readonly {
    kind: CorrectionEventKind;
    note: string;
    sessionId: string | null;
    by: string;
    at: string;
    rung: number | null;
  }[];
}

/** What is being worked on, in a line each, and what to take on next. */
export interface AskedNext {
  catalogue: Catalogue;
  grade: string;
  judged: readonly (Thing & { tally: Tally })[];
  together: readonly Together[];
  corrections: readonly StandingInReport[];
  /** In which order the coach would mend it; null where the sum tells. */
  order: { placed: readonly Thing[]; saidBy: string; reason: string } | null;
}

/** How something that is worked on stands, its drill, and when it is looked at again. */
function standing(catalogue: Catalogue, one: StandingInReport): string {
  const drill = drillInWords(one);
  return [
    `“${one.cue}” (${techniqueName(catalogue, one.technique)}, ${checkpointName(catalogue, one.checkpointId).toLowerCase()}): ${standingInWords(one).toLowerCase()}.`,
    drill && `Drill: ${drill}.`,
    one.recheckOn && `Looked at again on ${wholeDay(one.recheckOn)}.`,
  ]
    .filter(Boolean)
    .join(' ');
}

/** What is next: what is being worked on, and what comes after it. */
export function whatNext({ catalogue, grade, judged, together, corrections, order }: AskedNext): ReportSection {
  const worked = corrections.filter(({ state }) => state !== 'closed' && state !== 'kept');
  const asks = asksWhatFirst(catalogue, judged, worked);
  const sum = whatFirst(asks.judged, together, { grade, stops: asks.stops });
  const ranked = order ? inOwnOrder(sum, order.placed, asks.stops) : sum;
  const proposed = ranked.filter((one) => one.proposed);
  const nothing = worked.length === 0 && proposed.length === 0;
  return section('What is next', {
    says: [
      ...(nothing ? ['Nothing is being worked on, and nothing was a fault so often that it should be begun.'] : []),
      ...(order && proposed.length > 0 ? [`In the order of ${order.saidBy}: ${order.reason}`] : []),
    ],
    items: [
      ...worked.map((one) => standing(catalogue, one)),
      ...proposed.map(({ technique, checkpointId, rate, explains }) => {
        const row = catalogue.checkpoints.get(checkpointId)!;
        const brings = explains.map((one) => checkpointName(catalogue, one.checkpointId).toLowerCase());
        return [
          `Take on: ${techniqueName(catalogue, technique)}, ${row.name.toLowerCase()} (${faultsOfSeen(rate)}).`,
          `Cue: “${row.cues[0]}”.`,
          brings.length > 0 && `It likely brings about: ${brings.join(', ')}.`,
        ]
          .filter(Boolean)
          .join(' ');
      }),
    ],
  });
}
