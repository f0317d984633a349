<script setup lang="ts">
import { filmPartEndpoints } from '@wax-fist/contract/film-parts';
import { everyRow } from '@wax-fist/contract/page';
import type { Round } from '@wax-fist/contract/rounds';
import { traineeEndpoints, type TraineeRow } from '@wax-fist/contract/trainees';
import { messageOf } from '@wax-fist/core/message-of';
import { max } from 'd3-array';
import { computed, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { clock } from '../../app/format.ts';
import FormDialog from '../../app/FormDialog.vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { given, partsOf, roundsToGive, whyNotCut, type GivenRound } from './parts-of-turns.ts';
import { filmPartsWords as words } from './words.ts';

/** A film in which several trainees take turns: who seems to work when, and its cutting into a film for each. */
const { filmId, traineeId, sessionId, rounds } = defineProps<{
  filmId: string;
  traineeId: string;
  sessionId: string;
  /** In order of time. */
  rounds: readonly Round[];
}>();
const emit = defineEmits<{ look: [round: Round] }>();
const router = useRouter();
const notice = useNotice();
const hitsAndRounds = useHitsAndRounds();
const open = ref(false);
const busy = ref(false);
const failure = ref<string>();
const list = shallowRef<GivenRound[]>([]);

const { value: turns } = useAnswer(() => request(filmPartEndpoints.filmTurns, { params: { filmId } }));
const people = computed(() => (max(turns.value ?? [], ({ person }) => person) ?? 0) + 1);
const trainees = shallowRef<TraineeRow[]>([]);
const items = computed(() => [
  ...trainees.value.map(({ id, name }) => ({ value: id as string | null, title: name })),
  { value: null, title: words.nobodyLeaveItOut },
]);
const rows = computed(() =>
  list.value.flatMap((one) => {
    const round = rounds.find(({ id }) => id === one.roundId);
    return round ? [{ ...one, round }] : [];
  }),
);

async function begin(): Promise<void> {
  failure.value = undefined;
  try {
    // Rounds may have been cut or moved since the page was opened.
    await hitsAndRounds.send();
    const [now, all] = await Promise.all([
      request(filmPartEndpoints.filmTurns, { params: { filmId } }),
      everyRow((query) => request(traineeEndpoints.listTrainees, { query })),
    ]);
    list.value = roundsToGive(now, traineeId);
    trainees.value = all;
    open.value = true;
  } catch (error) {
    notice.say(messageOf(error));
  }
}
async function cut(): Promise<void> {
  failure.value = whyNotCut(list.value);
  if (failure.value) return;
  busy.value = true;
  try {
    const made = await request(filmPartEndpoints.cutFilm, { params: { filmId }, body: { parts: partsOf(list.value) } });
    open.value = false;
    notice.say(words.cutIntoFilmEachIn(made.length));
    await router.push({ name: 'session', params: { sessionId } });
  } catch (error) {
    failure.value = messageOf(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <p class="turns">
    <template v-if="people > 1">
      <b>{{ words.personSeemToTakeTurns(people) }}</b>
      <VBtn size="small" color="primary" @click="begin">{{ words.cutIntoTheirFilms }}</VBtn>
    </template>
    <VBtn v-else size="small" variant="text" @click="begin">{{ words.severalTraineesInThisFilm }}</VBtn>
  </p>
  <FormDialog
    v-model="open"
    :title="words.whoseRoundsAreThese"
    :failure="failure"
    :busy="busy"
    :save-name="words.cutTheFilm"
    @save="cut"
  >
    <p class="quiet">
      {{ words.eachTurnBecomesAFilm }}
    </p>
    <ul>
      <li v-for="{ roundId, traineeId: whose, round } in rows" :key="roundId">
        <button type="button" class="round" :title="words.look" @click="emit('look', round)">
          <b>{{ round.name }}</b>
          <span class="number quiet">{{ clock(round.from) }}–{{ clock(round.to) }}</span>
        </button>
        <VSelect
          :model-value="whose"
          :items="items"
          :label="words.whoWorksIn(round.name)"
          hide-details
          density="compact"
          @update:model-value="list = given(list, roundId, $event)"
        />
      </li>
    </ul>
  </FormDialog>
</template>

<style scoped>
.turns {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-3);
  margin: var(--space-3) 0;
}
ul {
  margin: var(--space-3) 0 var(--space-4);
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr);
  gap: var(--space-3);
  align-items: center;
  padding: var(--space-1-5) 0;
}
.round {
  text-align: left;
  min-height: 44px;
}
.round .number {
  display: block;
  font-size: var(--type-note);
}
</style>
