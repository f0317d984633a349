<script setup lang="ts">
import { mdiMinus } from '@mdi/js';
import type { MustHave, TestLead } from '@wax-fist/core/syllabus';
import { computed } from 'vue';
import type { TestSheetInHand } from './use-test-sheet.ts';
import { syllabusWords as words } from './words.ts';

/** A must-have at a test, counted strike by strike. */
const { mustHave, lead, sheet } = defineProps<{ mustHave: MustHave; lead: TestLead; stands: string; sheet: TestSheetInHand }>();
const counted = computed(() => sheet.countOf({ technique: mustHave.technique, checkpointId: mustHave.checkpointId, lead }));
const kinds = [
  { key: 'clean', name: words.clean },
  { key: 'fault', name: words.fault },
] as const;
</script>

<template>
  <li class="entry">
    <p><b>{{ sheet.nameOf(mustHave) }}</b> <span v-if="stands" class="quiet">{{ stands }}</span></p>
    <span v-for="{ key, name } in kinds" :key="key" class="count">
      <button type="button" :class="key" @click="sheet.count(counted, { [key]: counted[key] + 1 })">
        {{ name }} <b class="number">{{ counted[key] }}</b>
      </button>
      <VBtn
        :icon="mdiMinus"
        variant="text"
        size="small"
        :disabled="counted[key] === 0"
        :aria-label="words.oneLess(name)"
        @click="sheet.count(counted, { [key]: counted[key] - 1 })"
      />
    </span>
  </li>
</template>

<style scoped>
p span {
  margin-left: var(--space-2);
}
.count {
  display: flex;
  align-items: center;
}
.count button:not([class*='v-']) {
  min-height: 48px;
  min-width: 104px;
  padding: var(--space-1) var(--space-3);
  text-align: left;
}
.count b {
  margin-left: var(--space-1-5);
  font-size: var(--type-title);
}
.clean {
  background: var(--clean-ground);
}
.fault {
  background: var(--fault-ground);
}
</style>
