<script setup lang="ts">
import { mdiPrinter } from '@mdi/js';
import { computed, type Component } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import BagSheet from './BagSheet.vue';
import CameraSheet from './CameraSheet.vue';
import FloorSheet from './FloorSheet.vue';
import PadSheet from './PadSheet.vue';
import RoundSheet from './RoundSheet.vue';
import { useSetUp } from './use-set-up.ts';
import { setupWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** How a room is set up for somebody: drawn to scale, to be printed and taped. */
const route = useRoute();
const router = useRouter();
const setUp = useSetUp(typeof route.query.trainee === 'string' ? route.query.trainee : undefined);
const { typed, problems, units, whom, trainees, trainee } = setUp;
const sheets: readonly { id: string; name: string; sheet: Component; body: boolean }[] = [
  { id: 'bags', name: words.bags, sheet: BagSheet, body: true },
  { id: 'floor', name: words.floorMarks, sheet: FloorSheet, body: true },
  { id: 'camera', name: words.camera, sheet: CameraSheet, body: true },
  { id: 'rounds', name: words.rounds, sheet: RoundSheet, body: false },
  { id: 'pads', name: words.pads, sheet: PadSheet, body: false },
];
const open = computed(() => sheets.find(({ id }) => id === route.query.sheet) ?? sheets[0]!);
const to = (query: Record<string, string | null>) => void router.replace({ name: 'set-up', query: { ...route.query, ...query } });
const print = (): void => window.print();
</script>

<template>
  <div class="page set-up">
    <div class="page-head">
      <h1>
        <TextWith :text="words.setUp">
          <template #name>
            <template v-if="trainee && open.body">{{ words.forName(trainee.name) }}</template>
          </template>
        </TextWith>
      </h1>
      <span class="acts no-print"
        ><VBtn variant="outlined" :prepend-icon="mdiPrinter" @click="print">{{ words.print }}</VBtn></span
      >
    </div>
    <nav class="sheets no-print" :aria-label="words.sheets">
      <RouterLink
        v-for="{ id, name } in sheets"
        :key="id"
        :to="{ name: 'set-up', query: { ...route.query, sheet: id } }"
        :aria-current="id === open.id ? 'page' : undefined"
        >{{ name }}</RouterLink
      >
    </nav>
    <form v-if="open.body" class="asked no-print" :aria-label="words.forWhom" @submit.prevent>
      <VAutocomplete
        v-model="whom"
        :items="trainees ?? []"
        item-value="id"
        item-title="name"
        :label="words.trainee"
        clearable
        density="compact"
        hide-details
        @update:model-value="(id: string | null) => to({ trainee: id })"
      />
      <VTextField
        v-model="typed.stature"
        :label="words.stature"
        density="compact"
        :error-messages="problems.stature"
        hide-details="auto"
      />
      <VTextField
        v-model="typed.reach"
        :label="words.reachShoulderToKnuckles"
        :placeholder="words.fromTheStature"
        density="compact"
        :error-messages="problems.reach"
        hide-details="auto"
      />
      <VTextField
        v-if="open.id === 'bags'"
        v-model="typed.opponent"
        :label="words.opponentsStature"
        :placeholder="words.theSame"
        density="compact"
        :error-messages="problems.opponent"
        hide-details="auto"
      />
      <VTextField
        v-if="open.id === 'bags'"
        v-model="typed.bellyToTop"
        :label="words.speedBagBellyToTop"
        density="compact"
        :error-messages="problems.bellyToTop"
        hide-details="auto"
      />
      <VBtnToggle
        v-model="units"
        mandatory
        density="compact"
        color="primary"
        variant="outlined"
        divided
        :aria-label="words.units"
      >
        <VBtn value="metric">{{ words.cm }}</VBtn>
        <VBtn value="imperial">{{ words.ftIn }}</VBtn>
      </VBtnToggle>
    </form>
    <component :is="open.sheet" :set-up="setUp" />
  </div>
</template>

<style>
.set-up figure {
  margin: var(--space-3) 0;
}
.set-up svg {
  display: block;
  width: 100%;
  max-height: 400px;
  background: rgb(var(--v-theme-surface));
}
.set-up figcaption {
  padding: var(--space-2) 0;
  max-width: 70ch;
}
.set-up text {
  font-family: var(--numbers);
  font-size: 8px;
  fill: var(--ink);
}
.set-up .floor {
  stroke: var(--edge);
  stroke-width: 2;
}
.set-up .bag {
  fill: var(--bag);
}
.set-up .forbidden {
  fill: var(--shade-light);
}
.set-up .board {
  fill: var(--drawn-dark);
}
.set-up .chain {
  stroke: var(--edge);
}
.set-up .measure {
  stroke: var(--strike);
  stroke-width: 0.8;
}
.set-up .mark {
  stroke: var(--strike);
  stroke-width: 1.6;
}
.set-up .foot {
  fill: var(--drawn-dark);
}
.set-up .told {
  border-collapse: collapse;
  width: 100%;
  background: rgb(var(--v-theme-surface));
}
.set-up .told :is(th, td) {
  text-align: left;
  vertical-align: top;
  padding: var(--space-1) var(--space-3) var(--space-1) var(--space-2);
  border-bottom: 1px solid var(--line);
}
</style>

<style scoped>
.sheets {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-5);
}
.sheets a {
  display: inline-flex;
  align-items: center;
  min-width: 44px;
  min-height: 44px;
  font-weight: 700;
  text-decoration: none;
  border-bottom: 3px solid transparent;
}
.sheets a[aria-current] {
  border-bottom-color: rgb(var(--v-theme-primary));
}
.asked {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(190px, 100%), 1fr));
  gap: var(--space-2);
  margin-top: var(--space-3);
  align-items: start;
}
</style>
