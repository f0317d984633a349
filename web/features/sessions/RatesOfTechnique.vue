<script setup lang="ts">
/** One technique of a session: what coaches said of each of its checkpoints, and what measures alone say of those that nobody judged. */
import { mdiMovieOpenOutline } from '@mdi/js';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { isSpotted } from '@wax-fist/core/correction';
import { checkpointName, holdingTechnique, techniqueName, type Catalogue } from '@wax-fist/core/technique';
import { intervalMass } from '@wax-fist/core/units';
import { faultsOfSeen, percent, rateInWords } from '@wax-fist/core/words';
import { useAccount } from '../accounts/account-store.ts';
import FamilySign from '../checklists/FamilySign.vue';
import RateBand from '../corrections/RateBand.vue';
import SinceOpening from '../corrections/SinceOpening.vue';
import MeasuredRateLine from '../measures/MeasuredRateLine.vue';
import { statureOf } from '../measures/stature-of.ts';
import type { RowsOfTechnique } from './judged-rows.ts';
import { sessionsWords as words } from './words.ts';

const { of, session, checklists } = defineProps<{
  of: RowsOfTechnique;
  session: SessionDetail;
  /** Those by which this session is judged. */
  checklists: Catalogue;
}>();
/** A correction of a checkpoint is to be opened. */
const emit = defineEmits<{ open: [checkpointId: string] }>();
const account = useAccount();
const measureOf = (checkpointId: string): string => checklists.checkpoints.get(checkpointId)?.measure ?? '';
</script>

<template>
  <section>
    <h3>
      {{ techniqueName(checklists, of.technique)
      }}<template v-if="of.technique === holdingTechnique && session.holder">: {{ session.holder.name }}</template>
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
          v-for="{ checkpointId, tally, family, name, now, byMeasure, measured, answer, correction } in of.rows"
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
            <div class="acts">
              <VBtn
                v-if="tally.fault + tally.clean > 0 && of.technique !== holdingTechnique"
                :icon="mdiMovieOpenOutline"
                size="small"
                variant="text"
                :aria-label="words.montageOf(name.toLowerCase())"
                :title="words.montage"
                :to="{
                  name: 'montage',
                  params: { sessionId: session.id },
                  query: { technique: of.technique, checkpoint: checkpointId, which: tally.fault > 0 ? 'faults' : 'clean' },
                }"
              />
              <span v-if="correction" class="quiet">{{ words.openAim(correction.cue, percent(correction.target)) }}</span>
              <VBtn
                v-else-if="account.judges"
                size="small"
                :variant="isSpotted(now) ? 'flat' : 'outlined'"
                :color="isSpotted(now) ? 'primary' : undefined"
                @click="emit('open', checkpointId)"
                >{{ words.openACorrection }}</VBtn
              >
            </div>
          </td>
        </tr>
        <tr v-for="rate in of.unjudged" :key="rate.checkpointId">
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
            <VBtn v-if="account.judges" size="small" variant="outlined" @click="emit('open', rate.checkpointId)">{{
              words.openACorrection
            }}</VBtn>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
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
.acts {
  flex-wrap: nowrap;
  gap: 0;
  align-items: center;
  justify-content: flex-end;
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
  .acts {
    justify-content: flex-start;
  }
}
</style>
