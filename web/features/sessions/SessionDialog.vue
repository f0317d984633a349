<script setup lang="ts">
import { everyRow } from '@wax-fist/contract/page';
import { sessionDraftShape, sessionEndpoints, type Session } from '@wax-fist/contract/sessions';
import { padKinds, roundKinds } from '@wax-fist/core/rounds';
import { stances } from '@wax-fist/core/technique';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { rungs } from '@wax-fist/core/correction';
import { v7 as uuid } from 'uuid';
import { computed, watch } from 'vue';
import { request } from '../../app/request.ts';
import { useNotice } from '../../app/notice-store.ts';
import FormDialog from '../../app/FormDialog.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { useForm } from '../../app/use-form.ts';
import { localDay } from '@wax-fist/core/words';

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
  { value: null, title: 'Nobody of the club' },
  ...(people.value ?? []).filter(({ id }) => id !== traineeId).map(({ id, name }) => ({ value: id, title: name })),
]);
const holderStances = [
  { value: null, title: 'As usual, or no holder' },
  ...stances.map((stance) => ({ value: stance, title: stance })),
];
/** Somebody stands on the other side of the pads. */
const withPads = computed(() => padKinds.includes(draft.roundKind));
const rungItems = rungs.map(({ rung, name }) => ({ value: rung, title: `${rung}. ${name}` }));

const save = (): Promise<void> =>
  send(async (body) => {
    await request(sessionEndpoints.saveSession, { params: { sessionId: body.id }, body });
    open.value = false;
    notice.say('The session is saved.');
    emit('saved', body.id);
  });
</script>

<template>
  <FormDialog
    v-model="open"
    :title="session ? 'Change the session' : 'Add a session'"
    :failure="failure"
    :busy="busy"
    @save="save"
  >
    <VTextField v-model="draft.heldOn" label="Date" type="date" :max="localDay()" :error-messages="problems.heldOn" />
    <VSelect v-model="draft.roundKind" label="What was hit" :items="[...roundKinds]" :error-messages="problems.roundKind" />
    <VSelect v-model="draft.rung" label="Rung of the ladder" :items="rungItems" :error-messages="problems.rung" />
    <VTextField v-model="draft.place" label="Place" :error-messages="problems.place" />
    <VTextField v-model="draft.kit" label="Kit" placeholder="14 oz gloves, wraps" :error-messages="problems.kit" />
    <div v-if="withPads" class="two">
      <VSelect v-model="draft.holderId" label="Who holds" :items="holders" :error-messages="problems.holderId" />
      <VSelect v-model="draft.holderStance" label="Holder’s stance" :items="holderStances" />
    </div>
    <VTextarea
      v-model="draft.schoolNote"
      label="School note"
      hint="What the club wants to see here, where schools differ."
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
