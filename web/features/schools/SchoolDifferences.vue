<script setup lang="ts">
import type { ChecklistDifference } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { schoolsWords as words } from './words.ts';

/** Changes gathered: what is the same for many techniques is told once. */
const { differences } = defineProps<{ differences: readonly ChecklistDifference[] }>();
const gathered = computed(() => {
  const groups = new Map<string, { checkpoint: string; says: string; techniques: string[] }>();
  for (const { technique, checkpoint, says } of differences) {
    const key = `${checkpoint} ${says}`;
    const group = groups.get(key) ?? { checkpoint, says, techniques: [] };
    group.techniques.push(technique);
    groups.set(key, group);
  }
  return [...groups.values()];
});
const where = (techniques: readonly string[]): string =>
  techniques.length > 3 ? words.techniquesTechniques(techniques.length) : techniques.join(', ');
</script>

<template>
  <p v-if="gathered.length === 0" class="quiet">{{ words.nothingThatIsJudged }}</p>
  <ul class="differences">
    <li v-for="{ checkpoint, says, techniques } in gathered" :key="`${checkpoint} ${says}`">
      <b>{{ checkpoint || where(techniques) }}</b> {{ says }}
      <small v-if="checkpoint" class="quiet" :title="techniques.join(', ')">({{ where(techniques) }})</small>
    </li>
  </ul>
</template>

<style scoped>
.differences {
  max-height: 340px;
  overflow-y: auto;
  font-size: var(--type-text);
}
li {
  padding: var(--space-1) 0;
  border-top: 1px solid var(--line);
}
</style>
