<script setup lang="ts">
import { computed } from 'vue';
import { useReview } from './review-store.ts';
import type { Pins } from './use-pins.ts';
import type { WhoseBody } from './use-pointed-body.ts';
import type { PinKey } from './pin-keys.ts';
import { useBenchContext } from './bench-context.ts';
import PictureBar from './PictureBar.vue';
import { reviewWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** What can be done with the point in hand, and how many are put right in this film. */
const { pins, whose } = defineProps<{ pins: Pins; whose: WhoseBody }>();
const { keys: benchKeys } = useBenchContext();
const review = useReview();
const { picked } = pins;
const states = { here: words.putRightByHand, hidden: words.hiddenHere, free: words.asFound };
/** Every key that a point in hand has is on the panel of keys. */
const acts = computed<{ key: PinKey; name: string; act: () => void; off?: boolean }[]>(() => [
  { key: 'here', name: words.rightSo, act: pins.right },
  { key: 'as-before', name: words.before, act: () => pins.asIn(-1) },
  { key: 'as-after', name: words.after, act: () => pins.asIn(1) },
  { key: 'hide', name: words.hidden, act: pins.hide },
  { key: 'free', name: words.takeBack, act: pins.free, off: picked.value?.said === 'free' },
]);
</script>

<template>
  <PictureBar :label="words.pointsByHand">
    <template v-if="picked">
      <p><b>{{ picked.name }}</b> <span class="quiet">{{ states[picked.said] }}{{ picked.by ? `, ${picked.by}` : '' }}</span></p>
      <button v-for="{ key, name, act, off } in acts" :key="key" type="button" :disabled="off" @click="act">
        {{ name }} <kbd>{{ pins.keys.drawn(key) }}</kbd>
      </button>
    </template>
    <p v-else>
      <TextWith :text="words.dragAPointToWhere">
        <template #key>
          <kbd>Tab</kbd>
        </template>
        <template #putRight>
          <span class="quiet">{{ words.pointPutRightInThis(review.pins.length) }}</span>
        </template>
      </TextWith>
    </p>
    <button type="button" class="end" @click="whose.toggle">
      {{ words.someoneElse }} <kbd>{{ benchKeys.drawn('whose') }}</kbd>
    </button>
    <button type="button" @click="pins.toggle">{{ words.done }} <kbd>{{ benchKeys.drawn('pins') }}</kbd></button>
  </PictureBar>
</template>
