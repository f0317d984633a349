<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import { viewNames } from '@wax-fist/core/technique';
import { ref, watch } from 'vue';
import FilmPicture from '../../player/FilmPicture.vue';
import type { OtherView } from './use-other-view.ts';
import { reviewWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** The other camera's film at the instant at which this one stands. */
const { other, at } = defineProps<{ other: OtherView; at: number }>();
const { keys } = useBenchContext();
const picture = ref<InstanceType<typeof FilmPicture>>();

watch(
  [() => at, other.tie, other.shown, picture],
  () => {
    if (!other.shown.value || !picture.value) return;
    const wanted = other.frameFor(at);
    if (wanted !== picture.value.player.at.value) picture.value.player.go(wanted);
  },
  { immediate: true, flush: 'post' },
);
const chosen = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <div v-if="other.shown.value" class="other" role="group" :aria-label="words.theOtherView">
    <div class="frame">
      <FilmPicture
        ref="picture"
        :key="other.shown.value.film.id"
        :film="other.shown.value.playable"
        :width="other.shown.value.film.width!"
        :height="other.shown.value.film.height!"
        class="picture"
        :style="{
          aspectRatio: `${other.shown.value.film.width} / ${other.shown.value.film.height}`,
          '--ratio': `${other.shown.value.film.width! / other.shown.value.film.height!}`,
        }"
      />
    </div>
    <p class="tie">
      <select
        v-if="other.others.length > 1"
        :value="other.shown.value.film.id"
        :aria-label="words.whichOtherFilm"
        @change="other.choose(chosen($event))"
      >
        <option v-for="film in other.others" :key="film.id" :value="film.id">
          {{ viewNames[film.view] }}, {{ film.fileName }}
        </option>
      </select>
      <b v-else>{{ viewNames[other.shown.value.film.view] }}</b>
      <span v-if="other.tie.value?.fit">{{ words.onOneClockBySound }}</span>
      <span v-else-if="other.tie.value">
        {{ words.onOneClockByHand }}
        <button type="button" class="again" @click="other.listenAgain">{{ words.listenInstead }}</button>
      </span>
      <span v-else>{{ words.notOnOneClockYet }}</span>
      <span class="moves">
        <TextWith :text="words.moveItByAFrame">
          <template #key>
            <kbd>{{ keys.drawn('other-back') }}</kbd>
          </template>
          <template #key2>
            <kbd>{{ keys.drawn('other-on') }}</kbd>
          </template>
        </TextWith>
      </span>
    </p>
  </div>
</template>

<style scoped>
.other {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  height: 100%;
  width: 100%;
}
.frame {
  flex: 1;
  min-height: 0;
  container-type: size;
  display: grid;
  place-items: center;
}
.picture {
  width: min(100cqw, 100cqh * var(--ratio));
}
.tie {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  padding: var(--space-0-5) var(--space-1-5);
  font-size: var(--type-note);
  color: var(--quiet);
  white-space: nowrap;
  overflow: hidden;
}
.tie b {
  color: var(--chalk);
}
.tie select {
  font: inherit;
  color: var(--chalk);
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line);
}
.again {
  text-decoration: underline;
}
.moves {
  margin-left: auto;
}
</style>
