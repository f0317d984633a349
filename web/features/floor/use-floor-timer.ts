import type { Plan, PlanLog } from '@wax-fist/contract/plans';
import {
  callsInRound,
  parseRecipe,
  sayInNumbers,
  sayInWords,
  usualPace,
  type CallBook,
  type CalledOut,
  type Pace,
} from '@wax-fist/core/calls';
import {
  doneParts,
  elapsedOn,
  eventsBetween,
  eventsOf,
  movedTo,
  noteWork,
  paused,
  resumed,
  stretchAt,
  stretchesOf,
  type FloorEvent,
  type PlanPart,
  type Stretch,
} from '@wax-fist/core/plan';
import type { Catalogue, Stance } from '@wax-fist/core/technique';
import type { Ms } from '@wax-fist/core/units';
import { localDay } from '@wax-fist/core/words';
import { useEventListener, useIntervalFn, useWakeLock } from '@vueuse/core';
import { randomLcg } from 'd3-random';
import { computed, ref, shallowRef, type Ref } from 'vue';
import { keepFloor, type FloorState } from './floor-state.ts';

/** How often the clock is read: often enough that a bell is on time. */
const everyMs: Ms = 100;
/** Into a stretch by more than this, “back” means its own beginning. */
const justBegun: Ms = 3000;

/** A number from 0 up to 1 that is the same for a round of a plan, whenever it is asked for. */
const seedOf = (planId: string, part: number, round: number): number =>
  ((Number.parseInt(planId.slice(-8), 16) + part * 7919 + round * 104_729) / 2 ** 32) % 1;

/** By what is called, how fast, and how it is said. */
export interface Calling {
  catalogue: Catalogue;
  pace?: Ref<Pace>;
  numbers?: Ref<boolean>;
}

/** A session that has not been begun. */
export const freshFloor = (plan: Plan, book: CallBook, stance: Stance): FloorState => ({
  ...{ plan, book, stance, clock: { ran: 0, since: null }, done: [], begunOn: localDay() },
});

/** Runs a planned session by the clock. What it was at is kept, so that a page that is loaded again goes on. */
export function useFloorTimer(
  begun: FloorState,
  { catalogue, pace = ref(usualPace), numbers = ref(false) }: Calling,
  heard: (event: FloorEvent, words: string) => void,
) {
  const state = shallowRef(begun);
  const now = ref(Date.now());
  const elapsed = computed(() => elapsedOn(state.value.clock, now.value));
  /** Changes with one round more, and not with every look at the clock: so do its stretches and what is heard in them. */
  const plan = computed(() => state.value.plan);
  const parts = computed<readonly PlanPart[]>(() => plan.value.parts);
  const stretches = computed(() => stretchesOf(parts.value, plan.value.change));
  const stretch = computed(() => stretchAt(stretches.value, elapsed.value));
  const running = computed(() => state.value.clock.since !== null);
  const wake = useWakeLock();
  const { book } = begun;

  const callsOf = (at: Stretch): CalledOut[] => {
    const recipe = parts.value[at.part]!.recipe;
    const parsed = at.kind === 'work' && recipe ? parseRecipe(recipe, { book, catalogue }) : undefined;
    if (!parsed?.ok) return [];
    const random = randomLcg(seedOf(plan.value.id, at.part, at.round));
    return callsInRound(parsed.recipe, { work: at.to - at.from, pace: pace.value, book, catalogue, random });
  };
  const events = computed(() => stretches.value.flatMap((one) => eventsOf(one, callsOf(one))));
  const inWords = (event: FloorEvent): string => {
    if (event.kind !== 'call') return '';
    const { combination } = event.call;
    return numbers.value ? sayInNumbers(combination, book, catalogue) : sayInWords(combination, catalogue);
  };
  const call = computed(() => {
    const last = events.value.findLast(
      (event) => event.kind === 'call' && event.stretch === stretch.value && event.at <= elapsed.value,
    );
    return last && inWords(last);
  });

  function put(next: Partial<FloorState>): void {
    state.value = { ...state.value, ...next };
    keepFloor(state.value);
  }
  /** What is due, and what was worked, since the clock was last read. */
  let read = elapsed.value;
  function look(heardUpTo = read): void {
    now.value = Date.now();
    if (!running.value) return;
    const at = elapsed.value;
    for (const event of eventsBetween(events.value, heardUpTo, at)) heard(event, inWords(event));
    const done = noteWork(state.value.done, stretches.value, read, at);
    read = at;
    const end = stretches.value.at(-1)?.to ?? 0;
    put(at >= end ? { done, clock: { ran: end, since: null } } : { done });
    if (at >= end) void wake.release();
  }
  const { pause: stopLooking } = useIntervalFn(() => look(), everyMs);
  useEventListener(document, 'visibilitychange', () => look());

  /** @param there where the clock goes to; what lies between was not done */
  function goTo(there: Ms): void {
    look();
    put({ clock: movedTo(state.value.clock, there, now.value) });
    read = there;
    // What begins there is heard; what ends there was left.
    look(there - 1);
  }
  return {
    ...{ state, parts, stretches, stretch, elapsed, running, call, stopLooking },
    over: computed(() => stretch.value === undefined),
    left: computed(() => (stretch.value ? stretch.value.to - elapsed.value : 0)),
    toggle(): void {
      look();
      if (running.value) {
        put({ clock: paused(state.value.clock, now.value) });
        void wake.release();
      } else {
        put({ clock: resumed(state.value.clock, now.value) });
        void wake.request('screen').catch(() => undefined);
      }
    },
    skip(): void {
      if (stretch.value) goTo(stretch.value.to);
    },
    back(): void {
      look();
      const at = stretches.value.indexOf(stretch.value!);
      const place = at < 0 ? stretches.value.length - 1 : at;
      const into = elapsed.value - stretches.value[place]!.from;
      goTo(stretches.value[into > justBegun ? place : Math.max(0, place - 1)]!.from);
    },
    /** One more round of what is done, or of what was done last. */
    oneMore(): void {
      const at = stretch.value;
      const part = at === undefined ? parts.value.length - 1 : Math.max(0, at.kind === 'change' ? at.part - 1 : at.part);
      const more = parts.value.map((one, place) => (place === part ? { ...one, rounds: one.rounds + 1 } : one));
      put({ plan: { ...plan.value, parts: more } });
      if (at === undefined) put({ clock: resumed(state.value.clock, Date.now()) });
    },
    log: (): PlanLog => ({ doneOn: state.value.begunOn, done: doneParts(state.value.done) }),
  };
}
export type FloorTimer = ReturnType<typeof useFloorTimer>;
