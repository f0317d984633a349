import { useRafFn } from '@vueuse/core';
import { placeOfInstant, sharedClock } from '@wax-fist/core/compare';
import type { Moment } from '@wax-fist/core/strikes';
import type { Ms } from '@wax-fist/core/units';
import { computed, ref, watch } from 'vue';
import { speeds, type Speed } from '../../player/playback.ts';
import type { ComparedSide } from './compared-side.ts';

/** At full speed nobody sees a difference, and not every browser decodes two films as quickly. */
export const compareSpeeds = speeds.filter((speed) => speed < 1);

/** Two strikes on one clock: where it stands, and how it is moved. */
export function useComparison(first: () => ComparedSide, second: () => ComparedSide, begin: { lock: Moment; instant: Ms }) {
  const lock = ref<Moment>(begin.lock);
  const clock = computed(() => sharedClock(first(), second(), lock.value));
  const place = ref(placeOfInstant(clock.value.instants, begin.instant));
  /** Of another strike there may be fewer. */
  const instant = computed(() => clock.value.instants[Math.min(place.value, clock.value.instants.length - 1)]!);
  const frames = computed(() => clock.value.framesAt(instant.value));
  const speed = ref<Speed>(compareSpeeds[0]!);

  /** Where playing is between two instants. */
  let playhead: Ms = 0;
  const { isActive, pause, resume } = useRafFn(
    ({ delta }) => {
      const { instants } = clock.value;
      const [from, to] = [instants[0]!, instants.at(-1)!];
      playhead += delta * speed.value;
      if (playhead > to) playhead = from;
      place.value = instants.findLastIndex((at) => at <= playhead);
    },
    { immediate: false },
  );
  function play(): void {
    playhead = instant.value;
    resume();
  }
  /** Something else lies at 0 now, and that is looked at. */
  watch([lock, first, second], () => {
    pause();
    place.value = clock.value.lockedAt;
  });
  return {
    lock,
    instant,
    frames,
    speed,
    playing: isActive,
    toggle: (): void => (isActive.value ? pause() : play()),
    step(steps: 1 | -1): void {
      pause();
      const next = place.value + steps;
      place.value = Math.max(0, Math.min(clock.value.instants.length - 1, next));
    },
    faster(steps: 1 | -1): void {
      const at = compareSpeeds.indexOf(speed.value) - steps;
      speed.value = compareSpeeds[Math.max(0, Math.min(compareSpeeds.length - 1, at))]!;
    },
    /** Goes back to the moment at which they are locked. */
    again: (moment: Moment): void => {
      if (lock.value === moment) place.value = clock.value.lockedAt;
      lock.value = moment;
    },
  };
}
export type Comparison = ReturnType<typeof useComparison>;
