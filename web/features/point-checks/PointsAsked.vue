<script setup lang="ts">
import type { AskedPoint } from '@wax-fist/contract/point-checks';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { useKeys, type KeyAction } from '../../app/keys/use-keys.ts';
import MagnifiedPlace from '../../player/MagnifiedPlace.vue';
import AskedPicture from './AskedPicture.vue';
import CheckedPoints from './CheckedPoints.vue';
import { askedInWords } from './point-words.ts';
import { usePointCheck } from './use-point-check.ts';
import { pointChecksWords as words } from './words.ts';

/** Where is it? One point after the other, without what was found. */
const { asked } = defineProps<{ asked: readonly AskedPoint[] }>();
defineEmits<{ more: [] }>();
const router = useRouter();
const check = usePointCheck(asked);
const { at, current, place, still, failure, saving, said } = check;
const wanted = computed(() => current.value && askedInWords(current.value.point, current.value.seen));

const ways = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1] } as const;
type Way = keyof typeof ways;
type CheckKey = 'here' | 'hide' | 'back' | 'leave' | Way | `far-${Way}`;
const group = words.checkingPoints;
const arrow = (way: Way): string => `Arrow${way[0]!.toUpperCase()}${way.slice(1)}`;
const table: readonly KeyAction<CheckKey>[] = [
  { id: 'here', group, name: words.itIsHereNextOne, keys: ['Enter'] },
  { id: 'hide', group, name: words.itCannotBeSeen, keys: ['h'] },
  { id: 'back', group, name: words.theOneBefore, keys: ['Backspace'] },
  { id: 'leave', group, name: words.leave, keys: ['Escape'] },
  ...(Object.keys(ways) as Way[]).flatMap((way): KeyAction<CheckKey>[] => [
    { id: way, group, name: words.onePixel(way), keys: [arrow(way)] },
    { id: `far-${way}`, group, name: words.eightPixels(way), keys: [`Shift+${arrow(way)}`] },
  ]),
];
const leave = (): void => void router.push({ name: 'point-checks' });
const acts: Record<Exclude<CheckKey, Way | `far-${Way}`>, () => unknown> = {
  here: check.next,
  hide: check.hide,
  back: check.back,
  leave,
};
const { drawn } = useKeys(table, 'check-keys', (id) => {
  if (id in acts) return void acts[id as keyof typeof acts]();
  if (!current.value) return;
  const [dx, dy] = ways[id.replace('far-', '') as Way];
  const far = id.startsWith('far-') ? 8 : 1;
  check.nudge(far * dx, far * dy);
});
</script>

<template>
  <CheckedPoints v-if="!current" :said="said.map(({ id }) => id)" @more="$emit('more')" />
  <div v-else class="check">
    <header aria-live="polite">
      <p class="quiet number">{{ words.ofAt(at + 1, asked.length) }}</p>
      <h1>{{ words.whereIsThe(wanted!.name) }}</h1>
      <p class="quiet">{{ wanted!.hint }}</p>
    </header>
    <AskedPicture class="picture" :asked="current" :still="still" :place="place" :name="wanted!.name" @put="check.put" />
    <section>
      <p>{{ words.clickOnTheMiddleOf }}</p>
      <VAlert v-if="failure" type="warning" variant="tonal" role="alert">{{ failure }}</VAlert>
      <div class="acts">
        <VBtn color="primary" :disabled="!place || saving" @click="check.next">
          {{ words.hereNext }} <kbd>{{ drawn('here') }}</kbd>
        </VBtn>
        <VBtn variant="outlined" :disabled="saving" @click="check.hide">
          {{ words.cantBeSeen }} <kbd>{{ drawn('hide') }}</kbd>
        </VBtn>
        <VBtn variant="text" :disabled="at === 0" @click="check.back">
          {{ words.theOneBefore }} <kbd>{{ drawn('back') }}</kbd>
        </VBtn>
        <VBtn variant="text" @click="leave">{{ words.leave }}</VBtn>
      </div>
      <MagnifiedPlace v-if="place && still" :place="{ name: wanted!.name, ...place }" :picture="still" :frame="current.frame" />
      <p v-else class="quiet">
        {{ words.whatTheModelFoundIs }}
      </p>
    </section>
  </div>
</template>

<style scoped>
.check {
  display: grid;
  grid-template: 'picture head' auto 'picture acts' 1fr / minmax(0, 1fr) 320px;
  gap: var(--space-2) var(--space-6);
  align-items: start;
}
header {
  grid-area: head;
}
.picture {
  grid-area: picture;
}
section {
  grid-area: acts;
}
h1 {
  margin: 0 0 var(--space-1);
}
.acts {
  display: grid;
  gap: var(--space-2);
  margin: var(--space-4) 0;
}
kbd {
  margin-left: var(--space-2);
}
@media screen and (max-width: 899px) {
  .check {
    grid-template: 'head' auto 'picture' auto 'acts' auto / minmax(0, 1fr);
  }
}
</style>
