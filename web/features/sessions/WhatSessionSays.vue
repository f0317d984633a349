<script setup lang="ts">
import type { LevelAnswer } from '@wax-fist/contract/answers';
import type { Correction } from '@wax-fist/contract/corrections';
import type { SessionMeasures } from '@wax-fist/contract/measures';
import type { SessionTally } from '@wax-fist/contract/review';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import type { Catalogue, TechniqueId } from '@wax-fist/core/technique';
import { computed, ref } from 'vue';
import CorrectionAnswer from '../corrections/CorrectionAnswer.vue';
import OpenCorrectionDialog from '../corrections/OpenCorrectionDialog.vue';
import ProposedSteps from '../corrections/ProposedSteps.vue';
import WhatFirst from '../corrections/WhatFirst.vue';
import RatesOfTechnique from './RatesOfTechnique.vue';
import { judgedRows, rowsByTechnique, type WhatIsKnown } from './judged-rows.ts';
import { sessionsWords as words } from './words.ts';

const {
  session,
  checklists,
  tallies,
  corrections,
  measures = undefined,
  measuring = false,
  answers = undefined,
} = defineProps<{
  session: SessionDetail;
  /** Those by which this session is judged: what was taken out of newer ones is named, and shown, here as it was. */
  checklists: Catalogue;
  tallies: SessionTally[];
  corrections: Correction[];
  /** What was measured; comes later than all else. */
  measures?: SessionMeasures;
  /** Whether that is still on its way. */
  measuring?: boolean;
  /** What all sessions say of each; comes later as well. */
  answers?: LevelAnswer[];
}>();
const emit = defineEmits<{ changed: [] }>();
const opening = ref<{ technique: TechniqueId; checkpointId: string }>();

const known = computed<WhatIsKnown>(() => ({ sessionId: session.id, checklists, tallies, corrections, measures, answers }));
const judged = computed(() => judgedRows(known.value));
const byTechnique = computed(() => rowsByTechnique(judged.value, known.value));
const ofCorrections = computed(() =>
  corrections
    .filter(({ state, openedOn }) => state !== 'closed' && openedOn <= session.heldOn)
    .map((correction) => ({ correction, row: judged.value.find((row) => row.correction?.id === correction.id) })),
);
</script>

<template>
  <ProposedSteps :corrections="corrections" :answers="answers ?? []" :session-id="session.id" @changed="emit('changed')" />
  <CorrectionAnswer
    v-for="{ correction, row } in ofCorrections"
    :key="correction.id"
    :correction="correction"
    :tally="row?.tally"
    :answer="row?.answer"
    :session-id="session.id"
    :checklists="checklists"
    @changed="emit('changed')"
  />
  <WhatFirst
    :session="session"
    :checklists="checklists"
    :judged="judged"
    :corrections="corrections.filter(({ traineeId }) => traineeId === session.traineeId)"
    @open="opening = $event"
  />
  <div v-if="byTechnique.length === 0" class="empty" role="status">
    {{ measuring ? words.nothingIsJudgedYetMeasuring : words.nothingIsJudgedYetReview }}
  </div>
  <RatesOfTechnique
    v-for="of in byTechnique"
    :key="of.technique"
    :of="of"
    :session="session"
    :checklists="checklists"
    @open="opening = { technique: of.technique, checkpointId: $event }"
  />
  <OpenCorrectionDialog v-model="opening" :session="session" :checklists="checklists" @opened="emit('changed')" />
</template>
