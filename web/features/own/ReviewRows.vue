<script setup lang="ts">
import { mdiPlayCircleOutline } from '@mdi/js';
import type { OwnTrainee, ShownReview } from '@wax-fist/contract/own';
import { counted, shortDay } from '@wax-fist/core/words';

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
        <p class="quiet">{{ counted(one.films, 'film') }}, {{ counted(one.strikes, 'strike') }}</p>
      </div>
      <VBtn variant="outlined" :prepend-icon="mdiPlayCircleOutline" :to="{ name: 'own-review', params: { sessionId: one.id } }"
        >Look at it</VBtn
      >
    </li>
  </ul>
</template>
