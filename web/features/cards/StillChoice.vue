<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight, mdiImageRefreshOutline } from '@mdi/js';
import type { CardStillOfFilm } from '@wax-fist/contract/cards';
import { computed } from 'vue';
import { cardsWords as words } from './words.ts';

/** The coach sets a still: a frame on or back, or another strike. */
const { still, others } = defineProps<{
  still: CardStillOfFilm;
  /** Strikes that show the same, this one among them. */
  others: readonly string[];
  busy: boolean;
}>();
const emit = defineEmits<{ choose: [choice: { strikeId: string; frame: number | null }] }>();
const step = (frames: number): void => emit('choose', { strikeId: still.strikeId, frame: still.frame + frames });
const origin = computed(
  () =>
    ({
      moment: words.asItIsJudged,
      found: words.whereItLeavesTheClean,
      likely: words.halfWayLookYourself,
      set: words.setByYou,
    })[still.origin],
);
function another(): void {
  const next = others[(others.indexOf(still.strikeId) + 1) % others.length];
  if (next) emit('choose', { strikeId: next, frame: null });
}
</script>

<template>
  <span class="no-print choice">
    <VBtn
      :icon="mdiChevronLeft"
      size="small"
      variant="text"
      :disabled="busy || still.frame <= still.fromFrame"
      :aria-label="words.aFrameBack"
      @click="step(-1)"
    />
    <VBtn
      :icon="mdiChevronRight"
      size="small"
      variant="text"
      :disabled="busy || still.frame >= still.toFrame"
      :aria-label="words.aFrameOn"
      @click="step(1)"
    />
    <VBtn
      v-if="others.length > 1"
      :icon="mdiImageRefreshOutline"
      size="small"
      variant="text"
      :disabled="busy"
      :aria-label="words.anotherStrike"
      :title="words.anotherStrike"
      @click="another"
    />
    <span class="quiet">{{ origin }}</span>
  </span>
</template>

<style scoped>
.choice {
  display: flex;
  align-items: center;
  font-size: var(--type-small);
}
</style>
