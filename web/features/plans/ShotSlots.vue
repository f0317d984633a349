<script setup lang="ts">
import { mdiCheck, mdiVideoPlus } from '@mdi/js';
import type { Film } from '@wax-fist/contract/footage';
import { planEndpoints } from '@wax-fist/contract/plans';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import type { Shot } from '@wax-fist/core/plan';
import { computed, ref } from 'vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useUploads } from '../footage/uploads-store.ts';
import { rateOf } from '../sessions/session-advice.ts';
import { shotInWords } from './shot-words.ts';
import { plansWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** What was planned to be filmed in a session: a film that is put into its place knows from where it was taken. */
const { session } = defineProps<{ session: SessionDetail }>();
const emit = defineEmits<{ added: [] }>();
const uploads = useUploads();
const over = ref<string>();
const { value: plan } = useAnswer(() => request(planEndpoints.sessionPlan, { params: { sessionId: session.id } }));

/** A little less than asked is what cameras that say 60 do. */
const tolerated = 0.97;
const said = (shot: Shot, film: Film | undefined): string => {
  if (!film) return '';
  const rate = rateOf(film) ?? Infinity;
  return rate < shot.rate * tolerated ? words.filmedAtFramesASecond(Math.round(rate), shot.rate) : '';
};
const slots = computed(() =>
  (plan.value?.parts ?? [])
    .filter(({ shot, on, rung }) => shot && on === session.roundKind && rung === session.rung)
    .map(({ id, title, shot }) => {
      const film = session.films.find(({ view }) => view === shot!.view);
      return { id, title, shot: shot!, film, trouble: said(shot!, film) };
    }),
);
function add(shot: Shot, files: FileList | null | undefined): void {
  over.value = undefined;
  for (const file of files ?? []) uploads.send(file, session.id, shot.view, () => emit('added'));
}
</script>

<template>
  <section v-if="slots.length > 0" class="slots no-print" aria-labelledby="planned-shots">
    <h2 id="planned-shots">
      <TextWith :text="words.plannedHere">
        <template #link>
          <RouterLink :to="{ name: 'plan', params: { planId: plan!.id } }" class="to-plan">{{
            words.theWholeSession
          }}</RouterLink>
        </template>
      </TextWith>
    </h2>
    <ul>
      <li
        v-for="{ id, title, shot, film, trouble } in slots"
        :key="id"
        :class="{ over: over === id, there: film }"
        @dragover.prevent="over = id"
        @dragleave="over = undefined"
        @drop.prevent="add(shot, $event.dataTransfer?.files)"
      >
        <VIcon :icon="film ? mdiCheck : mdiVideoPlus" size="24" />
        <span class="words">
          <b>{{ title }}</b> {{ shotInWords(shot) }}.
          <span v-if="trouble" class="trouble">{{ trouble }}</span>
        </span>
        <label class="choose">
          {{ film ? words.anotherFilm : words.chooseItsFilm }}
          <input
            type="file"
            accept="video/*"
            :aria-label="words.filmFor(title)"
            @change="add(shot, ($event.target as HTMLInputElement).files)"
          />
        </label>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin: var(--space-4) 0 var(--space-1-5);
}
.to-plan {
  font-size: var(--type-text);
  font-weight: 400;
  margin-left: var(--space-2);
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-1-5) var(--space-3);
  padding: var(--space-2) var(--space-3);
  border: 2px dashed var(--edge);
  background: rgb(var(--v-theme-surface));
}
li + li {
  margin-top: var(--space-1-5);
}
.there {
  border-style: solid;
}
.over {
  border-color: rgb(var(--v-theme-primary));
  background: var(--dropping);
}
.words {
  flex: 1 1 260px;
}
.trouble {
  display: block;
  color: var(--fault);
}
.choose {
  position: relative;
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0 var(--space-4);
  border: 1px solid currentcolor;
  border-radius: 4px;
  font-weight: 700;
  font-size: var(--type-text);
}
.choose:focus-within {
  outline: 3px solid var(--focus);
}
input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
</style>
