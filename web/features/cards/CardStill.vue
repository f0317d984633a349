<script setup lang="ts">
import type { CardStillOfFilm } from '@wax-fist/contract/cards';
import { stillRoleNames } from '@wax-fist/core/card';
import { viewNames } from '@wax-fist/core/technique';
import { shortDay } from '@wax-fist/core/words';
import { computed } from 'vue';

/** One still of a card: what matters of a frame, with what is measured drawn over it. */
const { still, src } = defineProps<{ still: CardStillOfFilm; src: string }>();
const box = computed(() => {
  const { x, y, width, height } = still.part;
  return `${x} ${y} ${width} ${height}`;
});
/** In pixels of the picture, so that it is as thick whatever part is shown. */
const thick = computed(() => still.part.width / 130);
const lines = computed(() =>
  still.shapes.map(({ from, to, at, dashed }) => ({
    path: [from, ...(at ? [at] : []), to].map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' '),
    dashed,
  })),
);
</script>

<template>
  <figure :class="still.role">
    <div class="picture">
      <img :src="src" :alt="`${stillRoleNames[still.role]}, ${viewNames[still.view].toLowerCase()}`" />
      <svg :viewBox="box" aria-hidden="true">
        <polyline
          v-for="{ path, dashed } in lines"
          :key="path"
          :points="path"
          :stroke-width="thick"
          :stroke-dasharray="dashed ? `${3 * thick} ${2 * thick}` : undefined"
        />
      </svg>
    </div>
    <figcaption>
      <b>{{ stillRoleNames[still.role] }}</b>
      <span class="quiet">{{ viewNames[still.view].toLowerCase() }}, {{ shortDay(still.heldOn) }}</span>
      <slot />
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  --of-role: var(--fault);
}
.turns {
  --of-role: var(--signal);
}
.should {
  --of-role: var(--clean);
}
.picture {
  position: relative;
  aspect-ratio: 4 / 3;
  background: var(--line);
  border-bottom: 5px solid var(--of-role);
}
img,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  display: block;
}
polyline {
  fill: none;
  stroke: var(--signal);
  stroke-linejoin: round;
}
figcaption {
  display: grid;
  font-size: var(--type-body);
  margin-top: var(--space-1-5);
}
figcaption .quiet {
  font-size: var(--type-small);
}
</style>
