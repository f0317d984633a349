import { gradeTestDraftShape, syllabusEndpoints, type GradeTest, type GradeTestDraft } from '@wax-fist/contract/syllabus';
import { messageOf } from '@wax-fist/core/message-of';
import { testResult, thrownInSet, type CountedMustHave, type TestLead, type TriedSet } from '@wax-fist/core/syllabus';
import { checkpointName, techniqueName } from '@wax-fist/core/technique';
import { useEventListener, useIntervalFn } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';
import { remember, remembered } from '../../app/remembered.ts';
import { request, Unreachable } from '../../app/request.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { syllabusWords as words } from './words.ts';

const isDraft = (kept: unknown): kept is GradeTestDraft => gradeTestDraftShape.isValidSync(kept, { strict: true });
const tryAgainEvery = 10_000;

/** A test sheet in the hand: every mark is kept here at once and sent; without a line it waits here, and is sent when there is one. */
export function useTestSheet(test: GradeTest) {
  const catalogue = useCatalogue();
  const keptAs = `wax.test.${test.id}`;
  const { course, credits, ...saved } = test;
  const draft = shallowRef<GradeTestDraft>(remembered(keptAs, isDraft) ?? saved);
  /** Whether something is not on the server yet. */
  const waits = ref(draft.value !== saved);
  const trouble = ref<string>();
  let sending: Promise<void> | undefined;

  async function send(): Promise<void> {
    while (waits.value) {
      const body = draft.value;
      try {
        await request(syllabusEndpoints.saveTest, { params: { testId: body.id }, body });
        trouble.value = undefined;
      } catch (error) {
        trouble.value = error instanceof Unreachable ? words.noLineItIsKept : messageOf(error);
        return;
      }
      // Something may have been marked meanwhile.
      if (body !== draft.value) continue;
      waits.value = false;
      remember(keptAs, undefined);
    }
  }
  const sendOnce = (): Promise<void> => (sending ??= send().finally(() => (sending = undefined)));
  useEventListener(window, 'online', () => void sendOnce());
  useIntervalFn(() => waits.value && void sendOnce(), tryAgainEvery);
  if (waits.value) void sendOnce();

  function change(by: Partial<GradeTestDraft>): Promise<void> {
    draft.value = { ...draft.value, ...by };
    waits.value = true;
    remember(keptAs, draft.value);
    return sendOnce();
  }
  const sheetWith = (by: Partial<GradeTestDraft['sheet']>): Promise<void> => change({ sheet: { ...draft.value.sheet, ...by } });

  const asked = computed(() => new Map(course.sets.map((set) => [set.id, thrownInSet(set, catalogue.newest) ?? []])));
  const nameOf = ({ technique, checkpointId }: Pick<CountedMustHave, 'technique' | 'checkpointId'>): string =>
    `${techniqueName(catalogue.newest, technique)}: ${checkpointName(catalogue.newest, checkpointId).toLowerCase()}`;
  const result = computed(() =>
    testResult(course, draft.value.sheet, { plannedOf: (id) => asked.value.get(id) ?? [], nameOf, credits }),
  );

  const setOf = (setId: string, lead: TestLead): TriedSet | undefined =>
    draft.value.sheet.sets.find((one) => one.setId === setId && one.lead === lead);
  function trySet(setId: string, lead: TestLead, by: Partial<TriedSet> | null): void {
    const others = draft.value.sheet.sets.filter((one) => one.setId !== setId || one.lead !== lead);
    const before = setOf(setId, lead) ?? { setId, lead, thrown: [], saidAloud: false };
    const next = by && { ...before, ...by };
    void sheetWith({ sets: next ? [...others, { ...next, thrown: [...next.thrown] }] : others });
  }
  const isOf = (one: Omit<CountedMustHave, 'clean' | 'fault'>) => (other: CountedMustHave) =>
    other.technique === one.technique && other.checkpointId === one.checkpointId && other.lead === one.lead;
  const countOf = (one: Omit<CountedMustHave, 'clean' | 'fault'>): CountedMustHave =>
    draft.value.sheet.mustHaves.find(isOf(one)) ?? { ...one, clean: 0, fault: 0 };
  function count(one: CountedMustHave, by: Partial<Pick<CountedMustHave, 'clean' | 'fault'>>): void {
    const { technique, checkpointId, lead } = one;
    const counted = { technique, checkpointId, lead, clean: one.clean, fault: one.fault, ...by };
    const next = { ...counted, clean: Math.max(0, counted.clean), fault: Math.max(0, counted.fault) };
    void sheetWith({ mustHaves: [...draft.value.sheet.mustHaves.filter((other) => !isOf(one)(other)), next] });
  }
  /** Takes over what films of the day show, where nothing was marked by hand. @returns how many films there are */
  async function fromFilms(): Promise<number> {
    const { traineeId, courseId, heldOn, sheet } = draft.value;
    const { sheet: seen, films } = await request(syllabusEndpoints.testFilms, {
      params: { traineeId },
      query: { courseId, day: heldOn },
    });
    const sets = seen.sets.filter((one) => !setOf(one.setId, one.lead));
    const mustHaves = seen.mustHaves.filter((one) => !sheet.mustHaves.some(isOf(one)));
    if (sets.length + mustHaves.length > 0)
      await sheetWith({ sets: [...sheet.sets, ...sets], mustHaves: [...sheet.mustHaves, ...mustHaves] });
    return films;
  }
  return { course, draft, waits, trouble, change, asked, nameOf, result, setOf, trySet, countOf, count, fromFilms };
}
export type TestSheetInHand = ReturnType<typeof useTestSheet>;
