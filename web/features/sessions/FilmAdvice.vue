<script setup lang="ts">
import { mdiVideoOutline } from '@mdi/js';
import type { Correction } from '@wax-fist/contract/corrections';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import type { FilmAdvice } from '@wax-fist/core/measure';
import { checkpointName, techniqueName, viewNames, viewsInWords, type Catalogue } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { doubtInWords } from '../checklists/measured-words.ts';
import { useWidenings } from '../point-checks/widenings-store.ts';
import { adviceFor, placesInWords, settledSigns } from './session-advice.ts';
import { sessionsWords as words } from './words.ts';

/** What the films of this session can settle of the open corrections, before anybody looks for it in vain. */
const { session, checklists, corrections } = defineProps<{
  session: SessionDetail;
  checklists: Catalogue;
  corrections: readonly Correction[];
}>();

const widenings = useWidenings();
void widenings.load();
const advice = computed(() => adviceFor(session, checklists, corrections, widenings.now));
const places = computed(() => placesInWords(advice.value.places, advice.value.questions.length));
const settledThere = { measure: words.thereItIsMeasured, eye: words.thereTheEyeCanTell, nothing: '' };
const nameOf = ({ technique, checkpointId }: Correction): string =>
  `${techniqueName(checklists, technique)}: ${checkpointName(checklists, checkpointId).toLowerCase()}`;
/** @param elsewhere whether the next line says from where to film instead */
function said({ settles, doubt, reason }: FilmAdvice, measure: string, elsewhere: boolean): string {
  if (settles === 'nothing') return elsewhere ? `${reason.split(':')[0]}.` : reason;
  const wide = doubt === undefined ? '' : words.aStrike(doubtInWords(measure, doubt, session.trainee.stature));
  return settles === 'measure' ? words.measuredWide(wide) : words.byEye(reason.replace(/\.$/, ''), wide);
}
</script>

<template>
  <section v-if="advice.questions.length > 0" aria-labelledby="settles">
    <h2 id="settles">{{ session.films.length > 0 ? words.whatTheseFilmsCanSettle : words.whereToPutTheCamera }}</h2>
    <ul>
      <li v-for="{ correction, measure, films, better } in advice.questions" :key="correction.id">
        <b>{{ nameOf(correction) }}</b>
        <div>
          <p v-for="{ film, advice: one } in films" :key="film.id" :class="one.settles">
            <VIcon :icon="settledSigns[one.settles]" size="18" />
            <span
              ><b>{{ viewNames[film.view] }}:</b>
              {{ said(one, measure, better !== undefined && !better.from.includes(film.view)) }}</span
            >
          </p>
          <p v-if="better">
            <VIcon :icon="mdiVideoOutline" size="18" />
            <span>{{ words.filmFromThe(viewsInWords(better.from), settledThere[better.settles]) }}</span>
          </p>
        </div>
      </li>
    </ul>
    <p v-if="places" class="quiet">{{ places }}</p>
  </section>
</template>

<style scoped>
h2 {
  margin: var(--space-6) 0 var(--space-1-5);
}
li {
  display: grid;
  grid-template-columns: minmax(200px, 320px) 1fr;
  gap: var(--space-1) var(--space-4);
  padding: var(--space-2) var(--space-3);
  background: rgb(var(--v-theme-surface));
  border-bottom: 1px solid rgba(var(--v-border-color), 0.12);
}
li p {
  display: flex;
  gap: var(--space-2);
  align-items: baseline;
  margin: 0;
}
li p b {
  font-weight: 600;
}
.nothing {
  color: rgb(var(--v-theme-warning));
}
@media (max-width: 640px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
