<script setup lang="ts">
import { invitedRoles, inviteShape, peopleEndpoints, type Invite } from '@wax-fist/contract/people';
import { v7 as uuid } from 'uuid';
import { watch } from 'vue';
import FormDialog from '../../app/FormDialog.vue';
import { request } from '../../app/request.ts';
import { useForm } from '../../app/use-form.ts';
import { roleNames } from './role-names.ts';

/** Somebody is invited: a link is made that they come in by, once. */
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ made: [name: string, code: { code: string; endsAt: string }] }>();
const empty = (): Invite => ({ id: uuid(), name: '', role: 'coach' });
const { draft, problems, failure, busy, send } = useForm(inviteShape, empty());
watch(open, (now) => now && Object.assign(draft, empty()));
const make = (): Promise<void> =>
  send(async (body) => {
    const code = await request(peopleEndpoints.invite, { body });
    open.value = false;
    emit('made', body.name, code);
  });
</script>

<template>
  <FormDialog v-model="open" title="Invite somebody" save-name="Make the link" :failure="failure" :busy="busy" @save="make">
    <VTextField v-model="draft.name" label="Name" :error-messages="problems.name" />
    <VSelect
      v-model="draft.role"
      label="As"
      :items="invitedRoles.map((value) => ({ value, title: roleNames[value] }))"
      :error-messages="problems.role"
    />
    <p class="quiet">The link is handed over as you like; it ends after a week, or when it was used.</p>
  </FormDialog>
</template>
