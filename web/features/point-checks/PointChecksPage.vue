<script setup lang="ts">
import { pointCheckEndpoints } from '@wax-fist/contract/point-checks';
import { pointSides } from '@wax-fist/core/measure';
import { computed } from 'vue';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { checksInWords, kindsByPart, partName, sideNames, timesInWords } from './point-words.ts';
import { pointChecksWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** How far the points that everything is measured by are off in this club’s own films, and from how many checks that is known. */
const { value: page, failure, again } = useAnswer(() => request(pointCheckEndpoints.pointChecks));
const rows = computed(() => kindsByPart(page.value?.kinds ?? []));
const none = computed(() => (page.value?.all.checks ?? 0) + (page.value?.all.hidden ?? 0) === 0);
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ words.pointsChecked }}</h1>
        <p class="quiet">
          {{ words.everythingMeasuredStandsOn }}
        </p>
      </div>
      <VBtn v-if="page && page.films > 0" color="primary" :to="{ name: 'point-check' }">{{ words.checkTwentyPoints }}</VBtn>
    </div>
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <p v-if="none" class="sums-up">
          <TextWith :text="words.doubtedAsWideAsIn">
            <template #all>
              <b class="number">{{ timesInWords(page.widenings.all) }}</b>
            </template>
          </TextWith>
        </p>
        <p v-else class="sums-up">
          <TextWith :text="words.offByWhatTrialsSay(timesInWords(page.all.low), timesInWords(page.all.high), page.all.checks)">
            <template #wider>
              <b class="number">{{ timesInWords(page.all.wider) }}</b>
            </template>
            <template #hidden>
              <template v-if="page.all.hidden > 0">{{ words.otherCouldNotBeSeen(page.all.hidden) }}</template>
            </template>
          </TextWith>
        </p>
        <ol v-if="none && page.films > 0" class="how numbered">
          <li>
            {{ words.youAreShownABody }}
          </li>
          <li>{{ words.twentyOfThemTakeTwo }}</li>
          <li>{{ words.howFarTheModelWas }}</li>
        </ol>
        <div v-if="page.films === 0" class="empty">{{ words.nobodyWasFollowedInAFilm }}</div>
        <table v-if="rows.length > 0" class="figures">
          <thead>
            <tr>
              <th>{{ words.part }}</th>
              <th v-for="side in pointSides" :key="side" class="figure">{{ sideNames[side] }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="{ part, bySide } in rows" :key="part">
              <td>{{ partName(part) }}</td>
              <td v-for="(kind, place) in bySide" :key="place" class="figure" :data-side="sideNames[pointSides[place]!]">
                <template v-if="kind">
                  <span class="number">{{ timesInWords(kind.wider) }}</span>
                  <small class="quiet">{{ checksInWords(kind) }}</small>
                </template>
                <span v-else class="quiet" :aria-label="words.notChecked">–</span>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="rows.length > 0" class="quiet foot">
          {{ words.kindsThatWereCheckedBut }}
        </p>
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.how {
  max-width: 640px;
}
.how li {
  margin-bottom: var(--space-2);
}
table {
  max-width: 760px;
}
small {
  display: block;
}
.foot {
  margin-top: var(--space-3);
}
</style>
