<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { lengthInWords } from '@wax-fist/core/setup';
import {
  clocks,
  dayAndMonth,
  dayOrders,
  decimal,
  decimalSigns,
  localDay,
  timeOfDay,
  unitSystems,
  usualManner,
  wholeDay,
  type Manner,
} from '@wax-fist/core/words';
import { computed, ref } from 'vue';
import { useAccount } from '../accounts/account-store.ts';
import { peopleWords as words } from './words.ts';

/** How one reads lengths, days, times and numbers: each choice is shown as what it makes. */
const account = useAccount();
const failure = ref('');
const manner = computed(() => account.me?.manner ?? usualManner);
const evening = new Date(2026, 10, 17, 18, 5);
const today = (days: Manner['days']): string => dayAndMonth(new Date(), { ...usualManner, days });

interface Choice<Key extends keyof Manner> {
  key: Key;
  name: string;
  options: readonly { value: Manner[Key]; says: string }[];
}
const choices: readonly [Choice<'units'>, Choice<'days'>, Choice<'clock'>, Choice<'decimals'>] = [
  { key: 'units', name: words.lengths, options: unitSystems.map((value) => ({ value, says: lengthInWords(172, value) })) },
  { key: 'days', name: words.days, options: dayOrders.map((value) => ({ value, says: today(value) })) },
  {
    key: 'clock',
    name: words.times,
    options: clocks.map((clock) => ({ value: clock, says: timeOfDay(evening, { ...usualManner, clock }) })),
  },
  {
    key: 'decimals',
    name: words.numbers,
    options: decimalSigns.map((value) => ({ value, says: decimal(1.5, 1, { decimals: value }) })),
  },
];
const onPaper = computed(() => wholeDay(localDay(), manner.value));

async function choose(change: Partial<Manner>): Promise<void> {
  try {
    failure.value = '';
    await account.readIn({ ...manner.value, ...change });
  } catch (error) {
    failure.value = messageOf(error);
  }
}
</script>

<template>
  <section aria-labelledby="manner">
    <h2 id="manner">{{ words.howYouRead }}</h2>
    <p v-if="failure" role="alert">{{ failure }}</p>
    <div v-for="{ key, name, options } in choices" :key="key" class="choice">
      <span :id="`manner-${key}`">{{ name }}</span>
      <VBtnToggle
        :model-value="manner[key]"
        :aria-labelledby="`manner-${key}`"
        mandatory
        color="primary"
        variant="outlined"
        divided
        @update:model-value="(value: Manner[typeof key]) => choose({ [key]: value })"
      >
        <VBtn v-for="{ value, says } in options" :key="value" :value="value" :aria-pressed="manner[key] === value">{{
          says
        }}</VBtn>
      </VBtnToggle>
    </div>
    <p class="quiet">
      {{ words.onPaperPagesAndPapers(onPaper) }}
    </p>
  </section>
</template>

<style scoped>
.choice {
  display: grid;
  grid-template-columns: 6rem minmax(0, 1fr);
  gap: var(--space-1) var(--space-2);
  align-items: center;
  margin-bottom: var(--space-2);
}
@media (width < 420px) {
  .choice {
    grid-template-columns: 1fr;
  }
}
</style>
