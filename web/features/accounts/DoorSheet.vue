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
  background: linear-gradient(105deg, #17494d 0 38%, #eceae3 38%);
}
.sheet {
  width: 400px;
  max-width: calc(100vw - 32px);
  background: #fbfaf6;
  padding: 36px 36px 40px;
  border-radius: 4px;
  border-top: 6px solid #e9b44c;
}
.sheet :slotted(h1) {
  margin: 12px 0 0;
  font-size: 32px;
  line-height: 1.1;
}
.sheet :slotted(p) {
  margin: 4px 0 24px;
}
</style>
