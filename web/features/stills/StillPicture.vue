<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Still } from './shipped-stills.ts';
import { stillsWords as words } from './words.ts';

/** A still that ships, cut to what its row is about; a press shows the whole figure, and the part again. */
const { still, alt = '' } = defineProps<{ still: Still; alt?: string }>();
const whole = ref(false);
/** The picture is laid out larger than its frame and moved, so that the part fills it. */
const placed = computed(() => {
  if (whole.value || !still.area) return { width: '100%', height: '100%', left: '0', top: '0' };
  const [left, top, size] = still.area.map((thousandths) => thousandths / 1000) as [number, number, number];
  return { width: `${100 / size}%`, height: `${100 / size}%`, left: `${(-100 * left) / size}%`, top: `${(-100 * top) / size}%` };
});
</script>

<template>
  <component
    :is="still.area ? 'button' : 'div'"
    :type="still.area && 'button'"
    class="still-picture"
    :title="still.area && (whole ? words.onlyWhatThisIsAbout : words.theWholeFigure)"
    @click="whole = !whole"
  >
    <img :src="still.src" :alt="alt" loading="lazy" :style="placed" />
  </component>
</template>

<style scoped>
.still-picture {
  display: block;
  position: relative;
  width: 100%;
  aspect-ratio: 16 / 9;
  overflow: hidden;
  background: var(--picture);
}
button.still-picture {
  cursor: zoom-out;
}
img {
  position: absolute;
  display: block;
  max-width: none;
}
</style>
