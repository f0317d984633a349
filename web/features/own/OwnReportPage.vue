<script setup lang="ts">
import { reportEndpoints } from '@wax-fist/contract/reports';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import ReportSheet from '../reports/ReportSheet.vue';
import { ownWords as words } from './words.ts';

/** What a released session says, as it is printed. */
const { sessionId } = defineProps<{ sessionId: string }>();
const { value: report, failure, again } = useAnswer(() => request(reportEndpoints.sessionReport, { params: { sessionId } }));
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="report !== undefined" @again="again">
      <template v-if="report">
        <p class="no-print">
          <RouterLink :to="{ name: 'own-review', params: { sessionId } }">{{ words.theFilms }}</RouterLink>
        </p>
        <ReportSheet :report="report" />
      </template>
    </PageState>
  </div>
</template>
