<script setup lang="ts">
import { answerEndpoints, type LevelAnswer } from '@wax-fist/contract/answers';
import { compareEndpoints, type TypicalStrike } from '@wax-fist/contract/compare';
import type { Correction } from '@wax-fist/contract/corrections';
import type { JudgedThing } from '@wax-fist/contract/review';
import type { Session } from '@wax-fist/contract/sessions';
import { isAbout } from '@wax-fist/core/correction';
import { messageOf } from '@wax-fist/core/message-of';
import { seen, verdictNames } from '@wax-fist/core/review';
import { checkpointName, techniqueName } from '@wax-fist/core/technique';
import { faultsOfSeen, shortDay } from '@wax-fist/core/words';
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import PickedStrike from '../compare/PickedStrike.vue';
import { levelPanels, schoolChanges, type PanelPoint } from './level-panels.ts';
import { correctionsWords as words } from './words.ts';

/** What has become of one thing over all sessions: its level at each rung, with what was counted. */
const catalogue = useCatalogue();
const { traineeId, judged, corrections, sessions } = defineProps<{
  traineeId: string;
  /** Everything that was ever looked at. */
  judged: JudgedThing[];
  corrections: Correction[];
  sessions: readonly Session[];
}>();
const LevelChart = defineAsyncComponent(() => import('./LevelChart.vue'));

/** What is worked on first, then what is faulty most often. */
const questions = computed(() =>
  judged
    .map(({ technique, checkpointId, tally }) => ({
      value: `${technique} ${checkpointId}`,
      title: `${techniqueName(catalogue.newest, technique)}: ${checkpointName(catalogue.newest, checkpointId).toLowerCase()}`,
      ...{ technique, checkpointId },
      weight: (corrections.some(isAbout({ technique, checkpointId })) ? 1e6 : 0) + tally.fault + Math.min(1, seen(tally)) / 10,
    }))
    .sort((a, b) => b.weight - a.weight),
);
/** In the address: what is asked, and the session that was picked. */
const route = useRoute();
const router = useRouter();
const show = (query: { levels?: string; picked?: string | undefined }): void =>
  void router.replace({ query: { ...route.query, ...query } });
const question = computed(() => questions.value.find(({ value }) => value === route.query.levels) ?? questions.value[0]);
const correction = computed(() => question.value && corrections.find(isAbout(question.value)));

const answers = shallowRef<LevelAnswer[]>();
const failure = ref<string>();
watch(
  [question, () => judged],
  async ([asked]) => {
    if (!asked) return;
    const { technique, checkpointId } = asked;
    failure.value = undefined;
    try {
      const said = await request(answerEndpoints.traineeAnswers, { params: { traineeId }, query: { technique, checkpointId } });
      if (question.value === asked) answers.value = said;
    } catch (error) {
      failure.value = messageOf(error);
    }
  },
  { immediate: true },
);
const panels = computed(() => levelPanels(answers.value ?? []));

/** A strike of the session that was picked, and one of the newest at its rung, each as most of them were. */
const points = computed(() => panels.value.find((panel) => panel.points.some(isPicked))?.points ?? []);
const isPicked = ({ sessionId }: PanelPoint): boolean => sessionId === route.query.picked;
const thenAndNow = shallowRef<{ then: PanelPoint; strike: TypicalStrike; now: PanelPoint; newest: TypicalStrike | null }>();
watch(
  points,
  async (all) => {
    thenAndNow.value = undefined;
    const [then, now] = [all.find(isPicked), all.at(-1)];
    const asked = question.value;
    if (!then || !now || !asked) return;
    const { technique, checkpointId } = asked;
    const typical = ({ sessionId }: PanelPoint) =>
      request(compareEndpoints.typicalStrike, { params: { sessionId }, query: { technique, checkpointId } });
    const found = await Promise.all([typical(then), typical(now)]).catch((error: unknown) => {
      failure.value = messageOf(error);
      return [null, null] as const;
    });
    if (points.value === all && found[0]) thenAndNow.value = { then, strike: found[0], now, newest: found[1] };
  },
  { immediate: true },
);
const days = computed(() => [
  ...(correction.value ? [{ day: correction.value.openedOn, says: 'opened' }] : []),
  ...schoolChanges(sessions),
]);
</script>

<template>
  <div class="rates">
    <VSelect
      :model-value="question?.value"
      :items="questions"
      :label="words.checkpoint"
      density="compact"
      hide-details
      class="choose"
      @update:model-value="show({ levels: $event, picked: undefined })"
    />
    <p class="quiet">
      {{ words.theLineIsTheLevel }}
    </p>
    <p v-if="failure" role="alert">{{ failure }}</p>
    <LevelChart
      v-if="question && panels.length > 0"
      :panels="panels"
      :days="days"
      :target="correction?.target"
      :family="catalogue.newest.checkpoints.get(question.checkpointId)?.family"
      :name="question.title"
      @pick="show({ picked: $event })"
    />
    <PickedStrike
      v-if="thenAndNow"
      :strike-id="thenAndNow.strike.strikeId"
      :film-id="thenAndNow.strike.filmId"
      :says="
        words.mostOfThem(
          shortDay(thenAndNow.then.heldOn),
          faultsOfSeen(thenAndNow.then),
          verdictNames[thenAndNow.strike.verdict].toLowerCase(),
        )
      "
      :against="
        thenAndNow.newest && thenAndNow.now !== thenAndNow.then
          ? { strikeId: thenAndNow.newest.strikeId, name: shortDay(thenAndNow.now.heldOn) }
          : undefined
      "
      @close="show({ picked: undefined })"
    >
      <VBtn variant="outlined" :to="{ name: 'session', params: { sessionId: thenAndNow.then.sessionId } }">
        {{ words.theSession }}
      </VBtn>
    </PickedStrike>
  </div>
</template>

<style scoped>
.rates {
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid rgb(var(--v-theme-primary));
  padding: var(--space-3);
}
.choose {
  max-width: 420px;
  margin-bottom: var(--space-2);
}
</style>
