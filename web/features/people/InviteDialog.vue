<script setup lang="ts">
import { isStaff, roles } from '@wax-fist/contract/endpoint';
import { everyRow } from '@wax-fist/contract/page';
import { inviteShape, peopleEndpoints, type Invite } from '@wax-fist/contract/people';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { v7 as uuid } from 'uuid';
import { computed, watch } from 'vue';
import FormDialog from '../../app/FormDialog.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useForm } from '../../app/use-form.ts';
import { roleNames, roleSays } from './role-names.ts';
import { peopleWords as words } from './words.ts';

/** Somebody is invited: a link is made that they come in by, once. */
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ made: [name: string, code: { code: string; endsAt: string }] }>();
const empty = (): Invite => ({ id: uuid(), name: '', role: 'coach', traineeIds: [] });
const { draft, problems, failure, busy, send } = useForm(inviteShape, empty());
const { value: trainees } = useAnswer(() => everyRow((query) => request(traineeEndpoints.listTrainees, { query })));
watch(open, (now) => now && Object.assign(draft, empty()));
const forTrainees = computed(() => !isStaff(draft.role));
watch(forTrainees, () => (draft.traineeIds = []));
/** A trainee is one, and is called as they are. */
const one = computed({
  get: () => draft.traineeIds[0] ?? null,
  set: (id: string | null) => {
    draft.traineeIds = id ? [id] : [];
    if (id && !draft.name) draft.name = trainees.value?.find((each) => each.id === id)?.name ?? '';
  },
});
const make = (): Promise<void> =>
  send(async (body) => {
    const code = await request(peopleEndpoints.invite, { body });
    open.value = false;
    emit('made', body.name, code);
  });
const roleItems = roles.map((value) => ({ value, title: roleNames[value], props: { subtitle: roleSays[value] } }));
</script>

<template>
  <FormDialog
    v-model="open"
    :title="words.inviteSomebody"
    :save-name="words.makeTheLink"
    :failure="failure"
    :busy="busy"
    @save="make"
  >
    <VSelect v-model="draft.role" :label="words.as" :items="roleItems" :error-messages="problems.role" />
    <VAutocomplete
      v-if="draft.role === 'trainee'"
      v-model="one"
      :items="trainees ?? []"
      item-value="id"
      item-title="name"
      :label="words.whichTrainee"
      :error-messages="problems.traineeIds"
    />
    <VAutocomplete
      v-else-if="forTrainees"
      v-model="draft.traineeIds"
      :items="trainees ?? []"
      item-value="id"
      item-title="name"
      :label="words.whoseGuardian"
      multiple
      chips
      closable-chips
      :error-messages="problems.traineeIds"
    />
    <VTextField v-model="draft.name" :label="words.name" :error-messages="problems.name" />
    <p class="quiet">{{ words.theLinkIsHandedOver }}</p>
  </FormDialog>
</template>
