<script setup lang="ts">
import { filledPath } from '@wax-fist/contract/endpoint';
import { reportEndpoints, type Paper } from '@wax-fist/contract/reports';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import ReportBar from './ReportBar.vue';
import ReportSheet from './ReportSheet.vue';
import { reportsWords as words } from './words.ts';

const { sessionId } = defineProps<{ sessionId: string }>();
const { value: report, failure, again } = useAnswer(() => request(reportEndpoints.sessionReport, { params: { sessionId } }));
const pdf = (paper: Paper): string => filledPath(reportEndpoints.sessionReportsPdf.path, {}, { of: sessionId, paper });
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="report !== undefined" @again="again">
      <template v-if="report">
        <ReportBar :pdf="pdf">
          <RouterLink :to="{ name: 'session', params: { sessionId } }">{{ words.theSession }}</RouterLink>
        </ReportBar>
        <ReportSheet :report="report" />
      </template>
    </PageState>
  </div>
</template>
