<script setup lang="ts">
import type { Correction } from '@wax-fist/contract/corrections';
import type { SessionMeasures } from '@wax-fist/contract/measures';
import type { SessionTally } from '@wax-fist/contract/review';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { intervalMass } from '@wax-fist/core/units';
import { faultRate, sessionAnswers, wouldSettleAt } from '@wax-fist/core/correction';
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
import { faultsOfSeen, percent, rateInWords } from '../../app/format.ts';
import ChangeSign from '../corrections/ChangeSign.vue';
import CorrectionAnswer from '../corrections/CorrectionAnswer.vue';
import OpenCorrectionDialog from '../corrections/OpenCorrectionDialog.vue';
import RateBand from '../corrections/RateBand.vue';
import FamilySign from '../checklists/FamilySign.vue';
import MeasuredRateLine from '../measures/MeasuredRateLine.vue';
import { ratesNobodyJudged, toldRate } from '../measures/sheet-rows.ts';

const {
  session,
  checklists,
  tallies,
  corrections,
  measures = undefined,
} = defineProps<{
  session: SessionDetail;
  /** Those by which this session is judged: what was taken out of newer ones is named, and shown, here as it was. */
  checklists: Catalogue;
  tallies: SessionTally[];
  corrections: Correction[];
  /** What was measured; comes later than all else. */
  measures?: SessionMeasures;
}>();
const emit = defineEmits<{ changed: [] }>();
const opening = ref<{ technique: TechniqueId; checkpointId: string }>();

const answers = computed(() =>
  sessionAnswers(tallies, session).map((answer) => {
    const technique = answer.technique;
    const now = faultRate(answer.tally);
    return {
      ...answer,
      technique,
      family: checklists.checkpoints.get(answer.checkpointId)?.family,
      name: checkpointName(checklists, answer.checkpointId),
      now,
      measured: toldRate(measures?.rates ?? [], technique, answer.checkpointId),
      was: answer.before && faultRate(answer.before.tally),
      settles:
        answer.before && answer.change?.change !== 'better' && answer.change?.change !== 'worse'
          ? wouldSettleAt(answer.before.tally, answer.tally)
          : null,
      correction: corrections.find(
        (one) => one.technique === technique && one.checkpointId === answer.checkpointId && one.state === 'open',
      ),
    };
  }),
);
const ofCorrections = computed(() =>
  corrections
    .filter(({ state, openedOn }) => state === 'open' && openedOn <= session.heldOn)
    .map((correction) => ({ correction, answer: answers.value.find((answer) => answer.correction?.id === correction.id) })),
);
const measureOf = (checkpointId: string): string => checklists.checkpoints.get(checkpointId)?.measure ?? '';
const placeOf = (family: Family | undefined): number => (family ? families.indexOf(family) : families.length);
/** Most faults first; what was clean throughout comes last, in the order of the walk. */
const byTechnique = computed(() =>
  [...new Set([...checklists.techniques.keys(), ...answers.value.map(({ technique }) => technique)])]
    .map((technique) => ({
      technique,
      unjudged: ratesNobodyJudged(
        measures?.rates ?? [],
        technique,
        answers.value.filter((answer) => answer.technique === technique).map(({ checkpointId }) => checkpointId),
      ),
      rows: answers.value
        .filter((answer) => answer.technique === technique)
        .sort((a, b) => b.now.low - a.now.low || b.now.rate - a.now.rate || placeOf(a.family) - placeOf(b.family)),
    }))
    .filter(({ rows, unjudged }) => rows.length > 0 || unjudged.length > 0),
);
</script>

<template>
  <CorrectionAnswer
    v-for="{ correction, answer } in ofCorrections"
    :key="correction.id"
    :correction="correction"
    :answer="answer"
    :session-id="session.id"
    :checklists="checklists"
    @changed="emit('changed')"
  />
  <div v-if="byTechnique.length === 0" class="empty">
    Nothing is judged yet. Review a film above; the rates appear here as soon as the first strike is marked.
  </div>
  <section v-for="{ technique, rows, unjudged } in byTechnique" :key="technique">
    <h3>
      {{ techniqueName(checklists, technique)
      }}<template v-if="technique === holdingTechnique && session.holder">: {{ session.holder.name }}</template>
    </h3>
    <table>
      <thead>
        <tr>
          <th>Checkpoint</th>
          <th class="figure">Faults of seen</th>
          <th>Rate, with its {{ percent(intervalMass) }} interval</th>
          <th>Against the last time</th>
          <th class="no-print"><span class="unseen">Correction</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="{ checkpointId, family, name, now, measured, was, before, change, correction, settles } in rows"
          :key="checkpointId"
        >
          <td>
            <span class="what"><FamilySign :family="family" /> {{ name }}</span>
          </td>
          <td class="figure number">{{ faultsOfSeen(now) }}</td>
          <td>
            <span class="rate"
              ><RateBand :rate="now" :target="correction?.target" /><span class="number">{{ rateInWords(now) }}</span></span
            >
            <MeasuredRateLine
              v-if="measured"
              :rate="measured"
              :measure="measureOf(checkpointId)"
              :stature="session.trainee.stature"
            />
          </td>
          <td>
            <template v-if="was && change && before">
              <span class="against">
                <ChangeSign :change="change.change" />
                <span class="quiet number"
                  >{{ faultsOfSeen(was) }} before<template v-if="settles">; {{ settles }} seen would settle it</template></span
                >
              </span>
            </template>
            <span v-else class="quiet">first time at this rung</span>
          </td>
          <td class="no-print act">
            <span v-if="correction" class="quiet">open: “{{ correction.cue }}”, aim {{ percent(correction.target) }}</span>
            <VBtn v-else size="small" variant="outlined" @click="opening = { technique, checkpointId }">Open a correction</VBtn>
          </td>
        </tr>
        <tr v-for="rate in unjudged" :key="rate.checkpointId">
          <td>
            <span class="what"
              ><FamilySign :family="checklists.checkpoints.get(rate.checkpointId)?.family" />
              {{ checkpointName(checklists, rate.checkpointId) }}</span
            >
          </td>
          <td class="figure quiet">not judged</td>
          <td>
            <MeasuredRateLine :rate="rate" :measure="measureOf(rate.checkpointId)" :stature="session.trainee.stature" />
          </td>
          <td />
          <td class="no-print act">
            <VBtn size="small" variant="outlined" @click="opening = { technique, checkpointId: rate.checkpointId }"
              >Open a correction</VBtn
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
  <OpenCorrectionDialog v-model="opening" :session="session" :checklists="checklists" @opened="emit('changed')" />
</template>

<style scoped>
h3 {
  font-size: 17px;
  margin: 22px 0 6px;
}
table {
  width: 100%;
  border-collapse: collapse;
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid rgb(var(--v-theme-primary));
}
th {
  text-align: left;
  font-size: 13px;
  font-weight: 400;
  color: var(--quiet);
  padding: 8px 14px 4px;
}
td {
  padding: 6px 14px;
  border-top: 1px solid var(--line);
  height: 42px;
}
.figure {
  text-align: right;
  white-space: nowrap;
}
.what {
  display: flex;
  align-items: center;
  gap: 10px;
}
.rate {
  display: grid;
  grid-template-columns: minmax(120px, 1fr) 118px;
  gap: 12px;
  align-items: center;
}
.act {
  text-align: right;
}
.against {
  display: flex;
  white-space: nowrap;
  gap: 10px;
  align-items: baseline;
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
    padding: 8px 14px;
    gap: 4px 12px;
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
  .against {
    flex-wrap: wrap;
  }
}
</style>
