<script setup lang="ts">
import { todayEndpoints } from '@wax-fist/contract/today';
import { computed } from 'vue';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { counted, localDay, shortDay } from '../../app/format.ts';
import FilmRow from '../footage/FilmRow.vue';
import CorrectionLine from '../corrections/CorrectionLine.vue';

const { value: today, failure, again } = useAnswer(() => request(todayEndpoints.today));
const now = localDay();
const due = computed(() => today.value?.corrections.filter(({ recheckOn }) => recheckOn !== null && recheckOn <= now) ?? []);
const later = computed(() => today.value?.corrections.filter((one) => !due.value.includes(one)) ?? []);
const sentence = computed(() => {
  const films = today.value?.footage.length ?? 0;
  const parts = [
    films > 0 ? `${counted(films, 'film')} to review` : '',
    due.value.length > 0 ? `${counted(due.value.length, 'correction')} due` : '',
  ];
  return parts.filter(Boolean).join(', ') || 'Nothing waits.';
});
</script>

<template>
  <div class="page">
    <h1>{{ shortDay(now) }}</h1>
    <PageState :failure="failure" :ready="today !== undefined" @again="again">
      <p class="quiet">{{ sentence }}</p>
      <h2>Footage to review</h2>
      <ul v-if="today!.footage.length > 0" class="list">
        <FilmRow v-for="{ film, traineeId, traineeName, heldOn } in today!.footage" :key="film.id" :film="film">
          <RouterLink :to="{ name: 'trainee', params: { traineeId } }">{{ traineeName }}</RouterLink>, {{ shortDay(heldOn) }}
        </FilmRow>
      </ul>
      <div v-else class="empty">
        Every film is reviewed. New footage goes in on a session’s page: <RouterLink to="/trainees">choose a trainee</RouterLink>,
        open or add a session, drop the films there.
      </div>

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
    </PageState>
  </div>
</template>
