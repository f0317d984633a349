<script setup lang="ts">
import { mdiSwapHorizontal } from '@mdi/js';
import {
  exchangedCalls,
  markedCalls,
  toggledCall,
  type CourseSet,
  type MarkedCall,
  type TestLead,
} from '@wax-fist/core/syllabus';
import { techniqueName } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import type { TestSheetInHand } from './use-test-sheet.ts';
import { syllabusWords as words } from './words.ts';

/** A set at a test: all in order with one touch, then what was not. */
const { set, lead, sheet } = defineProps<{ set: CourseSet; lead: TestLead; stands: string; sheet: TestSheetInHand }>();
const catalogue = useCatalogue();
const tried = computed(() => sheet.setOf(set.id, lead));
const asked = computed(() => sheet.asked.value.get(set.id) ?? []);
const calls = computed(() => (tried.value ? markedCalls(asked.value, tried.value.thrown) : []));
const thrown = (next: readonly string[]): void => sheet.trySet(set.id, lead, { thrown: next });
const says: Record<MarkedCall['kind'], string> = {
  'as planned': '',
  'left out': words.leftOut,
  added: words.notAsked,
  another: words.somethingElse,
  swapped: words.inTheOtherOrder,
};
const nameOf = (id: string): string => techniqueName(catalogue.newest, id);
</script>

<template>
  <li>
    <p class="head"><b>{{ set.name }}</b> <span v-if="stands" class="quiet">{{ stands }}</span></p>
    <p v-if="!tried" class="untried">
      <span>{{ asked.map(nameOf).join(', ') }}</span>
      <VBtn color="primary" @click="thrown(asked)">{{ words.allInOrder }}</VBtn>
      <VBtn variant="outlined" @click="sheet.trySet(set.id, lead, { thrown: [] })">{{ words.notKnown }}</VBtn>
    </p>
    <template v-else>
      <ol :aria-label="words.callByCall">
        <template v-for="(call, place) in calls" :key="place">
          <li class="call">
            <button
              type="button"
              :class="call.kind.replace(' ', '-')"
              :aria-pressed="call.seen !== null"
              @click="thrown(toggledCall(tried.thrown, calls, place))"
            >
              {{ nameOf(call.technique) }} <small v-if="says[call.kind]">{{ says[call.kind] }}</small>
            </button>
            <button
              v-if="call.seen !== null && call.seen < tried.thrown.length - 1"
              type="button"
              class="swap"
              :aria-label="words.cameAfterTheNextOne(nameOf(call.technique))"
              @click="thrown(exchangedCalls(tried.thrown, call.seen))"
            >
              <VIcon :icon="mdiSwapHorizontal" size="20" />
            </button>
          </li>
        </template>
      </ol>
      <p class="acts">
        <VCheckbox
          :model-value="tried.saidAloud"
          :label="words.saidAloud"
          density="compact"
          hide-details
          @update:model-value="(saidAloud) => sheet.trySet(set.id, lead, { saidAloud: saidAloud === true })"
        />
        <VBtn variant="text" @click="sheet.trySet(set.id, lead, null)">{{ words.onceMore }}</VBtn>
      </p>
    </template>
  </li>
</template>

<style scoped>
li {
  padding: var(--space-3);
}
.head {
  display: flex;
  gap: var(--space-3);
  font-size: var(--type-lead);
}
.untried {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2) var(--space-3);
  margin-top: var(--space-1-5);
}
.untried span {
  flex: 1 1 260px;
}
ol {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1-5) 0;
  margin: var(--space-2) 0 var(--space-1);
}
.call {
  display: flex;
  padding: 0;
}
.call button {
  min-height: 44px;
  min-width: 44px;
  padding: var(--space-1) var(--space-3);
  background: var(--clean-ground);
}
.call small {
  display: block;
  font-size: var(--type-note);
}
.call .left-out {
  background: none;
  box-shadow: inset 0 0 0 2px var(--fault);
  text-decoration: line-through;
}
.call .left-out small {
  display: inline-block;
  text-decoration: none;
}
.call .swapped,
.call .another,
.call .added {
  background: var(--fault-ground);
}
.call button.swap {
  padding: 0;
  background: none;
}
</style>
