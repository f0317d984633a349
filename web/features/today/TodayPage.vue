<script setup lang="ts">
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { todayEndpoints } from '@wax-fist/contract/today';
import { computed } from 'vue';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import MoreRows from '../../app/MoreRows.vue';
import { usePages } from '../../app/use-pages.ts';
import { counted, localDay, shortDay } from '../../app/format.ts';
import FilmRow from '../footage/FilmRow.vue';
import CorrectionLine from '../corrections/CorrectionLine.vue';

const films = usePages((query) => request(todayEndpoints.filmsToReview, { query }));
const corrections = usePages((query) => request(correctionEndpoints.listCorrections, { query: { ...query, state: 'open' } }));
const failure = computed(() => films.failure.value ?? corrections.failure.value);
const again = () => Promise.all([films.again(), corrections.again()]);
const now = localDay();
const due = computed(() => corrections.rows.value?.filter(({ recheckOn }) => recheckOn !== null && recheckOn <= now) ?? []);
const later = computed(() => corrections.rows.value?.filter((one) => !due.value.includes(one)) ?? []);
const sentence = computed(() => {
  const waiting = films.rows.value?.length ?? 0;
  const parts = [
    waiting > 0 ? `${counted(waiting, 'film')}${films.hasMore.value ? ' and more' : ''} to review` : '',
    due.value.length > 0 ? `${counted(due.value.length, 'correction')} due` : '',
  ];
  return parts.filter(Boolean).join(', ') || 'Nothing waits.';
});
</script>

<template>
  <div class="page">
    <h1>{{ shortDay(now) }}</h1>
    <PageState :failure="failure" :ready="films.rows.value !== undefined && corrections.rows.value !== undefined" @again="again">
      <p class="quiet">{{ sentence }}</p>
      <h2>Footage to review</h2>
      <ul v-if="films.rows.value!.length > 0" class="list">
        <FilmRow v-for="{ film, traineeId, traineeName, heldOn } in films.rows.value!" :key="film.id" :film="film">
          <RouterLink :to="{ name: 'trainee', params: { traineeId } }">{{ traineeName }}</RouterLink>, {{ shortDay(heldOn) }}
        </FilmRow>
      </ul>
      <div v-else class="empty">
        Every film is reviewed. New footage goes in on a session’s page: <RouterLink to="/trainees">choose a trainee</RouterLink>,
        open or add a session, drop the films there.
      </div>
      <MoreRows
        :has-more="films.hasMore.value"
        :loading="films.loading.value"
        :shown="films.rows.value!.length"
        @more="films.more"
      />

      <h2>Corrections due</h2>
      <ul v-if="due.length > 0" class="list">
        <CorrectionLine v-for="one in due" :key="one.id" :correction="one" with-name>
          <VBtn color="primary" :to="{ name: 'session', params: { sessionId: one.newestSession }, hash: '#said' }"
            >See the answer</VBtn
          >
        </CorrectionLine>
      </ul>
      <div v-else class="empty">No re-check is due today.</div>

      <template v-if="later.length > 0">
        <h2>Open, for later</h2>
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
