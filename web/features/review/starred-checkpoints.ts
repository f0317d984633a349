import { usuallyStarred, type CheckpointId } from '@wax-fist/core/technique';
import { ref, type Ref } from 'vue';

const rememberedAs = 'wax.stars';

/** The rows of the coach's short walk, remembered in this browser. */
export function useStarredCheckpoints(): { stars: Ref<readonly CheckpointId[]>; toggle: (id: CheckpointId) => void } {
  const kept: unknown = JSON.parse(localStorage.getItem(rememberedAs) ?? 'null');
  const stars = ref<readonly CheckpointId[]>(Array.isArray(kept) ? kept.filter((id) => typeof id === 'string') : usuallyStarred);
  return {
    stars,
    toggle(id) {
      stars.value = stars.value.includes(id) ? stars.value.filter((other) => other !== id) : [...stars.value, id];
      localStorage.setItem(rememberedAs, JSON.stringify(stars.value));
    },
  };
}
