<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js';
import { filledPath } from '@wax-fist/contract/endpoint';
import { mostAtOnce, reportEndpoints, type ClassOfDay, type Paper } from '@wax-fist/contract/reports';
import { rungName } from '@wax-fist/core/correction';
import { wholeDay } from '@wax-fist/core/words';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import PdfOf from './PdfOf.vue';
import { reportsWords as words } from './words.ts';

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
  if (films === 0) return words.nothingWasFilmed;
  if (judged === 0) return words.filmNothingJudgedYet(films);
  return words.ofFilmDoneVerdict(filmsDone, films, judged);
};
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ words.reportsOfAClass }}</h1>
        <p class="quiet">{{ words.everybodyWhoTrainedOnA }}</p>
      </div>
      <PdfOf :pdf="pdf" :disabled="chosen.length === 0 || tooMany" />
    </div>
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <p v-if="page === null" class="empty">{{ words.nobodyHasTrainedYetAdd }}</p>
      <template v-else-if="page">
        <div class="acts">
          <VBtn
            :icon="mdiChevronLeft"
            variant="text"
            :aria-label="words.theDayBeforeThatSomebody"
            :disabled="!page.before"
            @click="toDay(page.before)"
          />
          <VTextField
            :model-value="page.day"
            type="date"
            :label="words.day"
            density="compact"
            hide-details
            class="day"
            @update:model-value="toDay"
          />
          <VBtn
            :icon="mdiChevronRight"
            variant="text"
            :aria-label="words.theDayAfterThatSomebody"
            :disabled="!page.after"
            @click="toDay(page.after)"
          />
        </div>
        <p v-if="tooMany" role="alert">{{ words.aPdfHoldsReportsChoose(mostAtOnce) }}</p>
        <h2>{{ wholeDay(page.day) }}</h2>
        <p v-if="page.sessions.length === 0" class="empty">{{ words.nobodyTrainedOnThisDay }}</p>
        <ul v-else class="list">
          <li v-for="one in page.sessions" :key="one.id" class="acts session">
            <VCheckbox v-model="chosen" :value="one.id" :label="one.traineeName" density="compact" hide-details class="who" />
            <span class="what">{{ one.roundKind }}, {{ rungName(one.rung).toLowerCase() }}</span>
            <span class="quiet number">{{ standing(one) }}</span>
            <VSpacer />
            <RouterLink :to="{ name: 'session-report', params: { sessionId: one.id } }">{{ words.itsReport }}</RouterLink>
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
