import { pointCheckEndpoints } from '@wax-fist/contract/point-checks';
import { unlearned, type Widenings } from '@wax-fist/core/measure';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { request } from '../../app/request.ts';

/** How much more this club doubts of points than trials say, as its own checks tell; until they are here, what is assumed of all. */
export const useWidenings = defineStore('widenings', () => {
  const now = shallowRef<Widenings>(unlearned);
  let asked: Promise<void> | undefined;
  /** Asks once; what cannot be had now is asked for at the next need. */
  const load = (): Promise<void> =>
    (asked ??= request(pointCheckEndpoints.pointChecks).then(
      ({ widenings }) => void (now.value = widenings),
      () => void (asked = undefined),
    ));
  /** Something was checked since. */
  const forget = (): void => void (asked = undefined);
  return { now, load, forget };
});
