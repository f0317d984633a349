<script setup lang="ts">
import { answerEndpoints } from '@wax-fist/contract/answers';
import type { Correction } from '@wax-fist/contract/corrections';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { asksWhatFirst, inOwnOrder, isAbout, mostCues, whatFirst, type Ranked } from '@wax-fist/core/correction';
import type { Tally } from '@wax-fist/core/review';
import type { Catalogue, TechniqueId } from '@wax-fist/core/technique';
import { computed, ref } from 'vue';
import { VueDraggable } from 'vue-draggable-plus';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import FirstRow from './FirstRow.vue';
import { useOwnOrder } from './use-own-order.ts';
import { useAccount } from '../accounts/account-store.ts';
import { correctionsWords as words } from './words.ts';

const account = useAccount();
/** What to mend first, with the whole sum: what it costs, how often it surely happens, what follows from it. */
const { session, checklists, judged, corrections } = defineProps<{
  session: SessionDetail;
  checklists: Catalogue;
  judged: readonly { technique: TechniqueId; checkpointId: string; tally: Tally }[];
  /** Those of the trainee. */
  corrections: readonly Correction[];
}>();
defineEmits<{ open: [about: { technique: TechniqueId; checkpointId: string }] }>();
const { value: together } = useAnswer(() => request(answerEndpoints.sessionTogether, { params: { sessionId: session.id } }));
const few = 3;
const all = ref(false);

const worked = computed(() => corrections.filter(({ state }) => state !== 'closed' && state !== 'kept'));
const asks = computed(() => asksWhatFirst(checklists, judged, worked.value));
const stops = computed(() => asks.value.stops);
const ranked = computed(() =>
  whatFirst(asks.value.judged, together.value ?? [], { grade: session.trainee.grade, stops: stops.value }),
);

const order = useOwnOrder(session.id);
/** As the coach has it, where somebody has said so or is about to. */
const listed = computed(() => {
  const { value: placed } = order.placed;
  return placed ? inOwnOrder(ranked.value, placed, stops.value) : ranked.value;
});
const isPlaced = (one: Ranked): boolean => order.placed.value?.some(isAbout(one)) ?? false;
const shown = computed({
  get: () => (all.value ? listed.value : listed.value.slice(0, few)),
  set: (now) => order.move([...now, ...(all.value ? [] : listed.value.slice(few))]),
});
function move(place: number, steps: 1 | -1): void {
  const next = [...listed.value];
  const [one] = next.splice(place, 1);
  if (!one || place + steps < 0 || place + steps > next.length) return;
  next.splice(place + steps, 0, one);
  order.move(next);
}
</script>

<template>
  <section v-if="ranked.length > 0 && account.judges" class="first" :aria-label="words.whatToMendFirst">
    <h3>
      {{ words.whatFirst }}
      <span class="quiet">
        {{
          worked.length >= mostCues
            ? words.cueAtWorkTheseWait(worked.length)
            : words.atMostCuesAtA(mostCues, worked.length > 0 ? words.atWork(worked.length) : '')
        }}
      </span>
    </h3>
    <p v-if="order.said.value && !order.draft.value" class="own">
      <b>{{ words.sOrder(order.said.value.saidBy) }}</b> {{ order.said.value.reason }}
      <VBtn variant="text" size="small" class="no-print" @click="order.backToSum">{{ words.backToTheSum }}</VBtn>
    </p>
    <VueDraggable v-model="shown" tag="ol" handle=".grip" :animation="120">
      <FirstRow
        v-for="(one, place) in shown"
        :key="`${one.technique} ${one.checkpointId}`"
        :one="one"
        :checklists="checklists"
        :moved="isPlaced(one)"
        @move="move(place, $event)"
        @open="$emit('open', { technique: one.technique as TechniqueId, checkpointId: one.checkpointId })"
      />
    </VueDraggable>
    <form v-if="order.draft.value" class="own no-print" @submit.prevent="order.keep">
      <VTextField
        v-model="order.reason.value"
        :label="words.whyThisOrderAndNot"
        density="compact"
        maxlength="2000"
        :error-messages="order.failure.value"
        hide-details="auto"
      />
      <VBtn type="submit" color="primary">{{ words.keepThisOrder }}</VBtn>
      <VBtn variant="text" @click="order.leave">{{ words.asItWas }}</VBtn>
    </form>
    <VBtn v-if="ranked.length > few" variant="text" class="no-print" @click="all = !all">{{
      all ? words.onlyTheFirst : words.allRanked(ranked.length)
    }}</VBtn>
  </section>
</template>

<style scoped>
h3 {
  font-size: var(--type-body);
  margin: var(--space-5) 0 var(--space-1-5);
}
h3 .quiet {
  font-weight: 400;
  font-size: var(--type-text);
  margin-left: var(--space-2);
}
ol {
  border-top: 2px solid rgb(var(--v-theme-primary));
}
.own {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
  padding: var(--space-2) 0;
}
.own .v-text-field {
  flex: 1 1 280px;
}
</style>
