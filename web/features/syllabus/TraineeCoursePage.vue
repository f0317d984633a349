<script setup lang="ts">
import { mdiClipboardCheckOutline, mdiMapMarkerPath, mdiPencil, mdiPrinter } from '@mdi/js';
import { syllabusEndpoints } from '@wax-fist/contract/syllabus';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { daysBetween } from '@wax-fist/core/days';
import { messageOf } from '@wax-fist/core/message-of';
import { weekOfCourse } from '@wax-fist/core/syllabus';
import { gradeNames } from '@wax-fist/core/trainee';
import { localDay, shortDay } from '@wax-fist/core/words';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import CourseSheet from './CourseSheet.vue';
import PutOnCourse from './PutOnCourse.vue';
import ReadinessTable from './ReadinessTable.vue';
import TestList from './TestList.vue';
import { useAccount } from '../accounts/account-store.ts';
import { syllabusWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

const account = useAccount();
/** A trainee on their way to a test: what is there, what is missing, and the earliest honest day. */
const { traineeId } = defineProps<{ traineeId: string }>();
const router = useRouter();
const changing = ref(false);
const trouble = ref<string>();
const params = { traineeId };
const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  const [trainee, courses, tests, standing] = await Promise.all([
    request(traineeEndpoints.showTrainee, { params }),
    request(syllabusEndpoints.listCourses),
    request(syllabusEndpoints.traineeTests, { params }),
    request(syllabusEndpoints.showTraineeCourse, { params }),
  ]);
  return { trainee, courses, tests, standing };
});
const course = computed(() => page.value?.courses.find(({ id }) => id === page.value?.standing.onCourse?.courseId));
const week = computed(() => {
  const on = page.value?.standing.onCourse;
  return on && course.value ? weekOfCourse(course.value, on.begunOn, localDay()) : undefined;
});
const readiness = computed(() => page.value?.standing.readiness ?? undefined);
const met = computed(() => readiness.value?.requirements.filter((one) => one.met).length ?? 0);
const verdict = computed(() => {
  const at = readiness.value;
  if (!at) return '';
  if (at.ready) return words.readyForTheTest;
  return at.earliest ? words.notBeforeEarliest(shortDay(at.earliest)) : words.noDayCanBeNamed;
});
const untilTest = computed(() => {
  const testOn = page.value?.standing.onCourse?.testOn;
  if (!testOn) return words.noDayIsSetFor;
  const days = daysBetween(localDay(), testOn);
  if (days < 0) return words.theTestWasSetFor(shortDay(testOn));
  const late = readiness.value && !readiness.value.ready && (readiness.value.earliest ?? '9') >= testOn;
  return words.testOnInDay(shortDay(testOn), days, late ? words.tooEarlyForWhatIs : words.thereIsTime);
});

async function hold(): Promise<void> {
  const id = uuid();
  const body = {
    ...{ id, traineeId, courseId: course.value!.id, heldOn: localDay(), outcome: 'open' as const, note: '' },
    sheet: { sets: [], mustHaves: [] },
  };
  try {
    await request(syllabusEndpoints.saveTest, { params: { testId: id }, body });
    await router.push({ name: 'test-sheet', params: { testId: id } });
  } catch (error) {
    trouble.value = messageOf(error);
  }
}
const print = (): void => window.print();
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <div class="page-head">
          <div>
            <p class="quiet">
              <RouterLink :to="{ name: 'trainee', params }">{{ page.trainee.name }}</RouterLink>, {{ page.trainee.stance }},
              {{ gradeNames[page.trainee.grade].toLowerCase() }}
            </p>
            <h1>{{ course ? words.theWayToTheTest(course.name.toLowerCase()) : words.theWayToATest }}</h1>
          </div>
          <span v-if="course" class="acts no-print">
            <VBtn variant="outlined" :prepend-icon="mdiPrinter" @click="print">{{ words.print }}</VBtn>
            <template v-if="account.judges">
              <VBtn variant="outlined" :prepend-icon="mdiPencil" @click="changing = true">{{ words.courseAndDay }}</VBtn>
              <VBtn color="primary" :prepend-icon="mdiClipboardCheckOutline" @click="hold">{{ words.holdTheTest }}</VBtn>
            </template>
          </span>
        </div>
        <p v-if="trouble" role="alert">{{ trouble }}</p>
        <div v-if="page.courses.length === 0" class="empty">
          <TextWith :text="words.theClubHasNoSyllabus(page.trainee.name)">
            <template #link>
              <RouterLink :to="{ name: 'syllabus' }">{{ words.beginWithOne }}</RouterLink>
            </template>
          </TextWith>
        </div>
        <div v-else-if="!course" class="empty">
          <p>
            {{ words.isOnNoCourseOn(page.trainee.name) }}
          </p>
          <VBtn v-if="account.judges" color="primary" :prepend-icon="mdiMapMarkerPath" @click="changing = true">{{
            words.putOnACourse
          }}</VBtn>
        </div>
        <template v-else-if="readiness">
          <p class="verdict" :class="{ ready: readiness.ready }">
            <b>{{ verdict }}</b>
            <span>{{ words.thingsThatAreThere(met, readiness.requirements.length, untilTest) }}</span>
          </p>
          <ReadinessTable :requirements="readiness.requirements" :stance="page.trainee.stance" />
          <p class="quiet how">
            {{ words.eachDayIsTheEarliest(page.trainee.name) }}
          </p>
        </template>
        <TestList v-if="page.tests.length > 0" :tests="page.tests" />
        <CourseSheet v-if="course" :course="course" :now="week?.number" class="sheet" />
        <PutOnCourse
          v-model="changing"
          :trainee-id="traineeId"
          :courses="page.courses"
          :now="page.standing.onCourse"
          @changed="again"
        />
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.verdict {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: var(--space-0-5) var(--space-4);
  padding: var(--space-3) var(--space-4);
  background: var(--watch-ground);
}
.verdict b {
  font-size: var(--type-figure);
}
.ready {
  background: var(--clean-ground);
}
.how {
  margin-top: var(--space-2);
  font-size: var(--type-text);
}
.empty {
  display: grid;
  gap: var(--space-3);
  justify-items: start;
}
.sheet {
  margin-top: var(--space-6);
}
</style>
