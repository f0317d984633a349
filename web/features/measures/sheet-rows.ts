import type { MeasuredRateOfSession, SessionMeasures, SheetStrike } from '@wax-fist/contract/measures';
import {
  beyondClean,
  checklistFor,
  checkpointName,
  families,
  holdingTechnique,
  measures as measuresByName,
  verdictIn,
  viewNames,
  type Band,
  type Catalogue,
  type ChecklistRow,
  type Family,
  type Judging,
  type View,
} from '@wax-fist/core/technique';
import { isReadOfHolder, type Degrees } from '@wax-fist/core/measure';
import { median } from 'd3-array';

/** A strike on a row of the sheet. */
export interface SheetMark extends SheetStrike {
  value: number;
  doubt: number;
  degrees: Degrees;
  amiss: boolean;
}
/** One thing that was measured of the strikes of a technique from one side. */
export interface SheetRow {
  key: string;
  checkpointId: string;
  view: View;
  name: string;
  /** The row beside which it is told, where no verdict hangs on it. */
  beside: string | undefined;
  family: Family | undefined;
  measure: string;
  band: Band;
  marks: readonly SheetMark[];
  /** Undefined where the measure is too coarse to give one. */
  rate: MeasuredRateOfSession | undefined;
}

/** In which order the rows of a sheet stand. */
export const sheetOrders = ['amiss', 'walk'] as const;
export type SheetOrder = (typeof sheetOrders)[number];

/** Strikes of which something was measured that is told with a technique: of themselves, or of whoever held for them. */
export function measuredStrikes({ strikes, values }: SessionMeasures, technique: string): SheetStrike[] {
  const isHolding = technique === holdingTechnique;
  const measured = new Set(
    values.filter(({ checkpointId }) => isReadOfHolder(checkpointId) === isHolding).map(({ strikeId }) => strikeId),
  );
  return strikes.filter((one) => measured.has(one.strikeId) && (isHolding || one.technique === technique));
}
/** Techniques of a session of which something was measured, those with most strikes first; what whoever holds does comes last. */
export function techniquesOnSheet(measures: SessionMeasures): string[] {
  const thrown = [...new Set(measures.strikes.map(({ technique }) => technique))].map((technique) => ({
    technique,
    many: measuredStrikes(measures, technique).length,
  }));
  const some = thrown.filter(({ many }) => many > 0).sort((one, other) => other.many - one.many);
  const held = measuredStrikes(measures, holdingTechnique).length > 0 ? [holdingTechnique] : [];
  return [...some.map(({ technique }) => technique), ...held];
}

/** How far off a strike of a row may be, as half of them are. */
export const typicalDoubt = ({ marks }: SheetRow): number => median(marks, ({ doubt }) => doubt)!;

type WhatIsAsked = Pick<SheetRow, 'checkpointId' | 'name' | 'beside' | 'family' | 'measure' | 'band'>;
/** What a row of a checklist asks of a strike: its own measure, and what is told beside that. */
function askedBy({ checkpoint, band, shown, reported }: ChecklistRow, checklists: Catalogue): WhatIsAsked[] {
  if (!shown) return [];
  const { id: checkpointId, family, measure, besides } = checkpoint;
  const name = checkpointName(checklists, checkpointId);
  const own = band && !reported ? [{ checkpointId, name, beside: undefined, family, measure, band }] : [];
  const beside = besides && measuresByName[besides];
  return beside?.band
    ? [...own, { checkpointId: besides!, name: beside.name, beside: name, family, measure: besides!, band: beside.band }]
    : own;
}

/** The rows of one technique. @param checklists and judging by which the session is judged */
export function sheetRows(
  { strikes, values, rates }: SessionMeasures,
  technique: string,
  checklists: Catalogue,
  judging: Pick<Judging, 'school' | 'opponent'>,
  order: SheetOrder,
): SheetRow[] {
  if (!checklists.techniques.has(technique)) return [];
  const ofTechnique = new Map(measuredStrikes({ strikes, values, rates }, technique).map((one) => [one.strikeId, one]));
  const views = [...new Set([...ofTechnique.values()].map(({ view }) => view))];
  const rowOf = (asked: WhatIsAsked, view: View): SheetRow[] => {
    const { checkpointId, band } = asked;
    const marks = values.flatMap((one) => {
      const strike = one.checkpointId === checkpointId ? ofTechnique.get(one.strikeId) : undefined;
      const { value, doubt, degrees } = one;
      return strike?.view === view ? [{ ...strike, value, doubt, degrees, amiss: verdictIn(band, value) !== 'clean' }] : [];
    });
    if (marks.length === 0) return [];
    const name = asked.name + (views.length > 1 ? ` (${viewNames[view].toLowerCase()})` : '');
    const rate = rates.find((one) => one.technique === technique && one.checkpointId === checkpointId && one.view === view);
    return [{ ...asked, key: `${checkpointId} ${view}`, view, name, marks, rate }];
  };
  const rows = views.flatMap((view) =>
    checklistFor(checklists, technique, { ...judging, view })
      .flatMap((row) => askedBy(row, checklists))
      .flatMap((asked) => rowOf(asked, view)),
  );
  const worse = (one: SheetRow, other: SheetRow): number =>
    (other.rate?.low ?? -1) - (one.rate?.low ?? -1) || (other.rate?.rate ?? 0) - (one.rate?.rate ?? 0);
  const inWalk = ({ family }: SheetRow): number => (family ? families.indexOf(family) : families.length);
  return order === 'amiss' ? rows.sort(worse) : rows.sort((one, other) => inWalk(one) - inWalk(other));
}

/** The strikes of a row that lie furthest beyond what is clean. */
export const furthestOut = ({ band, marks }: SheetRow, most = 3): SheetMark[] =>
  marks
    .filter(({ amiss }) => amiss)
    .sort((one, other) => beyondClean(band, other.value) - beyondClean(band, one.value))
    .slice(0, most);

/** Wider than this, an interval says hardly more than nothing, unless it begins here: that often at least is often enough to look. */
const [hardlyAnything, oftenEnough] = [0.6, 0.25];
/** Whether measures alone say anything of a rate. */
export const tellsSomething = ({ low, high }: Pick<MeasuredRateOfSession, 'low' | 'high'>): boolean =>
  high - low <= hardlyAnything || low >= oftenEnough;

/** The rate of one thing in a session from the side that says most about it; undefined where measures say nothing of it. */
export const toldRate = (
  rates: readonly MeasuredRateOfSession[],
  technique: string,
  checkpointId: string,
): MeasuredRateOfSession | undefined =>
  rates
    .filter((one) => one.technique === technique && one.checkpointId === checkpointId && tellsSomething(one))
    .sort((one, other) => one.high - one.low - (other.high - other.low))[0];

/** Fewer strikes than this, likely, are not worth a line. */
const worthALine = 1;
/** What measures found in strikes of a technique that nobody has judged by it: worst first. */
export const ratesNobodyJudged = (
  rates: readonly MeasuredRateOfSession[],
  technique: string,
  judged: readonly string[],
): MeasuredRateOfSession[] =>
  [...new Set(rates.filter((rate) => rate.technique === technique).map(({ checkpointId }) => checkpointId))]
    .filter((checkpointId) => !judged.includes(checkpointId))
    .flatMap((checkpointId) => toldRate(rates, technique, checkpointId) ?? [])
    .filter((rate) => rate.fault + rate.watch / 2 >= worthALine)
    .sort((one, other) => other.low - one.low);
