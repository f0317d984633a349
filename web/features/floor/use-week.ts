import { type PlanOfDay } from '@wax-fist/contract/plan-lists';
import { planEndpoints, type PlanDraft } from '@wax-fist/contract/plans';
import type { TraineeRow } from '@wax-fist/contract/trainees';
import { syllabusEndpoints, type TestDay } from '@wax-fist/contract/syllabus';
import { everyRow } from '@wax-fist/contract/page';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { dayAfter, weekOf } from '@wax-fist/core/days';
import { messageOf } from '@wax-fist/core/message-of';
import { weekProblems } from '@wax-fist/core/plan';
import { isClosed } from '@wax-fist/core/syllabus';
import { shortDay } from '@wax-fist/core/words';
import { computed, ref, watch, type Ref } from 'vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useNotice } from '../../app/notice-store.ts';

/** The sessions of a week, moved from day to day. @param day any day of it */
export function useWeek(day: Ref<string>) {
  const notice = useNotice();
  const days = computed(() => weekOf(day.value));
  const trouble = ref<string>();
  const { value: trainees } = useAnswer<TraineeRow[]>(() =>
    everyRow((query) => request(traineeEndpoints.listTrainees, { query })),
  );
  const {
    value: plans,
    failure,
    again,
  } = useAnswer<PlanOfDay[]>(() => request(planEndpoints.plansBetween, { query: { from: days.value[0]!, to: days.value[6]! } }));
  const { value: beside, again: besideAgain } = useAnswer(async () => {
    const [tests, closures] = await Promise.all([
      request(syllabusEndpoints.testDays, { query: { from: days.value[0]!, to: days.value[6]! } }),
      request(syllabusEndpoints.listClosures),
    ]);
    return { tests, closures };
  });
  watch([days, () => notice.undone], () => Promise.all([again(), besideAgain()]));
  const closedOn = (day: string): string | undefined => beside.value?.closures.find((one) => isClosed([one], day))?.name;

  async function put(id: string, to: string): Promise<void> {
    const {
      log: _,
      sessions: _sessions,
      impact: _impact,
      ...plan
    } = await request(planEndpoints.showPlan, { params: { planId: id } });
    const body: PlanDraft = { ...plan, plannedOn: to };
    await request(planEndpoints.savePlan, { params: { planId: id }, body });
    await again();
  }
  /** Puts a session on another day; what was done stays where it was done. */
  async function move(plan: PlanOfDay, to: string): Promise<void> {
    if (plan.doneOn || to === plan.plannedOn) return;
    const from = plan.plannedOn;
    trouble.value = undefined;
    // It is there at once; the server says no only when it was done meanwhile.
    plans.value = plans.value!.map((one) => (one.id === plan.id ? { ...one, plannedOn: to } : one));
    try {
      await put(plan.id, to);
      notice.say(`${plan.traineeName}: ${shortDay(to)}.`, () => put(plan.id, from));
    } catch (error) {
      trouble.value = messageOf(error);
      await again();
    }
  }
  const problems = computed(() =>
    weekProblems(
      (plans.value ?? []).map((one) => ({ ...one, day: one.doneOn ?? one.plannedOn })),
      (id) => trainees.value?.find((one) => one.id === id),
      closedOn,
    ),
  );
  return {
    ...{ days, plans, trainees, failure, trouble, again, move, problems, closedOn, besideAgain },
    closures: computed(() => beside.value?.closures ?? []),
    testsOn: (day: string): TestDay[] => beside.value?.tests.filter(({ testOn }) => testOn === day) ?? [],
    on: (wanted: string): PlanOfDay[] => (plans.value ?? []).filter(({ plannedOn }) => plannedOn === wanted),
    weekFrom: (weeks: number): string => dayAfter(days.value[0]!, 7 * weeks),
  };
}
