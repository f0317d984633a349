import { computed, shallowRef, type ComputedRef } from 'vue';

/** One step: what stood before it and what it put in place. */
export interface UndoStep<T> {
  before: T[];
  after: T[];
}

export interface Undo<T> {
  did: (step: UndoStep<T>) => void;
  /** What has to be put back to undo the last step; undefined when there is none. */
  back: () => T[] | undefined;
  forth: () => T[] | undefined;
  /** When the step was made that `back` would undo, or `forth` do again, among the steps of all lines; undefined when there is none. */
  backAt: () => number | undefined;
  forthAt: () => number | undefined;
  clear: () => void;
  canUndo: ComputedRef<boolean>;
  canRedo: ComputedRef<boolean>;
}

/** Steps are numbered across all lines, so that one key can undo the last of several. */
let made = 0;

/** A line of steps that can be walked back and forth; a new step cuts off what lay ahead. */
export function makeUndo<T>(): Undo<T> {
  const steps = shallowRef<readonly (UndoStep<T> & { at: number })[]>([]);
  const place = shallowRef(0);
  return {
    did(step) {
      steps.value = [...steps.value.slice(0, place.value), { ...step, at: ++made }];
      place.value = steps.value.length;
    },
    back: () => (place.value > 0 ? steps.value[--place.value]!.before : undefined),
    forth: () => (place.value < steps.value.length ? steps.value[place.value++]!.after : undefined),
    backAt: () => steps.value[place.value - 1]?.at,
    forthAt: () => steps.value[place.value]?.at,
    clear() {
      steps.value = [];
      place.value = 0;
    },
    canUndo: computed(() => place.value > 0),
    canRedo: computed(() => place.value < steps.value.length),
  };
}
