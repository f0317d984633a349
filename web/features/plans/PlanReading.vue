<script setup lang="ts">
import { partKindNames, partLength, type PlanPart } from '@wax-fist/core/plan';
import { clockTime } from '@wax-fist/core/words';
import { partSigns } from './part-sign.ts';
import { plansWords as words } from './words.ts';

/** The parts of a planned session, for whoever only reads it. */
defineProps<{ parts: readonly PlanPart[] }>();
</script>

<template>
  <ol class="list">
    <li v-for="part in parts" :key="part.id">
      <VIcon :icon="partSigns[part.kind]" size="26" />
      <div>
        <span class="quiet">{{ partKindNames[part.kind] }}</span>
        <p>
          <b>{{ part.title }}</b>
        </p>
        <p v-if="part.cue">“{{ part.cue }}”</p>
        <p>{{ part.says }}</p>
        <p v-if="part.caution" class="caution">{{ part.caution }}</p>
      </div>
      <span class="number"
        ><template v-if="part.rounds > 1">{{ words.rounds(part.rounds) }}, </template>{{ clockTime(partLength(part)) }}</span
      >
    </li>
  </ol>
</template>

<style scoped>
li {
  display: flex;
  gap: var(--space-3);
  padding: var(--space-3);
}
li > div {
  flex: 1;
}
.caution {
  color: var(--watch);
  font-weight: 700;
}
</style>
