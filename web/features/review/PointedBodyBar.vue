<script setup lang="ts">
import { timeLeft } from '../../app/format.ts';
import { useBenchContext } from './bench-context.ts';
import PictureBar from './PictureBar.vue';
import type { WhoseBody } from './use-pointed-body.ts';

/** What to do to have somebody else followed, and how far that is. */
const { whose } = defineProps<{ whose: WhoseBody }>();
const { keys } = useBenchContext();
const { work } = whose;
</script>

<template>
  <PictureBar label="Who is followed">
    <template v-if="whose.on.value">
      <p>
        Draw a square round whoever is to be followed, head to foot.
        <span class="quiet"
          >Arrows move it, <kbd>{{ whose.keys.drawn('larger') }}</kbd> <kbd>{{ whose.keys.drawn('smaller') }}</kbd> size it.</span
        >
      </p>
      <button type="button" @click="whose.follow">
        Follow <kbd>{{ whose.keys.drawn('follow') }}</kbd>
      </button>
      <button type="button" class="end" @click="whose.toggle">
        Leave it <kbd>{{ keys.drawn('whose') }}</kbd>
      </button>
    </template>
    <template v-else-if="work">
      <p role="status">
        Following whoever was pointed out: {{ Math.round(work.progress * 100) }}%<template v-if="work.left !== null"
          >, {{ timeLeft(work.left) }}</template
        >
      </p>
      <progress :value="work.progress" max="1" aria-label="Followed so far"></progress>
    </template>
  </PictureBar>
</template>

<style scoped>
progress {
  width: 180px;
  accent-color: rgb(var(--v-theme-primary));
}
</style>
