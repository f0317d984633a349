import { planEndpoints, type PlanDraft } from '@wax-fist/contract/plans';
import { makePair, type MadePair, type PlanWish } from '@wax-fist/core/plan';
import { weekOfCourse } from '@wax-fist/core/syllabus';
import { techniqueName } from '@wax-fist/core/technique';
import { messageOf } from '@wax-fist/core/message-of';
import { localDay } from '@wax-fist/core/words';
import { v7 as uuid } from 'uuid';
import { computed, reactive, ref, shallowRef, watch, type Ref } from 'vue';
import { request } from '../../app/request.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { useDrills } from '../drills/drill-store.ts';
import { groundOf, takenUpOn, whoOf, type PlanGround } from './plan-ground.ts';
import { rememberedKit, rememberKit } from './plan-kit.ts';

/** Sessions for two trainees who share one holder, planned anew whenever something changes. @param ids of both, empty while not chosen */
export function usePair(ids: Ref<readonly [string, string]>) {
  const catalogue = useCatalogue();
  const drills = useDrills();
  const asked = reactive({ ...rememberedKit(), holder: true, plannedOn: localDay() });
  const grounds = shallowRef<readonly [PlanGround, PlanGround]>();
  const impacts = ref<[number, number]>([0, 0]);
  const trouble = ref<string>();
  const busy = ref(false);
  watch(asked, ({ kit, partner, minutes }) => rememberKit({ kit, partner, minutes, holder: true }));

  async function load(): Promise<void> {
    const [one, other] = ids.value;
    grounds.value = undefined;
    trouble.value = undefined;
    if (!one || !other || one === other) return;
    try {
      const impactOf = async (traineeId: string): Promise<number> =>
        (await request(planEndpoints.weekImpact, { params: { traineeId }, query: { day: asked.plannedOn } })).impact;
      const [first, second, ...week] = await Promise.all([groundOf(one), groundOf(other), impactOf(one), impactOf(other)]);
      // Chosen anew meanwhile.
      if (ids.value[0] !== one || ids.value[1] !== other) return;
      impacts.value = week;
      grounds.value = [first, second];
    } catch (error) {
      trouble.value = messageOf(error);
    }
  }
  watch([ids, () => asked.plannedOn], load, { immediate: true });

  function wishOf(ground: PlanGround, impactThisWeek: number): PlanWish {
    const { onCourse } = ground;
    const week = onCourse && weekOfCourse(onCourse.course, onCourse.begunOn, asked.plannedOn);
    const taught = week?.week.techniques[0];
    return {
      ...{ length: asked.minutes * 60, leads: 'both alike', impactThisWeek, drills: drills.drills },
      who: whoOf(ground, asked, [asked.plannedOn]),
      corrections: takenUpOn(ground, catalogue.newest, catalogue.schoolOf(ground.trainee.schoolId)!, asked.plannedOn).corrections,
      technique: taught === undefined ? null : { id: taught, name: techniqueName(catalogue.newest, taught) },
    };
  }
  const made = computed<MadePair | undefined>(() => {
    const both = grounds.value;
    return both && makePair(wishOf(both[0], impacts.value[0]), wishOf(both[1], impacts.value[1]));
  });

  /** Keeps both sessions. @returns their ids; none when it could not be done */
  async function keep(): Promise<string[]> {
    busy.value = true;
    trouble.value = undefined;
    const done: string[] = [];
    try {
      for (const [place, ground] of grounds.value!.entries()) {
        const plan = place === 0 ? made.value!.first : made.value!.second;
        const body: PlanDraft = {
          ...{
            id: uuid(),
            traineeId: ground.trainee.id,
            plannedOn: asked.plannedOn,
            length: asked.minutes * 60,
            leads: 'both alike',
          },
          ...{ kit: [...asked.kit], holder: true, partner: asked.partner, technique: null, ...plan },
        };
        await request(planEndpoints.savePlan, { params: { planId: body.id }, body });
        done.push(body.id);
      }
    } catch (error) {
      trouble.value = messageOf(error);
    } finally {
      busy.value = false;
    }
    return done;
  }
  return { asked, grounds, made, trouble, busy, keep, drills };
}
