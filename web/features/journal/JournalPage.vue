<script setup lang="ts">
import { mdiTableArrowDown } from '@mdi/js';
import { filledPath } from '@wax-fist/contract/endpoint';
import { journalActs, journalEndpoints, type JournalAct } from '@wax-fist/contract/journal';
import { everyRow } from '@wax-fist/contract/page';
import { peopleEndpoints } from '@wax-fist/contract/people';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { computed, ref, watch } from 'vue';
import { dayAndTime } from '../../app/format.ts';
import MoreRows from '../../app/MoreRows.vue';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { usePages } from '../../app/use-pages.ts';
import { actInWords, actNames, changedInWords, isAtDoor, thingInWords, placeOf } from './journal-words.ts';
import { journalWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** Who saw and changed what, for the head coach. */
const accountId = ref<string | null>(null);
const traineeId = ref<string | null>(null);
const act = ref<JournalAct | null>(null);
const from = ref<string | null>(null);
const to = ref<string | null>(null);
const wanted = computed(() =>
  Object.fromEntries(
    Object.entries({ accountId, traineeId, act, from, to }).flatMap(([name, { value }]) => (value ? [[name, value]] : [])),
  ),
);
const lines = usePages((query) => request(journalEndpoints.showJournal, { query: { ...query, ...wanted.value } }));
watch(wanted, () => void lines.again());
const file = computed(() => filledPath(journalEndpoints.journalFile.path, {}, wanted.value));
const { value: people } = useAnswer(() => request(peopleEndpoints.listPeople));
const { value: trainees } = useAnswer(() => everyRow((query) => request(traineeEndpoints.listTrainees, { query })));
const actItems = journalActs.map((value) => ({ value, title: actNames[value] }));
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ words.journal }}</h1>
        <p class="quiet">
          {{ words.whoSawAndChangedWhat }}
        </p>
      </div>
      <VBtn variant="outlined" :prepend-icon="mdiTableArrowDown" :href="file" download>{{ words.asATable }}</VBtn>
    </div>
    <form class="filters" @submit.prevent>
      <VAutocomplete
        v-model="accountId"
        :items="people ?? []"
        item-value="id"
        item-title="name"
        :label="words.who"
        clearable
        density="compact"
        hide-details
      />
      <VSelect v-model="act" :items="actItems" :label="words.did" clearable density="compact" hide-details />
      <VAutocomplete
        v-model="traineeId"
        :items="trainees ?? []"
        item-value="id"
        item-title="name"
        :label="words.aboutWhom"
        clearable
        density="compact"
        hide-details
      />
      <VTextField v-model="from" type="date" :label="words.from" clearable density="compact" hide-details />
      <VTextField v-model="to" type="date" :label="words.to" clearable density="compact" hide-details />
    </form>
    <PageState :failure="lines.failure.value" :ready="lines.rows.value !== undefined" @again="lines.again">
      <ol v-if="lines.rows.value!.length > 0" class="list">
        <li v-for="line in lines.rows.value" :key="line.id">
          <span class="number quiet">{{ dayAndTime(line.at) }}</span>
          <span>
            <b>{{ line.account ? (line.account.name ?? words.somebodyWhoIsGone) : words.whoeverHadTheLink }}</b>
            {{ actInWords(line) }}
            <RouterLink v-if="placeOf(line)" :to="placeOf(line)!">{{ thingInWords(line) }}</RouterLink>
            <template v-else-if="!isAtDoor(line.act)">{{ thingInWords(line) }}</template>
            <template v-if="line.trainee">
              <TextWith :text="words.of">
                <template #link>
                  <RouterLink v-if="line.trainee.name" :to="{ name: 'trainee', params: { traineeId: line.trainee.id } }">{{
                    line.trainee.name
                  }}</RouterLink>
                  <template v-else>{{ words.somebodyWhoWasRemoved }}</template>
                </template>
              </TextWith>
            </template>
            <small v-if="changedInWords(line)" class="quiet">{{ changedInWords(line) }}</small>
          </span>
        </li>
      </ol>
      <p v-else class="empty">{{ words.nothingOfThatKindWas }}</p>
      <MoreRows
        :has-more="lines.hasMore.value"
        :loading="lines.loading.value"
        :shown="lines.rows.value!.length"
        @more="lines.more"
      />
    </PageState>
  </div>
</template>

<style scoped>
.filters {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: var(--space-2) var(--space-3);
  margin-bottom: var(--space-3);
}
li {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: var(--space-1) var(--space-3);
  padding: var(--space-2) var(--space-3);
}
small {
  display: block;
}
@media screen and (max-width: 599px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
