<script setup lang="ts">
import { onCourseShape, syllabusEndpoints, type OnCourse, type SavedCourse } from '@wax-fist/contract/syllabus';
import { localDay } from '@wax-fist/core/words';
import { watch } from 'vue';
import FormDialog from '../../app/FormDialog.vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useForm } from '../../app/use-form.ts';
import { syllabusWords as words } from './words.ts';

/** On which course somebody is, since when, and on which day its test is. */
const open = defineModel<boolean>({ required: true });
const { traineeId, courses, now } = defineProps<{ traineeId: string; courses: readonly SavedCourse[]; now: OnCourse | null }>();
const emit = defineEmits<{ changed: [] }>();
const notice = useNotice();
const params = { traineeId };
const begun = (): OnCourse => ({ courseId: courses[0]?.id ?? '', begunOn: localDay(), testOn: null });
const { draft, problems, failure, busy, send } = useForm(onCourseShape, begun());
watch(open, (shown) => shown && Object.assign(draft, now ?? begun()));

const put = (body: OnCourse) => request(syllabusEndpoints.putOnCourse, { params, body });
const save = (): Promise<void> =>
  send(async (body) => {
    await put({ ...body, testOn: body.testOn || null });
    open.value = false;
    emit('changed');
  });
const leave = (): Promise<void> =>
  send(async () => {
    const before = now!;
    await request(syllabusEndpoints.takeOffCourse, { params });
    open.value = false;
    emit('changed');
    notice.say(words.onNoCourseAnyMore, async () => {
      await put(before);
      emit('changed');
    });
  });
</script>

<template>
  <FormDialog v-model="open" :title="words.courseAndDayOfThe" :failure="failure" :busy="busy" @save="save">
    <VSelect
      v-model="draft.courseId"
      :label="words.course"
      :items="courses.map(({ id, name }) => ({ value: id, title: name }))"
      :error-messages="problems.courseId"
    />
    <VTextField v-model="draft.begunOn" :label="words.since" type="date" :error-messages="problems.begunOn" />
    <VTextField v-model="draft.testOn" :label="words.testOnOpenNoDay" type="date" clearable :error-messages="problems.testOn" />
    <VBtn v-if="now" variant="text" @click="leave">{{ words.offThisCourse }}</VBtn>
  </FormDialog>
</template>
