<script setup lang="ts">
import { mdiHistory, mdiStairs } from '@mdi/js';
import type { ComparedLevels } from '@wax-fist/contract/answers';
import type { Correction } from '@wax-fist/contract/corrections';
import { faultRate, frequencies, frequencyNames } from '@wax-fist/core/correction';
import { computed, ref } from 'vue';
import { conditionInWords, drillOf, eventInWords, faultsOfSeen, numbersInWords, oftenOf } from '@wax-fist/core/words';
import { dayAndTime } from '../../app/format.ts';
import DrillChoice from '../drills/DrillChoice.vue';
import CorrectionLine from './CorrectionLine.vue';
import PlaceByHandDialog from './PlaceByHandDialog.vue';
import { useCorrectionEvents } from './use-correction-events.ts';
import { useAccount } from '../accounts/account-store.ts';
import { correctionsWords as words } from './words.ts';

const account = useAccount();
/** A correction with its history, which only grows, and what can be done next. */
const { correction, conditions = [] } = defineProps<{
  correction: Correction;
  /** How it stands when tired, and from rung to rung. */
  conditions?: readonly ComparedLevels[];
}>();
const emit = defineEmits<{ changed: [] }>();
const told = ref(true);
const placing = ref(false);
const { failure, say } = useCorrectionEvents(() => emit('changed'));
const drill = ref(drillOf(correction) ?? '');
const often = ref(oftenOf(correction) ?? null);
const isAsGiven = computed(
  () => drill.value.trim() === (drillOf(correction) ?? '') && (often.value ?? undefined) === oftenOf(correction),
);
const oftenItems = frequencies.map((value) => ({ value, title: frequencyNames[value] }));
/** No drill is done never. */
const giveDrill = () => {
  const note = drill.value.trim();
  return say(correction, { kind: 'drill-given', note, often: note === '' ? null : often.value });
};
</script>

<template>
  <CorrectionLine :correction="correction">
    <VBtn
      :icon="mdiHistory"
      size="small"
      variant="text"
      :aria-expanded="told"
      :aria-label="words.history"
      :title="words.history"
      @click="told = !told"
    />
    <template v-if="account.judges && correction.state !== 'closed'">
      <VBtn
        :icon="mdiStairs"
        size="small"
        variant="text"
        :aria-label="words.putOnARungBy"
        :title="words.putOnARungBy"
        @click="placing = true"
      />
      <VBtn variant="outlined" @click="say(correction, { kind: 'cue-given' })">{{ words.cueGiven }}</VBtn>
      <VBtn variant="text" @click="say(correction, { kind: 'closed' })">{{ words.close }}</VBtn>
    </template>
    <VBtn v-else-if="account.judges" variant="outlined" @click="say(correction, { kind: 're-opened' })">{{
      words.openAgain
    }}</VBtn>
  </CorrectionLine>
  <li v-if="told" class="story">
    <ul v-if="conditions.length > 0" :aria-label="words.underWhichConditions">
      <li v-for="one in conditions" :key="`${one.condition} ${one.rungs.join()}`">{{ conditionInWords(one) }}</li>
    </ul>
    <form v-if="account.judges && correction.state !== 'closed'" class="drill no-print" @submit.prevent="giveDrill">
      <VTextField v-model="drill" :label="words.drillWithItsDose" density="compact" hide-details maxlength="200" />
      <VSelect
        v-model="often"
        :items="oftenItems"
        :label="words.howOften"
        density="compact"
        hide-details
        clearable
        class="often"
      />
      <DrillChoice :correction="correction" @chosen="(words) => (drill = words)" />
      <VBtn type="submit" variant="outlined" :disabled="isAsGiven">{{ drill.trim() === '' ? words.noDrill : words.giveIt }}</VBtn>
    </form>
    <ol :aria-label="words.history">
      <li v-for="event in correction.history" :key="event.id">
        <span class="quiet number">{{ dayAndTime(event.at) }}</span>
        <b>{{ eventInWords(event) }}</b>
        <span v-if="event.tally" class="number">{{ faultsOfSeen(faultRate(event.tally)) }}</span>
        <span v-if="event.numbers" class="quiet number">{{ numbersInWords(event.numbers) }}</span>
        <span>{{ event.note }}<template v-if="event.often">, {{ frequencyNames[event.often] }}</template></span>
        <span class="quiet">{{ event.by }}</span>
      </li>
    </ol>
    <p v-if="failure" role="alert">{{ failure }}</p>
    <PlaceByHandDialog v-model="placing" :correction="correction" @placed="emit('changed')" />
  </li>
</template>

<style scoped>
.drill {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  max-width: 780px;
  padding: var(--space-2) 0;
}
.story {
  padding: 0 var(--space-3) var(--space-3) 54px;
  border-top: 0 !important;
}
form .v-text-field {
  flex: 1 1 240px;
}
.often {
  flex: 0 1 210px !important;
}
ul {
  margin-bottom: var(--space-1-5);
}
ol {
  font-size: var(--type-text);
}
ol li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-0-5) var(--space-3);
  padding: var(--space-0-5) 0;
}
ol li > :first-child {
  width: 110px;
}
@media screen and (max-width: 899px) {
  .story {
    padding-left: var(--space-3);
  }
}
</style>
