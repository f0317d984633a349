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

async function load(): Promise<void> {
  both.value = undefined;
  failure.value = undefined;
  alone.value = false;
  try {
    const asked = [request(compareEndpoints.counterparts, { params: { strikeId: firstId } }), catalogue.ready()] as const;
    if (!secondId) {
      const [counterparts] = await Promise.all(asked);
      const [likeliest] = counterpartKinds.flatMap((kind) => counterparts.find((one) => one.kind === kind) ?? []);
      alone.value = !likeliest;
      if (likeliest) await router.replace({ params: { firstId, secondId: likeliest.strikeId } });
      return;
    }
    const [counterparts, , first, second] = await Promise.all([...asked, comparedSide(firstId), comparedSide(secondId)]);
    both.value = { first, second, counterparts };
  } catch (error) {
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
