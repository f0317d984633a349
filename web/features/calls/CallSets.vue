<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { mdiDeleteOutline } from '@mdi/js';
import { callEndpoints, type CallSet } from '@wax-fist/contract/calls';
import { parseCombination, sayInNumbers, sayInWords, type CallBook } from '@wax-fist/core/calls';
import type { Catalogue } from '@wax-fist/core/technique';
import { v7 as uuid } from 'uuid';
import { ref } from 'vue';
import { request } from '../../app/request.ts';
import { useNotice } from '../../app/notice-store.ts';
import { useAnswer } from '../../app/use-answer.ts';
import CombinationField from './CombinationField.vue';
import { callsWords as words } from './words.ts';

/** Sets that are learned by heart. Kept in words, so that they mean the same with every book. */
const { book, catalogue } = defineProps<{ book: CallBook; catalogue: Catalogue }>();
const { value: sets, failure, again } = useAnswer(() => request(callEndpoints.listCallSets));
const notice = useNotice();
const name = ref('');
const text = ref('');
const remark = ref<string>();

async function act(doing: Promise<unknown>): Promise<void> {
  remark.value = undefined;
  await doing.then(again).catch((error: unknown) => (remark.value = messageOf(error)));
}
async function add(): Promise<void> {
  const parsed = parseCombination(text.value, { book, catalogue });
  if (!parsed.ok) return void (remark.value = parsed.errors[0]!.says);
  const set = { id: uuid(), name: name.value, recipe: sayInWords(parsed.combination, catalogue) };
  await act(keep(set).then(() => notice.say(words.isKept(set.name))));
  if (!remark.value) name.value = text.value = '';
}
const keep = (set: CallSet) => request(callEndpoints.saveCallSet, { params: { setId: set.id }, body: set });
const remove = (set: CallSet) =>
  act(
    request(callEndpoints.removeCallSet, { params: { setId: set.id } }).then(() =>
      notice.say(words.isRemoved(set.name), () => keep(set).then(again)),
    ),
  );
const inNumbers = ({ recipe }: CallSet): string => {
  const parsed = parseCombination(recipe, { book, catalogue });
  return parsed.ok ? sayInNumbers(parsed.combination, book, catalogue) : '';
};
</script>

<template>
  <section :aria-label="words.sets">
    <h2>{{ words.setsToKnowByHeart }}</h2>
    <VAlert v-if="remark ?? failure" type="warning" variant="tonal" density="compact" role="alert">{{
      remark ?? failure
    }}</VAlert>
    <ul>
      <li v-for="set in sets ?? []" :key="set.id">
        <b>{{ set.name }}</b>
        <span>{{ set.recipe }}</span>
        <span class="number quiet">{{ inNumbers(set) }}</span>
        <VBtn
          :icon="mdiDeleteOutline"
          size="x-small"
          variant="text"
          :aria-label="words.removeName(set.name)"
          @click="remove(set)"
        />
      </li>
      <li v-if="sets?.length === 0" class="quiet none">
        {{ words.noneYetAGradesCombinations }}
      </li>
    </ul>
    <form class="add" @submit.prevent="add">
      <VTextField v-model="name" :label="words.name" density="compact" hide-details maxlength="120" class="name" />
      <CombinationField v-model="text" :label="words.combination" :book="book" :catalogue="catalogue" class="what" />
      <VBtn type="submit" variant="outlined" :disabled="!name.trim() || !text.trim()">{{ words.add }}</VBtn>
    </form>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 0;
  font-size: var(--type-lead);
}
li {
  display: grid;
  grid-template-columns: 150px 1fr auto auto;
  gap: var(--space-3);
  align-items: baseline;
  padding: var(--space-1-5) 0;
  border-top: 1px solid var(--line);
}
li.none {
  display: block;
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: flex-start;
  margin-top: var(--space-2);
}
.name {
  max-width: 180px;
}
.what {
  flex: 1 1 220px;
}
@media screen and (max-width: 899px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: var(--space-0-5) var(--space-3);
  }
  li > span {
    grid-column: 1;
  }
  li > :last-child {
    grid-area: 1 / 2;
  }
}
</style>
