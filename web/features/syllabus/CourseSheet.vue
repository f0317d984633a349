<script setup lang="ts">
import type { SavedCourse } from '@wax-fist/contract/syllabus';
import { rungName } from '@wax-fist/core/correction';
import { checkpointName, techniqueName } from '@wax-fist/core/technique';
import { gradeNames } from '@wax-fist/core/trainee';
import { percent } from '@wax-fist/core/words';
import { computed } from 'vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { syllabusWords as words } from './words.ts';

/** A course on one sheet: what its test asks, then week by week what leads there. */
const { course, now = undefined } = defineProps<{ course: SavedCourse; /** The week that it is. */ now?: number | undefined }>();
const catalogue = useCatalogue();
const thrown = (techniques: readonly string[]): string =>
  techniques
    .map((id, place) => (place === 0 ? techniqueName(catalogue.newest, id) : techniqueName(catalogue.newest, id).toLowerCase()))
    .join(', ');
const asks = computed(() => [
  words.cleanOfEveryMustHave(percent(course.passMark)),
  course.bothLeads ? words.withEitherFootInFront : words.asSomebodyUsuallyStands,
  course.credits === 0 ? words.noCredits : words.creditOfAWeekAt(course.credits, course.creditsAWeek),
]);
</script>

<template>
  <article :aria-label="course.name">
    <header>
      <h2>{{ course.name }}</h2>
      <p class="quiet">
        {{ words.weekWhoeverPassesIs(course.weeks.length, gradeNames[course.leadsTo].toLowerCase()) }}
      </p>
    </header>
    <slot />
    <section>
      <h3>{{ words.theTestAsks }}</h3>
      <p>{{ asks.join('; ') }}.</p>
      <dl v-if="course.sets.length > 0">
        <template v-for="set in course.sets" :key="set.id">
          <dt>{{ set.name }}</dt>
          <dd>{{ set.recipe }}</dd>
        </template>
      </dl>
      <ul v-if="course.mustHaves.length > 0" class="musts">
        <li v-for="one in course.mustHaves" :key="`${one.technique} ${one.checkpointId}`">
          <b>{{ techniqueName(catalogue.newest, one.technique) }}</b>
          <span>{{ checkpointName(catalogue.newest, one.checkpointId) }}</span>
          <span class="quiet">{{ rungName(one.rung).toLowerCase() }}</span>
        </li>
      </ul>
    </section>
    <section>
      <h3>{{ words.weekByWeek }}</h3>
      <ol>
        <li v-for="(week, place) in course.weeks" :key="place" :class="{ now: now === place + 1 }">
          <span class="number">{{ place + 1 }}</span>
          <span
            ><b>{{ thrown(week.techniques) || words.nothingNew }}</b
            ><template v-if="week.says"> <br class="narrow" />{{ week.says }}</template></span
          >
          <em v-if="now === place + 1">{{ words.thisWeek }}</em>
        </li>
      </ol>
    </section>
  </article>
</template>

<style scoped>
article {
  padding: var(--space-4) var(--space-5);
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid rgb(var(--v-theme-primary));
}
h2 {
  margin: 0;
  font-size: var(--type-figure);
}
h3 {
  margin: var(--space-4) 0 var(--space-1-5);
  font-size: var(--type-body);
}
dl {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: var(--space-1) var(--space-3);
  margin-top: var(--space-2);
}
dt {
  font-weight: 700;
}
.musts {
  margin-top: var(--space-2);
}
.musts li {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr) auto;
  gap: var(--space-0-5) var(--space-3);
  padding: var(--space-1) 0;
}
ol li {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) auto;
  gap: var(--space-2);
  padding: var(--space-1-5) var(--space-2) var(--space-1-5) 0;
  border-bottom: 1px solid var(--line);
}
ol .number {
  font-size: var(--type-lead);
  color: var(--quiet);
}
.now {
  background: var(--watch-ground);
}
b + br {
  display: inline;
}
@media screen and (max-width: 599px) {
  .musts li,
  dl {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
