<script setup lang="ts">
import { mdiArchiveOutline, mdiFileDocumentMultipleOutline, mdiMagnify, mdiPlus } from '@mdi/js';
import {
  traineeColumns,
  traineeEndpoints,
  type TraineeColumn,
  type TraineeOrder,
  type TraineeRow,
} from '@wax-fist/contract/trainees';
import { useMediaQuery, watchDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { archiveEndpoints } from '@wax-fist/contract/archives';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import MoreRows from '../../app/MoreRows.vue';
import { usePages } from '../../app/use-pages.ts';
import { shortDay } from '@wax-fist/core/words';
import { useAccount } from '../accounts/account-store.ts';
import TraineeDialog from './TraineeDialog.vue';
import { traineesWords as words } from './words.ts';

const router = useRouter();
const account = useAccount();
const wanted = ref<string | null>('');
/** As the head of the table says it; the server orders, as there may be more than are here. */
const sorted = ref<{ key: TraineeColumn; order: 'asc' | 'desc' }[]>([]);
const order = computed((): TraineeOrder => {
  const [by] = sorted.value;
  if (!by) return 'name';
  return by.order === 'desc' ? `-${by.key}` : by.key;
});
const { rows, failure, hasMore, loading, more, again } = usePages((query) =>
  request(traineeEndpoints.listTrainees, {
    query: { ...query, ...(wanted.value && { find: wanted.value }), order: order.value },
  }),
);
watchDebounced(wanted, again, { debounce: 200 });
watch(order, again);
const adding = ref(false);
const headers = [
  { title: words.name, key: 'name' },
  { title: words.stance, key: 'stance' },
  { title: words.grade, key: 'grade' },
  { title: words.lastFilmed, key: 'lastSession' },
  { title: words.sessions, key: 'sessions', align: 'end' },
  { title: words.openCorrections, key: 'openCorrections', align: 'end' },
  { title: words.filmsToReview, key: 'filmsToReview', align: 'end' },
] as const;
/** They come in order; what a table does besides would only be wrong by the ways of another alphabet. */
const asTheyCome = Object.fromEntries(traineeColumns.map((column) => [column, () => 0]));
/** A table of seven columns is no use in a hand. */
const narrow = useMediaQuery('(max-width: 899px)');
const nobody = computed(() => (wanted.value ? words.nobodyIsCalledSo : words.nobodyHereYetAddThe));
const waitsFor = ({ filmsToReview, openCorrections }: TraineeRow): string =>
  [
    filmsToReview > 0 ? words.filmToReview(filmsToReview) : '',
    openCorrections > 0 ? words.openCorrectionsCounted(openCorrections) : '',
  ]
    .filter(Boolean)
    .join(', ');
const open = (traineeId: string): void => void router.push({ name: 'trainee', params: { traineeId } });
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>{{ words.trainees }}</h1>
      <VTextField
        v-model="wanted"
        :prepend-inner-icon="mdiMagnify"
        :label="words.find"
        density="compact"
        hide-details
        clearable
        class="find"
      />
      <span class="acts">
        <VBtn variant="outlined" :prepend-icon="mdiFileDocumentMultipleOutline" :to="{ name: 'class-reports' }">{{
          words.reportsOfAClass
        }}</VBtn>
        <VBtn
          v-if="account.may(archiveEndpoints.makeArchive)"
          variant="outlined"
          :prepend-icon="mdiArchiveOutline"
          :to="{ name: 'archives' }"
          >{{ words.archives }}</VBtn
        >
        <VBtn v-if="account.judges" color="primary" :prepend-icon="mdiPlus" @click="adding = true">{{ words.addATrainee }}</VBtn>
      </span>
    </div>
    <PageState :failure="failure" :ready="rows !== undefined" @again="again">
      <ul v-if="narrow" class="list">
        <li v-for="one in rows!" :key="one.id">
          <RouterLink class="person" :to="{ name: 'trainee', params: { traineeId: one.id } }">
            <b>{{ one.name }}</b>
            <span class="quiet">
              {{ one.stance }}, {{ one.grade }},
              {{ one.lastSession ? words.filmedLastSession(shortDay(one.lastSession)) : words.notFilmedYet }}
            </span>
            <span v-if="waitsFor(one)">{{ waitsFor(one) }}</span>
          </RouterLink>
        </li>
        <li v-if="rows!.length === 0" class="empty">{{ nobody }}</li>
      </ul>
      <VDataTable
        v-else
        v-model:sort-by="sorted"
        :headers="headers"
        :items="rows!"
        :custom-key-sort="asTheyCome"
        :items-per-page="-1"
        hide-default-footer
        hover
        :no-data-text="nobody"
        @click:row="(_: Event, { item }: { item: TraineeRow }) => open(item.id)"
      >
        <template #[`item.name`]="{ item }"
          ><RouterLink :to="{ name: 'trainee', params: { traineeId: item.id } }"><b>{{ item.name }}</b></RouterLink></template
        >
        <template #[`item.lastSession`]="{ value }">{{ value ? shortDay(value) : words.notFilmedYet }}</template>
      </VDataTable>
      <MoreRows :has-more="hasMore" :loading="loading" :shown="rows!.length" @more="more" />
    </PageState>
    <p v-if="account.judges" class="no-print removed">
      <RouterLink :to="{ name: 'removed' }">{{ words.removedInTheLastDay }}</RouterLink>
    </p>
    <TraineeDialog v-model="adding" @saved="open" />
  </div>
</template>

<style scoped>
.removed {
  margin-top: var(--space-6);
}
.page-head {
  align-items: center;
}
.person {
  display: flex;
  flex-direction: column;
  padding: var(--space-2) var(--space-3);
  text-decoration: none;
  color: inherit !important;
}
.find {
  flex: 0 1 260px;
}
:deep(tbody tr) {
  cursor: pointer;
}
:deep(td) {
  font-variant-numeric: tabular-nums;
}
</style>
