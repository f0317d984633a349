/// <reference types="vite/client" />

declare module '*.vue' {
  import type { DefineComponent } from 'vue';
  /** For tools that cannot read a component; the check of types can, and does not look here. */
  const component: DefineComponent;
  export default component;
}
