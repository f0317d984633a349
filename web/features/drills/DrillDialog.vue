<script setup lang="ts">
import { drillEndpoints, ownDrillShape, type OwnDrill } from '@wax-fist/contract/drills';
import { companies, companyNames, impactNames, impacts } from '@wax-fist/core/drills';
import { asWords } from '@wax-fist/core/calls';
import { rungs } from '@wax-fist/core/correction';
import { roundKinds } from '@wax-fist/core/rounds';
import { ageGroupNames, ageGroups, bodyParts, gradeNames, grades } from '@wax-fist/core/trainee';
import { v7 as uuid } from 'uuid';
import { computed, watch } from 'vue';
import FormDialog from '../../app/FormDialog.vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useForm } from '../../app/use-form.ts';
import CombinationField from '../calls/CombinationField.vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { useDrills } from './drill-store.ts';
import { drillsWords as words } from './words.ts';

/** A drill of the club’s own: new, changed, or begun from one that ships. */
const open = defineModel<boolean>({ required: true });
const { from = undefined } = defineProps<{ from?: OwnDrill | undefined }>();
const emit = defineEmits<{ saved: [id: string] }>();
const drills = useDrills();
const catalogue = useCatalogue();
const notice = useNotice();

const empty = (): OwnDrill => ({
  ...{ id: uuid(), name: '', how: '', trains: [], techniques: [], rung: 3, on: ['heavy bag'], needs: [], company: 'alone' },
  ...{ recipe: null, dose: { each: null, rounds: 2, work: 120, rest: 60 }, cue: '', film: null, easier: null, harder: null },
  ...{ caution: '', loads: [], impact: 'full', contact: false, ages: [...ageGroups], grade: 'beginner' },
});
const { draft, problems, failure, busy, send } = useForm(ownDrillShape, empty());
watch(open, (now) => {
  if (!now) return;
  const begun = from ? structuredClone({ ...from, dose: { ...from.dose } }) : empty();
  Object.assign(draft, from && !drills.isOwn(from.id) ? { ...begun, id: uuid(), name: words.ourWay(begun.name) } : begun);
});
const byName = (all: Iterable<{ id: string; name: string }>) => [...all].map(({ id, name }) => ({ value: id, title: name }));
const checkpointItems = computed(() => byName(catalogue.newest.checkpoints.values()));
const techniqueItems = computed(() => byName(catalogue.newest.techniques.values()));
const drillItems = computed(() => [
  { value: null, title: words.none },
  ...byName(drills.drills.filter(({ id }) => id !== draft.id)),
]);
const named = <Key extends string>(names: Record<Key, string>, keys: readonly Key[]) =>
  keys.map((value) => ({ value, title: names[value] }));
const recipe = computed({
  get: () => draft.recipe ?? '',
  set: (typed: string) => (draft.recipe = typed.trim() || null),
});

/** By the club’s own book it is typed; in words it is kept, so that it means the same by every book. */
const book = computed(() => catalogue.bookOf(null));

const save = (): Promise<void> =>
  send(async (checked) => {
    const reading = { book: book.value, catalogue: catalogue.newest };
    const body = { ...checked, recipe: checked.recipe && asWords(checked.recipe, reading) };
    await request(drillEndpoints.saveDrill, { params: { drillId: body.id }, body });
    await drills.again();
    open.value = false;
    notice.say(words.isSaved(body.name));
    emit('saved', body.id);
  });
</script>

<template>
  <FormDialog v-model="open" :title="words.aDrillOfOurOwn" :failure="failure" :busy="busy" @save="save">
    <VTextField v-model="draft.name" :label="words.name" :error-messages="problems.name" />
    <VTextarea v-model="draft.how" :label="words.howItIsDone" rows="2" auto-grow :error-messages="problems.how" />
    <VTextField v-model="draft.cue" :label="words.cue" maxlength="80" :error-messages="problems.cue" />
    <VAutocomplete
      v-model="draft.trains"
      :label="words.trains"
      :items="checkpointItems"
      multiple
      chips
      :error-messages="problems.trains"
    />
    <VAutocomplete
      v-model="draft.techniques"
      :label="words.throwsNothingWhateverIsThrown"
      :items="techniqueItems"
      multiple
      chips
      :error-messages="problems.techniques"
    />
    <div class="two">
      <VSelect
        v-model="draft.rung"
        :label="words.rung"
        :items="rungs.map(({ rung, name }) => ({ value: rung, title: `${rung}. ${name}` }))"
      />
      <VSelect v-model="draft.company" :label="words.whoIsThere" :items="named(companyNames, companies)" />
      <VSelect v-model="draft.on" :label="words.on" :items="[...roundKinds]" multiple :error-messages="problems.on" />
      <VSelect v-model="draft.impact" :label="words.impact" :items="named(impactNames, impacts)" />
      <VNumberInput v-model="draft.dose.rounds" :label="words.rounds" :min="1" :max="12" control-variant="stacked" />
      <VNumberInput
        v-model="draft.dose.work"
        :label="words.work"
        suffix="s"
        :min="10"
        :max="600"
        :step="10"
        control-variant="stacked"
      />
      <VNumberInput
        v-model="draft.dose.rest"
        :label="words.rest"
        suffix="s"
        :min="0"
        :max="300"
        :step="5"
        control-variant="stacked"
      />
      <VNumberInput
        v-model="draft.dose.each"
        :label="words.withEachLead"
        :suffix="words.times"
        control-variant="hidden"
        clearable
      />
      <VSelect v-model="draft.easier" :label="words.oneStepEasier" :items="drillItems" :error-messages="problems.easier" />
      <VSelect v-model="draft.harder" :label="words.oneStepHarder" :items="drillItems" :error-messages="problems.harder" />
      <VSelect
        v-model="draft.ages"
        :label="words.for"
        :items="named(ageGroupNames, ageGroups)"
        multiple
        :error-messages="problems.ages"
      />
      <VSelect v-model="draft.grade" :label="words.from" :items="named(gradeNames, grades)" />
    </div>
    <CombinationField
      v-model="recipe"
      :label="words.calledNothingNothingIs"
      :book="book"
      :catalogue="catalogue.newest"
      recipe
      class="mb-4"
    />
    <VSelect v-model="draft.loads" :label="words.loadsWhoeverIsHurtThere" :items="[...bodyParts]" multiple />
    <VTextField v-model="draft.caution" :label="words.caution" :error-messages="problems.caution" />
    <VCheckbox v-model="draft.contact" :label="words.somebodyStrikesPushesOrCatches" density="compact" hide-details />
  </FormDialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 var(--space-3);
}
</style>
