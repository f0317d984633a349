<script setup lang="ts">
import { grades, traineeDraftShape, traineeEndpoints, type Trainee } from '@wax-fist/contract/trainees';
import { stances } from '@wax-fist/core/technique';
import { v7 as uuid } from 'uuid';
import { watch } from 'vue';
import { request } from '../../app/request.ts';
import { useNotice } from '../../app/notice-store.ts';
import FormDialog from '../../app/FormDialog.vue';
import { useForm } from '../../app/use-form.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';

const catalogue = useCatalogue();
const notice = useNotice();
const open = defineModel<boolean>({ required: true });
/** Who is changed; without, somebody is added. */
const { trainee = undefined } = defineProps<{ trainee?: Trainee }>();
const emit = defineEmits<{ saved: [traineeId: string] }>();

const empty = () => ({
  id: uuid(),
  name: '',
  stance: 'orthodox' as Trainee['stance'],
  grade: 'beginner' as Trainee['grade'],
  note: '',
  schoolId: null as string | null,
});
const { draft, problems, failure, busy, send } = useForm(traineeDraftShape, empty());
watch(open, (now) => now && Object.assign(draft, trainee ?? empty()));

const save = (): Promise<void> =>
  send(async (body) => {
    await request(traineeEndpoints.saveTrainee, { params: { traineeId: body.id }, body });
    open.value = false;
    notice.say(`${body.name} is saved.`);
    emit('saved', body.id);
  });
</script>

<template>
  <FormDialog v-model="open" :title="trainee ? 'Change' : 'Add a trainee'" :failure="failure" :busy="busy" @save="save">
    <VTextField v-model="draft.name" label="Name" autofocus :error-messages="problems.name" />
    <VRadioGroup v-model="draft.stance" label="Stance" inline :error-messages="problems.stance">
      <VRadio
        v-for="one in stances"
        :key="one"
        :value="one"
        :label="one === 'orthodox' ? 'Orthodox (left leads)' : 'Southpaw (right leads)'"
      />
    </VRadioGroup>
    <VSelect v-model="draft.grade" label="Grade" :items="[...grades]" :error-messages="problems.grade" />
    <VSelect
      v-model="draft.schoolId"
      label="School"
      :items="[{ value: null, title: 'As the club' }, ...catalogue.schoolItems]"
      :error-messages="problems.schoolId"
    />
    <VTextarea v-model="draft.note" label="Note" rows="2" auto-grow :error-messages="problems.note" />
  </FormDialog>
</template>
