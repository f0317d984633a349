<script setup lang="ts">
import { mdiContentCopy, mdiPencil, mdiPlus, mdiPrinter, mdiTrashCanOutline } from '@mdi/js';
import { syllabusEndpoints, type SavedCourse } from '@wax-fist/contract/syllabus';
import { messageOf } from '@wax-fist/core/message-of';
import { readyCourses } from '@wax-fist/core/syllabus';
import { v7 as uuid } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useNotice } from '../../app/notice-store.ts';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useAccount } from '../accounts/account-store.ts';
import CourseForm from './CourseForm.vue';
import CourseSheet from './CourseSheet.vue';
import { syllabusWords as words } from './words.ts';

/** The syllabus: courses one after another, each with its weeks and its test. */
const route = useRoute();
const router = useRouter();
const notice = useNotice();
const account = useAccount();
const trouble = ref<string>();
const editing = shallowRef<SavedCourse>();
const { value: courses, failure, again } = useAnswer(() => request(syllabusEndpoints.listCourses));
const open = computed(() => courses.value?.find(({ id }) => id === route.query.course) ?? courses.value?.[0]);
const mayChange = computed(() => account.may(syllabusEndpoints.saveCourse));

const keep = (body: SavedCourse) => request(syllabusEndpoints.saveCourse, { params: { courseId: body.id }, body });
const next = (): number => Math.max(0, ...(courses.value ?? []).map(({ place }) => place)) + 1;
const empty = (): SavedCourse => ({
  ...{ id: uuid(), name: '', place: next(), leadsTo: 'improver', weeks: [{ techniques: [], says: '' }], sets: [], mustHaves: [] },
  ...{ passMark: 0.8, bothLeads: false, credits: 12, creditsAWeek: 2 },
});
async function act(doing: () => Promise<unknown>): Promise<void> {
  trouble.value = undefined;
  try {
    await doing();
    await again();
  } catch (error) {
    trouble.value = messageOf(error);
  }
}
const takeReady = () =>
  act(async () => {
    for (const [place, course] of readyCourses.entries())
      await keep(structuredClone({ ...course, place: place + 1 }) as SavedCourse);
    notice.say(words.threeCoursesToBeginWith);
  });
const copy = (course: SavedCourse): void =>
  void (editing.value = { ...structuredClone(course), id: uuid(), name: words.copyName(course.name), place: next() });
const remove = (course: SavedCourse) =>
  act(async () => {
    await request(syllabusEndpoints.removeCourse, { params: { courseId: course.id } });
    notice.say(words.isGone(course.name), () => keep(course).then(again));
  });
async function saved(course: SavedCourse): Promise<void> {
  editing.value = undefined;
  notice.say(words.isSaved(course.name));
  await again();
  await router.push({ query: { course: course.id } });
}
const print = (): void => window.print();
</script>

<template>
  <div class="page">
    <div class="page-head no-print">
      <h1>{{ words.syllabus }}</h1>
      <span v-if="mayChange && courses?.length" class="acts">
        <VBtn variant="outlined" :prepend-icon="mdiPlus" @click="editing = empty()">{{ words.aCourseTitle }}</VBtn>
      </span>
    </div>
    <p v-if="trouble" class="text-error" role="alert">{{ trouble }}</p>
    <PageState :failure="failure" :ready="courses !== undefined" @again="again">
      <div v-if="courses!.length === 0 && !editing" class="empty">
        <p>
          {{ words.noCourseYetACourse }}
        </p>
        <p v-if="mayChange" class="acts">
          <VBtn color="primary" @click="takeReady">{{ words.beginWithThreeThatAre }}</VBtn>
          <VBtn variant="outlined" @click="editing = empty()">{{ words.beginWithAnEmptyOne }}</VBtn>
        </p>
        <p v-else>{{ words.theHeadCoachWritesThem }}</p>
      </div>
      <div v-else class="columns">
        <nav class="no-print" :aria-label="words.courses">
          <RouterLink
            v-for="one in courses"
            :key="one.id"
            :to="{ query: { course: one.id } }"
            :aria-current="one.id === open?.id ? 'true' : undefined"
            @click="editing = undefined"
          >
            <b>{{ one.name }}</b>
            <span class="quiet"
              >{{ words.weeksCounted(one.weeks.length) }}, {{ words.sets(one.sets.length) }},
              {{ words.mustHavesCounted(one.mustHaves.length) }}</span
            >
          </RouterLink>
        </nav>
        <CourseForm v-if="editing" :key="editing.id" :from="editing" @saved="saved" @left="editing = undefined" />
        <CourseSheet v-else-if="open" :course="open">
          <p class="acts no-print">
            <VBtn variant="outlined" :prepend-icon="mdiPrinter" @click="print">{{ words.print }}</VBtn>
            <template v-if="mayChange">
              <VBtn variant="outlined" :prepend-icon="mdiPencil" @click="editing = open">{{ words.change }}</VBtn>
              <VBtn variant="text" :prepend-icon="mdiContentCopy" @click="copy(open)">{{ words.copy }}</VBtn>
              <VBtn variant="text" :prepend-icon="mdiTrashCanOutline" @click="remove(open)">{{ words.takeAway }}</VBtn>
            </template>
          </p>
        </CourseSheet>
      </div>
    </PageState>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: 260px minmax(0, 1fr);
  gap: var(--space-6);
  align-items: start;
}
nav {
  display: grid;
  gap: var(--space-2);
}
nav a {
  display: grid;
  padding: var(--space-2) var(--space-3);
  background: rgb(var(--v-theme-surface));
  color: inherit;
  text-decoration: none;
}
nav a[aria-current] {
  box-shadow: inset 4px 0 rgb(var(--v-theme-primary));
}
.acts {
  margin-top: var(--space-3);
}
@media screen and (max-width: 899px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .columns {
    display: block;
  }
}
</style>
