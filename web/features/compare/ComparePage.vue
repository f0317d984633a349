<script setup lang="ts">
import { compareEndpoints, counterpartKinds, type Counterpart } from '@wax-fist/contract/compare';
import { messageOf } from '@wax-fist/core/message-of';
import { ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import CompareDesk from './CompareDesk.vue';
import { comparedSide, type ComparedSide } from './compared-side.ts';

/** Two strikes held against each other; with one alone, the one with which it is compared most often is looked for. */
const { firstId, secondId = '' } = defineProps<{ firstId: string; secondId?: string }>();
const router = useRouter();
const catalogue = useCatalogue();
const both = shallowRef<{ first: ComparedSide; second: ComparedSide; counterparts: Counterpart[] }>();
const failure = ref<string>();
const alone = ref(false);

/** Sides that were asked for before: the first one stays when it is held against another. */
const sides = new Map<string, Promise<ComparedSide>>();
function sideOf(strikeId: string): Promise<ComparedSide> {
  const held = sides.get(strikeId) ?? comparedSide(strikeId);
  sides.set(strikeId, held);
  held.catch(() => sides.delete(strikeId));
  return held;
}
let counterpartsOf: { strikeId: string; found: Promise<Counterpart[]> } | undefined;
function counterparts(): Promise<Counterpart[]> {
  if (counterpartsOf?.strikeId !== firstId)
    counterpartsOf = { strikeId: firstId, found: request(compareEndpoints.counterparts, { params: { strikeId: firstId } }) };
  return counterpartsOf.found;
}

async function load(): Promise<void> {
  both.value = undefined;
  failure.value = undefined;
  alone.value = false;
  try {
    const first = sideOf(firstId);
    // Somebody is asked for with it as soon as it is known who.
    first.catch(() => undefined);
    if (!secondId) {
      const known = await counterparts();
      const [likeliest] = counterpartKinds.flatMap((kind) => known.find((one) => one.kind === kind) ?? []);
      alone.value = !likeliest;
      if (likeliest) void sideOf(likeliest.strikeId).catch(() => undefined);
      if (likeliest) await router.replace({ params: { firstId, secondId: likeliest.strikeId } });
      return;
    }
    const [known, one, other] = await Promise.all([counterparts(), first, sideOf(secondId), catalogue.ready()]);
    both.value = { first: one, second: other, counterparts: known };
  } catch (error) {
    counterpartsOf = undefined;
    failure.value = messageOf(error);
  }
}
watch(() => [firstId, secondId], load, { immediate: true });
</script>

<template>
  <CompareDesk v-if="both" :key="`${firstId} ${secondId}`" v-bind="both" />
  <div v-else class="page">
    <VAlert v-if="failure" type="warning" variant="tonal" role="alert">
      {{ failure }}
      <template #append>
        <VBtn variant="outlined" size="small" class="mr-2" @click="load">Try again</VBtn>
        <VBtn variant="outlined" size="small" to="/">To Today</VBtn>
      </template>
    </VAlert>
    <div v-else-if="alone" class="empty">
      There is nothing to hold this strike against yet: no earlier session has it from this side, none of its kind was judged
      clean, and the other side was not filmed.
      <VBtn variant="text" @click="router.back()">Back</VBtn>
    </div>
    <div v-else role="status" aria-label="Both strikes are being opened"><VSkeletonLoader type="image, table-row" /></div>
  </div>
</template>
