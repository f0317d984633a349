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
  gap: 4px 6px;
  min-height: 34px;
  white-space: nowrap;
  font-size: 13px;
}
:slotted(p) {
  margin: 0 6px 0 0;
  flex: 0 1 auto;
  min-width: 118px;
  overflow: hidden;
  text-overflow: ellipsis;
}
:slotted(button) {
  flex: none;
  padding: 3px 8px;
  border: 1px solid #8886;
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
