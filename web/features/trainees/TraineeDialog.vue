<script setup lang="ts">
import { traineeDraftShape, traineeEndpoints, type Trainee } from '@wax-fist/contract/trainees';
import { grades } from '@wax-fist/core/trainee';
import { stances } from '@wax-fist/core/technique';
import { manner } from '@wax-fist/core/words';
import { v7 as uuid } from 'uuid';
import { watch } from 'vue';
import { request } from '../../app/request.ts';
import { useNotice } from '../../app/notice-store.ts';
import FormDialog from '../../app/FormDialog.vue';
import LengthField from '../../app/LengthField.vue';
import { useForm } from '../../app/use-form.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { traineesWords as words } from './words.ts';

const catalogue = useCatalogue();
const notice = useNotice();
const open = defineModel<boolean>({ required: true });
/** Who is changed; without, somebody is added. */
const { trainee = undefined } = defineProps<{ trainee?: Trainee }>();
const emit = defineEmits<{ saved: [traineeId: string] }>();

const ageItems = [
  { value: null, title: words.notTold },
  { value: 'child', title: words.childUnderTwelve },
  { value: 'youth', title: 'Youth, 12 to 17' },
  { value: 'adult', title: words.adult },
];
const empty = () => ({
  id: uuid(),
  name: '',
  stance: 'orthodox' as Trainee['stance'],
  grade: 'beginner' as Trainee['grade'],
  note: '',
  stature: null as number | null,
  reach: null as number | null,
  ageGroup: null as Trainee['ageGroup'],
  schoolId: null as string | null,
});
const { draft, problems, failure, busy, send } = useForm(traineeDraftShape, empty());
watch(open, (now) => now && Object.assign(draft, trainee ?? empty()));

const save = (): Promise<void> =>
  send(async (body) => {
    await request(traineeEndpoints.saveTrainee, { params: { traineeId: body.id }, body });
    open.value = false;
    notice.say(words.isSaved(body.name));
    emit('saved', body.id);
  });
</script>

<template>
  <FormDialog v-model="open" :title="trainee ? words.change : words.addATrainee" :failure="failure" :busy="busy" @save="save">
    <VTextField v-model="draft.name" :label="words.name" :error-messages="problems.name" />
    <VRadioGroup v-model="draft.stance" :label="words.stance" inline :error-messages="problems.stance">
      <VRadio
        v-for="one in stances"
        :key="one"
        :value="one"
        :label="one === 'orthodox' ? words.orthodoxLeftLeads : words.southpawRightLeads"
      />
    </VRadioGroup>
    <VSelect v-model="draft.grade" :label="words.grade" :items="[...grades]" :error-messages="problems.grade" />
    <div class="body">
      <LengthField
        v-model="draft.stature"
        :label="words.stature"
        :problem="problems.stature"
        :hint="words.thenLengthsAreToldIn(manner().units === 'metric' ? words.centimetres : words.inches)"
      />
      <LengthField
        v-model="draft.reach"
        :label="words.reach"
        :problem="problems.reach"
        :hint="words.shoulderToKnucklesArmStraight"
      />
      <VSelect v-model="draft.ageGroup" :label="words.age" :items="ageItems" :error-messages="problems.ageGroup" />
    </div>
    <VSelect
      v-model="draft.schoolId"
      :label="words.school"
      :items="[{ value: null, title: words.asTheClub }, ...catalogue.schoolItems]"
      :error-messages="problems.schoolId"
    />
    <VTextarea v-model="draft.note" :label="words.note" rows="2" auto-grow :error-messages="problems.note" />
  </FormDialog>
</template>

<style scoped>
.body {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: var(--space-3);
  align-items: start;
  margin-bottom: var(--space-3);
}
@media (max-width: 599px) {
  .body {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
