import { changeNames, faultRate, isAbout, type Change, type Thing } from '../correction/index.ts';
import type { Tally } from '../review/index.ts';
import { checkpointName, families, techniqueName, type Catalogue } from '../technique/index.ts';
import type { Ratio } from '../units.ts';
import { faultsOfSeen, levelInWords, percent, rateInWords, thenAndNow } from '../words/index.ts';
import type { ReportRate } from './report.ts';

/** Something judged, with how many strikes measures alone have told of. */
export interface JudgedInReport extends Thing {
  tally: Tally;
}
/** What all sessions say of something. */
export interface AnswerInReport extends Thing {
  rung: number;
  change: Change | null;
  since: { sessionId: string; heldOn: string } | null;
  atAim: Ratio;
  levels: readonly { sessionId: string; heldOn: string; tally: Tally; level: Ratio; low: Ratio; high: Ratio }[];
}
/** A correction, as far as a report tells of it. */
export interface CorrectionInReport extends Thing {
  id: string;
  cue: string;
  target: Ratio;
}

/** “7% (2%–15%), better” */
export function answerInWords(answer: AnswerInReport): string {
  const { now } = thenAndNow(answer);
  return [levelInWords(now), answer.change && changeNames[answer.change].toLowerCase()].filter(Boolean).join(', ');
}

/** A rate as a line of a report. @param named by technique as well, where lines of several stand together */
export function rateRow(
  catalogue: Catalogue,
  { technique, checkpointId, tally }: JudgedInReport,
  told: { answers: readonly AnswerInReport[]; corrections: readonly CorrectionInReport[] },
  named: boolean,
): ReportRate {
  const is = isAbout({ technique, checkpointId });
  const rate = faultRate(tally);
  const answer = told.answers.find(is);
  const name = checkpointName(catalogue, checkpointId);
  return {
    family: catalogue.checkpoints.get(checkpointId)?.family ?? null,
    name: named ? `${techniqueName(catalogue, technique)}: ${name.toLowerCase()}` : name,
    of: faultsOfSeen(rate),
    rate: rate.rate,
    low: rate.low,
    high: rate.high,
    enough: rate.enough,
    aim: told.corrections.find(is)?.target ?? null,
    says: rateInWords(rate),
    level: answer ? answerInWords(answer) : '',
  };
}

/** So rarely a fault that it is a strength: surely no more often than this. */
const strengthBelow: Ratio = 0.25;
/** What is done well, in words, surest first. */
export function strengthsOf(catalogue: Catalogue, judged: readonly JudgedInReport[]): string[] {
  const placeOf = (id: string): number => families.indexOf(catalogue.checkpoints.get(id)?.family ?? 'holding');
  return judged
    .map((one) => ({ ...one, rate: faultRate(one.tally) }))
    .filter(({ rate }) => rate.enough && rate.high <= strengthBelow)
    .sort((a, b) => a.rate.high - b.rate.high || placeOf(a.checkpointId) - placeOf(b.checkpointId))
    .map(
      ({ technique, checkpointId, rate }) =>
        `${techniqueName(catalogue, technique)}, ${checkpointName(catalogue, checkpointId).toLowerCase()}: ${faultsOfSeen(rate)} were faults, very likely below ${percent(rate.high)}.`,
    );
}
