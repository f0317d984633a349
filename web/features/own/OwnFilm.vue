<script setup lang="ts">
import { mdiAlertOutline, mdiCheck } from '@mdi/js';
import { filmFileUrl } from '@wax-fist/contract/footage';
import type { OwnReview, OwnStrike } from '@wax-fist/contract/own';
import { viewNames } from '@wax-fist/core/technique';
import { clockTime } from '@wax-fist/core/words';
import { computed, ref } from 'vue';
import { ownWords as words } from './words.ts';

/** A film and its strikes: a touch shows one, from a moment before it lands. */
const { film } = defineProps<{ film: OwnReview['films'][number] }>();
/** So long before a strike lands it is shown from: a launch takes a quarter of a second, and the eye needs time. */
const leadIn = 900;
const video = ref<HTMLVideoElement>();
const shown = ref<string>();
const onlyFaults = ref(false);
const listed = computed(() => (onlyFaults.value ? film.strikes.filter(({ faults }) => faults.length > 0) : film.strikes));
const slow = ref(false);

function show({ id, at }: OwnStrike): void {
  const player = video.value;
  if (!player) return;
  shown.value = id;
  player.currentTime = Math.max(0, at - leadIn) / 1000;
  player.playbackRate = slow.value ? 0.5 : 1;
  void player.play().catch(() => undefined);
}
const says = ({ faults, clean }: OwnStrike): string =>
  faults.length > 0
    ? words.toChange(faults.map(({ name }) => name.toLowerCase()).join(', '))
    : clean > 0
      ? words.asItShouldBe
      : words.notJudged;
</script>

<template>
  <section :aria-label="viewNames[film.view]">
    <video ref="video" :src="filmFileUrl(film.id, 'film.mp4')" controls playsinline preload="metadata" />
    <div class="strikes">
      <div class="head">
        <h2>{{ viewNames[film.view] }}: {{ words.strikes(film.strikes.length) }}</h2>
        <VSwitch v-model="slow" :label="words.halfSpeed" color="primary" density="compact" hide-details />
        <VSwitch v-model="onlyFaults" :label="words.onlyWhatToChange" color="primary" density="compact" hide-details />
      </div>
      <ol>
        <li v-for="one in listed" :key="one.id">
          <button type="button" :class="{ faulty: one.faults.length > 0 }" :aria-pressed="shown === one.id" @click="show(one)">
            <span class="number">{{ clockTime(Math.floor(one.at / 1000)) }}</span>
            <VIcon v-if="one.faults.length > 0" :icon="mdiAlertOutline" size="20" class="sign" />
            <VIcon v-else-if="one.clean > 0" :icon="mdiCheck" size="20" class="sign" />
            <span
              ><b>{{ one.technique }}</b> {{ says(one) }}
              <template v-if="shown === one.id">
                <span v-for="fault in one.faults.filter(({ cue }) => cue)" :key="fault.name" class="cue">“{{ fault.cue }}”</span>
              </template>
            </span>
          </button>
        </li>
      </ol>
      <p v-if="listed.length === 0" class="quiet">
        {{ film.strikes.length === 0 ? words.noStrikeIsMarkedIn : words.nothingToChangeInThis }}
      </p>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  gap: var(--space-5);
  margin-top: var(--space-6);
}
video {
  width: 100%;
  max-height: 70vh;
  background: var(--picture);
  position: sticky;
  top: 64px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-5);
}
.head h2 {
  flex: 1 1 100%;
  margin: 0;
}
button {
  display: flex;
  gap: var(--space-3);
  width: 100%;
  min-height: 48px;
  padding: var(--space-2);
  text-align: left;
  border-bottom: 1px solid var(--line);
  border-left: 5px solid var(--clean);
}
button:not(.faulty) .sign {
  color: var(--clean);
}
.faulty .sign {
  color: var(--fault);
}
button.faulty {
  border-left-color: var(--fault);
}
button[aria-pressed='true'] {
  background: var(--watch-ground);
}
.cue {
  display: block;
  font-weight: 700;
}
@media screen and (max-width: 899px) {
  section {
    grid-template-columns: minmax(0, 1fr);
    gap: var(--space-2);
  }
  video {
    max-height: 42vh;
    z-index: 1;
  }
}
</style>
