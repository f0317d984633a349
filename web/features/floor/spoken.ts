import { ref, watch } from 'vue';
import { remember, remembered } from '../../app/remembered.ts';

const isSwitch = (kept: unknown): kept is boolean => typeof kept === 'boolean';

/** Whether calls are spoken: only where the browser can, and as it was chosen here last. */
export function useSpeech() {
  const can = 'speechSynthesis' in window;
  const on = ref(can && (remembered('wax.floor-speaks', isSwitch) ?? true));
  watch(on, (now) => {
    remember('wax.floor-speaks', now);
    if (!now && can) window.speechSynthesis.cancel();
  });
  return {
    can,
    on,
    say(words: string): void {
      if (!on.value) return;
      // What is not said yet is late already.
      window.speechSynthesis.cancel();
      window.speechSynthesis.speak(Object.assign(new SpeechSynthesisUtterance(words), { lang: 'en', rate: 1.1 }));
    },
  };
}
