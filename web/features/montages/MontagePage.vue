<script setup lang="ts">
import { mdiPause, mdiPlay, mdiSkipNext, mdiSkipPrevious } from '@mdi/js';
import { montageEndpoints, montageKindNames, montageKinds, type MontageKind } from '@wax-fist/contract/montages';
import { viewNames } from '@wax-fist/core/technique';
import { shortDay } from '@wax-fist/core/words';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useKeys } from '../../app/keys/use-keys.ts';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { montageKeys, type MontageAct } from './montage-keys.ts';
import MontageStage from './MontageStage.vue';
import { useFilmSources } from './use-film-sources.ts';
import WriteMontage from './WriteMontage.vue';
import { montagesWords as words } from './words.ts';

/** All strikes of a session that show one thing, one after another; the address holds which, so that a link opens the same. */
const { sessionId } = defineProps<{ sessionId: string }>();
const route = useRoute();
const router = useRouter();
const open = useFilmSources();
const which = computed((): MontageKind => montageKinds.find((one) => one === route.query.which) ?? 'faults');
const technique = computed(() => String(route.query.technique ?? ''));
const checkpointId = computed(() => String(route.query.checkpoint ?? ''));
const about = computed(() => ({ technique: technique.value, checkpointId: checkpointId.value, which: which.value }));
const {
  value: montage,
  failure,
  again,
} = useAnswer(() => request(montageEndpoints.showMontage, { params: { sessionId }, query: about.value }));
const place = ref(0);
const playing = ref(true);
watch(about, async () => {
  place.value = 0;
  await again();
});

const pieces = computed(() => montage.value?.pieces ?? []);
const piece = computed(() => pieces.value[place.value]);
const heading = computed(() => {
  const one = piece.value;
  return one ? words.ofPlace(place.value + 1, pieces.value.length, one.label || viewNames[one.view].toLowerCase()) : '';
});
const to = (steps: number): void => {
  const { length } = pieces.value;
  if (length > 0) place.value = (place.value + steps + length) % length;
};
/** Each goes round twice before the next one comes. */
const timesEach = 2;
const around = (times: number): void => {
  if (playing.value && times >= timesEach) to(1);
};
const show = (kind: MontageKind): void => void router.replace({ query: { ...route.query, which: kind } });
const acts: Readonly<Record<MontageAct, () => void>> = {
  before: () => to(-1),
  next: () => to(1),
  stay: () => void (playing.value = !playing.value),
};
useKeys(montageKeys, 'wax.montage-keys', (act) => acts[act]());
const nothing: Readonly<Record<MontageKind, string>> = {
  faults: words.noStrikeOfThisSession,
  clean: words.noStrikeOfThisSessionIs,
  'then-now': words.thereIsNothingToHold,
};
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="montage !== undefined" @again="again">
      <template v-if="montage">
        <div class="page-head">
          <div>
            <p class="quiet">
              <RouterLink :to="{ name: 'session', params: { sessionId } }"
                >{{ montage.traineeName }}, {{ shortDay(montage.heldOn) }}</RouterLink
              >
            </p>
            <h1>{{ montage.technique }}: {{ montage.name.toLowerCase() }}</h1>
          </div>
          <WriteMontage v-if="pieces.length > 0" :key="JSON.stringify(about)" :session-id="sessionId" v-bind="about" />
        </div>
        <nav class="lists" :aria-label="words.whichStrikes">
          <button v-for="kind in montageKinds" :key="kind" type="button" :aria-pressed="kind === which" @click="show(kind)">
            {{ montageKindNames[kind] }}
          </button>
        </nav>
        <template v-if="piece">
          <MontageStage :piece="piece" :heading="heading" :cue="montage.cue" :open="open" @around="around" />
          <div class="keys">
            <VBtn :icon="mdiSkipPrevious" variant="text" :aria-label="words.theStrikeBefore" @click="to(-1)" />
            <VBtn
              :icon="playing ? mdiPause : mdiPlay"
              variant="text"
              :aria-label="playing ? words.stayAtThisOne : words.goOn"
              @click="playing = !playing"
            />
            <VBtn :icon="mdiSkipNext" variant="text" :aria-label="words.theNextStrike" @click="to(1)" />
            <RouterLink :to="{ name: 'bench', params: { filmId: piece.filmId, strikeId: piece.strikeId } }">{{
              words.atTheBench
            }}</RouterLink>
          </div>
        </template>
        <div v-else class="empty">{{ nothing[which] }}</div>
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.lists {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1);
  margin-bottom: var(--space-2);
}
.lists button {
  min-height: 44px;
  padding: 0 var(--space-3);
  border-bottom: 4px solid transparent;
}
.lists button[aria-pressed='true'] {
  border-color: var(--signal);
  font-weight: 700;
}

.keys {
  display: flex;
  justify-content: center;
  gap: var(--space-1-5);
  align-items: center;
}
</style>
