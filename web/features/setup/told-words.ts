import { lengthInWords, smallLengthInWords, type Told } from '@wax-fist/core/setup';
import type { UnitSystem } from '@wax-fist/core/words';

/** A length with what it may be off by; one that was measured as well as a tape does it is told alone. */
export const toldInWords = ({ value, error }: Told, units: UnitSystem): string =>
  error < 0.5 ? lengthInWords(value, units) : `${lengthInWords(value, units)} ± ${smallLengthInWords(Math.max(1, error), units)}`;
