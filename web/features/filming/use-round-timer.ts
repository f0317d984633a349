import { planLength, readClock, type ClockReading, type ClockPlan } from '@wax-fist/core/rounds';
import { computed, onScopeDispose, ref, shallowRef } from 'vue';

/** Runs a plan; `changed` is told of every phase as it begins, and of the end. */
export function useRoundTimer(changed: (reading: ClockReading) => void) {
  const running = shallowRef<{ plan: ClockPlan; since: number }>();
  const reading = ref<ClockReading>();
  let timer: ReturnType<typeof setInterval> | undefined;
  let screen: WakeLockSentinel | undefined;

  function tick(): void {
    if (!running.value) return;
    const { plan, since } = running.value;
    const before = reading.value;
    reading.value = readClock(plan, performance.now() - since);
    if (before?.phase !== reading.value.phase || before.round !== reading.value.round) changed(reading.value);
    if (reading.value.phase === 'over') stop();
  }
  function stop(): void {
    clearInterval(timer);
    running.value = undefined;
    reading.value = undefined;
    void screen?.release();
  }
  onScopeDispose(stop);

  return {
    reading,
    running: computed(() => running.value !== undefined),
    start(plan: ClockPlan): void {
      running.value = { plan, since: performance.now() };
      timer = setInterval(tick, 50);
      // The screen stays on while nobody touches it; where it may not, it goes dark as usual.
      void (navigator as Partial<Navigator>).wakeLock?.request('screen').then(
        (lock) => (screen = lock),
        () => undefined,
      );
      tick();
    },
    stop,
    length: planLength,
  };
}
