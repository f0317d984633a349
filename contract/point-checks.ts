import { pointNames, pointParts } from '@wax-fist/core/body';
import { pointSides } from '@wax-fist/core/measure';
import { array, number, object, string, type InferType } from 'yup';
import { endpoint, staff, whoAddedIt } from './endpoint.ts';
import { filmShape } from './footage.ts';
import { count, frame, id } from './shapes.ts';

const ratio = () => number().positive().required();

/** How much wider than trials say points are off here, see `Learned`. */
const learned = { wider: ratio(), low: ratio(), high: ratio(), checks: count(), hidden: count() };
export const learnedShape = object(learned);

/** The same of one kind of point. */
export const learnedKindShape = object({
  part: string().oneOf(pointParts).required(),
  seen: string().oneOf(pointSides).required(),
  ...learned,
});
export type LearnedKind = InferType<typeof learnedKindShape>;

/** What checks of points have told of a club’s own films. */
export const pointChecksShape = object({
  all: learnedShape.required(),
  kinds: array(learnedKindShape.required()).required(),
  /** What is doubted because of it, see `Widenings`. */
  widenings: object({ all: ratio(), of: object().required() }).required(),
  /** Films with a body in which points may be asked for. */
  films: count(),
});
export type PointChecks = InferType<typeof pointChecksShape>;

/** A point that is asked for: in which frame, and the part of the picture in which the body is, in pixels of the film. */
export const askedPointShape = object({
  film: filmShape.required(),
  frame: frame(),
  point: string().oneOf(pointNames).required(),
  /** From where that side of the body is seen. */
  seen: string().oneOf(pointSides).required(),
  box: object({ x: number().required(), y: number().required(), width: ratio(), height: ratio() }).required(),
});
export type AskedPoint = InferType<typeof askedPointShape>;

const place = () => number().nullable().defined();
/** Where a point is that was asked for, in pixels of the film; null and null where it cannot be seen. */
export const saidPointShape = object({
  filmId: id(),
  frame: frame(),
  point: string().oneOf(pointNames).required(),
  x: place(),
  y: place(),
}).test('both or none', 'A place has two numbers.', ({ x, y }) => (x === null) === (y === null));
export type SaidPoint = InferType<typeof saidPointShape>;

/** Points of the body that a coach is asked for at random, so that it is known how far the model is off in this club’s films. */
export const pointCheckEndpoints = {
  pointChecks: endpoint('GET', '/api/point-checks', staff, { reply: pointChecksShape }),
  /** Points that were chosen at random; none where nobody was followed yet. */
  askedPoints: endpoint('GET', '/api/asked-points', staff, { reply: array(askedPointShape.required()).required() }),
  /** Said again under the same id it takes the place of what was said before. */
  sayPoint: endpoint('PUT', '/api/point-checks/:checkId', staff, { body: saidPointShape }),
  takePointBack: endpoint('DELETE', '/api/point-checks/:checkId', whoAddedIt),
};
