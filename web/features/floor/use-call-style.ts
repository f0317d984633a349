import { usualPace } from '@wax-fist/core/calls';
import { clamp } from '@vueuse/core';
import type { Ms } from '@wax-fist/core/units';
import { computed, ref, watch } from 'vue';
import { remember, remembered } from '../../app/remembered.ts';

/** From the end of a combination to the next call, from hurried to one that can be thought about. */
const pauses: readonly Ms[] = [2500, 3500, 4500, 6000, 8000, 11_000];

interface CallStyle {
  between: Ms;
  /** By the numbers of the book, where it has them; else in words. */
  numbers: boolean;
}
const rememberedAs = 'wax.floor-calls';
const isStyle = (kept: unknown): kept is CallStyle => {
  const { between, numbers } = (kept ?? {}) as Partial<CallStyle>;
  return pauses.some((pause) => pause === between) && typeof numbers === 'boolean';
};

/** How it is called on this floor: how fast, and by numbers or in words; as it was chosen here last. */
export function useCallStyle() {
  const style = ref<CallStyle>(remembered(rememberedAs, isStyle) ?? { between: usualPace.between, numbers: false });
  watch(style, (now) => remember(rememberedAs, now));
  const place = computed(() => pauses.indexOf(style.value.between));
  const step = (by: 1 | -1): void => {
    style.value = { ...style.value, between: pauses[clamp(place.value + by, 0, pauses.length - 1)]! };
  };
  return {
    style,
    pace: computed(() => ({ ...usualPace, between: style.value.between })),
    faster: () => step(-1),
    slower: () => step(1),
    isFastest: computed(() => place.value === 0),
    isSlowest: computed(() => place.value === pauses.length - 1),
    toggleNumbers: (): void => void (style.value = { ...style.value, numbers: !style.value.numbers }),
  };
}
export type CallStyleInHand = ReturnType<typeof useCallStyle>;
