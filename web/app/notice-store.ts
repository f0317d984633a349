import { messageOf } from '@wax-fist/core/message-of';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { appWords as words } from './words.ts';

interface Notice {
  says: string;
  /** Takes it back; where there is no way back it was asked before. */
  undo?: () => Promise<unknown>;
}

/** What was done, said in a line at the foot of the page, with the way back as long as it stands there. */
export const useNotice = defineStore('notice', () => {
  const notice = shallowRef<Notice>();
  const open = ref(false);
  /** How many notices there were. */
  const said = ref(0);
  /** How often something was taken back: pages that show it ask again. */
  const undone = ref(0);

  function say(says: string, undo?: Notice['undo']): void {
    notice.value = { says, ...(undo && { undo }) };
    open.value = true;
    said.value++;
  }
  async function takeBack(): Promise<void> {
    const undo = notice.value?.undo;
    open.value = false;
    await undo?.().then(
      () => {
        undone.value++;
        say(words.itIsBack);
      },
      (error: unknown) => say(words.itCouldNotBeTaken(messageOf(error))),
    );
  }
  return { notice, open, said, undone, say, takeBack };
});
