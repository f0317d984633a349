import type { Shot } from '@wax-fist/core/plan';
import { viewNames } from '@wax-fist/core/technique';
import { counted } from '@wax-fist/core/words';

/** What is filmed, from where and how, in words. */
export const shotInWords = ({ view, rate, strikes }: Shot): string =>
  `Film ${counted(strikes, 'strike')} from the ${viewNames[view].toLowerCase()}${rate > 0 ? `, at least ${rate} frames a second` : ''}`;
