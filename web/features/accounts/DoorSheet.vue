<script setup lang="ts">
/** The sheet at the door: who comes in stands on it before anything else. */
defineEmits<{ enter: [] }>();
</script>

<template>
  <div class="door">
    <form class="sheet" novalidate @submit.prevent="$emit('enter')">
      <img src="/icon.svg" alt="" width="56" height="56" />
      <slot />
    </form>
  </div>
</template>

<style scoped>
.door {
  min-height: 100vh;
  display: grid;
  place-items: center;
  background: linear-gradient(105deg, var(--board) 0 38%, var(--chalk) 38%);
}
.sheet {
  width: 400px;
  max-width: calc(100vw - 32px);
  background: var(--paper);
  padding: var(--space-8) var(--space-8) 40px;
  border-radius: 4px;
  border-top: 6px solid var(--signal);
}
.sheet :slotted(h1) {
  margin: var(--space-3) 0 0;
  font-size: var(--type-head);
  line-height: 1.1;
}
.sheet :slotted(p) {
  margin: var(--space-1) 0 var(--space-6);
}
</style>
