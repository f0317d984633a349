<script setup lang="ts">
import type { Counterpart } from '@wax-fist/contract/compare';
import { mdiArrowLeft, mdiKeyboardOutline, mdiSwapHorizontal } from '@mdi/js';
import { counterpartKinds } from '@wax-fist/contract/compare';
import { computed } from 'vue';
import type { RouteLocationRaw } from 'vue-router';
import type { Keys } from '../../app/keys/use-keys.ts';
import type { CompareKey } from './compare-keys.ts';
import { counterpartNames } from './compare-words.ts';
import type { ComparedSide, FilmedSide } from './compared-side.ts';
import { isDrawn } from './drawn-side.ts';
import { compareWords as words } from './words.ts';

/** Whose strikes they are, and against what else the first one can be held. */
const { first, second, counterparts, keys } = defineProps<{
  first: FilmedSide;
  second: ComparedSide;
  /** Undefined as long as they are looked for. */
  counterparts: readonly Counterpart[] | undefined;
  keys: Keys<CompareKey>;
  back: RouteLocationRaw;
}>();
defineEmits<{ against: [kind: Counterpart['kind']]; do: [what: CompareKey] }>();
const named = (kind: Counterpart['kind']) => counterparts?.find((one) => one.kind === kind);
const isShown = (kind: Counterpart['kind']): boolean =>
  second.strike !== undefined && named(kind)?.strikeId === second.strike.strikeId;
const titleOf = (kind: Counterpart['kind']): string | undefined => {
  const one = named(kind);
  if (one) return kind === 'somebody-else' ? one.traineeName : undefined;
  return counterparts ? words.thereIsNone : words.beingLookedFor;
};
const canBeDrawn = computed(() => first.technique !== undefined && isDrawn(first.technique.id));
</script>

<template>
  <header class="bar">
    <VBtn
      :icon="mdiArrowLeft"
      variant="text"
      size="small"
      :aria-label="words.backToTheBench"
      :title="words.backToTheBench"
      :to="back"
    />
    <h1>{{ first.strike.traineeName }}</h1>
    <span class="quiet">{{ words.against }}</span>
    <div class="against" role="group" :aria-label="words.againstIt">
      <button
        v-for="kind in counterpartKinds"
        :key="kind"
        type="button"
        :disabled="!named(kind)"
        :aria-pressed="isShown(kind)"
        :title="titleOf(kind)"
        @click="$emit('against', kind)"
      >
        {{ counterpartNames[kind] }} <kbd>{{ keys.drawn(kind) }}</kbd>
      </button>
      <button
        type="button"
        :disabled="!canBeDrawn"
        :aria-pressed="!second.strike"
        :title="canBeDrawn ? undefined : words.thereIsNoDrawingOf"
        @click="$emit('do', 'drawn')"
      >
        {{ words.howItShouldBe }} <kbd>{{ keys.drawn('drawn') }}</kbd>
      </button>
    </div>
    <VSpacer />
    <VBtn
      :icon="mdiSwapHorizontal"
      variant="text"
      size="small"
      :aria-label="words.changePlaces"
      :disabled="!second.strike"
      :title="words.changePlacesDrawn(keys.drawn('swap'))"
      @click="$emit('do', 'swap')"
    />
    <VBtn
      :icon="mdiKeyboardOutline"
      variant="text"
      size="small"
      :aria-label="words.allKeys"
      :title="words.allKeysDrawn(keys.drawn('keys'))"
      @click="$emit('do', 'keys')"
    />
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2) var(--space-3);
  min-height: 44px;
}
h1 {
  font-size: var(--type-lead);
}
.against {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1-5);
}
.against button {
  padding: var(--space-1) var(--space-2);
  border: 1px solid var(--line);
  border-radius: 3px;
  font-size: var(--type-small);
}
.against button:disabled {
  opacity: 0.45;
}
.against button[aria-pressed='true'] {
  border-color: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-primary));
}
</style>
