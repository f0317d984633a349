import { usuallyStarred, type CheckpointId } from '@wax-fist/core/technique';
import { ref, type Ref } from 'vue';
import { isListOfText, remember, remembered } from '../../app/remembered.ts';

const rememberedAs = 'wax.stars';

/** The rows of the coach's short walk, remembered in this browser. */
export function useStarredCheckpoints(): { stars: Ref<readonly CheckpointId[]>; toggle: (id: CheckpointId) => void } {
  const stars = ref<readonly CheckpointId[]>(remembered(rememberedAs, isListOfText) ?? usuallyStarred);
  return {
    stars,
    toggle(id) {
      stars.value = stars.value.includes(id) ? stars.value.filter((other) => other !== id) : [...stars.value, id];
      remember(rememberedAs, stars.value);
    },
  };
}
