<script setup lang="ts">
import type { SavedCallBook } from '@wax-fist/contract/calls';
import { parseCombination, sayInNumbers, sayInWords, sayWithHands, withoutNumber } from '@wax-fist/core/calls';
import { stances, type Catalogue } from '@wax-fist/core/technique';
import { computed, ref } from 'vue';
import CombinationField from './CombinationField.vue';
import { callsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** A combination in the numbers of one book, said in every other way. */
const { books, book, catalogue } = defineProps<{ books: readonly SavedCallBook[]; book: SavedCallBook; catalogue: Catalogue }>();
const text = ref('1-2b-(3-2)x2-weave');
const said = computed(() => {
  const parsed = parseCombination(text.value, { book, catalogue });
  if (!parsed.ok) return [];
  const { combination } = parsed;
  return [
    { name: words.inWords, said: sayInWords(combination, catalogue), missing: [] },
    ...stances.map((stance) => ({
      name: stance === 'orthodox' ? words.orthodoxThrows : words.southpawThrows,
      said: sayWithHands(combination, catalogue, stance),
      missing: [],
    })),
    ...books
      .filter(({ id }) => id !== book.id)
      .map((other) => ({
        name: other.name,
        said: sayInNumbers(combination, other, catalogue),
        missing: withoutNumber(combination, other, catalogue),
      })),
  ];
});
</script>

<template>
  <section :aria-label="words.sayItAnotherWay">
    <h2>{{ words.sayItAnotherWay }}</h2>
    <p class="quiet mb-5">
      <TextWith :text="words.inOrASpaceBetween(book.name)">
        <template #code>
          <code>-</code>
        </template>
        <template #code2>
          <code>b</code>
        </template>
        <template #code3>
          <code>f</code>
        </template>
        <template #code4>
          <code>x3</code>
        </template>
        <template #code5>
          <code>+</code>
        </template>
      </TextWith>
    </p>
    <CombinationField v-model="text" :label="words.combination" :book="book" :catalogue="catalogue" />
    <dl>
      <div v-for="one in said" :key="one.name">
        <dt class="quiet">{{ one.name }}</dt>
        <dd>
          {{ one.said }}
          <small v-if="one.missing.length > 0" class="quiet">{{ words.noNumberFor(one.missing.join(', ')) }}</small>
        </dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
h2 {
  margin-top: var(--space-1-5);
  font-size: var(--type-lead);
}
dl {
  margin: var(--space-3) 0 var(--space-6);
}
dl > div {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: var(--space-3);
  padding: var(--space-1-5) 0;
  border-top: 1px solid var(--line);
}
@media screen and (max-width: 899px) {
  dl > div {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
