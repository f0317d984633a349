import { tails, type Degrees } from '@wax-fist/core/measure';
import { views } from '@wax-fist/core/technique';
import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import { endpoint, headCoachOnly, staff } from './endpoint.ts';
import { count, frame, id, milliseconds } from './shapes.ts';

/** A number with its doubt, what of that all strikes of a film share, in the unit of the measure, and its tail: see `tails`. */
export const measuredValueShape = object({
  value: number().required(),
  doubt: number().min(0).required(),
  shared: number().min(0).required(),
  degrees: mixed<Degrees>().oneOf(tails).required(),
});

/** A strike of a session, as far as a sheet of them shows it. */
export const sheetStrikeShape = object({
  strikeId: id(),
  filmId: id(),
  view: string().oneOf(views).required(),
  technique: string().required(),
  contactFrame: frame(),
  /** When it landed, in milliseconds of the film. */
  at: milliseconds(),
});
export type SheetStrike = InferType<typeof sheetStrikeShape>;

/** What was measured of a strike by one checkpoint. */
export const strikeMeasureShape = measuredValueShape.shape({ strikeId: id(), checkpointId: string().required() });
export type StrikeMeasure = InferType<typeof strikeMeasureShape>;

/** The rate that measures alone give, see `measuredRate`. */
export const measuredRateShape = object({
  technique: string().required(),
  checkpointId: string().required(),
  view: string().oneOf(views).required(),
  strikes: count(),
  rate: number().min(0).max(1).required(),
  low: number().min(0).max(1).required(),
  high: number().min(0).max(1).required(),
  clean: number().min(0).required(),
  watch: number().min(0).required(),
  fault: number().min(0).required(),
  /** What the strikes that are not clean come to on the average; null where hardly any is, or on either side. */
  amiss: object({ value: number().required(), doubt: number().min(0).required() })
    .nullable()
    .defined(),
  /** Whether the club lets it count for strikes that nobody has judged. */
  counts: boolean().required(),
});
export type MeasuredRateOfSession = InferType<typeof measuredRateShape>;

/** Everything that was measured in a session. */
export const sessionMeasuresShape = object({
  strikes: array(sheetStrikeShape.required()).required(),
  values: array(strikeMeasureShape.required()).required(),
  rates: array(measuredRateShape.required()).required(),
});
export type SessionMeasures = InferType<typeof sessionMeasuresShape>;

/** How well what is measured of a checkpoint goes along with the coaches of this club, see `agreementOf`. */
export const measureAgreementShape = object({
  checkpointId: string().required(),
  counts: boolean().required(),
  /** Who has last said so; null where nobody has, and where they have left. */
  by: string().nullable().defined(),
  /** Of most strikes it tells too coarsely for their band, and counts for nothing there. */
  coarse: boolean().required(),
  /** How many strikes were measured, and of how many a coach has said something, too. */
  measured: count(),
  strikes: count(),
  /** Null where nothing was said twice. */
  same: number().min(0).max(1).nullable().defined(),
  kappa: number().max(1).nullable().defined(),
  bias: number().min(-1).max(1).nullable().defined(),
});
export type MeasureAgreement = InferType<typeof measureAgreementShape>;

/** What is measured, and how far it is let to count. */
export const measureEndpoints = {
  /** Measures what was not yet, and tells everything. */
  sessionMeasures: endpoint('GET', '/api/sessions/:sessionId/measures', staff, { reply: sessionMeasuresShape }),
  /** A part of what was not measured yet is measured first; `left` tells how many films are still to come. */
  measureAgreements: endpoint('GET', '/api/measures', staff, {
    reply: object({ measures: array(measureAgreementShape.required()).required(), left: count() }),
  }),
  countMeasure: endpoint('PUT', '/api/measures/:checkpoint', headCoachOnly, {
    body: object({ counts: boolean().required() }),
  }),
};
