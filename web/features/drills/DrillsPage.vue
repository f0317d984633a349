<script setup lang="ts">
import { mdiMagnify, mdiPencil, mdiPlus, mdiPrinter, mdiTrashCanOutline } from '@mdi/js';
import { drillEndpoints, type OwnDrill } from '@wax-fist/contract/drills';
import { companies, companyNames, findDrills } from '@wax-fist/core/drills';
import { rungs } from '@wax-fist/core/correction';
import { clockTime } from '@wax-fist/core/words';
import { messageOf } from '@wax-fist/core/message-of';
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { vTakeFocus } from '../../app/take-focus.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import DrillDialog from './DrillDialog.vue';
import DrillSheet from './DrillSheet.vue';
import { useDrills } from './drill-store.ts';
import { drillsWords as words } from './words.ts';

/** All drills: found by any word, narrowed by rung and by who is there; one of them open. */
const route = useRoute();
const router = useRouter();
const catalogue = useCatalogue();
const drills = useDrills();
const notice = useNotice();
const failure = ref<string>();
const typed = ref<string | null>(typeof route.query.find === 'string' ? route.query.find : '');
const rung = ref<number | null>(null);
const company = ref<(typeof companies)[number] | null>(null);
const editing = ref(false);
const edited = ref<OwnDrill>();
onMounted(() => void drills.again().catch((error: unknown) => (failure.value = messageOf(error))));

const rungItems = [
  { value: null, title: words.anyRung },
  ...rungs.map(({ rung: value, name }) => ({ value, title: `${value}. ${name}` })),
];
const companyItems = [
  { value: null, title: words.anybody },
  ...companies.map((value) => ({ value, title: companyNames[value] })),
];
const found = computed(() =>
  findDrills(drills.drills, typed.value ?? '', catalogue.newest).filter(
    (drill) => (rung.value === null || drill.rung === rung.value) && (company.value === null || drill.company === company.value),
  ),
);
const open = computed(() => drills.named(String(route.query.drill ?? '')) ?? found.value[0]);
const show = (id: string) => ({ name: 'drills', query: { ...(typed.value && { find: typed.value }), drill: id } });
const first = (): void => void (found.value[0] && router.push(show(found.value[0].id)));
const print = (): void => window.print();

function edit(drill?: OwnDrill): void {
  edited.value = drill;
  editing.value = true;
}
async function remove(drill: OwnDrill): Promise<void> {
  failure.value = undefined;
  try {
    await request(drillEndpoints.removeDrill, { params: { drillId: drill.id } });
    await drills.again();
    notice.say(words.isGone(drill.name), async () => {
      await request(drillEndpoints.saveDrill, { params: { drillId: drill.id }, body: drill });
      await drills.again();
    });
  } catch (error) {
    failure.value = messageOf(error);
  }
}
</script>

<template>
  <div class="page">
    <div class="page-head no-print">
      <h1>{{ words.drills }}</h1>
      <span class="acts"><VBtn variant="outlined" :prepend-icon="mdiPlus" @click="edit()">{{ words.aDrillOfOurOwn }}</VBtn></span>
    </div>
    <p v-if="failure" class="text-error" role="alert">{{ failure }}</p>
    <div class="find no-print">
      <VTextField
        v-model="typed"
        v-take-focus
        :prepend-inner-icon="mdiMagnify"
        :label="words.findByAnyWord"
        :placeholder="words.lazyHandRopeRoundhouseTape"
        density="compact"
        hide-details
        clearable
        @keydown.enter="first"
      />
      <VSelect v-model="rung" :label="words.rung" :items="rungItems" density="compact" hide-details />
      <VSelect v-model="company" :label="words.whoIsThere" :items="companyItems" density="compact" hide-details />
    </div>
    <div class="columns">
      <div class="no-print">
        <p class="quiet" aria-live="polite">{{ words.drillsCounted(found.length) }}</p>
        <ul v-if="found.length > 0" class="list">
          <li v-for="drill in found" :key="drill.id">
            <RouterLink :to="show(drill.id)" :aria-current="drill.id === open?.id ? 'true' : undefined">
              <b>{{ drill.name }}</b>
              <span class="quiet">{{
                words.rungAndCompany(
                  drill.rung,
                  drill.on[0] === 'shadowboxing' ? words.inTheAir : (drill.on[0] ?? ''),
                  drill.company === 'alone' ? '' : `, ${companyNames[drill.company].toLowerCase()}`,
                )
              }}</span>
              <span class="number">{{ drill.dose.rounds }} × {{ clockTime(drill.dose.work) }}</span>
            </RouterLink>
          </li>
        </ul>
        <div v-else class="empty">{{ words.noDrillHasAllOf }}</div>
      </div>
      <DrillSheet v-if="open" :drill="open" class="sheet">
        <p class="acts no-print">
          <VBtn variant="outlined" :prepend-icon="mdiPrinter" @click="print">{{ words.print }}</VBtn>
          <template v-if="drills.isOwn(open.id)">
            <VBtn variant="outlined" :prepend-icon="mdiPencil" @click="edit(open as OwnDrill)">{{ words.change }}</VBtn>
            <VBtn variant="text" :prepend-icon="mdiTrashCanOutline" @click="remove(open as OwnDrill)">{{ words.takeAway }}</VBtn>
          </template>
          <VBtn v-else variant="text" :prepend-icon="mdiPencil" @click="edit(open as OwnDrill)">{{ words.copyAndChange }}</VBtn>
        </p>
      </DrillSheet>
    </div>
    <DrillDialog v-model="editing" :from="edited" @saved="(id) => router.push({ name: 'drills', query: { drill: id } })" />
  </div>
</template>

<style scoped>
.find {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 230px 200px;
  gap: var(--space-2);
  margin-bottom: var(--space-3);
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: var(--space-6);
  align-items: start;
}
.sheet {
  position: sticky;
  top: 72px;
}
.list a {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 var(--space-3);
  padding: var(--space-2) var(--space-3);
  color: inherit;
  text-decoration: none;
}
.list a b {
  grid-column: 1 / -1;
}
.list a[aria-current] {
  background: var(--aside);
  box-shadow: inset 4px 0 rgb(var(--v-theme-primary));
}
.list a:hover {
  background: var(--aside);
}
@media screen and (max-width: 899px) {
  .find,
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
  /* What was chosen comes first in the hand. */
  .sheet {
    position: static;
    grid-row: 1;
  }
}
@media print {
  .columns {
    display: block;
  }
}
</style>
