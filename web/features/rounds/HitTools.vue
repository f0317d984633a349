<script setup lang="ts">
import type { Ms } from '@wax-fist/core/units';
import { anyLevel } from '@wax-fist/core/sound';
import { isAnySeen } from '@wax-fist/core/strikes';
import { computed } from 'vue';
import type { Keys } from '../../app/keys/use-keys.ts';
import { decimal } from '@wax-fist/core/words';
import type { RoundsKey } from './rounds-keys.ts';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import SensitivitySlider from './SensitivitySlider.vue';
import { roundsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** Where hits come from, and how many of them are believed. */
defineProps<{
  keys: Keys<RoundsKey>;
  canHear: boolean;
  canSee: boolean;
  /** Hits are still being looked for. */ listening: boolean;
}>();
const drawing = defineModel<boolean>('drawing', { required: true });
const hitsAndRounds = useHitsAndRounds();
/** Whether ear and eye have anything to say as one. */
const isFollowed = computed(() => isAnySeen(hitsAndRounds.both));
const value = (event: Event): number => Number((event.target as HTMLInputElement).value);
const seconds = (time: Ms): string => `${decimal(time / 1000, 1)} s`;
</script>

<template>
  <div class="tools">
    <p class="count">
      <b class="number">{{ hitsAndRounds.hits.length }}</b> {{ words.hitsAfterNumber(hitsAndRounds.hits.length) }}
      <span class="quiet">{{ words.inCombination(hitsAndRounds.combinations.length) }}</span>
      <span v-if="listening" class="quiet" role="status">{{ words.stillListening }}</span>
    </p>
    <fieldset>
      <legend>{{ words.found }}</legend>
      <label>
        <input
          type="radio"
          name="source"
          :checked="hitsAndRounds.edits.source === 'both'"
          :disabled="!isFollowed"
          @change="hitsAndRounds.changeEdits({ source: 'both' })"
        />
        {{ words.byEarAndEye }} <span v-if="!isFollowed" class="quiet">{{ words.nobodyIsFollowedYet }}</span>
      </label>
      <label>
        <input
          type="radio"
          name="source"
          :checked="hitsAndRounds.edits.source === 'sound'"
          :disabled="!canHear"
          @change="hitsAndRounds.changeEdits({ source: 'sound' })"
        />
        {{ words.byEarAlone }} <span v-if="!canHear" class="quiet">{{ words.thisFilmHasNoSound }}</span>
      </label>
      <label>
        <input
          type="radio"
          name="source"
          :checked="hitsAndRounds.edits.source === 'motion'"
          :disabled="!canSee"
          @change="hitsAndRounds.changeEdits({ source: 'motion' })"
        />
        {{ words.byWhatMovesLessSure }}
        <span v-if="!canSee" class="quiet">{{ words.movementIsNotWorkedOut }}</span>
      </label>
      <button v-if="canSee" type="button" class="region" :aria-pressed="drawing" @click="drawing = !drawing">
        {{ drawing ? words.drawThePartOnThe : words.watchOnlyAPartOf }}
      </button>
    </fieldset>
    <SensitivitySlider />
    <label v-if="hitsAndRounds.edits.source !== 'motion'" class="slider">
      <span>{{ words.anotherBagIsQuieterThan }}</span>
      <input
        type="range"
        :min="anyLevel"
        max="0"
        step="1"
        :value="hitsAndRounds.edits.leastLevel"
        :aria-label="words.levelBelowWhichAHit"
        @input="hitsAndRounds.slideEdits({ leastLevel: value($event) })"
        @change="hitsAndRounds.slid()"
      />
      <span class="number">{{
        hitsAndRounds.edits.leastLevel <= anyLevel ? words.none : words.dbWhat(-hitsAndRounds.edits.leastLevel)
      }}</span>
    </label>
    <label class="slider">
      <span>{{ words.oneCombinationUpTo }}</span>
      <input
        type="range"
        min="200"
        max="3000"
        step="50"
        :value="hitsAndRounds.edits.gap"
        :aria-label="words.longestGapInsideACombination"
        @input="hitsAndRounds.slideEdits({ gap: value($event) })"
        @change="hitsAndRounds.slid()"
      />
      <span class="number">{{ seconds(hitsAndRounds.edits.gap) }}</span>
    </label>
    <p class="hint quiet">
      <TextWith :text="words.fromHitToHitSet">
        <template #key>
          <kbd>{{ keys.drawn('hit-before') }}</kbd>
        </template>
        <template #key2>
          <kbd>{{ keys.drawn('hit-after') }}</kbd>
        </template>
        <template #key3>
          <kbd>{{ keys.drawn('hit-here') }}</kbd>
        </template>
        <template #key4>
          <kbd>{{ keys.drawn('hit-move') }}</kbd>
        </template>
        <template #key5>
          <kbd>{{ keys.drawn('round-from') }}</kbd>
        </template>
        <template #key6>
          <kbd>{{ keys.drawn('round-to') }}</kbd>
        </template>
        <template #key7>
          <kbd>{{ keys.drawn('round-cut') }}</kbd>
        </template>
        <template #key8>
          <kbd>{{ keys.drawn('round-add') }}</kbd>
        </template>
      </TextWith>
    </p>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-direction: column;
  gap: var(--space-2);
  min-width: 0;
}
.count {
  font-size: var(--type-lead);
}
.count b {
  font-size: 34px;
  line-height: 1;
  margin-right: var(--space-1);
}
fieldset {
  border: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: var(--space-0-5);
}
legend {
  padding: 0;
  font-size: var(--type-small);
  color: var(--quiet);
}
input {
  accent-color: rgb(var(--v-theme-primary));
}
.region {
  align-self: flex-start;
  margin-left: var(--space-5);
  color: rgb(var(--v-theme-primary));
  text-decoration: underline dotted;
}
.slider {
  display: flex;
  align-items: center;
  gap: var(--space-2);
}
.slider input {
  flex: 1;
  min-width: 80px;
}
.slider .number {
  min-width: 46px;
}
.hint {
  font-size: var(--type-small);
  line-height: 1.6;
}
</style>
