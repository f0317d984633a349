<script setup lang="ts">
import { leadShares, type LeadShare } from '@wax-fist/core/plan';
import { techniqueName } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import KitFields from './KitFields.vue';
import type { PlanDesk } from './use-plan-desk.ts';

/** What a session is planned from: day and minutes, what and who is there, both leads, the technique of the week. */
const { desk } = defineProps<{ desk: PlanDesk }>();
// A reactive object of the desk, not of this component.
const { asked } = desk;
const catalogue = useCatalogue();
const leadNames: Record<LeadShare, string> = {
  'both alike': 'Both leads alike',
  'other more': 'The other lead more (40 : 60)',
  'usual only': 'The usual lead only',
};
/** What the syllabus has this week, to be taken with one touch. */
const week = computed(() => desk.week.value);
const leadItems = leadShares.map((value) => ({ value, title: leadNames[value] }));
const techniqueItems = computed(() => [{ value: null, title: 'None' }, ...catalogue.techniqueItems]);
</script>

<template>
  <form class="inputs no-print" aria-label="What it is planned from" @submit.prevent>
    <VTextField v-model="asked.plannedOn" label="Day" type="date" density="compact" hide-details />
    <KitFields :asked="asked" />
    <VSelect v-model="asked.leads" label="Leads" :items="leadItems" density="compact" hide-details class="wide" />
    <VAutocomplete
      v-model="asked.technique"
      label="Technique of the week"
      :items="techniqueItems"
      density="compact"
      hide-details
      class="wide"
    />
    <p v-if="week" class="wide week">
      Week {{ week.number }} of the course:
      <template v-for="(id, place) in week.week.techniques" :key="id"
        ><template v-if="place > 0">, </template
        ><button type="button" :aria-pressed="asked.technique === id" @click="asked.technique = id">
          {{ techniqueName(catalogue.newest, id).toLowerCase() }}
        </button></template
      >
    </p>
  </form>
</template>

<style scoped>
.inputs {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-2);
  align-items: start;
}
.week button {
  text-decoration: underline;
}
.week button[aria-pressed='true'] {
  font-weight: 700;
  text-decoration: none;
}
.wide {
  grid-column: 1 / -1;
}
</style>
