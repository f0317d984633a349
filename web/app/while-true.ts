import { useDocumentVisibility, useTimeoutFn } from '@vueuse/core';
import { watch, type Ref } from 'vue';

/**
 * Does something again and again as long as something holds and the page can be seen. The next time is counted from the end of
 * the last, so that a slow server is not asked twice at once.
 * @param every milliseconds
 */
export function whileTrue(holds: Ref<boolean | undefined>, act: () => Promise<void>, every: number): void {
  const seen = useDocumentVisibility();
  const wanted = (): boolean => holds.value === true && seen.value === 'visible';
  const { start, stop } = useTimeoutFn(
    async () => {
      await act();
      if (wanted()) start();
    },
    every,
    { immediate: false },
  );
  watch(wanted, (now) => (now ? start() : stop()), { immediate: true });
}
