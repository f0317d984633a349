<script setup lang="ts">
import { limitEndpoints, limitShape, type Limit } from '@wax-fist/contract/limits';
import { bodyParts, returnSteps } from '@wax-fist/core/trainee';
import { localDay, shortDay } from '@wax-fist/core/words';
import { mdiBandage, mdiPlus } from '@mdi/js';
import { v7 as uuid } from 'uuid';
import { computed, ref, watch } from 'vue';
import FormDialog from '../../app/FormDialog.vue';
import { request } from '../../app/request.ts';
import { useForm } from '../../app/use-form.ts';
import ReturnSteps from './ReturnSteps.vue';

/** Where somebody is hurt: what loads it is planned for nobody. */
const { traineeId, limits } = defineProps<{ traineeId: string; limits: readonly Limit[] }>();
const emit = defineEmits<{ changed: [] }>();
const open = ref(false);
const changed = ref<Limit>();
const empty = (): Limit => ({
  ...{ id: uuid(), traineeId, part: 'wrist', since: localDay(), until: null, note: '', clearedBy: '', steps: [] },
});
const { draft, problems, failure, busy, send } = useForm(limitShape, empty());
watch(open, (now) => now && Object.assign(draft, changed.value ?? empty()));
// The way back is one from a blow to the head only.
watch(
  () => draft.part,
  (part) => part !== 'head' && (draft.steps = []),
);
const today = localDay();
const lasting = computed(() => limits.filter(({ until }) => !until || until >= today));

function edit(limit?: Limit): void {
  changed.value = limit;
  open.value = true;
}
const stepOf = ({ steps }: Limit): string => {
  const last = steps.at(-1);
  return last
    ? `Step ${last.step} of ${returnSteps.length}, ${returnSteps[last.step - 1]!.name.toLowerCase()}.`
    : 'No step of the way back is entered.';
};
const save = (): Promise<void> =>
  send(async (body) => {
    await request(limitEndpoints.saveLimit, { params: { limitId: body.id }, body });
    open.value = false;
    emit('changed');
  });
</script>

<template>
  <section class="limits no-print" aria-labelledby="limits">
    <h2 id="limits">Hurt now</h2>
    <ul v-if="lasting.length > 0">
      <li v-for="one in lasting" :key="one.id">
        <button type="button" @click="edit(one)">
          <VIcon :icon="mdiBandage" size="18" /> <b>{{ one.part }}</b> since {{ shortDay(one.since) }}
          <template v-if="one.until">until {{ shortDay(one.until) }}</template>
          <span class="quiet">{{ one.note }}</span>
        </button>
        <p v-if="one.part === 'head'" class="head">
          {{ stepOf(one) }} No contact and no bag until a doctor has cleared it; then step by step as the federation has it.
        </p>
      </li>
    </ul>
    <p v-else class="quiet">Nothing is entered.</p>
    <VBtn variant="text" size="small" :prepend-icon="mdiPlus" @click="edit()">Something hurts</VBtn>
    <FormDialog v-model="open" title="Something hurts" :failure="failure" :busy="busy" @save="save">
      <VSelect v-model="draft.part" label="Where" :items="[...bodyParts]" :error-messages="problems.part" />
      <VTextField v-model="draft.since" label="Since" type="date" :error-messages="problems.since" />
      <VTextField
        v-model="draft.until"
        label="Last day (open: it lasts)"
        type="date"
        clearable
        :error-messages="problems.until"
      />
      <VTextField
        v-if="draft.part === 'head'"
        v-model="draft.clearedBy"
        label="Cleared by which doctor"
        :error-messages="problems.clearedBy"
      />
      <ReturnSteps v-if="draft.part === 'head'" v-model="draft.steps" :cleared="draft.clearedBy.trim() !== ''" />
      <p v-if="problems.steps" role="alert">{{ problems.steps }}</p>
      <VTextarea v-model="draft.note" label="Note" rows="2" auto-grow :error-messages="problems.note" />
      <p class="quiet">
        This is a coach’s notebook and no medical advice. Local rules, the federation’s, and licensed practice come first.
      </p>
    </FormDialog>
  </section>
</template>

<style scoped>
button {
  text-align: left;
}
.head {
  padding: var(--space-1-5) var(--space-2);
  background: var(--fault-ground);
  font-size: var(--type-text);
}
</style>
