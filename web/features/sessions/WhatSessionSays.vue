<script setup lang="ts">
import { mdiMovieOpenOutline } from '@mdi/js';
import type { LevelAnswer } from '@wax-fist/contract/answers';
import type { Correction } from '@wax-fist/contract/corrections';
import type { SessionMeasures } from '@wax-fist/contract/measures';
import type { SessionTally } from '@wax-fist/contract/review';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { intervalMass } from '@wax-fist/core/units';
import { faultRate, isAbout, isSpotted } from '@wax-fist/core/correction';
import { oneViewEach } from '@wax-fist/core/review';
import {
  checkpointName,
  families,
  holdingTechnique,
  techniqueName,
  type Catalogue,
  type Family,
  type TechniqueId,
} from '@wax-fist/core/technique';
import { computed, ref } from 'vue';
import { faultsOfSeen, percent, rateInWords } from '@wax-fist/core/words';
import CorrectionAnswer from '../corrections/CorrectionAnswer.vue';
import OpenCorrectionDialog from '../corrections/OpenCorrectionDialog.vue';
import ProposedSteps from '../corrections/ProposedSteps.vue';
import RateBand from '../corrections/RateBand.vue';
import WhatFirst from '../corrections/WhatFirst.vue';
import SinceOpening from '../corrections/SinceOpening.vue';
import FamilySign from '../checklists/FamilySign.vue';
import MeasuredRateLine from '../measures/MeasuredRateLine.vue';
import { ratesNobodyJudged, toldRate } from '../measures/sheet-rows.ts';
import { statureOf } from '../measures/stature-of.ts';
import { useAccount } from '../accounts/account-store.ts';
import { sessionsWords as words } from './words.ts';

const account = useAccount();
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

