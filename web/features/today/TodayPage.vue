<script setup lang="ts">
import { correctionEndpoints, type Correction } from '@wax-fist/contract/corrections';
import { inDueOrder, type DueReason } from '@wax-fist/core/correction';
import { reviewingEndpoints } from '@wax-fist/contract/reviewing';
import { todayEndpoints } from '@wax-fist/contract/today';
import { computed, defineAsyncComponent } from 'vue';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import MoreRows from '../../app/MoreRows.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { usePages } from '../../app/use-pages.ts';
import { localDay, shortDay } from '@wax-fist/core/words';
import { useAccount } from '../accounts/account-store.ts';
import PlannedToday from './PlannedToday.vue';
import FilmRow from '../footage/FilmRow.vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import CorrectionLine from '../corrections/CorrectionLine.vue';
import { todayWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

const films = usePages((query) => request(todayEndpoints.filmsToReview, { query }));
const corrections = usePages((query) => request(correctionEndpoints.listCorrections, { query: { ...query, state: 'open' } }));
const blind = useAnswer(() => request(reviewingEndpoints.filmsToMarkBlind));
const failure = computed(() => films.failure.value ?? corrections.failure.value);
const again = () => Promise.all([films.again(), corrections.again(), blind.again()]);
const account = useAccount();
/** Apart from the first page: most clubs have nothing of it. */
const MarkedByAssistants = defineAsyncComponent(() => import('./MarkedByAssistants.vue'));
const now = localDay();
const catalogue = useCatalogue();
const isDue = ({ recheckOn }: Correction): boolean => recheckOn !== null && recheckOn <= now;
const due = computed(() =>
  inDueOrder(
    corrections.rows.value?.filter(isDue) ?? [],
    ({ checkpointId }) => catalogue.newest.checkpoints.get(checkpointId)?.severity,
    now,
  ),
);
const later = computed(() => corrections.rows.value?.filter((one) => !isDue(one)) ?? []);
/** A film of somebody of whom something is due may hold the answer: those first. */
const waiting = computed(() => {
  const asked = new Set(due.value.map(({ one }) => one.traineeId));
  const all = (films.rows.value ?? []).map((row) => ({ ...row, answers: asked.has(row.traineeId) }));
  return [...all.filter(({ answers }) => answers), ...all.filter(({ answers }) => !answers)];
});
const reasons: Record<DueReason, string> = {
  relapsed: words.itCameBack,
  hurts: words.itCanHurt,
  late: words.itHasWaited,
  due: '',
  kept: words.stillHolding,
};
const sentence = computed(() => {
  const count = waiting.value.length;
  const parts = [
    count > 0 ? words.filmToReview(count, films.hasMore.value ? words.andMore : '') : '',
    due.value.length > 0 ? words.correctionDue(due.value.length) : '',
    blind.value.value?.length ? words.filmToMarkASecond(blind.value.value.length) : '',
  ];
  return parts.filter(Boolean).join(', ') || words.nothingWaits;
});
</script>

<template>
  <div class="page">
    <h1>{{ shortDay(now) }}</h1>
    <PageState :failure="failure" :ready="films.rows.value !== undefined && corrections.rows.value !== undefined" @again="again">
      <p class="quiet">{{ sentence }}</p>
      <PlannedToday />
      <h2>{{ words.footageToReview }}</h2>
      <ul v-if="films.rows.value!.length > 0" class="list">
        <FilmRow v-for="{ film, traineeId, traineeName, heldOn, answers } in waiting" :key="film.id" :film="film">
          <RouterLink :to="{ name: 'trainee', params: { traineeId } }">{{ traineeName }}</RouterLink>, {{ shortDay(heldOn)
          }}<b v-if="answers">{{ words.aCorrectionWaitsForIt }}</b>
        </FilmRow>
      </ul>
      <div v-else class="empty">
        <TextWith :text="words.everyFilmIsReviewedNew">
          <template #link>
            <RouterLink to="/trainees">{{ words.chooseATrainee }}</RouterLink>
          </template>
        </TextWith>
      </div>
      <MoreRows
        :has-more="films.hasMore.value"
        :loading="films.loading.value"
        :shown="films.rows.value!.length"
        @more="films.more"
      />

      <template v-if="blind.value.value?.length">
        <h2>{{ words.askedOfYou }}</h2>
        <p class="quiet">{{ words.judgeTheSameStrikesWithoutSeeing }}</p>
        <ul class="list">
          <FilmRow v-for="{ film, traineeId, traineeName, heldOn } in blind.value.value" :key="film.id" :film="film" blind>
            <RouterLink :to="{ name: 'trainee', params: { traineeId } }">{{ traineeName }}</RouterLink>, {{ shortDay(heldOn) }}
          </FilmRow>
        </ul>
      </template>

      <MarkedByAssistants v-if="account.judges" />

      <h2>{{ words.correctionsDue }}</h2>
      <ul v-if="due.length > 0" class="list">
        <CorrectionLine v-for="{ one, reason } in due" :key="one.id" :correction="one" :why="reasons[reason]" with-name>
          <VBtn color="primary" :to="{ name: 'session', params: { sessionId: one.newestSession }, hash: '#said' }">{{
            words.seeTheAnswer
          }}</VBtn>
        </CorrectionLine>
      </ul>
      <div v-else class="empty">{{ words.noReCheckIsDue }}</div>

      <template v-if="later.length > 0">
        <h2>{{ words.openForLater }}</h2>
        <ul class="list">
          <CorrectionLine v-for="one in later" :key="one.id" :correction="one" with-name />
        </ul>
      </template>
      <MoreRows
        :has-more="corrections.hasMore.value"
        :loading="corrections.loading.value"
        :shown="corrections.rows.value!.length"
        @more="corrections.more"
      />
    </PageState>
  </div>
</template>
