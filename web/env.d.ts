/// <reference types="vite/client" />

declare module '*.vue' {
  import type { DefineComponent } from 'vue';
  /** For tools that cannot read a component; vue-tsc can, and does not look here. */
  const component: DefineComponent;
  export default component;
}
