<script setup lang="ts">
import { mdiMagnify, mdiPlus } from '@mdi/js';
import { traineeEndpoints, type TraineeRow } from '@wax-fist/contract/trainees';
import { watchDebounced } from '@vueuse/core';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import MoreRows from '../../app/MoreRows.vue';
import { usePages } from '../../app/use-pages.ts';
import { shortDay } from '../../app/format.ts';
import TraineeDialog from './TraineeDialog.vue';

const router = useRouter();
const wanted = ref<string | null>('');
const { rows, failure, hasMore, loading, more, again } = usePages((query) =>
  request(traineeEndpoints.listTrainees, { query: { ...query, ...(wanted.value && { find: wanted.value }) } }),
);
watchDebounced(wanted, again, { debounce: 200 });
const adding = ref(false);
const headers = [
  { title: 'Name', key: 'name' },
  { title: 'Stance', key: 'stance' },
  { title: 'Grade', key: 'grade' },
  { title: 'Last filmed', key: 'lastSession' },
  { title: 'Sessions', key: 'sessions', align: 'end' },
  { title: 'Open corrections', key: 'openCorrections', align: 'end' },
  { title: 'Films to review', key: 'filmsToReview', align: 'end' },
] as const;
const open = (traineeId: string): void => void router.push({ name: 'trainee', params: { traineeId } });
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Trainees</h1>
      <VTextField
        v-model="wanted"
        :prepend-inner-icon="mdiMagnify"
        label="Find"
        density="compact"
        hide-details
        clearable
        class="find"
      />
      <VBtn color="primary" :prepend-icon="mdiPlus" @click="adding = true">Add a trainee</VBtn>
    </div>
    <PageState :failure="failure" :ready="rows !== undefined" @again="again">
      <VDataTable
        :headers="headers"
        :items="rows!"
        :disable-sort="hasMore"
        :mobile="null"
        mobile-breakpoint="sm"
        :items-per-page="-1"
        hide-default-footer
        hover
        no-data-text="Nobody here yet. Add the first trainee, then a session, then its films."
        @click:row="(_: Event, { item }: { item: TraineeRow }) => open(item.id)"
      >
        <template #[`item.name`]="{ item }"
          ><RouterLink :to="{ name: 'trainee', params: { traineeId: item.id } }"
            ><b>{{ item.name }}</b></RouterLink
          ></template
        >
        <template #[`item.lastSession`]="{ value }">{{ value ? shortDay(value) : 'not filmed yet' }}</template>
      </VDataTable>
      <MoreRows :has-more="hasMore" :loading="loading" :shown="rows!.length" @more="more" />
    </PageState>
    <TraineeDialog v-model="adding" @saved="open" />
  </div>
</template>

<style scoped>
.page-head {
  align-items: center;
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
