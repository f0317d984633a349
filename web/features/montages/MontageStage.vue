<script setup lang="ts">
import type { MontagePiece } from '@wax-fist/contract/montages';
import { shallowRef, watch } from 'vue';
import FrameLoop from '../../player/FrameLoop.vue';
import type { OpenFilm } from './use-film-sources.ts';

/** One strike of a montage, going round and round with the cue written over it. */
const { piece, heading, cue, open } = defineProps<{
  piece: MontagePiece;
  heading: string;
  cue: string;
  open: (filmId: string) => Promise<OpenFilm>;
}>();
defineEmits<{ around: [times: number] }>();
/** Sharp enough for a tablet; every frame of the strike lies in memory. */
const height = 480;
const film = shallowRef<OpenFilm>();
watch(
  () => piece.filmId,
  async (filmId) => {
    const now = await open(filmId).catch(() => undefined);
    if (piece.filmId === filmId) film.value = now;
  },
  { immediate: true },
);
</script>

<template>
  <div class="stage">
    <FrameLoop
      v-if="film"
      :source="film.source"
      :timeline="film.timeline"
      :from="piece.fromFrame"
      :to="piece.toFrame"
      :height="height"
      @around="$emit('around', $event)"
    />
    <span class="heading number">{{ heading }}</span>
    <b v-if="cue" class="cue">{{ cue }}</b>
  </div>
</template>

<style scoped>
.stage {
  position: relative;
  aspect-ratio: 16 / 9;
  /* The whole of it, with its keys below, on one screen. */
  width: min(100%, calc((100vh - 290px) * 16 / 9));
  min-width: min(100%, 320px);
  margin: 0 auto;
  background: var(--picture);
}
.stage :deep(canvas) {
  object-fit: contain;
}
.heading,
.cue {
  position: absolute;
  left: 16px;
  background: var(--shade);
  color: var(--white);
  padding: var(--space-1) var(--space-3);
}
.heading {
  top: 16px;
}
.cue {
  bottom: 16px;
  font-size: var(--type-head);
}
</style>
