import {
  mdiArrowUpBold,
  mdiBullseyeArrow,
  mdiFire,
  mdiFlagCheckered,
  mdiShuffleVariant,
  mdiSnowflake,
  mdiTimerSandEmpty,
  mdiTortoise,
} from '@mdi/js';
import type { PartKind } from '@wax-fist/core/plan';

/** A sign for each kind of part: its shape tells it without its colour. */
export const partSigns: Readonly<Record<PartKind, string>> = {
  'warm-up': mdiFire,
  low: mdiTortoise,
  up: mdiArrowUpBold,
  technique: mdiFlagCheckered,
  free: mdiShuffleVariant,
  're-check': mdiBullseyeArrow,
  wait: mdiTimerSandEmpty,
  'cool-down': mdiSnowflake,
};
