import type { Counterpart } from '@wax-fist/contract/compare';
import { rungName } from '@wax-fist/core/correction';
import { momentNames, type Moment } from '@wax-fist/core/strikes';
import { techniqueName, viewNames } from '@wax-fist/core/technique';
import type { Ms } from '@wax-fist/core/units';
import { shortDay } from '@wax-fist/core/words';
import type { ComparedSide } from './compared-side.ts';

/** Which strike it is. */
export function sideInWords({ strike, catalogue, technique }: ComparedSide): string {
  if (!strike)
    return `drawn, nobody who was filmed: ${(technique?.name ?? '').toLowerCase()}, thrown cleanly as the usual school has it`;
  return [
    `${strike.traineeName}, ${shortDay(strike.heldOn)}`,
    techniqueName(catalogue, strike.technique).toLowerCase(),
    strike.stance,
    viewNames[strike.film.view].toLowerCase(),
    rungName(strike.rung).toLowerCase(),
  ].join(', ');
}

/** With what it is compared. */
export const counterpartNames: Readonly<Record<Counterpart['kind'], string>> = {
  'last-time': 'Last time',
  cleanest: 'The cleanest',
  'other-side': 'The other side',
  'somebody-else': 'Somebody else',
};

/** Where the clock stands. */
export function instantInWords(instant: Ms, lock: Moment): string {
  const time = Math.round(instant);
  const moment = momentNames[lock].toLowerCase();
  if (time === 0) return `at ${moment}`;
  return time < 0 ? `${-time} ms before ${moment}` : `${time} ms after ${moment}`;
}
