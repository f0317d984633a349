<script setup lang="ts">
import {
  speedBagFor,
  speedBagTolerance,
  targetsOf,
  tellMeasure,
  uppercutBagFor,
  lengthInWords,
  smallLengthInWords,
} from '@wax-fist/core/setup';
import { computed } from 'vue';
import BodyFigure from './BodyFigure.vue';
import { toldInWords } from './told-words.ts';
import type { SetUp } from './use-set-up.ts';
import { setupWords as words } from './words.ts';

/** Bags drawn to scale beside whoever hits them: one unit is a centimetre. */
const { setUp } = defineProps<{ setUp: SetUp }>();
const room = { wide: 600, high: 262, floor: 250 } as const;
const places = { speed: 110, trainee: 215, heavy: 360, uppercut: 520 } as const;
const units = computed(() => setUp.units.value);
const body = computed(() => setUp.body.value);
const reach = computed(() => tellMeasure(body.value, 'reach').value);
const speed = computed(() => speedBagFor(body.value, setUp.values.value.bellyToTop!));
const targets = computed(() => targetsOf(setUp.opponent.value));
const uppercut = computed(() => uppercutBagFor(setUp.opponent.value));
const up = (height: number): number => room.floor - height;
const bag = { width: 36, bottom: 45, top: 205 } as const;
const rows = computed(() => [
  { name: words.speedBagBoardUnderside, told: speed.value.board },
  { name: words.speedBagBellyAtThe, told: speed.value.belly },
  ...targets.value.map(({ name, height }) => ({ name: words.heavyBag(name.toLowerCase()), told: height })),
  { name: words.uppercutBagFrom, told: uppercut.value.bottom },
  { name: words.uppercutBagTo, told: uppercut.value.top },
]);
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${room.wide} ${room.high}`" role="img" :aria-label="words.bagsAndTraineeDrawnTo">
      <line x1="0" :x2="room.wide" :y1="room.floor" :y2="room.floor" class="floor" />
      <!-- Speed bag and its board. -->
      <rect :x="places.speed - 40" :y="up(speed.board.value) - 4" width="80" height="4" class="board" />
      <path
        :transform="`translate(${places.speed} ${up(speed.belly.value)})`"
        :d="`M0 ${-(speed.board.value - speed.belly.value)} C 12 -8 13 2 9 8 Q 0 16 -9 8 C -13 2 -12 -8 0 ${-(speed.board.value - speed.belly.value)}`"
        class="bag"
      />
      <line
        :x1="places.speed - 20"
        :x2="places.trainee"
        :y1="up(speed.belly.value)"
        :y2="up(speed.belly.value)"
        class="measure"
      />
      <text :x="places.speed - 46" :y="up(speed.board.value) - 8">
        {{ words.boardBoard(lengthInWords(speed.board.value, units)) }}
      </text>
      <text :x="places.speed - 24" :y="up(speed.belly.value) + 3" text-anchor="end">{{ words.mouth }}</text>

      <g :transform="`translate(${places.trainee} ${room.floor})`"><BodyFigure :stature="body.stature" :arm-out="reach" /></g>

      <!-- Heavy bag with the opponent on it. -->
      <line :x1="places.heavy" :x2="places.heavy" y1="0" :y2="up(bag.top)" class="chain" />
      <rect
        :x="places.heavy - bag.width / 2"
        :y="up(bag.top)"
        :width="bag.width"
        :height="bag.top - bag.bottom"
        rx="6"
        class="bag"
      />
      <rect
        :x="places.heavy - bag.width / 2"
        :y="up(targets.at(-1)!.height.value)"
        :width="bag.width"
        :height="Math.max(0, targets.at(-1)!.height.value - bag.bottom)"
        class="forbidden"
      />
      <g v-for="{ name, height } in targets" :key="name">
        <line
          :x1="places.heavy - bag.width / 2"
          :x2="places.heavy + 30"
          :y1="up(height.value)"
          :y2="up(height.value)"
          class="measure"
        />
        <text :x="places.heavy + 33" :y="up(height.value) + 3">{{ name }} {{ lengthInWords(height.value, units) }}</text>
      </g>

      <!-- Uppercut bag. -->
      <line :x1="places.uppercut" :x2="places.uppercut" y1="0" :y2="up(uppercut.top.value)" class="chain" />
      <ellipse
        :cx="places.uppercut"
        :cy="up(uppercut.middle.value)"
        rx="19"
        :ry="(uppercut.top.value - uppercut.bottom.value) / 2"
        class="bag"
      />
      <text :x="places.uppercut" :y="up(uppercut.bottom.value) + 12" text-anchor="middle">
        {{ words.toBottom(lengthInWords(uppercut.bottom.value, units), lengthInWords(uppercut.top.value, units)) }}
      </text>
    </svg>
    <figcaption>
      {{ words.nothingBelowTheBeltLine(smallLengthInWords(speedBagTolerance, units)) }}
    </figcaption>
  </figure>
  <table class="told">
    <thead>
      <tr>
        <th>{{ words.fromTheFloor }}</th>
        <th>{{ words.height }}</th>
        <th>{{ words.whereItComesFrom }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="{ name, told } in rows" :key="name">
        <td>{{ name }}</td>
        <td class="number">{{ toldInWords(told, units) }}</td>
        <td class="quiet">{{ told.source }}</td>
      </tr>
    </tbody>
  </table>
</template>
