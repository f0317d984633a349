<script setup lang="ts">
import type { LevelAnswer } from '@wax-fist/contract/answers';
import type { Correction } from '@wax-fist/contract/corrections';
import { computed } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { useKeys } from '../../app/keys/use-keys.ts';
import { reasonInWords, stepInWords } from '@wax-fist/core/words';
import { useCorrectionEvents } from './use-correction-events.ts';
import { useAccount } from '../accounts/account-store.ts';
import { correctionsWords as words } from './words.ts';

const account = useAccount();
/** Steps on the ladder that the numbers of a session propose, each with why; one key takes the next. */
const { corrections, answers, sessionId } = defineProps<{
  corrections: readonly Correction[];
  answers: readonly LevelAnswer[];
  sessionId: string;
}>();
const emit = defineEmits<{ changed: [] }>();
const notice = useNotice();
const { busy, failure, say } = useCorrectionEvents(() => emit('changed'));

const steps = computed(() =>
  (account.judges ? answers : []).flatMap(({ correctionId, proposed, atAim, sessions }) => {
    const correction = corrections.find(({ id }) => id === correctionId);
    if (!correction || !proposed) return [];
    return [{ correction, proposed, why: reasonInWords(proposed.kind, { atAim, sessions }, correction.target) }];
  }),
);
async function take({ correction, proposed }: (typeof steps.value)[number]): Promise<void> {
  if (busy.value) return;
  await say(correction, { ...proposed, sessionId });
  if (!failure.value) notice.say(`“${correction.cue}”: ${stepInWords(proposed)}.`);
}
const keys = useKeys(
  [{ id: 'take-step', group: words.session, name: words.takeTheNextProposedStep, keys: ['y'] }],
  'session-keys',
  () => steps.value[0] && void take(steps.value[0]),
);
</script>

<template>
  <section v-if="steps.length > 0" class="steps no-print" :aria-label="words.proposedSteps">
    <div v-for="(step, place) in steps" :key="step.correction.id" class="step" :class="step.proposed.kind">
      <p><b>“{{ step.correction.cue }}”: {{ stepInWords(step.proposed) }}.</b> <span class="quiet">{{ step.why }}.</span></p>
      <VBtn color="primary" :loading="busy" @click="take(step)"
        >{{ words.takeThisStep }} <kbd v-if="place === 0" class="ml-2">{{ keys.drawn('take-step') }}</kbd></VBtn
      >
    </div>
    <p v-if="failure" class="text-error" role="alert">{{ failure }}</p>
  </section>
</template>

<style scoped>
.steps {
  margin-bottom: var(--space-3);
}
.step {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: var(--space-2) var(--space-4);
  padding: var(--space-2) var(--space-4);
  background: rgb(var(--v-theme-surface));
  border: 2px dashed var(--clean);
  margin-bottom: var(--space-1-5);
}
.step.relapsed {
  border-color: var(--fault);
}
p {
  flex: 1 1 300px;
}
</style>
