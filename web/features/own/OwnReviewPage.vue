<script setup lang="ts">
import { mdiFileDocumentOutline } from '@mdi/js';
import { ownEndpoints } from '@wax-fist/contract/own';
import { shortDay } from '@wax-fist/core/words';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import OwnFilm from './OwnFilm.vue';
import { ownWords as words } from './words.ts';

/** A released review: the films with every strike, and what the coach said of it. */
const { sessionId } = defineProps<{ sessionId: string }>();
const { value: review, failure, again } = useAnswer(() => request(ownEndpoints.ownReview, { params: { sessionId } }));
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="review !== undefined" @again="again">
      <template v-if="review">
        <div class="page-head">
          <div>
            <p class="quiet">
              <RouterLink :to="{ name: 'own' }">{{ review.own ? review.traineeName : words.home }}</RouterLink>
              <template v-if="!review.own">{{ words.showsThisToEverybodyOf(review.traineeName) }}</template>
            </p>
            <h1>{{ shortDay(review.heldOn) }}, {{ review.roundKind }}</h1>
          </div>
          <VBtn
            v-if="review.own"
            variant="outlined"
            :prepend-icon="mdiFileDocumentOutline"
            :to="{ name: 'own-report', params: { sessionId } }"
            >{{ words.report }}</VBtn
          >
        </div>
        <OwnFilm v-for="film in review.films" :key="film.id" :film="film" />
        <p v-if="review.films.length === 0" class="empty">
          {{ words.itsFilmsAreNotKept(review.own ? words.whatWasCountedStandsIn : '') }}
        </p>
      </template>
    </PageState>
  </div>
</template>
