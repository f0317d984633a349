import { answerEndpoints } from '@wax-fist/contract/answers';
import type { Thing } from '@wax-fist/core/correction';
import { messageOf } from '@wax-fist/core/message-of';
import { v7 as uuid } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { correctionsWords as words } from './words.ts';

/** The order in which a coach would mend what a session showed, against the sum: as it was said, and as it is being moved about. */
export function useOwnOrder(sessionId: string) {
  const params = { sessionId };
  const notice = useNotice();
  const { value: said, again } = useAnswer(() => request(answerEndpoints.sessionOrder, { params }));
  /** Moved about, and not said yet. */
  const draft = shallowRef<readonly Thing[]>();
  const reason = ref('');
  const failure = ref<string>();
  const placed = computed(() => draft.value ?? said.value?.placed);

  async function say(order: readonly Thing[], why: string): Promise<void> {
    const things = order.map(({ technique, checkpointId }) => ({ technique, checkpointId }));
    await request(answerEndpoints.orderSession, { params, body: { id: uuid(), placed: things, reason: why } });
    draft.value = undefined;
    await again();
  }
  const tried = async (doing: () => Promise<void>): Promise<void> => {
    failure.value = undefined;
    await doing().catch((error: unknown) => (failure.value = messageOf(error)));
  };
  return {
    said,
    draft,
    reason,
    failure,
    placed,
    move: (order: readonly Thing[]): void => void (draft.value = order),
    leave(): void {
      draft.value = undefined;
      failure.value = undefined;
    },
    keep: () =>
      tried(async () => {
        const before = said.value;
        await say(draft.value!, reason.value.trim());
        reason.value = '';
        notice.say(words.yourOrderStandsWithIts, () => say(before?.placed ?? [], before?.reason ?? ''));
      }),
    backToSum: () =>
      tried(async () => {
        const before = said.value!;
        await say([], '');
        notice.say(words.theSumTellsTheOrder, () => say(before.placed, before.reason));
      }),
  };
}
