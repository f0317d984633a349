import { stillOrigins, stillRoles } from '@wax-fist/core/card';
import { frequencies } from '@wax-fist/core/correction';
import { families, views } from '@wax-fist/core/technique';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { coaches, costly, endpoint, seen, staff, staffAndOwn } from './endpoint.ts';
import { manyIds, paper } from './reports.ts';
import { frame, id, rung } from './shapes.ts';

const place = () => object({ x: number().required(), y: number().required() });
const shape = object({
  kind: string().oneOf(['line', 'angle']).required(),
  from: place().required(),
  to: place().required(),
  dashed: boolean().required(),
  /** Of an angle: its corner, and how wide it is. */
  at: place().nullable().default(null),
  degrees: number().nullable().default(null),
});
const role = () => string().oneOf(stillRoles).required();

/** A still of a card, see `CardStill`. Its part and what is drawn over it are in pixels of the picture. */
export const cardStillShape = object({
  role: role(),
  strikeId: id(),
  filmId: id(),
  view: string().oneOf(views).required(),
  heldOn: string().required(),
  frame: frame(),
  /** Between these the coach may set it. */
  fromFrame: frame(),
  toFrame: frame(),
  origin: string().oneOf(stillOrigins).required(),
  part: object({
    x: number().required(),
    y: number().required(),
    width: number().required(),
    height: number().required(),
  }).required(),
  shapes: array(shape.required()).required(),
});

/** What a trainee takes home: one cue, three stills, the drill, how it stands and when it is looked at again. */
export const cardShape = object({
  correctionId: id(),
  traineeId: id(),
  traineeName: string().required(),
  technique: string().required(),
  name: string().required(),
  family: string().oneOf(families).nullable().defined(),
  cue: string().required(),
  /** With its dose and how often; empty where none is given. */
  drill: string().defined(),
  /** How often it is done; null where nobody said. */
  often: string().oneOf(frequencies).nullable().defined(),
  /** How it should be, and why, in a sentence each; empty where the checklists no longer have it. */
  why: string().defined(),
  rung: rung().required(),
  target: number().required(),
  /** As it was counted last; null where it was not. */
  counted: object({ of: string().required(), says: string().required() }).nullable().defined(),
  recheckOn: string().nullable().defined(),
  madeOn: string().required(),
  stills: array(cardStillShape.required()).required(),
  /** A link that opens it for whoever has it; null where nobody made one. */
  link: object({ code: string().required(), endsOn: string().required() }).nullable().defined(),
});
export type Card = InferType<typeof cardShape>;
export type CardStillOfFilm = InferType<typeof cardStillShape>;

/** Where a still of a card is taken from; without a frame its usual one. */
export const chosenStillShape = object({
  strikeId: id(),
  frame: number().integer().min(0).nullable().default(null),
});
export type ChosenStill = InferType<typeof chosenStillShape>;

const one = { reply: cardShape };

/** Cards, their stills, and their links. */
export const cardEndpoints = {
  showCard: seen('correction', 'correctionId', endpoint('GET', '/api/corrections/:correctionId/card', staffAndOwn, one)),
  cardStill: endpoint('GET', '/api/corrections/:correctionId/card/stills/:role', staffAndOwn),
  chooseStill: endpoint('PUT', '/api/corrections/:correctionId/card/stills/:role', coaches, { body: chosenStillShape, ...one }),
  /** Cards behind each other, one sheet each. */
  cardsPdf: costly(
    endpoint('GET', '/api/reports/cards.pdf', staff, {
      query: object({ of: manyIds(), paper: paper() }),
    }),
  ),
  /** Makes the link, or lets it last again. */
  linkCard: endpoint('PUT', '/api/corrections/:correctionId/card/link', coaches, one),
  /** From then on nobody gets in by it. */
  withdrawLink: endpoint('DELETE', '/api/corrections/:correctionId/card/link', coaches),
  /** For whoever has the link. */
  sharedCard: endpoint('GET', '/api/shared-cards/:code', 'anyone', one),
  sharedStill: endpoint('GET', '/api/shared-cards/:code/stills/:role', 'anyone'),
};
