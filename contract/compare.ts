import { verdicts } from '@wax-fist/core/review';
import { momentOrigins } from '@wax-fist/core/strikes';
import { stances } from '@wax-fist/core/technique';
import { array, number, object, string, type InferType } from 'yup';
import { endpoint, staff } from './endpoint.ts';
import { filmShape } from './footage.ts';
import { frame, id, rung } from './shapes.ts';

const origin = () => string().oneOf(momentOrigins).required();
/** A strike with all that it takes to hold it against another one. */
export const comparedStrikeShape = object({
  strikeId: id(),
  technique: string().required(),
  part: number().integer().nullable().defined(),
  launchFrame: frame(),
  contactFrame: frame(),
  homeFrame: frame(),
  launchOrigin: origin(),
  contactOrigin: origin(),
  homeOrigin: origin(),
  film: filmShape.required(),
  traineeId: id(),
  traineeName: string().required(),
  heldOn: string().required(),
  rung: rung().required(),
  /** Which foot leads. */
  stance: string().oneOf(stances).required(),
  checklistVersion: number().required(),
  verdicts: array(
    object({ checkpointId: string().required(), verdict: string().oneOf(verdicts).required() }).required(),
  ).required(),
});
export type ComparedStrike = InferType<typeof comparedStrikeShape>;

/**
 * With what a strike is compared most often: the same one last time, the cleanest of its kind, one of the other side, and the cleanest of
 * somebody else who has agreed to be shown.
 */
export const counterpartKinds = ['last-time', 'cleanest', 'other-side', 'somebody-else'] as const;
export const counterpartShape = object({
  kind: string().oneOf(counterpartKinds).required(),
  strikeId: id(),
  technique: string().required(),
  heldOn: string().required(),
  traineeName: string().required(),
});
export type Counterpart = InferType<typeof counterpartShape>;

/** A strike that shows how something mostly was in a session. */
export const typicalStrikeShape = object({
  strikeId: id(),
  filmId: id(),
  verdict: string().oneOf(verdicts).required(),
});
export type TypicalStrike = InferType<typeof typicalStrikeShape>;

/** Strikes held against each other. */
export const compareEndpoints = {
  comparedStrike: endpoint('GET', '/api/strikes/:strikeId/to-compare', staff, { reply: comparedStrikeShape }),
  /** Those that there are. */
  counterparts: endpoint('GET', '/api/strikes/:strikeId/counterparts', staff, {
    reply: array(counterpartShape.required()).required(),
  }),
  /** One with the verdict that was said most often; null where none was. */
  typicalStrike: endpoint('GET', '/api/sessions/:sessionId/typical-strike', staff, {
    query: object({ technique: string().max(80).required(), checkpointId: string().max(80).required() }),
    reply: typicalStrikeShape.nullable().defined(),
  }),
};
