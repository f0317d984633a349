<script setup lang="ts">
import { mdiPause, mdiPlay, mdiPlusCircleOutline, mdiSkipNext, mdiSkipPrevious } from '@mdi/js';
import { computed } from 'vue';
import type { FloorTimer } from './use-floor-timer.ts';
import { floorWords as words } from './words.ts';

/** What the timer is worked with: large enough for gloves. */
const { timer } = defineProps<{ timer: FloorTimer; ending: boolean }>();
defineEmits<{ end: [] }>();
const running = computed(() => timer.running.value);
const over = computed(() => timer.over.value);
const begun = computed(() => timer.elapsed.value > 0);
</script>

<template>
  <div class="hands">
    <button type="button" :aria-label="words.back" @click="timer.back"><VIcon :icon="mdiSkipPrevious" size="44" /></button>
    <button v-if="!over" type="button" class="main" @click="timer.toggle">
      <VIcon :icon="running ? mdiPause : mdiPlay" size="52" /> {{ running ? words.pause : begun ? words.goOn : words.start }}
    </button>
    <button v-if="over || (!running && begun)" type="button" class="main end" :disabled="ending" @click="$emit('end')">
      {{ words.writeItDown }}
    </button>
    <button type="button" :aria-label="words.skip" :disabled="over" @click="timer.skip">
      <VIcon :icon="mdiSkipNext" size="44" />
    </button>
    <button type="button" :aria-label="words.oneMoreRound" @click="timer.oneMore">
      <VIcon :icon="mdiPlusCircleOutline" size="40" /><small>{{ words.oneMore }}</small>
    </button>
  </div>
</template>

<style scoped>
.hands {
  display: flex;
  gap: var(--space-3);
  width: 100%;
  max-width: 1000px;
  margin-top: var(--space-3);
}
.hands button {
  flex: 1 1 0;
  min-width: 0;
  min-height: 96px;
  border-radius: 8px;
  background: var(--sheen);
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  font-size: var(--type-title);
  font-weight: 700;
}
.hands .main {
  flex-grow: 2.4;
  background: var(--chalk);
  color: var(--bench);
}
.hands .end {
  background: var(--steel);
}
.hands button:disabled {
  opacity: 0.35;
}
small {
  font-size: var(--type-small);
}
@media screen and (max-width: 899px) {
  .hands {
    gap: var(--space-2);
  }
  .hands .main {
    flex-grow: 1.8;
  }
  small {
    font-size: var(--type-tiny);
  }
}
</style>
