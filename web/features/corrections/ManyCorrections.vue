<script setup lang="ts">
import { mdiFilePdfBox } from '@mdi/js';
import { cardEndpoints } from '@wax-fist/contract/cards';
import type { Correction } from '@wax-fist/contract/corrections';
import { filledPath } from '@wax-fist/contract/endpoint';
import { mostAtOnce } from '@wax-fist/contract/reports';
import { messageOf } from '@wax-fist/core/message-of';
import { computed, ref } from 'vue';
import { drillOf, oftenOf, localDay, shortDay } from '@wax-fist/core/words';
import { useNotice } from '../../app/notice-store.ts';
import { usePaper } from '../reports/paper.ts';
import { sayOfCorrection, type Said } from './use-correction-events.ts';
import { correctionsWords as words } from './words.ts';

/** What can be done with many corrections at once; the way back stands at the foot of the page. */
const { corrections, changed } = defineProps<{
  corrections: readonly Correction[];
  /** No event: when it is taken back, nothing may be chosen any more and this be gone. */
  changed: () => unknown;
}>();
const notice = useNotice();
const day = ref(localDay(7));
const drill = ref('');
const paper = usePaper();
/** One sheet each, for a class. */
const cards = computed(() => {
  const of = corrections.slice(0, mostAtOnce).map(({ id }) => id);
  return filledPath(cardEndpoints.cardsPdf.path, {}, { of: of.join(','), paper: paper.value });
});
/** How many of them are done; undefined while nothing is being done. */
const done = ref<number>();

/** One after the other, so that what went wrong with one leaves the others as they are. */
async function sayOfAll(what: string, said: Said, back: (one: Correction) => Said): Promise<void> {
  const all = corrections.map((one) => ({ ...one }));
  const told: Correction[] = [];
  const wrong: string[] = [];
  done.value = 0;
  for (const one of all) {
    await sayOfCorrection(one, said)
      .then(() => told.push(one))
      .catch((error: unknown) => wrong.push(`“${one.cue}”: ${messageOf(error)}`));
    done.value++;
  }
  done.value = undefined;
  await changed();
  const failed = wrong.length > 0 ? ` ${wrong.join(' ')}` : '';
  notice.say(words.correctionTold(told.length, what, failed), async () => {
    for (const one of told) await sayOfCorrection(one, back(one));
    await changed();
  });
}
const reschedule = (): Promise<void> =>
  sayOfAll(words.lookedAtAgainOn(shortDay(day.value)), { kind: 'rescheduled', recheckOn: day.value }, ({ recheckOn }) => ({
    kind: 'rescheduled',
    recheckOn: recheckOn ?? day.value,
  }));
const giveDrill = (): Promise<void> =>
  sayOfAll(words.drilledBy(drill.value.trim()), { kind: 'drill-given', note: drill.value.trim() }, (one) => ({
    kind: 'drill-given',
    note: drillOf(one) ?? '',
    often: oftenOf(one) ?? null,
  }));
const close = (): Promise<void> => sayOfAll('closed', { kind: 'closed' }, () => ({ kind: 're-opened' }));
</script>

<template>
  <div class="acts">
    <b class="number">{{
      done === undefined ? words.correctionsCounted(corrections.length) : words.ofDone(done, corrections.length)
    }}</b>
    <span class="pair">
      <VTextField
        v-model="day"
        type="date"
        :label="words.lookAgainOn"
        density="compact"
        hide-details
        :min="localDay()"
        class="day"
      />
      <VBtn color="primary" :disabled="!day" :loading="done !== undefined" @click="reschedule">{{ words.setTheDay }}</VBtn>
    </span>
    <span class="pair wide">
      <VTextField v-model="drill" :label="words.drillWithItsDose" density="compact" hide-details maxlength="200" />
      <VBtn variant="outlined" :disabled="!drill.trim()" :loading="done !== undefined" @click="giveDrill">{{
        words.giveIt
      }}</VBtn>
    </span>
    <VBtn variant="outlined" :prepend-icon="mdiFilePdfBox" :href="cards" download>{{ words.cards }}</VBtn>
    <VBtn variant="outlined" :loading="done !== undefined" @click="close">{{ words.closeThem }}</VBtn>
  </div>
</template>

<style scoped>
.day {
  width: 180px;
}
.pair {
  display: flex;
  gap: var(--space-2);
  align-items: center;
}
.wide {
  flex: 1 1 300px;
  max-width: 420px;
}
</style>
