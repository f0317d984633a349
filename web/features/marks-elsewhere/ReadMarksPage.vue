<script setup lang="ts">
import { knownStrikes } from '@wax-fist/contract/marks-elsewhere';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { shortDay } from '@wax-fist/core/words';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { benchData } from '../review/use-bench-data.ts';
import ReadMarks from './ReadMarks.vue';
import { marksElsewhereWords as words } from './words.ts';

const { filmId } = defineProps<{ filmId: string }>();
const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  const [data, review] = await Promise.all([benchData(filmId), request(reviewEndpoints.showReview, { params: { filmId } })]);
  return { data, already: knownStrikes(review) };
});
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <div class="page-head">
          <div>
            <p class="quiet">
              <RouterLink :to="{ name: 'session', params: { sessionId: page.data.film.sessionId } }"
                >{{ page.data.session.trainee.name }}, {{ shortDay(page.data.session.heldOn) }}</RouterLink
              >
            </p>
            <h1>{{ words.marksMadeElsewhere }}</h1>
            <p class="quiet">{{ page.data.film.fileName }}</p>
          </div>
        </div>
        <ReadMarks :data="page.data" :already="page.already" :changed="again" />
      </template>
    </PageState>
  </div>
</template>
