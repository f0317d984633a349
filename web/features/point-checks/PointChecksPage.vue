<script setup lang="ts">
import { pointCheckEndpoints } from '@wax-fist/contract/point-checks';
import { counted } from '@wax-fist/core/words';
import { pointSides } from '@wax-fist/core/measure';
import { computed } from 'vue';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { checksInWords, kindsByPart, partName, sideNames, timesInWords } from './point-words.ts';

/** How far the points that everything is measured by are off in this club’s own films, and from how many checks that is known. */
const { value: page, failure, again } = useAnswer(() => request(pointCheckEndpoints.pointChecks));
const rows = computed(() => kindsByPart(page.value?.kinds ?? []));
const none = computed(() => (page.value?.all.checks ?? 0) + (page.value?.all.hidden ?? 0) === 0);
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>Points checked</h1>
        <p class="quiet">
          Everything measured stands on points of the body that a model finds. How far it is off was tried on simulated films;
          real gyms are harder. Point out twenty points now and then, chosen at random, and doubt becomes what it is here.
        </p>
      </div>
      <VBtn v-if="page && page.films > 0" color="primary" :to="{ name: 'point-check' }">Check twenty points</VBtn>
    </div>
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <p v-if="none" class="sums-up">
          Doubted <b class="number">{{ timesInWords(page.widenings.all) }}</b> as wide as in trials: nothing was checked yet, and
          so much is assumed.
        </p>
        <p v-else class="sums-up">
          Off by <b class="number">{{ timesInWords(page.all.wider) }}</b> what trials say, likely
          {{ timesInWords(page.all.low) }} to {{ timesInWords(page.all.high) }}, by {{ counted(page.all.checks, 'point')
          }}<template v-if="page.all.hidden > 0">; {{ counted(page.all.hidden, 'other') }} could not be seen</template>.
        </p>
        <ol v-if="none && page.films > 0" class="how numbered">
          <li>
            You are shown a body, and asked where one of its points is, such as the left wrist. What was found is not shown.
          </li>
          <li>Twenty of them take two minutes. Where you cannot tell, you say so.</li>
          <li>How far the model was off widens or narrows the doubt of everything that is measured in this club.</li>
        </ol>
        <div v-if="page.films === 0" class="empty">Nobody was followed in a film yet, so there are no points to check.</div>
        <table v-if="rows.length > 0" class="figures">
          <thead>
            <tr>
              <th>Part</th>
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
                <span v-else class="quiet" aria-label="not checked">–</span>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="rows.length > 0" class="quiet foot">
          Kinds that were checked but a few times are drawn towards all of them. Nothing is doubted less than in trials.
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
