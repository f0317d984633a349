<script setup lang="ts">
/** Both strikes, beside each other or one seen through the other. */
import type { OnTheWay, Placement } from '@wax-fist/core/compare';
import { computed } from 'vue';
import { sideInWords } from './compare-words.ts';
import type { ComparedSide, FilmedSide } from './compared-side.ts';
import ComparedPicture from './ComparedPicture.vue';
import { compareWords as words } from './words.ts';

const { first } = defineProps<{
  first: FilmedSide;
  second: ComparedSide;
  /** Changes when the first one is held against another. */
  secondKey: string;
  frames: readonly [number, number];
  /** Of the second one, in the picture of the first. */
  placement: Placement;
  paths: readonly (readonly OnTheWay[])[];
  over: boolean;
}>();
/** In whose picture both are laid. */
const into = computed(() => first.picture);
defineEmits<{ 'first-shown': []; 'second-shown': [] }>();
</script>

<template>
  <section
    class="stages"
    :class="{ over }"
    :style="{ '--shape': `${into.width} / ${into.height}`, '--ratio': into.width / into.height }"
    :aria-label="words.bothStrikes"
  >
    <figure class="stage-of">
      <div class="frame">
        <ComparedPicture :side="first" :frame="frames[0]" :into="into" :path="paths[0]" @ready="$emit('first-shown')" />
        <ComparedPicture
          v-if="over"
          :key="secondKey"
          :side="second"
          :frame="frames[1]"
          :into="into"
          :placement="placement"
          :path="paths[1]"
          class="second through"
          @ready="$emit('second-shown')"
        />
      </div>
      <figcaption>
        <b>{{ words.first }}</b> {{ sideInWords(first) }}
        <template v-if="over"><b class="ml-4">{{ words.secondSeenThroughIt }}</b> {{ sideInWords(second) }}</template>
      </figcaption>
    </figure>
    <figure v-if="!over" class="stage-of">
      <div class="frame">
        <ComparedPicture
          :key="secondKey"
          :side="second"
          :frame="frames[1]"
          :into="into"
          :placement="placement"
          :path="paths[1]"
          class="second"
          @ready="$emit('second-shown')"
        />
      </div>
      <figcaption>
        <b>{{ words.second }}</b> {{ sideInWords(second) }}<template v-if="placement.mirrored">{{ words.mirrored }}</template>
      </figcaption>
    </figure>
  </section>
</template>

<style scoped>
.stages {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-2);
}
.stages.over {
  grid-template-columns: 1fr;
  justify-items: center;
}
.stage-of {
  margin: 0;
  min-width: 0;
  width: 100%;
}
.over .stage-of {
  /* As high as leaves room for what differs. */
  width: min(100%, 56vh * var(--ratio));
}
.frame {
  position: relative;
  overflow: hidden;
  aspect-ratio: var(--shape);
  background: var(--picture);
}
.second {
  --way: var(--second);
}
.through {
  opacity: 0.5;
}
figcaption {
  font-size: var(--type-small);
  padding: var(--space-1) var(--space-0-5);
}
</style>
