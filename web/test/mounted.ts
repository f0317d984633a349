import { mount, type ComponentMountingOptions, type VueWrapper } from '@vue/test-utils';
import { createRequire } from 'node:module';
import { createPinia, getActivePinia, setActivePinia } from 'pinia';
import { defineComponent, h, type Component } from 'vue';
import type { createVuetify } from 'vuetify';

const require = createRequire(import.meta.url);
const vuetify = require('vuetify/dist/vuetify.cjs') as { createVuetify: typeof createVuetify };

/** A dialog lies over the page in the browser; here it stands in it, so that it is found where it is mounted. */
const VDialog = defineComponent({
  props: { modelValue: Boolean },
  setup:
    (props, { slots }) =>
    () =>
      props.modelValue ? h('div', { role: 'dialog' }, slots.default?.()) : null,
});

const standing: VueWrapper[] = [];

/** A component on a page of its own, with everything that the application gives it. */
export function mounted(component: Component, options: ComponentMountingOptions<Component> = {}): VueWrapper {
  const wrapper = mount(component, {
    attachTo: document.body,
    ...options,
    global: { plugins: [getActivePinia()!, vuetify.createVuetify()], stubs: { VDialog }, ...options.global },
  } as never) as VueWrapper;
  standing.push(wrapper);
  return wrapper;
}

/** To be called in every file: each test begins with new stores and an empty page. */
export function onFreshPage(): void {
  beforeEach(() => setActivePinia(createPinia()));
  afterEach(() => {
    for (const wrapper of standing.splice(0)) wrapper.unmount();
    document.body.innerHTML = '';
  });
}
