import { inCentimetres, lengthOf, type BodyLength } from '@wax-fist/core/measure';
import { isMeasureId, measures } from '@wax-fist/core/technique';

const lengthNames: Record<BodyLength, string> = {
  head: 'heads',
  forearm: 'forearms',
  torso: 'trunks',
  foot: 'feet',
  shoulders: 'shoulder widths',
};

/** A value in the unit of its measure, as short as it is still true; a length in centimetres where the stature is known. */
export function valueInWords(measure: string, value: number, stature: number | null = null): string {
  const cm = stature === null ? undefined : inCentimetres(measure, { value, doubt: 0 }, stature);
  if (cm) return `${Math.round(cm.value)} cm`;
  const unit = isMeasureId(measure) ? measures[measure].unit : 'ratio';
  if (unit === 'milliseconds') return `${Math.round(value)} ms`;
  return unit === 'degrees' ? `${Math.round(value)}°` : String(Number(value.toFixed(2)) || 0);
}

/** A doubt by itself, in centimetres where it is a length and the stature is known. */
export function doubtInWords(measure: string, doubt: number, stature: number | null): string {
  const cm = stature === null ? undefined : inCentimetres(measure, { value: 0, doubt }, stature);
  return cm ? `${Math.max(1, Math.round(cm.doubt))} cm` : valueInWords(measure, doubt);
}

/**
 * A value with its doubt: in centimetres where it is a length and the stature is known, else in what the measure is told in.
 * @param stature centimetres
 */
export function measuredInWords(
  measure: string,
  measured: { value: number; doubt: number },
  stature: number | null = null,
): string {
  const cm = stature === null ? undefined : inCentimetres(measure, measured, stature);
  if (cm) return `${Math.round(cm.value)} ± ${Math.max(1, Math.round(cm.doubt))} cm`;
  const length = lengthOf(measure);
  const told = `${valueInWords(measure, measured.value)} ± ${valueInWords(measure, measured.doubt)}`;
  return length ? `${told} ${lengthNames[length]}` : told;
}
