<script setup lang="ts">
import { mdiAlertOutline } from '@mdi/js';
import { companyNames, doseInWords, impactNames, throwsInWords, trainsInWords, type Drill } from '@wax-fist/core/drills';
import { rungName } from '@wax-fist/core/correction';
import { viewNames } from '@wax-fist/core/technique';
import { ageGroupNames, ageGroups, gradeNames } from '@wax-fist/core/trainee';
import { computed } from 'vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { useDrills } from './drill-store.ts';
import { drillsWords as words } from './words.ts';

/** A drill on one sheet: how it is done, how much, what is shouted, and what can hurt. */
const { drill } = defineProps<{ drill: Drill }>();
const catalogue = useCatalogue();
const drills = useDrills();
const forWhom = computed(() => {
  const ages = ageGroups.every((one) => drill.ages.includes(one))
    ? words.everybody
    : drill.ages.map((one) => ageGroupNames[one]).join(', ');
  return drill.grade === 'beginner' ? ages : words.fromOn(ages, gradeNames[drill.grade].toLowerCase());
});
const facts = computed(() =>
  [
    [words.trains, trainsInWords(drill, catalogue.newest).join(', ')],
    [words.throws, throwsInWords(drill, catalogue.newest).join(', ')],
    [words.rung, `${drill.rung}. ${rungName(drill.rung)}`],
    [words.on, drill.on.map((on) => (on === 'shadowboxing' ? words.nothingInTheAir : on)).join(' or ')],
    [words.liesReady, drill.needs.join(', ')],
    [words.who, companyNames[drill.company]],
    [words.for, forWhom.value],
    [words.loads, drill.loads.join(', ')],
    [words.impact, impactNames[drill.impact]],
    [words.filmIt, drill.film ? `${viewNames[drill.film.view]}: ${drill.film.what}` : ''],
  ].filter(([, says]) => says),
);
const steps = computed(() => [
  { name: words.easier, to: drills.named(drill.easier) },
  { name: words.harder, to: drills.named(drill.harder) },
]);
</script>

<template>
  <article :aria-label="drill.name">
    <h2>{{ drill.name }}</h2>
    <p class="cue">“{{ drill.cue }}”</p>
    <p>{{ drill.how }}</p>
    <p class="dose number">{{ doseInWords(drill.dose) }}</p>
    <p v-if="drill.recipe" class="calls"><span class="quiet">{{ words.called }}</span> <b>{{ drill.recipe }}</b></p>
    <p v-if="drill.caution" class="caution"><VIcon :icon="mdiAlertOutline" size="20" /> {{ drill.caution }}</p>
    <dl>
      <template v-for="[name, says] in facts" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ says }}</dd>
      </template>
    </dl>
    <p class="steps no-print">
      <template v-for="{ name, to } in steps" :key="name">
        <RouterLink v-if="to" :to="{ name: 'drills', query: { drill: to.id } }">{{ name }}: {{ to.name }}</RouterLink>
      </template>
    </p>
    <slot />
  </article>
</template>

<style scoped>
article {
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid rgb(var(--v-theme-primary));
  padding: var(--space-4) var(--space-5);
}
h2 {
  margin: 0 0 var(--space-0-5);
  font-size: var(--type-figure);
}
.cue {
  font-size: var(--type-title);
  margin-bottom: var(--space-2);
}
.dose {
  font-size: var(--type-lead);
  margin: var(--space-3) 0 var(--space-1);
}
.caution {
  display: flex;
  gap: var(--space-2);
  margin: var(--space-2) 0;
  padding: var(--space-2) var(--space-3);
  background: var(--watch-ground);
}
dl {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  gap: var(--space-1) var(--space-3);
  margin: var(--space-3) 0;
}
dt {
  color: var(--quiet);
}
.steps {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-6);
}
</style>
