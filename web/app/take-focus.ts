import type { Directive } from 'vue';

/**
 * `v-take-focus`: the first field of what has just appeared is typed into from its first instant on.
 * Vuetify's own `autofocus` waits until the field has been seen: whoever is quicker, at the keyboard or
 * on a busy machine, types into what was before, or has the focus taken out of the field of their choice.
 */
export const vTakeFocus: Directive<HTMLElement> = {
  mounted: (element) => element.querySelector<HTMLElement>('input, textarea')?.focus({ preventScroll: true }),
};
