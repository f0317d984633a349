import type { MeasureId } from '../technique/index.ts';
import type { Centimetres, Ratio } from '../units.ts';

/**
 * Shares of the stature, after Drillis and Contini (1966); a trunk reaches from the middle of the shoulders to that of the hips, and
 * the shoulders are as wide as their joints lie apart.
 */
const ofStature = { head: 0.13, forearm: 0.146, torso: 0.288, foot: 0.152, shoulders: 0.21 } as const;
/** A length of a body in which something is told. */
export type BodyLength = keyof typeof ofStature;

/** In which length of the body a measure is told; those that are told in something else have no centimetres. */
const lengths: Readonly<Partial<Record<MeasureId, BodyLength>>> = {
  'stance-width': 'shoulders',
  'stance-length': 'torso',
  'heel-height': 'foot',
  'guard-height': 'head',
  'other-hand-drop': 'head',
  'kick-hand-drop': 'head',
  'return-drop': 'forearm',
  'home-miss': 'head',
  'shoulder-chin': 'head',
  'pre-move': 'forearm',
  'wind-up': 'forearm',
  overrun: 'shoulders',
  'step-length': 'torso',
  'rear-slide': 'foot',
  'hip-travel': 'torso',
  'target-height': 'torso',
  'hand-travel': 'forearm',
  'fist-elbow': 'forearm',
  'switch-drift': 'shoulders',
};
/** In which length of the body a measure is told; undefined where it is no length. */
export const lengthOf = (measure: string): BodyLength | undefined =>
  (lengths as Readonly<Record<string, BodyLength | undefined>>)[measure];

/** People of one stature differ in a length by about this, one standard deviation: an assumption, on the safe side. */
const personToPerson: Ratio = 0.06;

/**
 * A measured length in centimetres of somebody of this stature, with the doubt about how they are built; undefined where the measure
 * is no length of the body.
 */
export function inCentimetres(
  measure: string,
  { value, doubt }: { value: number; doubt: number },
  stature: Centimetres,
): { value: Centimetres; doubt: Centimetres } | undefined {
  const length = lengthOf(measure);
  if (!length) return undefined;
  const unit = ofStature[length] * stature;
  return { value: value * unit, doubt: unit * Math.hypot(doubt, value * personToPerson) };
}
