import { planEndpoints, type PlanDraft, type WeekGround } from '@wax-fist/contract/plans';
import { syllabusEndpoints } from '@wax-fist/contract/syllabus';
import { dayAfter, weekOf } from '@wax-fist/core/days';
import { messageOf } from '@wax-fist/core/message-of';
import { usualWeekdays, type PlannedWeek, type WeekPerson } from '@wax-fist/core/plan';
import { weekOfCourse } from '@wax-fist/core/syllabus';
import { techniqueName } from '@wax-fist/core/technique';
import { localDay } from '@wax-fist/core/words';
import { v7 as uuid } from 'uuid';
import { computed, reactive, ref, shallowRef, toRaw, watch } from 'vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { useDrills } from '../drills/drill-store.ts';
import { takenUpOn, whoOf } from '../plans/plan-ground.ts';
import { rememberedKit, rememberKit } from '../plans/plan-kit.ts';
import { floorWords as words } from './words.ts';

/** Plans aside, so that the page stays quick. @throws Error when it cannot be planned */
function plannedAside(people: WeekPerson[], closures: readonly { from: string; to: string }[]): Promise<PlannedWeek> {
  const worker = new Worker(new URL('../../workers/week-worker.ts', import.meta.url), { type: 'module' });
  return new Promise<PlannedWeek>((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<PlannedWeek>) => resolve(data);
    worker.onerror = ({ message }) => reject(new Error(message || words.thisWeekCouldNotBe));
    worker.postMessage({ people, closures });
  }).finally(() => worker.terminate());
}

/** A week for the whole club: who comes on which days, then every session planned, then all of them kept. @param day any day of it */
export function useWeekPlan(day: string) {
  const catalogue = useCatalogue();
  const drills = useDrills();
  const days = weekOf(day);
  const today = localDay();
  const asked = reactive(rememberedKit());
  /** Days on which each comes, by trainee. */
  const comes = reactive<Record<string, string[]>>({});
  const planned = shallowRef<PlannedWeek>();
  const trouble = ref<string>();
  const busy = ref(false);
  const kept = ref(0);
  const {
    value: page,
    failure,
    again,
  } = useAnswer(async () => {
    const [grounds, closures, courses] = await Promise.all([
      request(planEndpoints.weekGrounds, { query: { monday: days[0]! } }),
      request(syllabusEndpoints.listClosures),
      request(syllabusEndpoints.listCourses),
      catalogue.ready(),
      drills.ready(),
    ]);
    return { grounds, closures, courses };
  });
  const isFree = ({ standing }: WeekGround, one: string): boolean =>
    one >= today && !standing.some((session) => session.day === one);
  watch(page, (now) => {
    for (const ground of now?.grounds ?? [])
      comes[ground.trainee.id] ??= usualWeekdays(ground.lately)
        .map((weekday) => days[weekday]!)
        .filter((one) => isFree(ground, one));
  });
  watch(asked, (now) => rememberKit(now));
  watch([comes, asked], () => (planned.value = undefined));

  function personOf(ground: WeekGround): WeekPerson {
    const { trainee, standing } = ground;
    const course = page.value!.courses.find(({ id }) => id === ground.onCourse?.courseId);
    const onCourse = course && { course, begunOn: ground.onCourse!.begunOn };
    const taken = takenUpOn(
      {
        ...ground,
        onCourse,
        answers: ground.settling.map((one) => ({ ...one, settling: { sessions: 1, strikes: one.strikes } })),
      },
      catalogue.newest,
      catalogue.schoolOf(trainee.schoolId)!,
      days[6]!,
    );
    const wanted = comes[trainee.id]!.toSorted();
    const techniques = onCourse ? (weekOfCourse(onCourse.course, onCourse.begunOn, wanted[0]!)?.week.techniques ?? []) : [];
    return {
      ...{ id: trainee.id, name: trainee.name, length: asked.minutes * 60, leads: 'both alike', drills: drills.drills },
      who: whoOf(ground, asked, wanted),
      ...{ days: wanted, standing, corrections: taken.corrections },
      techniques: techniques.map((id) => ({ id, name: techniqueName(catalogue.newest, id) })),
    };
  }
  const coming = computed(() => page.value?.grounds.filter(({ trainee }) => (comes[trainee.id]?.length ?? 0) > 0) ?? []);

  async function act(doing: () => Promise<unknown>): Promise<boolean> {
    busy.value = true;
    trouble.value = undefined;
    try {
      await doing();
      return true;
    } catch (error) {
      trouble.value = messageOf(error);
      return false;
    } finally {
      busy.value = false;
    }
  }
  const plan = (): Promise<boolean> =>
    act(async () => {
      const people = structuredClone(toRaw(coming.value).map(personOf));
      planned.value = await plannedAside(people, page.value!.closures);
    });
  const drafts = (): PlanDraft[] =>
    planned
      .value!.plans.filter(({ made }) => made.parts.length > 0)
      .map(({ traineeId, day: plannedOn, made, technique }) => ({
        ...{ id: uuid(), traineeId, plannedOn, length: asked.minutes * 60, technique, leads: 'both alike' as const },
        ...{ kit: [...asked.kit], holder: asked.holder, partner: asked.partner, ...made },
      }));
  /** Keeps every session. @returns what was kept, so that it can be taken back */
  async function keep(): Promise<PlanDraft[]> {
    const done: PlanDraft[] = [];
    kept.value = 0;
    await act(async () => {
      for (const body of drafts()) {
        await request(planEndpoints.savePlan, { params: { planId: body.id }, body });
        done.push(body);
        kept.value++;
      }
    });
    return done;
  }
  async function takeBack(plans: readonly PlanDraft[]): Promise<void> {
    for (const { id } of plans) await request(planEndpoints.removePlan, { params: { planId: id } });
  }
  function toggle(traineeId: string, one: string): void {
    const list = comes[traineeId] ?? [];
    comes[traineeId] = list.includes(one) ? list.filter((other) => other !== one) : [...list, one];
  }
  return {
    ...{ days, page, failure, again, asked, comes, coming, planned, trouble, busy, kept, today },
    ...{ isFree, toggle, plan, keep, takeBack, before: dayAfter(days[0]!, -7), after: dayAfter(days[0]!, 7) },
  };
}
