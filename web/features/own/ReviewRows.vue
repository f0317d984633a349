<script setup lang="ts">
import { mdiPlayCircleOutline } from '@mdi/js';
import type { OwnTrainee, ShownReview } from '@wax-fist/contract/own';
import { shortDay } from '@wax-fist/core/words';
import { ownWords as words } from './words.ts';

/** Released reviews as lines, with whose they are where that is not said already. */
defineProps<{ reviews: readonly (OwnTrainee['sessions'][number] & Partial<Pick<ShownReview, 'traineeName'>>)[] }>();
</script>

<template>
  <ul class="list">
    <li v-for="one in reviews" :key="one.id" class="entry">
      <div>
        <p>
          <b>{{ one.traineeName ?? shortDay(one.heldOn) }}</b>,
          <template v-if="one.traineeName">{{ shortDay(one.heldOn) }}, </template>{{ one.roundKind }}
        </p>
        <p class="quiet">{{ words.films(one.films) }}, {{ words.strikes(one.strikes) }}</p>
      </div>
      <VBtn variant="outlined" :prepend-icon="mdiPlayCircleOutline" :to="{ name: 'own-review', params: { sessionId: one.id } }">{{
        words.lookAtIt
      }}</VBtn>
    </li>
  </ul>
</template>
