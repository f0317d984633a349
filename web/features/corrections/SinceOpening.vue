<script setup lang="ts">
import type { LevelAnswer } from '@wax-fist/contract/answers';
import { computed } from 'vue';
import { percent, settlingInWords, shortDay, thenAndNow } from '@wax-fist/core/words';
import ChangeSign from './ChangeSign.vue';
import { correctionsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** What has become of a level since it was first asked about, in a cell of a table. */
const { answer } = defineProps<{ answer: LevelAnswer }>();
const level = computed(() => thenAndNow(answer));
</script>

<template>
  <span v-if="answer.change && level.then" class="since">
    <ChangeSign :change="answer.change" />
    <span class="quiet number">
      <TextWith :text="words.wasOn(percent(level.now.level), percent(level.then.level), shortDay(level.then.heldOn))">
        <template #settling>
          <template v-if="answer.change === 'no-clear-change' && answer.settling && answer.correctionId"
            >; {{ settlingInWords(answer.settling) }}</template
          >
        </template>
      </TextWith>
    </span>
  </span>
  <span v-else class="quiet">{{ words.firstAtThisRung }}</span>
</template>

<style scoped>
.since {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-2);
  align-items: baseline;
}
</style>
