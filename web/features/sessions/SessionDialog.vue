<script setup lang="ts">
import { everyRow } from '@wax-fist/contract/page';
import { sessionDraftShape, sessionEndpoints, type Session } from '@wax-fist/contract/sessions';
import { padKinds, roundKinds, type RoundKind } from '@wax-fist/core/rounds';
import { stances } from '@wax-fist/core/technique';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { rungs, rungWith } from '@wax-fist/core/correction';
import { v7 as uuid } from 'uuid';
import { computed, watch } from 'vue';
import { request } from '../../app/request.ts';
import { useNotice } from '../../app/notice-store.ts';
import FormDialog from '../../app/FormDialog.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { useForm } from '../../app/use-form.ts';
import { localDay } from '@wax-fist/core/words';
import { sessionsWords as words } from './words.ts';

const notice = useNotice();
const open = defineModel<boolean>({ required: true });
/** `last` is what a new session begins from: most are held as the one before. */
const {
  traineeId,
  session = undefined,
  last = undefined,
} = defineProps<{ traineeId: string; session?: Session; last?: Session }>();
const emit = defineEmits<{ saved: [sessionId: string] }>();

const empty = () => ({
  place: last?.place ?? '',
  kit: last?.kit ?? '',
  roundKind: last?.roundKind ?? 'heavy bag',
  rung: last?.rung ?? 3,
  schoolNote: '',
  holderId: null as string | null,
  holderStance: null as Session['holderStance'],
  id: uuid(),
  traineeId,
  heldOn: localDay(),
});
const { draft, problems, failure, busy, send } = useForm(sessionDraftShape, empty());
watch(open, (now) => now && Object.assign(draft, session ?? empty()));
const { value: people } = useAnswer(() => everyRow((query) => request(traineeEndpoints.listTrainees, { query })));
const holders = computed(() => [
  { value: null, title: words.nobodyOfTheClub },
  ...(people.value ?? []).filter(({ id }) => id !== traineeId).map(({ id, name }) => ({ value: id, title: name })),
]);
const holderStances = [
  { value: null, title: words.asUsualOrNoHolder },
  ...stances.map((stance) => ({ value: stance, title: stance })),
];
/** Somebody stands on the other side of the pads. */
const withPads = computed(() => padKinds.includes(draft.roundKind));
/** Pads held on the rung of a bag would be evidence of something that never was. */
const hits = (kind: RoundKind): void => void (draft.rung = rungWith(kind, draft.rung));
const rungItems = rungs.map(({ rung, name }) => ({ value: rung, title: `${rung}. ${name}` }));

const save = (): Promise<void> =>
  send(async (body) => {
    await request(sessionEndpoints.saveSession, { params: { sessionId: body.id }, body });
    open.value = false;
    notice.say(words.theSessionIsSaved);
    emit('saved', body.id);
  });
</script>

<template>
  <FormDialog
    v-model="open"
    :title="session ? words.changeTheSession : words.addASession"
    :failure="failure"
    :busy="busy"
    @save="save"
  >
    <VTextField v-model="draft.heldOn" :label="words.date" type="date" :max="localDay()" :error-messages="problems.heldOn" />
    <VSelect
      v-model="draft.roundKind"
      :label="words.whatWasHit"
      :items="[...roundKinds]"
      :error-messages="problems.roundKind"
      @update:model-value="hits"
    />
    <VSelect v-model="draft.rung" :label="words.rungOfTheLadder" :items="rungItems" :error-messages="problems.rung" />
    <VTextField v-model="draft.place" :label="words.place" :error-messages="problems.place" />
    <VTextField v-model="draft.kit" :label="words.kit" :placeholder="words.ozGlovesWraps" :error-messages="problems.kit" />
    <div v-if="withPads" class="two">
      <VSelect v-model="draft.holderId" :label="words.whoHolds" :items="holders" :error-messages="problems.holderId" />
      <VSelect v-model="draft.holderStance" :label="words.holdersStance" :items="holderStances" />
    </div>
    <VTextarea
      v-model="draft.schoolNote"
      :label="words.schoolNote"
      :hint="words.whatTheClubWantsTo"
      rows="2"
      auto-grow
      :error-messages="problems.schoolNote"
    />
  </FormDialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-3);
}
</style>
