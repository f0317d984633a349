<script setup lang="ts">
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { reviewEndpoints } from '@wax-fist/contract/review';
import type { FaultRate } from '@wax-fist/core/correction';
import { messageOf } from '@wax-fist/core/message-of';
import { checkpointName, techniqueName } from '@wax-fist/core/technique';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { faultsOfSeen, percent, rateInWords, shortDay } from '@wax-fist/core/words';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import FamilySign from '../checklists/FamilySign.vue';
import { checkpointMap, type MapRow } from './checkpoint-map.ts';
import { traineesWords as words } from './words.ts';

/** Everything that was looked at in the last sessions; each mark opens the strikes behind it. */
const { traineeId, since } = defineProps<{ traineeId: string; since: string }>();
const catalogue = useCatalogue();
const router = useRouter();
const failure = ref<string>();
const few = 8;
const all = ref(false);
const { value: tallies } = useAnswer(() => request(reviewEndpoints.traineeTallies, { params: { traineeId }, query: { since } }));
const map = computed(() => checkpointMap(tallies.value ?? []));
const shown = computed(() => (all.value ? map.value.rows : map.value.rows.slice(0, few)));
const nameOf = ({ technique, checkpointId }: MapRow): string =>
  `${techniqueName(catalogue.newest, technique)}, ${checkpointName(catalogue.newest, checkpointId).toLowerCase()}`;
const says = (row: MapRow, rate: FaultRate, heldOn: string): string =>
  `${nameOf(row)}, ${shortDay(heldOn)}: ${faultsOfSeen(rate)}, ${rateInWords(rate)}`;

/** Opens the bench at the first strike behind a mark: a fault, if there is one. */
async function open({ technique, checkpointId }: MapRow, sessionId: string): Promise<void> {
  failure.value = undefined;
  try {
    const query = { technique, checkpointId };
    const [first] = await request(correctionEndpoints.sessionEvidence, { params: { sessionId }, query });
    if (first) await router.push({ name: 'bench', params: { filmId: first.filmId, strikeId: first.strikeId } });
    else failure.value = words.behindThisOneLieOnly;
  } catch (error) {
    failure.value = messageOf(error);
  }
}
</script>

<template>
  <div v-if="map.sessions.length > 0" class="map">
    <div class="scroll" tabindex="0" role="region" :aria-label="words.mapOfCheckpointsAndSessions">
      <table>
        <thead>
          <tr>
            <th>{{ words.checkpoint }}</th>
            <th v-for="{ sessionId, heldOn } in map.sessions" :key="sessionId" class="day">{{ shortDay(heldOn) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in shown" :key="`${row.technique} ${row.checkpointId}`">
            <th scope="row">
              <FamilySign :family="catalogue.newest.checkpoints.get(row.checkpointId)?.family" /> {{ nameOf(row) }}
            </th>
            <td v-for="({ sessionId, heldOn }, place) in map.sessions" :key="sessionId">
              <button
                v-if="row.cells[place]"
                type="button"
                class="cell"
                :class="{ few: !row.cells[place].enough }"
                :aria-label="says(row, row.cells[place], heldOn)"
                :title="says(row, row.cells[place], heldOn)"
                @click="open(row, sessionId)"
              >
                <i :style="{ height: percent(row.cells[place].rate) }" />
                <span class="number">{{ faultsOfSeen(row.cells[place]) }}</span>
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <VBtn v-if="map.rows.length > few" variant="text" class="no-print" @click="all = !all">{{
      all ? words.onlyWhatIsFaultyMost : words.allRows(map.rows.length)
    }}</VBtn>
    <p v-if="map.strengths.length > 0" class="strengths">
      <b>{{ words.strengthsHardlyEverAFault }}</b> {{ map.strengths.map(nameOf).join('; ') }}.
    </p>
    <p v-if="failure" role="alert">{{ failure }}</p>
  </div>
</template>

<style scoped>
.map {
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid rgb(var(--v-theme-primary));
  padding: var(--space-2) var(--space-3);
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th {
  font-weight: 400;
  text-align: left;
  padding: var(--space-0-5) var(--space-3) var(--space-0-5) 0;
}
.day {
  font-size: var(--type-note);
  color: var(--quiet);
  text-align: center;
  white-space: nowrap;
  padding: 0 var(--space-1-5);
}
td {
  padding: var(--space-0-5) var(--space-1);
}
.cell {
  position: relative;
  display: block;
  width: 76px;
  height: 44px;
  border: 1px solid var(--line);
  overflow: hidden;
  font-size: var(--type-small);
}
.cell i {
  position: absolute;
  inset: auto 0 0;
  background: var(--fault);
  opacity: 0.28;
  border-top: 2px solid var(--fault);
}
.few {
  border-style: dashed;
  color: var(--quiet);
}
.cell .number {
  position: relative;
}
.strengths {
  margin: var(--space-2) 0 0;
}
</style>
