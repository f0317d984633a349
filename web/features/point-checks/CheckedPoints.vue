<script setup lang="ts">
import { pointCheckEndpoints } from '@wax-fist/contract/point-checks';
import { messageOf } from '@wax-fist/core/message-of';
import { ref } from 'vue';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useWidenings } from './widenings-store.ts';
import { timesInWords } from './point-words.ts';
import { pointChecksWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

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
  <h1>{{ words.points(said.length) }} {{ taken ? words.takenBack : words.lookedAt }}</h1>
  <PageState :failure="failure" :ready="page !== undefined" @again="again">
    <VAlert v-if="remark" type="warning" variant="tonal" role="alert">{{ remark }}</VAlert>
    <p v-if="page">
      <TextWith :text="words.pointsOfYourFilmsAre(timesInWords(page.all.low), timesInWords(page.all.high), page.all.checks)">
        <template #wider>
          <b class="number">{{ timesInWords(page.all.wider) }}</b>
        </template>
      </TextWith>
    </p>
    <div class="acts">
      <VBtn color="primary" :to="{ name: 'point-checks' }">{{ words.seeWhatWasLearned }}</VBtn>
      <VBtn variant="outlined" @click="$emit('more')">{{ words.twentyMore }}</VBtn>
      <VBtn v-if="!taken" variant="text" @click="takeBack">{{ words.takeTheseBack }}</VBtn>
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
