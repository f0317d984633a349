<script setup lang="ts">
import { padKinds, roundKinds, type RoundKind } from '@wax-fist/core/rounds';
import { computed } from 'vue';
import type { PlanKit } from './plan-kit.ts';
import { plansWords as words } from './words.ts';

/** What and who is there for a session, and for how long. */
const { asked, holds = false } = defineProps<{
  asked: PlanKit;
  /** Somebody holds in any case: nobody is asked. */ holds?: boolean;
}>();
// A reactive object of whoever plans, not of this component.
const now = asked;
const kitItems: RoundKind[] = roundKinds.filter((kind) => kind !== 'shadowboxing');
const holdsNothing = computed(() => (holds || now.holder) && !padKinds.some((kind) => now.kit.includes(kind)));
</script>

<template>
  <VNumberInput
    v-model="now.minutes"
    :label="words.minutes"
    :min="5"
    :max="240"
    :step="5"
    control-variant="stacked"
    density="compact"
    hide-details
  />
  <VSelect v-model="now.kit" :label="words.whatIsThere" :items="kitItems" multiple density="compact" hide-details class="kit" />
  <template v-if="!holds">
    <VCheckbox v-model="now.holder" :label="words.somebodyHolds" density="compact" hide-details />
    <VCheckbox v-model="now.partner" :label="words.aPartner" density="compact" hide-details />
  </template>
  <p v-if="holdsNothing" class="kit hint">{{ words.noPadsAreAmongWhat }}</p>
</template>

<style scoped>
.kit.kit {
  flex: 1 1 260px;
  grid-column: 1 / -1;
}
.kit.hint {
  flex-basis: 100%;
  padding: var(--space-1-5) var(--space-2);
  background: var(--watch-ground);
}
</style>
