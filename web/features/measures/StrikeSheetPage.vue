<script setup lang="ts">
import { measureEndpoints } from '@wax-fist/contract/measures';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import { techniqueName, viewNames } from '@wax-fist/core/technique';
import { computed, defineAsyncComponent } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import PickedStrike from '../compare/PickedStrike.vue';
import { shortDay } from '@wax-fist/core/words';
import { clock } from '../../app/format.ts';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import FamilySign from '../checklists/FamilySign.vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { measuredRateInWords } from './rate-words.ts';
import { doubtInWords, twoOfThree, whatDoubtSays } from '../checklists/measured-words.ts';
import {
  furthestOut,
  measuredStrikes,
  sheetOrders,
  sheetRows,
  techniquesOnSheet,
  typicalDoubt,
  type SheetMark,
  type SheetOrder,
  type SheetRow,
} from './sheet-rows.ts';
import { opponentOf, statureOf } from './stature-of.ts';
import { measuresWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

const SheetChart = defineAsyncComponent(() => import('./SheetChart.vue'));
const rowHeight = 76;

/** Everything that was measured in a session: each strike a mark, each mark a way to its strike. */
const { sessionId } = defineProps<{ sessionId: string }>();
const catalogue = useCatalogue();
const router = useRouter();
const route = useRoute();

const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  const params = { params: { sessionId } };
  const [session, measures] = await Promise.all([
    request(sessionEndpoints.showSession, params) as Promise<SessionDetail>,
    request(measureEndpoints.sessionMeasures, params),
  ]);
  return { session, measures, checklists: await catalogue.at(session.checklistVersion) };
});

const techniques = computed(() => (page.value ? techniquesOnSheet(page.value.measures) : []));
/** In the address, so that a sheet can be sent to somebody as it stands. */
const technique = computed(() => {
  const asked = route.query.technique;
  return typeof asked === 'string' && techniques.value.includes(asked) ? asked : techniques.value[0];
});
const order = computed<SheetOrder>(() => sheetOrders.find((one) => one === route.query.order) ?? 'amiss');
const show = (query: { technique?: string; order?: SheetOrder; strike?: string | undefined }): void =>
  void router.replace({ query: { ...route.query, ...query } });

