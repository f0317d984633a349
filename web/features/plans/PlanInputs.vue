<script setup lang="ts">
import { leadShares, type LeadShare } from '@wax-fist/core/plan';
import { techniqueName } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import KitFields from './KitFields.vue';
import type { PlanDesk } from './use-plan-desk.ts';
import { plansWords as words } from './words.ts';

/** What a session is planned from: day and minutes, what and who is there, both leads, the technique of the week. */
const { desk } = defineProps<{ desk: PlanDesk }>();
// A reactive object of the desk, not of this component.
const { asked } = desk;
const catalogue = useCatalogue();
const leadNames: Record<LeadShare, string> = {
  'both alike': words.bothLeadsAlike,
  'other more': words.theOtherLeadMore,
  'usual only': words.theUsualLeadOnly,
};
/** What the syllabus has this week, to be taken with one touch. */
const week = computed(() => desk.week.value);
const leadItems = leadShares.map((value) => ({ value, title: leadNames[value] }));
const techniqueItems = computed(() => [{ value: null, title: words.none }, ...catalogue.techniqueItems]);
</script>

<template>
  <form class="inputs no-print" :aria-label="words.whatItIsPlannedFrom" @submit.prevent>
    <VTextField v-model="asked.plannedOn" :label="words.day" type="date" density="compact" hide-details />
    <KitFields :asked="asked" />
    <VSelect v-model="asked.leads" :label="words.leads" :items="leadItems" density="compact" hide-details class="wide" />
    <VAutocomplete
      v-model="asked.technique"
      :label="words.techniqueOfTheWeek"
      :items="techniqueItems"
      density="compact"
      hide-details
      class="wide"
    />
    <p v-if="week" class="wide week">
      {{ words.weekOfTheCourse(week.number) }}
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
