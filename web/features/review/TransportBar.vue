<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import { mdiMotionPlayOutline, mdiPause, mdiPlay, mdiRepeat, mdiSkipNext, mdiSkipPrevious } from '@mdi/js';
import { filmFileUrl } from '@wax-fist/contract/footage';
import { computed } from 'vue';
import { clock } from '../../app/format.ts';
import { speedNames, speeds } from '../../player/playback.ts';
import type { Player } from '../../player/use-player.ts';
import { reviewWords as words } from './words.ts';

const { player, looping } = defineProps<{ player: Player; looping: boolean }>();
const { data, keys } = useBenchContext();
const { film } = data;
defineEmits<{ loop: [] }>();
const { at, playing, speed } = player;
const { timeline } = player.film;

/** As many pictures of the film strip as fit side by side. */
const shownPictures = 7;
const pictures = computed(() => {
  const { strip } = film;
  if (!strip) return [];
  const url = filmFileUrl(film.id, 'strip.jpg');
  return Array.from({ length: shownPictures }, (_, place) => {
    const picture = Math.round((place + 0.5) * (strip.pictures / shownPictures) - 0.5);
    return {
      backgroundImage: `url("${url}")`,
      backgroundPosition: `${(100 * picture) / (strip.pictures - 1)}% 0`,
      backgroundSize: `${strip.pictures * 100}% 100%`,
    };
  });
});
</script>

<template>
  <div class="transport">
    <VBtn
      :icon="mdiSkipPrevious"
      size="x-small"
      variant="text"
      :aria-label="words.oneFrameBack"
      :title="keys.drawn('frame-back')"
      @click="player.step(-1)"
    />
    <VBtn
      :icon="playing ? mdiPause : mdiPlay"
      size="small"
      variant="tonal"
      color="primary"
      :aria-label="playing ? words.stop : words.play"
      :title="keys.drawn('play')"
      @click="player.toggle()"
    />
    <VBtn
      :icon="mdiSkipNext"
      size="x-small"
      variant="text"
      :aria-label="words.oneFrameOn"
      :title="keys.drawn('frame-on')"
      @click="player.step(1)"
    />
    <VBtn
      :icon="looping ? mdiMotionPlayOutline : mdiRepeat"
      size="x-small"
      :variant="looping ? 'tonal' : 'text'"
      :aria-label="words.thisStrikeRoundAndRound"
      :aria-pressed="looping"
      :title="keys.drawn('loop')"
      @click="$emit('loop')"
    />
    <div class="speeds" role="group" :aria-label="words.speed">
      <button
        v-for="one in speeds"
        :key="one"
        type="button"
        class="number"
        :aria-pressed="one === speed"
        @click="player.faster((speeds.indexOf(speed) - speeds.indexOf(one)) as 1)"
      >
        {{ speedNames[one] }}
      </button>
    </div>
    <div class="strip">
      <i v-for="(picture, place) in pictures" :key="place" :style="picture" />
      <input
        type="range"
        min="0"
        :max="timeline.length - 1"
        :value="at"
        :aria-label="words.placeInTheFilm"
        :aria-valuetext="words.frameOf(at + 1, timeline.length)"
        @input="player.go(Number(($event.target as HTMLInputElement).value))"
      />
    </div>
    <span class="number where">{{ clock(timeline[at] ?? 0) }}<br /><span class="quiet">{{ words.frameAt(at + 1) }}</span></span>
  </div>
</template>

<style scoped>
.transport {
  display: flex;
  align-items: center;
  gap: var(--space-1-5);
  height: 44px;
  flex: none;
}
.speeds {
  display: flex;
  border: 1px solid var(--line);
  border-radius: 3px;
  overflow: hidden;
}
.speeds button {
  width: 26px;
  height: 30px;
  font-size: var(--type-text);
}
.speeds button[aria-pressed='true'] {
  background: rgb(var(--v-theme-primary));
  color: var(--bench);
  font-weight: 600;
}
.strip {
  position: relative;
  flex: 1;
  height: 44px;
  display: flex;
  overflow: hidden;
  border-radius: 2px;
  background: var(--bench);
}
.strip i {
  flex: 1;
  opacity: 0.75;
  background-repeat: no-repeat;
}
.strip input {
  position: absolute;
  inset: 0;
  width: 100%;
  margin: 0;
  height: 100%;
  appearance: none;
  background: transparent;
  cursor: ew-resize;
}
.strip input::-webkit-slider-thumb {
  appearance: none;
  width: 4px;
  height: 44px;
  background: var(--signal);
  box-shadow: 0 0 0 1px var(--picture);
}
.strip input::-moz-range-thumb {
  width: 4px;
  height: 44px;
  border: 0;
  border-radius: 0;
  background: var(--signal);
}
.where {
  width: 78px;
  text-align: right;
  line-height: 1.15;
  font-size: var(--type-text);
}
.where .quiet {
  font-size: var(--type-note);
}
</style>
