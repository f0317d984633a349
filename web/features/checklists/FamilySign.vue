<script setup lang="ts">
import { familyNames, type Family } from '@wax-fist/core/technique';
import { familyShapes } from './family-shape.ts';

const { family, size = 16 } = defineProps<{ family: Family | undefined; size?: number }>();
</script>

<template>
  <svg
    v-if="family"
    class="family"
    :class="family"
    :width="size"
    :height="size"
    viewBox="0 0 16 16"
    role="img"
    :aria-label="familyNames[family]"
  >
    <title>{{ familyNames[family] }}</title>
    <path :d="familyShapes[family]" fill="currentColor" />
  </svg>
</template>

<style scoped>
.family {
  flex: none;
}
.stance {
  color: var(--stance);
}
.pivot {
  color: var(--pivot);
}
.guard {
  color: var(--guard);
}
.strike {
  color: var(--strike);
}
.exit {
  color: var(--exit);
}
.rhythm,
.holding {
  color: var(--quiet);
}
</style>
