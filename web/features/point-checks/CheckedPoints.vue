<script setup lang="ts">
import { pointCheckEndpoints } from '@wax-fist/contract/point-checks';
import { messageOf } from '@wax-fist/core/message-of';
import { ref } from 'vue';
import { counted } from '@wax-fist/core/words';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useWidenings } from './widenings-store.ts';
import { timesInWords } from './point-words.ts';

/** What came of it, when all were pointed out. */
const { said } = defineProps<{ said: readonly string[] }>();
defineEmits<{ more: [] }>();
const taken = ref(false);
const remark = ref<string>();
/** A child at the keyboard, or the wrong side all along. */
async function takeBack(): Promise<void> {
  remark.value = undefined;
  try {
    for (const checkId of said) await request(pointCheckEndpoints.takePointBack, { params: { checkId } });
    taken.value = true;
  } catch (error) {
    remark.value = messageOf(error);
  }
  await again();
}
useWidenings().forget();
const { value: page, failure, again } = useAnswer(() => request(pointCheckEndpoints.pointChecks));
</script>

<template>
  <h1>{{ counted(said.length, 'point') }} {{ taken ? 'taken back' : 'looked at' }}</h1>
  <PageState :failure="failure" :ready="page !== undefined" @again="again">
    <VAlert v-if="remark" type="warning" variant="tonal" role="alert">{{ remark }}</VAlert>
    <p v-if="page">
      Points of your films are off by <b class="number">{{ timesInWords(page.all.wider) }}</b> what trials say of them, likely
      between {{ timesInWords(page.all.low) }} and {{ timesInWords(page.all.high) }}, by
      {{ counted(page.all.checks, 'point') }} that were checked. Every measure is doubted by as much from now on; strikes are
      measured anew when they are looked at.
    </p>
    <div class="acts">
      <VBtn color="primary" :to="{ name: 'point-checks' }">See what was learned</VBtn>
      <VBtn variant="outlined" @click="$emit('more')">Twenty more</VBtn>
      <VBtn v-if="!taken" variant="text" @click="takeBack">Take these back</VBtn>
    </div>
  </PageState>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  margin-top: var(--space-4);
}
</style>
