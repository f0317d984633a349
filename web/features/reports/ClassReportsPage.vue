<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js';
import { filledPath } from '@wax-fist/contract/endpoint';
import { mostAtOnce, reportEndpoints, type ClassOfDay, type Paper } from '@wax-fist/contract/reports';
import { rungName } from '@wax-fist/core/correction';
import { counted, wholeDay } from '@wax-fist/core/words';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import PdfOf from './PdfOf.vue';

/** The reports of everybody who trained on a day, as one PDF. The day stands in the address. */
const route = useRoute();
const router = useRouter();
const asked = computed(() => (typeof route.query.day === 'string' ? route.query.day : undefined));
const {
  value: page,
  failure,
  again,
} = useAnswer(() => request(reportEndpoints.classOfDay, { query: asked.value ? { day: asked.value } : {} }));
watch(asked, again);
const toDay = (day: string | null | undefined): void => void (day && router.replace({ query: { day } }));

/** Whoever was judged is chosen; a report of nothing is nobody’s wish. */
const chosen = ref<string[]>([]);
watch(page, (now) => {
  chosen.value = (now?.sessions ?? []).filter(({ judged }) => judged > 0).map(({ id }) => id);
});
const tooMany = computed(() => chosen.value.length > mostAtOnce);
const pdf = (paper: Paper): string =>
  filledPath(reportEndpoints.sessionReportsPdf.path, {}, { of: chosen.value.join(','), paper });
const standing = ({ films, filmsDone, judged }: ClassOfDay['sessions'][number]): string => {
  if (films === 0) return 'nothing was filmed';
  if (judged === 0) return `${counted(films, 'film')}, nothing judged yet`;
  return `${filmsDone} of ${counted(films, 'film')} done, ${counted(judged, 'verdict')}`;
};
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>Reports of a class</h1>
        <p class="quiet">Everybody who trained on a day, as one PDF: a report each, one behind the other.</p>
      </div>
      <PdfOf :pdf="pdf" :disabled="chosen.length === 0 || tooMany" />
    </div>
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <p v-if="page === null" class="empty">Nobody has trained yet. Add a session to a trainee; then its report is here.</p>
      <template v-else-if="page">
        <div class="acts">
          <VBtn
            :icon="mdiChevronLeft"
            variant="text"
            aria-label="The day before that somebody trained"
            :disabled="!page.before"
            @click="toDay(page.before)"
          />
          <VTextField
            :model-value="page.day"
            type="date"
            label="Day"
            density="compact"
            hide-details
            class="day"
            @update:model-value="toDay"
          />
          <VBtn
            :icon="mdiChevronRight"
            variant="text"
            aria-label="The day after that somebody trained"
            :disabled="!page.after"
            @click="toDay(page.after)"
          />
        </div>
        <p v-if="tooMany" role="alert">A PDF holds {{ mostAtOnce }} reports. Choose fewer.</p>
        <h2>{{ wholeDay(page.day) }}</h2>
        <p v-if="page.sessions.length === 0" class="empty">Nobody trained on this day.</p>
        <ul v-else class="list">
          <li v-for="one in page.sessions" :key="one.id" class="acts session">
            <VCheckbox v-model="chosen" :value="one.id" :label="one.traineeName" density="compact" hide-details class="who" />
            <span class="what">{{ one.roundKind }}, {{ rungName(one.rung).toLowerCase() }}</span>
            <span class="quiet number">{{ standing(one) }}</span>
            <VSpacer />
            <RouterLink :to="{ name: 'session-report', params: { sessionId: one.id } }">Its report</RouterLink>
          </li>
        </ul>
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.day {
  flex: 0 1 180px;
}
.session {
  padding: var(--space-1) var(--space-3);
}
.who,
.what {
  flex: 0 1 260px;
}
</style>
