<script setup lang="ts">
import { correctionEventDraftShape, type Correction } from '@wax-fist/contract/corrections';
import { correctionStateNames, ladderSteps, rungs } from '@wax-fist/core/correction';
import { v7 as uuid } from 'uuid';
import { watch } from 'vue';
import FormDialog from '../../app/FormDialog.vue';
import { useForm } from '../../app/use-form.ts';
import { sayOfCorrection } from './use-correction-events.ts';
import { correctionsWords as words } from './words.ts';

/** Putting a correction on a rung by hand: the coach decides, and the reason is kept. */
const open = defineModel<boolean>({ required: true });
const { correction } = defineProps<{ correction: Correction }>();
const emit = defineEmits<{ placed: [] }>();
const { draft, problems, failure, busy, send } = useForm(correctionEventDraftShape, {
  id: '',
  kind: 'holding' as (typeof ladderSteps)[number],
  rung: correction.rung,
  sessionId: null,
  note: '',
});
watch(open, (now) => now && Object.assign(draft, { id: uuid(), kind: 'holding', rung: correction.rung, note: '' }));
const save = (): Promise<void> =>
  send(async ({ note }) => {
    await sayOfCorrection(correction, { kind: draft.kind, rung: draft.rung, note });
    open.value = false;
    emit('placed');
  });
</script>

<template>
  <FormDialog
    v-model="open"
    :title="words.byHand(correction.cue)"
    :failure="failure"
    :busy="busy"
    :save-name="words.putItThere"
    @save="save"
  >
    <VSelect
      v-model="draft.kind"
      :label="words.itIs"
      :items="ladderSteps.map((value) => ({ value, title: correctionStateNames[value] }))"
    />
    <VSelect
      v-model="draft.rung"
      :label="words.at"
      :items="rungs.map(({ rung, name }) => ({ value: rung, title: `${rung}: ${name}` }))"
    />
    <VTextarea v-model="draft.note" :label="words.whyAgainstTheNumbers" rows="2" :error-messages="problems.note" />
  </FormDialog>
</template>
