import { planEndpoints, type Plan, type PlanDraft } from '@wax-fist/contract/plans';
import { kitFor, whyNot, type Drill } from '@wax-fist/core/drills';
import {
  makePlan,
  partOfDrill,
  partsLength,
  partStarts,
  planProblems,
  rulesFor,
  workOfLeads,
  impactRounds,
  type PlanPart,
  type PlanWish,
} from '@wax-fist/core/plan';
import { weekOfCourse } from '@wax-fist/core/syllabus';
import { techniqueName } from '@wax-fist/core/technique';
import { localDay } from '@wax-fist/core/words';
import { useManualRefHistory } from '@vueuse/core';
import { v7 as uuid } from 'uuid';
import { computed, reactive, ref, shallowRef, watch } from 'vue';
import { request } from '../../app/request.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { useDrills } from '../drills/drill-store.ts';
import { takenUpOn, whoOf, type PlanGround } from './plan-ground.ts';
import { rememberedKit, rememberKit } from './plan-kit.ts';

/** A session on the desk: planned anew whenever something changes that it is planned from, until a hand has changed it. */
export function usePlanDesk(ground: PlanGround, kept?: Plan) {
  const catalogue = useCatalogue();
  const drills = useDrills();
  const { trainee } = ground;
  const begun = rememberedKit();
  const asked = reactive({
    plannedOn: kept?.plannedOn ?? localDay(),
    minutes: kept ? Math.round(kept.length / 60) : begun.minutes,
    kit: kept?.kit ?? begun.kit,
    holder: kept?.holder ?? begun.holder,
    partner: kept?.partner ?? begun.partner,
    leads: kept?.leads ?? ('both alike' as const),
    technique: kept?.technique ?? (null as string | null),
  });
  const parts = shallowRef<PlanPart[]>(kept?.parts ?? []);
  const leftOut = shallowRef<PlanDraft['leftOut']>(kept?.leftOut ?? []);
  const byHand = ref(kept !== undefined);
  const { commit, undo, redo, canUndo, canRedo, clear } = useManualRefHistory(parts, { clone: false });
  const impactThisWeek = ref(0);
  const id = kept?.id ?? uuid();

  const week = computed(() => ground.onCourse && weekOfCourse(ground.onCourse.course, ground.onCourse.begunOn, asked.plannedOn));
  /** What the syllabus teaches on that day is the technique of the week, until somebody chooses another. */
  const taught = computed(() => week.value?.week.techniques[0] ?? null);
  if (!kept) asked.technique = taught.value;
  watch(taught, (now, before) => {
    if (asked.technique === before) asked.technique = now;
  });

  const who = computed(() => whoOf(ground, asked, [asked.plannedOn]));
  const school = computed(() => catalogue.schoolOf(trainee.schoolId)!);
  const taken = computed(() => takenUpOn(ground, catalogue.newest, school.value, asked.plannedOn));
  const length = computed(() => asked.minutes * 60);
  const wish = computed<PlanWish>(() => ({
    ...{ length: length.value, who: who.value, leads: asked.leads, corrections: taken.value.corrections },
    technique: asked.technique ? { id: asked.technique, name: techniqueName(catalogue.newest, asked.technique) } : null,
    ...{ impactThisWeek: impactThisWeek.value, drills: drills.drills },
  }));
  const rules = computed(() => rulesFor(who.value));

  function planAnew(): void {
    const made = makePlan(wish.value);
    parts.value = made.parts;
    leftOut.value = made.leftOut;
    byHand.value = false;
    // Where a hand begins is no step to go back to.
    commit();
    clear();
  }
  watch(wish, () => !byHand.value && planAnew());
  watch(
    () => asked.plannedOn,
    async (day) => {
      const query = { day, without: id };
      impactThisWeek.value = await request(planEndpoints.weekImpact, { params: { traineeId: trainee.id }, query }).then(
        ({ impact }) => impact,
        () => 0,
      );
    },
    { immediate: true },
  );
  watch(asked, (now) => rememberKit(now));
  if (!kept) planAnew();

  /** Every change by hand goes through here: it can be undone, and nothing is planned over it. */
  function change(next: PlanPart[]): void {
    parts.value = next;
    byHand.value = true;
    commit();
  }
  const changed = (part: PlanPart, by: Partial<PlanPart>): void =>
    change(parts.value.map((one) => (one.id === part.id ? { ...one, ...by } : one)));

  return {
    ...{ id, asked, parts, leftOut, byHand, rules, who, taken, week },
    ...{ undo, redo, canUndo, canRedo, planAnew, change, changed },
    remove: (part: PlanPart): void => change(parts.value.filter(({ id: one }) => one !== part.id)),
    move(place: number, by: 1 | -1): void {
      if (place + by < 0 || place + by >= parts.value.length) return;
      const next = [...parts.value];
      next.splice(place + by, 0, ...next.splice(place, 1));
      change(next);
    },
    /** Drills that can take the place of a part’s. */
    drillsInstead: (part: PlanPart): Drill[] =>
      drills.drills.filter(
        (drill) =>
          whyNot(drill, who.value) === null &&
          (part.checkpointId
            ? drill.trains.includes(part.checkpointId)
            : part.technique && drill.techniques.includes(part.technique)),
      ),
    withDrill(part: PlanPart, drill: Drill): void {
      const { kind, correctionId, technique, checkpointId, rounds } = part;
      changed(part, {
        ...partOfDrill(drill, kitFor(drill, asked.kit)!, rules.value, wish.value, { id: part.id, kind }),
        ...{ correctionId, technique, checkpointId, rounds },
      });
    },
    addDrill(drill: Drill): void {
      const part = partOfDrill(drill, kitFor(drill, asked.kit) ?? drill.on[0]!, rules.value, wish.value, {
        ...{ id: `drill ${uuid()}`, kind: 'technique' as const },
      });
      const end = parts.value.findIndex(({ kind }) => kind === 'free' || kind === 're-check' || kind === 'cool-down');
      change(parts.value.toSpliced(end < 0 ? parts.value.length : end, 0, part));
    },
    starts: computed(() => partStarts(parts.value, rules.value.rest)),
    takes: computed(() => partsLength(parts.value, rules.value.rest)),
    hits: computed(() => impactRounds(parts.value)),
    leadWork: computed(() => workOfLeads(parts.value)),
    length,
    problems: computed(() =>
      planProblems(parts.value, {
        ...{ length: length.value, who: who.value, impactThisWeek: impactThisWeek.value },
        ...{ drills: drills.drills, change: rules.value.rest },
      }),
    ),
    async save(): Promise<Plan> {
      const { minutes: _, ...rest } = asked;
      const draft: PlanDraft = {
        ...{ id, traineeId: trainee.id, length: length.value, change: rules.value.rest, ...rest },
        ...{ parts: parts.value, leftOut: leftOut.value },
      };
      return request(planEndpoints.savePlan, { params: { planId: id }, body: draft });
    },
  };
}
export type PlanDesk = ReturnType<typeof usePlanDesk>;
