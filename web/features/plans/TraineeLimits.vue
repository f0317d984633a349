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
import { plansWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

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
    ? words.stepOf(last.step, returnSteps.length, returnSteps[last.step - 1]!.name.toLowerCase())
    : words.noStepOfTheWay;
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
    <h2 id="limits">{{ words.hurtNow }}</h2>
    <ul v-if="lasting.length > 0">
      <li v-for="one in lasting" :key="one.id">
        <button type="button" @click="edit(one)">
          <VIcon :icon="mdiBandage" size="18" />
          <TextWith :text="words.hurtSince(shortDay(one.since))">
            <template #part>
              <b>{{ one.part }}</b>
            </template>
            <template #until>
              <template v-if="one.until">{{ words.untilUntil(shortDay(one.until)) }}</template>
            </template>
            <template #note>
              <span class="quiet">{{ one.note }}</span>
            </template>
          </TextWith>
        </button>
        <p v-if="one.part === 'head'" class="head">
          {{ words.noContactAndNoBag(stepOf(one)) }}
        </p>
      </li>
    </ul>
    <p v-else class="quiet">{{ words.nothingIsEntered }}</p>
    <VBtn variant="text" size="small" :prepend-icon="mdiPlus" @click="edit()">{{ words.somethingHurts }}</VBtn>
    <FormDialog v-model="open" :title="words.somethingHurts" :failure="failure" :busy="busy" @save="save">
      <VSelect v-model="draft.part" :label="words.where" :items="[...bodyParts]" :error-messages="problems.part" />
      <VTextField v-model="draft.since" :label="words.since" type="date" :error-messages="problems.since" />
      <VTextField
        v-model="draft.until"
        :label="words.lastDayOpenItLasts"
        type="date"
        clearable
        :error-messages="problems.until"
      />
      <VTextField
        v-if="draft.part === 'head'"
        v-model="draft.clearedBy"
        :label="words.clearedByWhichDoctor"
        :error-messages="problems.clearedBy"
      />
      <ReturnSteps v-if="draft.part === 'head'" v-model="draft.steps" :cleared="draft.clearedBy.trim() !== ''" />
      <p v-if="problems.steps" role="alert">{{ problems.steps }}</p>
      <VTextarea v-model="draft.note" :label="words.note" rows="2" auto-grow :error-messages="problems.note" />
      <p class="quiet">
        {{ words.thisIsACoachsNotebook }}
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
