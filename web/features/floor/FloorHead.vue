<script setup lang="ts">
import { mdiArrowLeft, mdiFullscreen, mdiVideoOffOutline, mdiVideoOutline, mdiVolumeHigh, mdiVolumeOff } from '@mdi/js';
import type { PlanPart } from '@wax-fist/core/plan';
import { useFullscreen } from '@vueuse/core';
import { computed } from 'vue';
import TextWith from '../../app/TextWith.vue';
import type { FloorTimer } from './use-floor-timer.ts';
import { floorWords as words } from './words.ts';

/** Which round of what is on, the way back, and what the clock may do besides: film, speak, fill the screen. */
const { timer, part, maySpeak, mayFilm } = defineProps<{
  timer: FloorTimer;
  part: PlanPart | undefined;
  maySpeak: boolean;
  mayFilm: boolean;
}>();
const speaks = defineModel<boolean>('speaks', { required: true });
const filming = defineModel<boolean>('filming', { required: true });
const { toggle: fullScreen, isSupported: mayFill } = useFullscreen();
const stretch = timer.stretch;
const planId = computed(() => timer.state.value.plan.id);
</script>

<template>
  <header>
    <VBtn
      :icon="mdiArrowLeft"
      variant="text"
      :to="{ name: 'plan', params: { planId: planId } }"
      :aria-label="words.backToThePlan"
      :title="words.backToThePlan"
    />
    <p class="round">
      <template v-if="part && stretch">
        <b>{{ part.title }}</b
        ><template v-if="part.rounds > 1">
          <TextWith :text="words.roundOf">
            <template #round>
              <span class="number">{{ stretch.round }}</span>
            </template>
            <template #rounds>
              <span class="number">{{ part.rounds }}</span>
            </template>
          </TextWith>
        </template>
      </template>
      <b v-else>{{ words.allDone }}</b>
    </p>
    <VBtn
      v-if="mayFilm"
      :icon="filming ? mdiVideoOutline : mdiVideoOffOutline"
      variant="text"
      :aria-pressed="filming"
      :aria-label="words.filmsWhatIsToBe"
      :title="words.filmsWhatIsToBe"
      @click="filming = !filming"
    />
    <VBtn
      v-if="maySpeak"
      :icon="speaks ? mdiVolumeHigh : mdiVolumeOff"
      variant="text"
      :aria-pressed="speaks"
      :aria-label="words.callsAreSpoken"
      :title="words.callsAreSpoken"
      @click="speaks = !speaks"
    />
    <VBtn
      v-if="mayFill"
      :icon="mdiFullscreen"
      variant="text"
      :aria-label="words.fullScreen"
      :title="words.fullScreenF"
      @click="fullScreen"
    />
  </header>
</template>

<style scoped>
header {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  width: 100%;
}
.round {
  flex: 1;
  font-size: clamp(18px, 3.2vw, 34px);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
