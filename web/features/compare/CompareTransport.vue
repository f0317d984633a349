<script setup lang="ts">
import { mdiPause, mdiPlay, mdiSkipNext, mdiSkipPrevious } from '@mdi/js';
import { momentNames, moments, type Moment } from '@wax-fist/core/strikes';
import type { Keys } from '../../app/keys/use-keys.ts';
import { speedNames } from '../../player/playback.ts';
import type { CompareKey } from './compare-keys.ts';
import { instantInWords } from './compare-words.ts';
import { compareSpeeds, type Comparison } from './use-comparison.ts';
import { compareWords as words } from './words.ts';

/** Moves both in time, says at what they are locked, and how they are laid out. */
const { comparison, keys } = defineProps<{
  comparison: Comparison;
  keys: Keys<CompareKey>;
  over: boolean;
  asFilmed: boolean;
  mirrored: boolean;
}>();
defineEmits<{ do: [what: CompareKey]; lock: [moment: Moment] }>();
const { lock, instant, frames, speed, playing } = comparison;
</script>

<template>
  <div class="transport">
    <VBtn
      :icon="mdiSkipPrevious"
      size="x-small"
      variant="text"
      :aria-label="words.oneFrameBack"
      @click="$emit('do', 'frame-back')"
    />
    <VBtn
      :icon="playing ? mdiPause : mdiPlay"
      size="small"
      variant="tonal"
      color="primary"
      :aria-label="playing ? words.stop : words.playRoundAndRound"
      :title="keys.drawn('play')"
      @click="$emit('do', 'play')"
    />
    <VBtn :icon="mdiSkipNext" size="x-small" variant="text" :aria-label="words.oneFrameOn" @click="$emit('do', 'frame-on')" />
    <div class="group" role="group" :aria-label="words.speed">
      <button v-for="one in compareSpeeds" :key="one" type="button" :aria-pressed="speed === one" @click="speed = one">
        {{ speedNames[one] }}
      </button>
    </div>
    <div class="group" role="group" :aria-label="words.lockedAt">
      <button
        v-for="moment in moments"
        :key="moment"
        type="button"
        :aria-pressed="lock === moment"
        @click="$emit('lock', moment)"
      >
        {{ momentNames[moment] }} <kbd>{{ keys.drawn(`lock-${moment}`) }}</kbd>
      </button>
    </div>
    <span class="number where" role="status">
      {{ instantInWords(instant, lock) }} <span class="quiet">{{ words.framesAnd(frames[0], frames[1]) }}</span>
    </span>
    <VSpacer />
    <div class="group" role="group" :aria-label="words.picture">
      <button type="button" :aria-pressed="over" @click="$emit('do', 'over')">
        {{ words.oneOverTheOther }} <kbd>{{ keys.drawn('over') }}</kbd>
      </button>
      <button type="button" :aria-pressed="mirrored" @click="$emit('do', 'mirror')">
        {{ words.seenMirrored }} <kbd>{{ keys.drawn('mirror') }}</kbd>
      </button>
      <button type="button" :aria-pressed="asFilmed" @click="$emit('do', 'as-filmed')">
        {{ words.asFilmed }} <kbd>{{ keys.drawn('as-filmed') }}</kbd>
      </button>
    </div>
  </div>
</template>

<style scoped>
.transport {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2) var(--space-3);
}
.group {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1);
}
.group button {
  padding: var(--space-1) var(--space-2);
  border: 1px solid var(--line);
  border-radius: 3px;
  font-size: var(--type-small);
}
.group button[aria-pressed='true'] {
  background: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-primary));
  border-color: transparent;
}
.where {
  min-width: 270px;
}
</style>