function saysOf({ rate, measure, beside }: SheetRow, stature: number | null): string {
  if (beside) return words.besideNoVerdict(beside);
  return rate ? measuredRateInWords(rate, measure, stature) : words.tooCoarseHereToCount;
}
const rows = computed(() => {
  if (!page.value || !technique.value) return [];
  const { measures, checklists, session } = page.value;
  const judging = { school: session.judgedBy, opponent: opponentOf(session) };
  return sheetRows(measures, technique.value, checklists, judging, order.value).map((row) => {
    const stature = statureOf(session, row.checkpointId);
    return {
      ...{ ...row, stature },
      says: saysOf(row, stature),
      furthest: furthestOut(row),
      each: doubtInWords(row.measure, typicalDoubt(row), stature),
    };
  });
});
/** The strike that was picked stands out in every row. */
const picked = computed(() => ofTechnique(technique.value).find(({ strikeId }) => strikeId === route.query.strike));
const linkTo = ({ filmId, strikeId }: SheetMark) => ({ name: 'bench', params: { filmId, strikeId } });
const ofTechnique = (id: string | undefined) => (page.value && id ? measuredStrikes(page.value.measures, id) : []);
const strikesOf = (id: string): number => ofTechnique(id).length;
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <div class="page-head">
          <div>
            <p class="quiet">
              <RouterLink :to="{ name: 'session', params: { sessionId } }"
                >{{ page.session.trainee.name }}, {{ shortDay(page.session.heldOn) }}</RouterLink
              >
            </p>
            <h1>{{ words.sheetOfStrikes }}</h1>
            <p class="quiet">
              {{ words.measuredNotJudgedEveryMark }} {{ twoOfThree }}.
              <RouterLink :to="{ name: 'measures' }">{{ words.howFarMeasuresAgreeWith }}</RouterLink>
            </p>
          </div>
        </div>
        <div v-if="techniques.length === 0" class="empty">
          {{ words.nothingIsMeasuredHereYet }}
        </div>
        <template v-else>
          <div class="choose">
            <VBtnToggle :model-value="technique" mandatory color="primary" variant="outlined" divided density="comfortable">
              <VBtn v-for="one in techniques" :key="one" :value="one" @click="show({ technique: one })"
                >{{ techniqueName(page.checklists, one) }} <span class="number count">{{ strikesOf(one) }}</span></VBtn
              >
            </VBtnToggle>
            <label class="order"
              >{{ words.inOrder }}
              <select :value="order" @change="show({ order: ($event.target as HTMLSelectElement).value as SheetOrder })">
                <option value="amiss">{{ words.mostFaultsFirst }}</option>
                <option value="walk">{{ words.ofTheWalk }}</option>
              </select></label
            >
          </div>
          <p class="key quiet" aria-hidden="true">
            <i class="clean" /> {{ words.clean }} <i class="watch" /> {{ words.watch }} <i class="fault" /> {{ words.fault }}
          </p>
          <PickedStrike
            v-if="picked"
            :strike-id="picked.strikeId"
            :film-id="picked.filmId"
            :says="words.strikeAt(clock(picked.at), viewNames[picked.view].toLowerCase())"
            @close="show({ strike: undefined })"
          />
          <div class="sheet">
            <ul class="names">
              <li v-for="row in rows" :key="row.key" :style="{ height: `${rowHeight}px` }">
                <span class="what"><FamilySign :family="row.family" /> <b>{{ row.name }}</b></span>
                <span class="says number">{{ row.says }}</span>
                <span class="quiet far">
                  <template v-if="row.furthest.length > 0"
                    >{{ words.furthestOut }}
                    <RouterLink v-for="mark in row.furthest" :key="mark.strikeId" :to="linkTo(mark)" class="number">{{
                      clock(mark.at)
                    }}</RouterLink></template
                  >
                  <template v-else>{{ words.allOfStrikeReadClean(row.marks.length) }}</template>
                  <span class="each" :title="whatDoubtSays(row.marks[0]!.degrees)">{{ words.eachEach(row.each) }}</span>
                </span>
              </li>
            </ul>
            <SheetChart
              class="strips"
              :rows="rows"
              :row-height="rowHeight"
              :picked="picked?.strikeId"
              @pick="show({ strike: $event.strikeId })"
            />
          </div>
        </template>
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.choose {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-5);
  align-items: center;
  margin-bottom: var(--space-2);
}
.choose :deep(.v-btn-group) {
  height: auto;
  flex-wrap: wrap;
}
.count {
  margin-left: var(--space-1-5);
  opacity: 0.75;
}
.order select {
  border: 1px solid var(--quiet);
  border-radius: 3px;
  padding: var(--space-1) var(--space-2);
  margin-left: var(--space-1-5);
}
.key i {
  display: inline-block;
  width: 22px;
  height: 12px;
  margin: 0 var(--space-1) 0 var(--space-3);
}
.key .clean {
  background: var(--clean-ground);
  margin-left: 0;
}
.key .watch {
  background: var(--watch-ground);
}
.key .fault {
  background: var(--fault-ground);
}
.sheet {
  display: grid;
  grid-template-columns: minmax(300px, 400px) minmax(0, 1fr);
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid rgb(var(--v-theme-primary));
}
.names li {
  display: grid;
  align-content: center;
  padding: 0 var(--space-3);
  line-height: 1.3;
  border-bottom: 1px solid var(--line);
  overflow: hidden;
}
.what {
  display: flex;
  gap: var(--space-2);
  align-items: center;
}
.far {
  font-size: var(--type-small);
}
.each {
  float: right;
}
.far a {
  margin-left: var(--space-2);
}
@media (max-width: 799px) {
  .sheet {
    grid-template-columns: 1fr;
  }
  .strips {
    display: none;
  }
}
</style>
