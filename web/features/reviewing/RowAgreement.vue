<script setup lang="ts">
import { reviewingEndpoints } from '@wax-fist/contract/reviewing';
import {
  clearEnough,
  commonestQuarrel,
  verdictNames,
  type CoachAgreement,
  type PairCounts,
  type Wording,
} from '@wax-fist/core/review';
import { techniqueName, type Checkpoint } from '@wax-fist/core/technique';
import { computed, ref } from 'vue';
import { decimal, percent, shortDay } from '@wax-fist/core/words';
import SpanBand from '../../app/SpanBand.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import FamilySign from '../checklists/FamilySign.vue';
import { wordingNames } from './reviewing-words.ts';
import { reviewingWords as words } from './words.ts';

/** How far two coaches agree on one row, and on which strikes they do not. */
const { checkpoint, agreement, wording, films } = defineProps<{
  checkpoint: Checkpoint;
  agreement: CoachAgreement;
  wording: Wording;
  films: readonly PairCounts[];
  seenByOne: number;
}>();
const catalogue = useCatalogue();
const shown = ref(false);
const differ = computed(
  () => agreement.pairs - films.reduce((sum, table) => sum + table.reduce((own, row, at) => own + row[at]!, 0), 0),
);
const quarrel = computed(() => {
  const most = commonestQuarrel(films);
  return most && words.mostOftenAgainst(verdictNames[most.first].toLowerCase(), verdictNames[most.second].toLowerCase());
});
const spanOf = ({ low, high }: { low: number; high: number }): string => words.toLow(decimal(low, 2), decimal(high, 2));
const { value: quarrels, again } = useAnswer(async () =>
  shown.value ? request(reviewingEndpoints.quarrels, { params: { checkpoint: checkpoint.id } }) : undefined,
);
function toggle(): void {
  shown.value = !shown.value;
  void again();
}
</script>

<template>
  <tbody>
    <tr>
      <td>
        <span class="what"><FamilySign :family="checkpoint.family" /> {{ checkpoint.name }}</span>
        <span class="quiet question">{{ checkpoint.question }}</span>
      </td>
      <td class="figure number" :data-label="words.bothJudged">{{ agreement.pairs }}</td>
      <td :data-label="words.theSame">
        <span class="number">{{ percent(agreement.same.value) }}</span>
        <SpanBand
          :figure="agreement.same"
          :says="
            words.theSameInIntervalTo(percent(agreement.same.value), percent(agreement.same.low), percent(agreement.same.high))
          "
        />
      </td>
      <td :data-label="words.beyondChance">
        <template v-if="agreement.kappa">
          <span class="number" :title="words.weightedKappa">{{ decimal(agreement.kappa.value, 2) }}</span>
          <SpanBand
            :figure="agreement.kappa"
            :line="clearEnough"
            :says="words.kappaInterval(decimal(agreement.kappa.value, 2), spanOf(agreement.kappa))"
          />
        </template>
        <span v-else class="quiet">{{ words.bothAlwaysSaidTheSame }}</span>
      </td>
      <td>
        <b :class="wording">{{ wordingNames[wording] }}</b>
        <span v-if="quarrel" class="quiet question">{{ quarrel }}</span>
        <span v-if="seenByOne > 0" class="quiet question">{{ words.strikeOnlyOneCouldSee(seenByOne) }}</span>
        <button v-if="differ + seenByOne > 0" type="button" :aria-expanded="shown" @click="toggle">
          {{ shown ? words.hideThem : words.lookAtThem(differ + seenByOne) }}
        </button>
      </td>
    </tr>
    <tr v-if="shown && quarrels" class="quarrels">
      <td colspan="5">
        <ul class="bulleted">
          <li v-for="one in quarrels" :key="one.strikeId">
            <RouterLink :to="{ name: 'bench', params: { filmId: one.filmId, strikeId: one.strikeId } }">{{
              `${one.traineeName}, ${shortDay(one.heldOn)}, ${techniqueName(catalogue.newest, one.technique).toLowerCase()}`
            }}</RouterLink>
            {{ one.firstBy }}: <b>{{ verdictNames[one.first].toLowerCase() }}</b>, {{ one.secondBy }}:
            <b>{{ verdictNames[one.second].toLowerCase() }}</b>
          </li>
        </ul>
      </td>
    </tr>
  </tbody>
</template>

<style scoped>
td {
  vertical-align: top;
  padding: var(--space-2) var(--space-3) var(--space-2) 0;
  border-top: 1px solid var(--line);
}
.what {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  font-weight: 700;
}
.question {
  display: block;
  font-size: var(--type-small);
}
.figure {
  text-align: right;
}
.unclear {
  color: var(--fault);
}
button {
  text-decoration: underline;
  font-size: var(--type-small);
}
.quarrels td {
  border-top: 0;
}
@media screen and (max-width: 899px) {
  tr {
    display: grid;
    grid-template-columns: auto 1fr 1fr;
    border-top: 1px solid var(--line);
    padding: var(--space-2) 0;
  }
  td {
    border: 0;
    padding: var(--space-0-5) var(--space-3) var(--space-0-5) 0;
  }
  td:first-child,
  td:last-child {
    grid-column: 1 / -1;
  }
  .figure {
    text-align: left;
  }
  td[data-label]::before {
    content: attr(data-label);
    display: block;
    font-size: var(--type-note);
    color: var(--quiet);
  }
  button {
    min-height: 44px;
  }
}
ul {
  columns: 2 340px;
}
</style>
