<script setup lang="ts">
import { mdiArrowUp, mdiClose, mdiPlus } from '@mdi/js';
import { courseShape, syllabusEndpoints, type SavedCourse } from '@wax-fist/contract/syllabus';
import { asWords } from '@wax-fist/core/calls';
import { gradeNames, grades } from '@wax-fist/core/trainee';
import { messageOf } from '@wax-fist/core/message-of';
import { v7 as uuid } from 'uuid';
import { computed, reactive, ref } from 'vue';
import { ValidationError } from 'yup';
import { request } from '../../app/request.ts';
import CombinationField from '../calls/CombinationField.vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import MustHavesField from './MustHavesField.vue';
import { syllabusWords as words } from './words.ts';

/** A course as it is written: what its test asks, and its weeks. */
const { from } = defineProps<{ from: SavedCourse }>();
const emit = defineEmits<{ saved: [course: SavedCourse]; left: [] }>();
const catalogue = useCatalogue();
const draft = reactive(structuredClone(from));
const failure = ref<string>();
const busy = ref(false);
const book = computed(() => catalogue.bookOf(null));
const passMark = computed({
  get: () => Math.round(draft.passMark * 100),
  set: (whole: number) => (draft.passMark = whole / 100),
});
const up = (place: number): void => void draft.weeks.splice(place - 1, 0, ...draft.weeks.splice(place, 1));

async function save(): Promise<void> {
  busy.value = true;
  failure.value = undefined;
  try {
    const reading = { book: book.value, catalogue: catalogue.newest };
    const sets = draft.sets.map((set) => ({ ...set, recipe: asWords(set.recipe, reading) }));
    const body = await courseShape.validate({ ...draft, sets }, { stripUnknown: true });
    emit('saved', await request(syllabusEndpoints.saveCourse, { params: { courseId: body.id }, body }));
  } catch (error) {
    failure.value = error instanceof ValidationError ? error.message : messageOf(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <form class="form" :aria-label="words.changeName(from.name || words.aCourse)" novalidate @submit.prevent="save">
    <VTextField v-model="draft.name" :label="words.name" hide-details />
    <div class="row">
      <VSelect
        v-model="draft.leadsTo"
        :label="words.whoeverPassesIs"
        :items="grades.map((value) => ({ value, title: gradeNames[value] }))"
        hide-details
      />
      <VNumberInput
        v-model="passMark"
        :label="words.passMarkClean"
        suffix="%"
        :min="50"
        :max="99"
        :step="5"
        control-variant="stacked"
        hide-details
      />
      <VNumberInput v-model="draft.credits" :label="words.credits" :min="0" :max="300" control-variant="stacked" hide-details />
      <VNumberInput
        v-model="draft.creditsAWeek"
        :label="words.ofAWeekAtMost"
        :min="1"
        :max="7"
        control-variant="stacked"
        hide-details
      />
    </div>
    <VCheckbox v-model="draft.bothLeads" :label="words.everythingWithEitherFootIn" density="compact" hide-details />

    <h3>{{ words.setsByHeart }}</h3>
    <ul>
      <li v-for="(set, place) in draft.sets" :key="set.id" class="set">
        <VTextField v-model="set.name" :label="words.name" density="compact" hide-details />
        <CombinationField v-model="set.recipe" :label="words.called" :book="book" :catalogue="catalogue.newest" />
        <VBtn
          :icon="mdiClose"
          variant="text"
          :aria-label="words.withoutName(set.name || words.thisSet)"
          @click="draft.sets.splice(place, 1)"
        />
      </li>
    </ul>
    <VBtn variant="text" :prepend-icon="mdiPlus" @click="draft.sets.push({ id: uuid(), name: '', recipe: '' })">{{
      words.aSet
    }}</VBtn>

    <h3>{{ words.mustHaves }}</h3>
    <MustHavesField v-model="draft.mustHaves" />

    <h3>{{ words.weeks }}</h3>
    <ol>
      <li v-for="(week, place) in draft.weeks" :key="place" class="week">
        <span class="number">{{ place + 1 }}</span>
        <VAutocomplete
          v-model="week.techniques"
          :label="words.techniques"
          :items="catalogue.techniqueItems"
          multiple
          chips
          closable-chips
          density="compact"
          hide-details
        />
        <VTextField v-model="week.says" :label="words.whatItIsAbout" density="compact" hide-details />
        <span class="acts">
          <VBtn
            :icon="mdiArrowUp"
            variant="text"
            :disabled="place === 0"
            :aria-label="words.weekEarlier(place + 1)"
            @click="up(place)"
          />
          <VBtn
            :icon="mdiClose"
            variant="text"
            :disabled="draft.weeks.length === 1"
            :aria-label="words.withoutWeek(place + 1)"
            @click="draft.weeks.splice(place, 1)"
          />
        </span>
      </li>
    </ol>
    <VBtn variant="text" :prepend-icon="mdiPlus" @click="draft.weeks.push({ techniques: [], says: '' })">{{ words.aWeek }}</VBtn>

    <VAlert v-if="failure" type="error" variant="tonal" density="compact" role="alert">{{ failure }}</VAlert>
    <p class="acts ends">
      <VBtn variant="text" @click="emit('left')">{{ words.leaveIt }}</VBtn>
      <VBtn type="submit" color="primary" :loading="busy">{{ words.save }}</VBtn>
    </p>
  </form>
</template>

<style scoped>
.form {
  padding: var(--space-4) var(--space-5);
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid rgb(var(--v-theme-primary));
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: var(--space-2);
  margin-top: var(--space-2);
}
h3 {
  margin: var(--space-4) 0 var(--space-1-5);
  font-size: var(--type-body);
}
ul,
ol {
  display: grid;
  gap: var(--space-2);
}
.set {
  display: grid;
  grid-template-columns: minmax(110px, 1fr) minmax(0, 2fr) 44px;
  gap: var(--space-2);
}
.week {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: var(--space-2);
  align-items: start;
}
.week .number {
  padding-top: var(--space-2);
}
.week .acts {
  flex-wrap: nowrap;
  gap: 0;
}
.ends {
  justify-content: flex-end;
  margin-top: var(--space-3);
}
@media screen and (max-width: 599px) {
  .week {
    grid-template-columns: 24px minmax(0, 1fr);
  }
  .week > :not(.number) {
    grid-column: 2;
  }
  .set {
    grid-template-columns: minmax(0, 1fr) 44px;
  }
}
</style>
