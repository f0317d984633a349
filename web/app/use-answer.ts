import { useDocumentVisibility } from '@vueuse/core';
import { messageOf } from '@wax-fist/core/message-of';
import { ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue';

export interface ServerAnswer<T> {
  value: ShallowRef<T | undefined>;
  failure: Ref<string | undefined>;
  loading: Ref<boolean>;
  /** Asks again; what is shown stays until the answer is here. */
  again: () => Promise<void>;
}

/** Something a page needs from the server: asked at once, and again whenever the page comes back into view. */
export function useAnswer<T>(question: () => Promise<T>): ServerAnswer<T> {
  const value = shallowRef<T>();
  const failure = ref<string>();
  const loading = ref(true);
  let latest = 0;
  const again = async (): Promise<void> => {
    const turn = ++latest;
    loading.value = true;
    try {
      const answer = await question();
      if (turn !== latest) return;
      value.value = answer;
      failure.value = undefined;
    } catch (error) {
      if (turn === latest) failure.value = messageOf(error);
    } finally {
      if (turn === latest) loading.value = false;
    }
  };
  const seen = useDocumentVisibility();
  watch(seen, (now) => now === 'visible' && void again());
  void again();
  return { value, failure, loading, again };
}
