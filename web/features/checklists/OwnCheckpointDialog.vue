<script setup lang="ts">
import { checkpointShape } from '@wax-fist/contract/checklists';
import {
  familyNames,
  ownPrefix,
  severities,
  severityNames,
  strikeFamilies,
  viewNames,
  views,
  walkStops,
  type Checkpoint,
  type View,
} from '@wax-fist/core/technique';
import { reactive, ref, watch } from 'vue';
import { ValidationError } from 'yup';
import FormDialog from '../../app/FormDialog.vue';
import { useCatalogue } from './catalogue-store.ts';
import { idFromName } from './own-id.ts';
import { checklistsWords as words } from './words.ts';

/** A checkpoint of the club's own: judged by eye. */
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ added: [checkpoint: Checkpoint] }>();
const catalogue = useCatalogue();
const empty = () => ({
  name: '',
  question: '',
  clean: '',
  faults: '',
  why: '',
  cue: '',
  family: 'strike' as Checkpoint['family'],
  stop: words.strikingHand as Checkpoint['stop'],
  severity: 'base' as Checkpoint['severity'],
  views: [...views] as View[],
});
const draft = reactive(empty());
const problems = ref<Record<string, string>>({});
const failure = ref<string>();
watch(open, (now) => now && Object.assign(draft, empty()));

function save(): void {
  problems.value = {};
  failure.value = undefined;
  const { cue, faults, ...rest } = draft;
  const id = ownPrefix + idFromName(draft.name);
  if (catalogue.newest.checkpoints.has(id)) return void (problems.value = { name: words.thereIsACheckpointOf });
  const list = faults
    .split(',')
    .map((fault) => fault.trim())
    .filter(Boolean);
  const whole = { ...rest, id, faults: list, cues: cue ? [cue] : [], phase: 'contact', measure: 'eye', leastRate: 0, causes: [] };
  try {
    emit('added', checkpointShape.validateSync(whole, { abortEarly: false }));
    open.value = false;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    problems.value = Object.fromEntries(
      error.inner.map(({ path = '', message }) => [path === 'cues' ? 'cue' : path.replace(/\[.*/, ''), message]),
    );
  }
}
</script>

<template>
  <FormDialog
    v-model="open"
    :title="words.aCheckpointOfOurOwn"
    :failure="failure"
    :busy="false"
    :save-name="words.addIt"
    @save="save"
  >
    <VTextField v-model="draft.name" :label="words.nameInTwoOrThree" :error-messages="problems['name']" />
    <VTextField
      v-model="draft.question"
      :label="words.question"
      :placeholder="words.does"
      :error-messages="problems['question']"
    />
    <VTextField v-model="draft.clean" :label="words.whatCleanLooksLike" :error-messages="problems['clean']" />
    <VTextField v-model="draft.faults" :label="words.faultsWithCommasBetween" :error-messages="problems['faults']" />
    <VTextField v-model="draft.why" :label="words.whyItMatters" :error-messages="problems['why']" />
    <VTextField v-model="draft.cue" :label="words.cue" :error-messages="problems['cue']" />
    <div class="two">
      <VSelect
        v-model="draft.family"
        :items="strikeFamilies.map((one) => ({ value: one, title: familyNames[one] }))"
        :label="words.family"
      />
      <VSelect v-model="draft.stop" :items="[...walkStops]" :label="words.whereTheEyeGoes" />
      <VSelect
        v-model="draft.severity"
        :items="severities.map((one) => ({ value: one, title: severityNames[one] }))"
        :label="words.whatAFaultCosts"
      />
      <VSelect
        v-model="draft.views"
        :items="views.map((one) => ({ value: one, title: viewNames[one] }))"
        :label="words.seenFrom"
        multiple
        :error-messages="problems['views']"
      />
    </div>
  </FormDialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 var(--space-3);
}
</style>
