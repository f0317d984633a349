<script setup lang="ts">
/** A row under the picture: what can be done with what is in hand there. */
defineProps<{ label: string }>();
</script>

<template>
  <section :aria-label="label"><slot /></section>
</template>

<style scoped>
section {
  display: flex;
  align-items: center;
  gap: var(--space-1) var(--space-1-5);
  min-height: 34px;
  white-space: nowrap;
  font-size: var(--type-note);
}
:slotted(p) {
  margin: 0 var(--space-1-5) 0 0;
  flex: 0 1 auto;
  min-width: 118px;
  overflow: hidden;
  text-overflow: ellipsis;
}
:slotted(button) {
  flex: none;
  padding: var(--space-1) var(--space-2);
  border: 1px solid var(--sheen);
  border-radius: 4px;
}
:slotted(button:disabled) {
  opacity: 0.45;
}
:slotted(.end) {
  margin-left: auto;
}
@media (max-width: 1199px) {
  section {
    flex-wrap: wrap;
  }
}
</style>
