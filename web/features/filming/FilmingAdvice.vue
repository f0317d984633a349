<script setup lang="ts">
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import type { Film } from '@wax-fist/contract/footage';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { checkpointName, techniqueName, viewNames, viewsInWords, type View } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { adviceFor, settledSigns, type OpenQuestion } from '../sessions/session-advice.ts';
import { filmingWords as words } from './words.ts';

/** What a camera that stands there will settle of the open corrections: before the round, when it can still be moved. */
const { session, view } = defineProps<{ session: SessionDetail; view: View }>();
const shelf = useCatalogue();
const { value: known } = useAnswer(async () => {
  const [corrections, checklists] = await Promise.all([
    request(correctionEndpoints.traineeCorrections, { params: { traineeId: session.traineeId }, query: { state: 'open' } }),
    shelf.at(session.checklistVersion),
  ]);
  return { corrections: corrections.rows, checklists };
});
const settledHere = { measure: words.willBeMeasured, eye: words.byEye, nothing: words.notFromHere };

function said({ films: [here], better }: OpenQuestion): string {
  const elsewhere = better
    ? words.fromTheSettles(better.settles === 'measure' ? words.measured : words.byEye, viewsInWords(better.from))
    : '';
  return settledHere[here!.advice.settles] + elsewhere;
}
const questions = computed(() => {
  if (!known.value) return [];
  const { corrections, checklists } = known.value;
  const planned = { view, state: 'ready' } as Film;
  return adviceFor({ ...session, films: [planned] }, checklists, corrections).questions.map((one) => ({
    id: one.correction.id,
    name: `${techniqueName(checklists, one.correction.technique)}, ${checkpointName(checklists, one.correction.checkpointId).toLowerCase()}`,
    settles: one.films[0]!.advice.settles,
    said: said(one),
  }));
});
</script>

<template>
  <section v-if="questions.length > 0" aria-labelledby="from-here">
    <h2 id="from-here">{{ words.fromThe(viewNames[view].toLowerCase()) }}</h2>
    <ul>
      <li v-for="one in questions" :key="one.id" :class="one.settles">
        <VIcon :icon="settledSigns[one.settles]" size="18" />
        <span><b>{{ one.name }}</b> {{ one.said }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: var(--type-text);
}
ul {
  font-size: var(--type-small);
}
li {
  display: flex;
  gap: var(--space-2);
  padding: var(--space-0-5) 0;
}
.nothing {
  color: rgb(var(--v-theme-warning));
}
</style>
