import { traineeEndpoints, type Trainee } from '@wax-fist/contract/trainees';
import { everyRow } from '@wax-fist/contract/page';
import { lengthInWords, readLength, type KnownBody } from '@wax-fist/core/setup';
import { manner, type UnitSystem } from '@wax-fist/core/words';
import type { Centimetres } from '@wax-fist/core/units';
import { computed, reactive, ref, watch } from 'vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { setupWords as words } from './words.ts';

/** What is possible at all, in centimetres. */
const possible = {
  stature: { what: words.stature, least: 90, most: 230 },
  opponent: { what: words.opponentsStature, least: 90, most: 230 },
  reach: { what: words.reach, least: 30, most: 110 },
  bellyToTop: { what: words.bellyToTop, least: 8, most: 60 },
} as const;
export type SetUpField = keyof typeof possible;
/** Where nobody has typed anything. */
const usual: Record<SetUpField, Centimetres | null> = { stature: 175, opponent: null, reach: null, bellyToTop: 20 };

/** Lengths as they are typed, for a trainee or for anybody, and what is wrong with them. */
export function useSetUp(traineeId?: string) {
  /** As whoever looks at it reads lengths; a tape in the hand may have the others. */
  const units = ref<UnitSystem>(manner().units);
  const inWords = (value: Centimetres | null): string => (value === null ? '' : lengthInWords(value, units.value));
  const typed = reactive({ ...mapped(inWords) });
  const whom = ref<string | null>(traineeId ?? null);
  const { value: trainees, failure } = useAnswer(() => everyRow((query) => request(traineeEndpoints.listTrainees, { query })));
  const trainee = computed<Trainee | undefined>(() => trainees.value?.find(({ id }) => id === whom.value));

  const read = computed(
    () =>
      Object.fromEntries(
        Object.entries(possible).map(([field, bounds]) => [field, readLength(typed[field as SetUpField], bounds, units.value)]),
      ) as Record<SetUpField, ReturnType<typeof readLength>>,
  );
  const left = ({ ok }: { ok: boolean }, field: SetUpField): boolean => !ok && typed[field].trim() === '';
  const values = ref<Record<SetUpField, Centimetres | null>>({ ...usual });
  /** What could be read last: a drawing does not jump while somebody types. */
  watch(
    read,
    (now) => {
      for (const field of Object.keys(possible) as SetUpField[]) {
        const one = now[field];
        if (one.ok) values.value[field] = one.value;
        else if (left(one, field)) values.value[field] = usual[field];
      }
    },
    { immediate: true },
  );
  const problems = computed(() => {
    const found: Partial<Record<SetUpField, string>> = {};
    for (const [field, one] of Object.entries(read.value) as [SetUpField, ReturnType<typeof readLength>][])
      if (!one.ok && !left(one, field)) found[field] = one.says;
    return found;
  });
  watch(trainee, (now) => {
    if (!now) return;
    typed.stature = inWords(now.stature ?? usual.stature);
    typed.reach = inWords(now.reach);
  });
  watch(units, () => {
    Object.assign(
      typed,
      mapped((_, field) => inWords(values.value[field])),
    );
  });
  const body = computed<KnownBody>(() => {
    const { stature, reach } = values.value;
    return { stature: stature!, measured: reach === null ? {} : { reach } };
  });
  const opponent = computed<KnownBody>(() => ({ stature: values.value.opponent ?? body.value.stature, measured: {} }));
  return { units, typed, whom, trainees, trainee, failure, problems, body, opponent, values };
}
export type SetUp = ReturnType<typeof useSetUp>;

const mapped = (to: (value: Centimetres | null, field: SetUpField) => string): Record<SetUpField, string> =>
  Object.fromEntries(Object.entries(usual).map(([field, value]) => [field, to(value, field as SetUpField)])) as Record<
    SetUpField,
    string
  >;
