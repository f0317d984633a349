import { useEventListener } from '@vueuse/core';

/** Has the browser ask before it closes the page, as long as something would be lost. */
export const askBeforeLeaving = (wouldLose: () => boolean): void =>
  void useEventListener(window, 'beforeunload', (event: BeforeUnloadEvent) => {
    if (wouldLose()) event.preventDefault();
  });
