<script setup lang="ts">
import { correctionDraftShape, correctionEndpoints } from '@wax-fist/contract/corrections';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { rungs, usualTarget, usualTopRung } from '@wax-fist/core/correction';
import { techniqueName, type Catalogue, type TechniqueId } from '@wax-fist/core/technique';
import { v7 as uuid } from 'uuid';
import { computed, watch } from 'vue';
import { request } from '../../app/request.ts';
import FormDialog from '../../app/FormDialog.vue';
import { useForm } from '../../app/use-form.ts';
import { localDay } from '@wax-fist/core/words';
import { correctionsWords as words } from './words.ts';

/** The row that a correction is opened from; nothing keeps the dialog shut. */
const about = defineModel<{ technique: TechniqueId; checkpointId: string } | undefined>({ required: true });
const { session, checklists } = defineProps<{ session: SessionDetail; checklists: Catalogue }>();
const emit = defineEmits<{ opened: [] }>();

const { draft, problems, failure, busy, send } = useForm(correctionDraftShape, {
  id: '',
  sessionId: session.id,
  technique: '',
  checkpointId: '',
  cue: '',
  target: usualTarget,
  topRung: usualTopRung as number,
  recheckOn: null as string | null,
});
const open = computed({ get: () => about.value !== undefined, set: (now) => !now && (about.value = undefined) });
const row = computed(() => (about.value ? checklists.checkpoints.get(about.value.checkpointId) : undefined));
const title = computed(() =>
  about.value && row.value ? `${techniqueName(checklists, about.value.technique)}: ${row.value.name.toLowerCase()}` : '',
);
const targetPercent = computed({ get: () => Math.round(draft.target * 100), set: (value) => (draft.target = value / 100) });
watch(about, (now) => {
  if (now)
    Object.assign(draft, {
      id: uuid(),
      ...now,
      cue: row.value?.cues[0] ?? '',
      target: usualTarget,
      topRung: usualTopRung,
      recheckOn: localDay(7),
    });
});

const save = (): Promise<void> =>
  send(async (body) => {
    await request(correctionEndpoints.openCorrection, {
      params: { correctionId: body.id },
      body: { ...body, recheckOn: body.recheckOn || null },
    });
    about.value = undefined;
    emit('opened');
  });
</script>

<template>
  <FormDialog v-model="open" :title="title" :failure="failure" :busy="busy" :save-name="words.openTheCorrection" @save="save">
    <p class="why">{{ row?.why }}</p>
    <VCombobox
      v-model="draft.cue"
      :label="words.cueWhatYouWillShout"
      :items="[...(row?.cues ?? [])]"
      counter="80"
      :error-messages="problems.cue"
    />
    <VSlider
      v-model="targetPercent"
      :label="words.goodEnoughAt"
      name="Good enough at"
      :min="0"
      :max="50"
      :step="5"
      thumb-label="always"
      color="primary"
      class="mt-6"
      :error-messages="problems.target"
    >
      <template #thumb-label="{ modelValue }">{{ modelValue }}%</template>
    </VSlider>
    <VSelect
      v-model="draft.topRung"
      :label="words.keptOnceItHoldsAt"
      :items="rungs.map(({ rung, name }) => ({ value: rung, title: `${rung}: ${name}` }))"
      :error-messages="problems.topRung"
    />
    <VTextField
      v-model="draft.recheckOn"
      :label="words.lookAgainOn"
      type="date"
      :min="localDay()"
      :error-messages="problems.recheckOn"
    />
  </FormDialog>
</template>

<style scoped>
.why {
  margin: 0 0 var(--space-4);
}
</style>
