import { consentEndpoints, type Consent } from '@wax-fist/contract/consents';
import { consentOn } from '@wax-fist/core/trainee';
import { localDay } from '@wax-fist/core/words';
import { computed, watch } from 'vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';

/** Whether somebody may be filmed today, by their own word or their guardian’s. @param traineeId undefined while it is not known who */
export function useConsent(traineeId: () => string | undefined) {
  const { value: words, again } = useAnswer<Consent[] | undefined>(async () => {
    const id = traineeId();
    return id === undefined ? undefined : request(consentEndpoints.traineeConsents, { params: { traineeId: id } });
  });
  watch(traineeId, again);
  const valid = computed(() => words.value && consentOn(words.value, localDay()));
  return {
    ...{ words, again, valid },
    /** Whether it is known that nobody has agreed; without a line nobody knows. */
    missing: computed(() => words.value !== undefined && valid.value === undefined),
  };
}
