<script setup lang="ts">
import { mdiDoorClosedLock, mdiPlus, mdiTrashCanOutline } from '@mdi/js';
import { closureShape, syllabusEndpoints, type Closure } from '@wax-fist/contract/syllabus';
import { messageOf } from '@wax-fist/core/message-of';
import { localDay, shortDay } from '@wax-fist/core/words';
import { v7 as uuid } from 'uuid';
import { computed, ref, watch } from 'vue';
import FormDialog from '../../app/FormDialog.vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useForm } from '../../app/use-form.ts';

/** Days on which nobody trains: no session is planned on them, and no test is reckoned with them. */
const { closures } = defineProps<{ closures: readonly Closure[] }>();
const emit = defineEmits<{ changed: [] }>();
const notice = useNotice();
const open = ref(false);
const trouble = ref<string>();
const empty = (): Closure => ({ id: uuid(), name: '', from: localDay(), to: localDay() });
const { draft, problems, failure, busy, send } = useForm(closureShape, empty());
watch(open, (now) => now && Object.assign(draft, empty()));
const coming = computed(() => closures.filter(({ to }) => to >= localDay()));

const put = (body: Closure) => request(syllabusEndpoints.saveClosure, { params: { closureId: body.id }, body });
const save = (): Promise<void> =>
  send(async (body) => {
    await put(body);
    open.value = false;
    emit('changed');
  });
async function remove(closure: Closure): Promise<void> {
  trouble.value = undefined;
  try {
    await request(syllabusEndpoints.removeClosure, { params: { closureId: closure.id } });
    emit('changed');
    notice.say(`${closure.name}: open again.`, () => put(closure).then(() => emit('changed')));
  } catch (error) {
    trouble.value = messageOf(error);
  }
}
const days = ({ from, to }: Closure): string => (from === to ? shortDay(from) : `${shortDay(from)} to ${shortDay(to)}`);
</script>

<template>
  <VMenu :close-on-content-click="false">
    <template #activator="{ props }">
      <VBtn v-bind="props" variant="text" :prepend-icon="mdiDoorClosedLock">Closed days</VBtn>
    </template>
    <VList aria-label="Closed days">
      <p v-if="coming.length === 0" class="none quiet">None to come.</p>
      <VListItem v-for="one in coming" :key="one.id" :title="one.name" :subtitle="days(one)">
        <template #append>
          <VBtn
            :icon="mdiTrashCanOutline"
            variant="text"
            size="small"
            :aria-label="`${one.name}: open after all`"
            @click="remove(one)"
          />
        </template>
      </VListItem>
      <p v-if="trouble" class="none" role="alert">{{ trouble }}</p>
      <VListItem title="Close some days" :prepend-icon="mdiPlus" @click="open = true" />
    </VList>
  </VMenu>
  <FormDialog v-model="open" title="Nobody trains" :failure="failure" :busy="busy" @save="save">
    <VTextField v-model="draft.name" label="Why" placeholder="Winter holidays" :error-messages="problems.name" />
    <VTextField v-model="draft.from" label="From" type="date" :error-messages="problems.from" />
    <VTextField v-model="draft.to" label="To" type="date" :error-messages="problems.to" />
  </FormDialog>
</template>

<style scoped>
.none {
  padding: var(--space-1-5) var(--space-4);
}
</style>