const judged = computed(() =>
  oneViewEach(tallies)
    .filter(({ sessionId }) => sessionId === session.id)
    .map(({ technique, checkpointId, tally, byMeasure = 0 }) => {
      const isIt = isAbout({ technique, checkpointId });
      return {
        ...{ technique, checkpointId, tally, byMeasure },
        family: checklists.checkpoints.get(checkpointId)?.family,
        name: checkpointName(checklists, checkpointId),
        now: faultRate(tally),
        measured: toldRate(measures?.rates ?? [], technique, checkpointId),
        answer: answers?.find(isIt),
        correction: corrections.find((one) => isIt(one) && one.state !== 'closed'),
      };
    }),
);
const ofCorrections = computed(() =>
  corrections
    .filter(({ state, openedOn }) => state !== 'closed' && openedOn <= session.heldOn)
    .map((correction) => ({ correction, row: judged.value.find((row) => row.correction?.id === correction.id) })),
);
const measureOf = (checkpointId: string): string => checklists.checkpoints.get(checkpointId)?.measure ?? '';
const placeOf = (family: Family | undefined): number => (family ? families.indexOf(family) : families.length);
/** Most faults first; what was clean throughout comes last, in the order of the walk. */
const byTechnique = computed(() =>
  [...new Set([...checklists.techniques.keys(), ...judged.value.map(({ technique }) => technique)])]
    .map((technique) => ({
      technique,
      unjudged: ratesNobodyJudged(
        measures?.rates ?? [],
        technique,
        judged.value.filter((row) => row.technique === technique).map(({ checkpointId }) => checkpointId),
      ),
      rows: judged.value
        .filter((row) => row.technique === technique)
        .sort((a, b) => b.now.low - a.now.low || b.now.rate - a.now.rate || placeOf(a.family) - placeOf(b.family)),
    }))
    .filter(({ rows, unjudged }) => rows.length > 0 || unjudged.length > 0),
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
  <section v-for="{ technique, rows, unjudged } in byTechnique" :key="technique">
    <h3>
      {{ techniqueName(checklists, technique)
      }}<template v-if="technique === holdingTechnique && session.holder">: {{ session.holder.name }}</template>
    </h3>
    <table class="figures">
      <thead>
        <tr>
          <th>{{ words.checkpoint }}</th>
          <th class="figure">{{ words.faultsOfSeen }}</th>
          <th>{{ words.rateWithItsInterval(percent(intervalMass)) }}</th>
          <th>{{ words.levelOverSessions }}</th>
          <th class="no-print">
            <span class="unseen">{{ words.correction }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="{ checkpointId, tally, family, name, now, byMeasure, measured, answer, correction } in rows"
          :key="checkpointId"
        >
          <td>
            <span class="what"><FamilySign :family="family" /> {{ name }}</span>
          </td>
          <td class="figure number">
            {{ faultsOfSeen(now) }}<small v-if="byMeasure > 0" class="quiet">{{ words.strikesByMeasureAlone(byMeasure) }}</small>
          </td>
          <td>
            <span class="rate"
              ><RateBand :rate="now" :target="correction?.target" /><span class="number">{{ rateInWords(now) }}</span></span
            >
            <MeasuredRateLine
              v-if="measured"
              :rate="measured"
              :measure="measureOf(checkpointId)"
              :stature="statureOf(session, checkpointId)"
            />
          </td>
          <td>
            <SinceOpening v-if="answer" :answer="answer" />
          </td>
          <td class="no-print act">
            <VBtn
              v-if="tally.fault + tally.clean > 0 && technique !== holdingTechnique"
              :icon="mdiMovieOpenOutline"
              size="small"
              variant="text"
              :aria-label="words.montageOf(name.toLowerCase())"
              :title="words.montage"
              :to="{
                name: 'montage',
                params: { sessionId: session.id },
                query: { technique, checkpoint: checkpointId, which: tally.fault > 0 ? 'faults' : 'clean' },
              }"
            />
            <span v-if="correction" class="quiet">{{ words.openAim(correction.cue, percent(correction.target)) }}</span>
            <VBtn
              v-else-if="account.judges"
              size="small"
              :variant="isSpotted(now) ? 'flat' : 'outlined'"
              :color="isSpotted(now) ? 'primary' : undefined"
              @click="opening = { technique, checkpointId }"
              >{{ words.openACorrection }}</VBtn
            >
          </td>
        </tr>
        <tr v-for="rate in unjudged" :key="rate.checkpointId">
          <td>
            <span class="what"
              ><FamilySign :family="checklists.checkpoints.get(rate.checkpointId)?.family" />
              {{ checkpointName(checklists, rate.checkpointId) }}</span
            >
          </td>
          <td class="figure quiet">{{ words.notJudged }}</td>
          <td>
            <MeasuredRateLine
              :rate="rate"
              :measure="measureOf(rate.checkpointId)"
              :stature="statureOf(session, rate.checkpointId)"
            />
          </td>
          <td />
          <td class="no-print act">
            <VBtn
              v-if="account.judges"
              size="small"
              variant="outlined"
              @click="opening = { technique, checkpointId: rate.checkpointId }"
              >{{ words.openACorrection }}</VBtn
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
  <OpenCorrectionDialog v-model="opening" :session="session" :checklists="checklists" @opened="emit('changed')" />
</template>

<style scoped>
small {
  display: block;
}
h3 {
  font-size: var(--type-body);
  margin: var(--space-5) 0 var(--space-1-5);
}
td {
  height: 42px;
}
.figure {
  white-space: nowrap;
}
.what {
  display: flex;
  align-items: center;
  gap: var(--space-2);
}
.rate {
  display: grid;
  grid-template-columns: minmax(120px, 1fr) 118px;
  gap: var(--space-3);
  align-items: center;
}
.act {
  text-align: right;
}
@media screen and (max-width: 899px) {
  thead {
    position: absolute;
    clip-path: inset(50%);
  }
  tbody,
  tr {
    display: block;
  }
  tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    border-top: 1px solid var(--line);
    padding: var(--space-2) var(--space-3);
    gap: var(--space-1) var(--space-3);
  }
  td {
    border: 0;
    padding: 0;
    height: auto;
  }
  td:nth-child(n + 3) {
    grid-column: 1 / -1;
    text-align: left;
  }
}
</style>
