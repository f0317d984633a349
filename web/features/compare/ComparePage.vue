<script setup lang="ts">
import { compareEndpoints, counterpartKinds, type Counterpart } from '@wax-fist/contract/compare';
import { messageOf } from '@wax-fist/core/message-of';
import { ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import CompareDesk from './CompareDesk.vue';
import { filmedSide, type ComparedSide, type FilmedSide } from './compared-side.ts';
import { drawnId, drawnSide, isDrawn } from './drawn-side.ts';
import { compareWords as words } from './words.ts';

/** Two strikes held against each other; with one alone, the one with which it is compared most often is looked for. */
const { firstId, secondId = '' } = defineProps<{ firstId: string; secondId?: string }>();
const router = useRouter();
const catalogue = useCatalogue();
const both = shallowRef<{ first: FilmedSide; second: ComparedSide }>();
/** They come when they come: what is to be seen does not wait for them. */
const known = shallowRef<Counterpart[]>();
const failure = ref<string>();
const alone = ref(false);

/** Sides that were asked for before: the first one stays when it is held against another. */
const sides = new Map<string, Promise<FilmedSide>>();
function sideOf(strikeId: string): Promise<FilmedSide> {
  const held = sides.get(strikeId) ?? filmedSide(strikeId);
  sides.set(strikeId, held);
  held.catch(() => sides.delete(strikeId));
  return held;
}
let counterpartsOf: { strikeId: string; found: Promise<Counterpart[]> } | undefined;
function counterparts(): Promise<Counterpart[]> {
  if (counterpartsOf?.strikeId !== firstId) {
    known.value = undefined;
    counterpartsOf = { strikeId: firstId, found: request(compareEndpoints.counterparts, { params: { strikeId: firstId } }) };
    const { strikeId, found } = counterpartsOf;
    found.then(
      (list) => strikeId === firstId && (known.value = list),
      () => counterpartsOf?.found === found && (counterpartsOf = undefined),
    );
  }
  return counterpartsOf.found;
}

async function load(): Promise<void> {
  const asked = `${firstId} ${secondId}`;
  // What is shown stays until the other one is here.
  if (both.value?.first.strike.strikeId !== firstId) both.value = undefined;
  failure.value = undefined;
  alone.value = false;
  try {
    const first = sideOf(firstId);
    // Somebody is asked for with it as soon as it is known who.
    first.catch(() => undefined);
    if (!secondId) {
      const found = await counterparts();
      const [likeliest] = counterpartKinds.flatMap((kind) => found.find((one) => one.kind === kind) ?? []);
      const { technique } = await first;
      alone.value = !likeliest && !(technique && isDrawn(technique.id));
      if (!likeliest && !alone.value) await router.replace({ params: { firstId, secondId: drawnId } });
      if (likeliest) void sideOf(likeliest.strikeId).catch(() => undefined);
      if (likeliest) await router.replace({ params: { firstId, secondId: likeliest.strikeId } });
      return;
    }
    void counterparts().catch(() => undefined);
    const second = secondId === drawnId ? first.then(drawnSide) : sideOf(secondId);
    const [one, other] = await Promise.all([first, second, catalogue.ready()]);
    if (asked === `${firstId} ${secondId}`) both.value = { first: one, second: other };
  } catch (error) {
    both.value = undefined;
    failure.value = messageOf(error);
  }
}
watch(() => [firstId, secondId], load, { immediate: true });
</script>

<template>
  <CompareDesk v-if="both" :key="both.first.strike.strikeId" v-bind="both" :counterparts="known" />
  <div v-else class="page">
    <VAlert v-if="failure" type="warning" variant="tonal" role="alert">
      {{ failure }}
      <template #append>
        <VBtn variant="outlined" size="small" class="mr-2" @click="load">{{ words.tryAgain }}</VBtn>
        <VBtn variant="outlined" size="small" to="/">{{ words.toToday }}</VBtn>
      </template>
    </VAlert>
    <div v-else-if="alone" class="empty">
      {{ words.thereIsNothingToHold }}
      <VBtn variant="text" @click="router.back()">{{ words.back }}</VBtn>
    </div>
    <div v-else role="status" :aria-label="words.bothStrikesAreBeingOpened"><VSkeletonLoader type="image, table-row" /></div>
  </div>
</template>
