<script setup lang="ts">
import {
  blurOf,
  cameraDistance,
  frameRates,
  lengthInWords,
  lenses,
  lightFor,
  rateSays,
  roomFor,
  shutters,
  smallLengthInWords,
  tellMeasure,
  widthSeen,
} from '@wax-fist/core/setup';
import { computed, ref } from 'vue';
import BodyFigure from './BodyFigure.vue';
import { toldInWords } from './told-words.ts';
import type { SetUp } from './use-set-up.ts';
import { setupWords as words } from './words.ts';

/** Where a camera stands, what its frames tell, how it blurs, and the light it takes. */
const { setUp } = defineProps<{ setUp: SetUp }>();
const units = computed(() => setUp.units.value);
const lensAt = ref(0);
const held = ref<'upright' | 'across'>('across');
const angle = computed(() => lenses[lensAt.value]![held.value]);
const other = computed(() => lenses[lensAt.value]![held.value === 'upright' ? 'across' : 'upright']);
const stature = computed(() => setUp.body.value.stature);
const navel = computed(() => tellMeasure(setUp.body.value, 'navel'));
const distance = computed(() => cameraDistance(stature.value, navel.value.value, angle.value));
/** Half of what is seen, above the lens and below it. */
const half = computed(() => widthSeen(distance.value, angle.value) / 2);
const floor = 245;
const x = 60;
</script>

<template>
  <div class="asked no-print">
    <VSelect
      v-model="lensAt"
      :items="lenses.map(({ name }, value) => ({ value, title: name }))"
      :label="words.camera"
      density="compact"
      hide-details
    />
    <VSelect
      v-model="held"
      :items="[
        { value: 'across', title: words.onItsSide },
        { value: 'upright', title: words.upright },
      ]"
      :label="words.held"
      density="compact"
      hide-details
    />
  </div>
  <figure>
    <svg :viewBox="`0 0 ${Math.max(420, x + distance + 60)} 290`" role="img" :aria-label="words.traineeAndCameraFromThe">
      <line x1="0" :x2="x + distance + 60" :y1="floor" :y2="floor" class="floor" />
      <path
        :d="`M${x + distance} ${floor - navel.value} L${x} ${floor - navel.value - half} L${x} ${floor - navel.value + half} Z`"
        class="cone"
      />
      <g :transform="`translate(${x} ${floor})`"><BodyFigure :stature="stature" /></g>
      <rect :x="x + distance" :y="floor - navel.value - 6" width="16" height="12" class="board" />
      <line :x1="x + distance + 8" :x2="x + distance + 8" :y1="floor - navel.value + 6" :y2="floor" class="chain" />
      <line :x1="x" :x2="x + distance" :y1="floor + 8" :y2="floor + 8" class="measure" />
      <text :x="x + distance / 2" :y="floor - 4" text-anchor="middle">{{ lengthInWords(distance, units) }}</text>
    </svg>
    <figcaption>
      {{
        words.awayAtTheLeastSo(
          lengthInWords(distance, units),
          toldInWords(navel, units),
          lengthInWords(widthSeen(distance, other), units),
        )
      }}
    </figcaption>
  </figure>
  <div class="tables">
    <table class="told">
      <thead>
        <tr>
          <th>{{ words.framesASecond }}</th>
          <th>{{ words.ofAJab }}</th>
          <th>{{ words.aMoment }}</th>
          <th>{{ words.aTime }}</th>
        </tr>
      </thead>
      <tbody class="number">
        <tr v-for="{ rate, frames, moment, duration } in frameRates.map(rateSays)" :key="rate">
          <td>{{ rate }}</td>
          <td>{{ words.framesFromTo(frames[0], frames[1]) }}</td>
          <td>{{ words.msMoment(Math.round(moment)) }}</td>
          <td>{{ words.msMoment(Math.round(duration)) }}</td>
        </tr>
      </tbody>
    </table>
    <table class="told">
      <thead>
        <tr>
          <th>{{ words.shutter }}</th>
          <th>{{ words.aFistBlurs }}</th>
          <th>{{ words.light }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="shutter in shutters" :key="shutter">
          <td class="number">1/{{ shutter }} s</td>
          <td class="number">
            {{ smallLengthInWords(blurOf(shutter)[0], units) }} – {{ smallLengthInWords(blurOf(shutter)[1], units) }}
          </td>
          <td>
            <span class="number">{{ Math.round(lightFor(shutter)) }}</span>
            {{ words.luxName(roomFor(shutter)?.name ?? words.sun) }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
  <p class="quiet">
    {{ words.aJabFliesForTo }}
  </p>
</template>

<style scoped>
.asked,
.tables {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-3) var(--space-6);
  max-width: 860px;
}
.asked {
  max-width: 460px;
  margin-top: var(--space-3);
}
.cone {
  fill: var(--signal-ground);
}
@media screen and (max-width: 699px) {
  .tables {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
