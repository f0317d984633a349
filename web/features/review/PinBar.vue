<script setup lang="ts">
import { computed } from 'vue';
import { counted } from '../../app/format.ts';
import { useReview } from './review-store.ts';
import type { Pins } from './use-pins.ts';
import type { PinKey } from './pin-keys.ts';
import { useBenchContext } from './bench-context.ts';

/** What can be done with the point in hand, and how many are put right in this film. */
const { pins } = defineProps<{ pins: Pins }>();
const { keys: benchKeys } = useBenchContext();
const review = useReview();
const { picked } = pins;
const states = { here: 'put right by hand', hidden: 'hidden here', free: 'as it was found' };
/** Every key that a point in hand has is on the panel of keys. */
const acts = computed<{ key: PinKey; name: string; act: () => void; off?: boolean }[]>(() => [
  { key: 'here', name: 'Right so', act: pins.right },
  { key: 'as-before', name: 'As before', act: () => pins.asIn(-1) },
  { key: 'as-after', name: 'As after', act: () => pins.asIn(1) },
  { key: 'hide', name: 'Hidden', act: pins.hide },
  { key: 'free', name: 'Take back', act: pins.free, off: picked.value?.said === 'free' },
]);
</script>

<template>
  <section class="pins" aria-label="Points by hand">
    <template v-if="picked">
      <p>
        <b>{{ picked.name }}</b> <span class="quiet">{{ states[picked.said] }}{{ picked.by ? `, ${picked.by}` : '' }}</span>
      </p>
      <button v-for="{ key, name, act, off } in acts" :key="key" type="button" :disabled="off" @click="act">
        {{ name }} <kbd>{{ pins.keys.drawn(key) }}</kbd>
      </button>
    </template>
    <p v-else>
      Drag a point to where it belongs, or reach it with <kbd>Tab</kbd>.
      <span class="quiet">{{ counted(review.pins.length, 'point') }} put right in this film.</span>
    </p>
    <button type="button" class="end" @click="pins.toggle">
      Done <kbd>{{ benchKeys.drawn('pins') }}</kbd>
    </button>
  </section>
</template>

<style scoped>
.pins {
  display: flex;
  align-items: center;
  gap: 4px 6px;
  height: 34px;
  white-space: nowrap;
  overflow: hidden;
  font-size: 13px;
}
p {
  margin: 0 6px 0 0;
  min-width: 168px;
  overflow: hidden;
  text-overflow: ellipsis;
}
button {
  flex: none;
  padding: 3px 8px;
  border: 1px solid #8886;
  border-radius: 4px;
}
button:disabled {
  opacity: 0.45;
}
.end {
  margin-left: auto;
}
</style>
