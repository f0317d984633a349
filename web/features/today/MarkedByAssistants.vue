<script setup lang="ts">
import { mdiEyeOffOutline } from '@mdi/js';
import { reviewingEndpoints } from '@wax-fist/contract/reviewing';
import { messageOf } from '@wax-fist/core/message-of';
import { shortDay } from '@wax-fist/core/words';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useAccount } from '../accounts/account-store.ts';
import { todayWords as words } from './words.ts';

/** What an assistant has marked is marked a second time by a coach, who sees no verdict meanwhile. */
const account = useAccount();
const router = useRouter();
const { value: films } = useAnswer(() => request(reviewingEndpoints.markedByAssistants));
const trouble = ref<string>();

async function mark(filmId: string): Promise<void> {
  try {
    await request(reviewingEndpoints.askSecondCoach, { params: { filmId }, body: { coachId: account.me!.id } });
    await router.push({ name: 'bench', params: { filmId } });
  } catch (error) {
    trouble.value = messageOf(error);
  }
}
</script>

<template>
  <section v-if="films?.length" aria-labelledby="by-assistants">
    <h2 id="by-assistants">{{ words.markedByAnAssistant }}</h2>
    <p class="quiet">{{ words.judgeTheSameStrikesWithout }}</p>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
    <ul class="list">
      <li v-for="{ film, traineeId, traineeName, heldOn } in films" :key="film.id" class="entry">
        <span
          ><RouterLink :to="{ name: 'trainee', params: { traineeId } }">{{ traineeName }}</RouterLink>, {{ shortDay(heldOn) }}
          <span class="quiet">· {{ film.fileName }}, {{ words.strikes(film.strikes) }}</span></span
        >
        <VBtn variant="text" :to="{ name: 'bench', params: { filmId: film.id } }">{{ words.lookAtIt }}</VBtn>
        <VBtn color="primary" :prepend-icon="mdiEyeOffOutline" @click="mark(film.id)">{{ words.markItBlind }}</VBtn>
      </li>
    </ul>
  </section>
</template>
