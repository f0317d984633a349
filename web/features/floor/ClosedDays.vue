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
import { floorWords as words } from './words.ts';

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
    notice.say(words.openAgain(closure.name), () => put(closure).then(() => emit('changed')));
  } catch (error) {
    trouble.value = messageOf(error);
  }
}
const days = ({ from, to }: Closure): string => (from === to ? shortDay(from) : words.toFrom(shortDay(from), shortDay(to)));
</script>

<template>
  <VMenu :close-on-content-click="false">
    <template #activator="{ props }">
      <VBtn v-bind="props" variant="text" :prepend-icon="mdiDoorClosedLock">{{ words.closedDays }}</VBtn>
    </template>
    <VList :aria-label="words.closedDays">
      <p v-if="coming.length === 0" class="none quiet">{{ words.noneToCome }}</p>
      <VListItem v-for="one in coming" :key="one.id" :title="one.name" :subtitle="days(one)">
        <template #append>
          <VBtn
            :icon="mdiTrashCanOutline"
            variant="text"
            size="small"
            :aria-label="words.openAfterAll(one.name)"
            @click="remove(one)"
          />
        </template>
      </VListItem>
      <p v-if="trouble" class="none" role="alert">{{ trouble }}</p>
      <VListItem :title="words.closeSomeDays" :prepend-icon="mdiPlus" @click="open = true" />
    </VList>
  </VMenu>
  <FormDialog v-model="open" :title="words.nobodyTrains" :failure="failure" :busy="busy" @save="save">
    <VTextField v-model="draft.name" :label="words.why" :placeholder="words.winterHolidays" :error-messages="problems.name" />
    <VTextField v-model="draft.from" :label="words.from" type="date" :error-messages="problems.from" />
    <VTextField v-model="draft.to" :label="words.to" type="date" :error-messages="problems.to" />
  </FormDialog>
</template>

<style scoped>
.none {
  padding: var(--space-1-5) var(--space-4);
}
</style>
