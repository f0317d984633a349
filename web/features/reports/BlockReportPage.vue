<script setup lang="ts">
import { filledPath } from '@wax-fist/contract/endpoint';
import { reportEndpoints, type Paper } from '@wax-fist/contract/reports';
import { localDay } from '@wax-fist/core/words';
import { computed, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import ReportBar from './ReportBar.vue';
import ReportSheet from './ReportSheet.vue';
import { reportsWords as words } from './words.ts';

const { traineeId } = defineProps<{ traineeId: string }>();
const route = useRoute();
const router = useRouter();
/** Blocks are mostly as long as this. */
const usualWeeks = 6;
/** The weeks stand in the address, so that a link opens the same ones. */
const dayOf = (name: 'from' | 'to', usual: string) =>
  computed({
    get: () => (typeof route.query[name] === 'string' ? route.query[name] : usual),
    set: (day: string) => void router.replace({ query: { ...route.query, [name]: day } }),
  });
const from = dayOf('from', localDay(-7 * usualWeeks));
const to = dayOf('to', localDay());
const query = computed(() => ({ from: from.value, to: to.value }));
const {
  value: report,
  failure,
  again,
} = useAnswer(() => request(reportEndpoints.blockReport, { params: { traineeId }, query: query.value }));
watch(query, again);
const pdf = (paper: Paper): string => filledPath(reportEndpoints.blockReportPdf.path, { traineeId }, { ...query.value, paper });
const toSession = (sessionId: string): void => void router.push({ name: 'session', params: { sessionId } });
</script>

<template>
  <div class="page">
    <ReportBar :pdf="pdf">
      <RouterLink :to="{ name: 'trainee', params: { traineeId } }">{{ words.theTrainee }}</RouterLink>
      <VTextField v-model="from" type="date" :label="words.from" density="compact" hide-details class="day" :max="to" />
      <VTextField v-model="to" type="date" :label="words.to" density="compact" hide-details class="day" :min="from" />
    </ReportBar>
    <PageState :failure="failure" :ready="report !== undefined" @again="again">
      <ReportSheet v-if="report" :report="report" @pick="toSession" />
    </PageState>
  </div>
</template>

<style scoped>
.day {
  flex: 0 1 168px;
}
</style>
