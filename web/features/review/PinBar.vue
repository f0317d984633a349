<script setup lang="ts">
import { computed } from 'vue';
import { counted } from '@wax-fist/core/words';
import { useReview } from './review-store.ts';
import type { Pins } from './use-pins.ts';
import type { WhoseBody } from './use-pointed-body.ts';
import type { PinKey } from './pin-keys.ts';
import { useBenchContext } from './bench-context.ts';
import PictureBar from './PictureBar.vue';

/** What can be done with the point in hand, and how many are put right in this film. */
const { pins, whose } = defineProps<{ pins: Pins; whose: WhoseBody }>();
const { keys: benchKeys } = useBenchContext();
const review = useReview();
const { picked } = pins;
const states = { here: 'put right by hand', hidden: 'hidden here', free: 'as found' };
/** Every key that a point in hand has is on the panel of keys. */
const acts = computed<{ key: PinKey; name: string; act: () => void; off?: boolean }[]>(() => [
  { key: 'here', name: 'Right so', act: pins.right },
  { key: 'as-before', name: 'Before', act: () => pins.asIn(-1) },
  { key: 'as-after', name: 'After', act: () => pins.asIn(1) },
  { key: 'hide', name: 'Hidden', act: pins.hide },
  { key: 'free', name: 'Take back', act: pins.free, off: picked.value?.said === 'free' },
]);
</script>

<template>
  <PictureBar label="Points by hand">
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
    <button type="button" class="end" @click="whose.toggle">
      Someone else <kbd>{{ benchKeys.drawn('whose') }}</kbd>
    </button>
    <button type="button" @click="pins.toggle">
      Done <kbd>{{ benchKeys.drawn('pins') }}</kbd>
    </button>
  </PictureBar>
</template>
