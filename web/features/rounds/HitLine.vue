<script setup lang="ts">
import { heardCombinations } from '@wax-fist/core/rounds';
import type { Hit } from '@wax-fist/core/sound';
import type { Ms } from '@wax-fist/core/units';
import { computed } from 'vue';
import { hitBar, hitInWords } from './hit-bar.ts';

/** One round: its hits as bars, combinations bracketed. `span` is the length that fills the whole width. */
const { round, span, hits, gap, at } = defineProps<{
  round: { name: string; from: Ms; to: Ms };
  span: Ms;
  hits: readonly Hit[];
  gap: Ms;
  at: Ms;
  /** Drawn low, without brackets. */
  low: boolean;
}>();
const emit = defineEmits<{ go: [time: Ms] }>();

const left = (time: Ms): string => `${(100 * (time - round.from)) / span}%`;
const bars = computed(() => hits.map((hit) => ({ ...hit, style: { left: left(hit.time), ...hitBar(hit) } })));
const brackets = computed(() =>
  heardCombinations(hits, gap)
    .filter((group) => group.length > 1)
    .map((group) => {
      const [from, to] = [group[0]!.time, group.at(-1)!.time];
      return { key: from, style: { left: left(from), width: `${(100 * (to - from)) / span}%` } };
    }),
);
const inside = computed(() => at >= round.from && at <= round.to);
const width = computed(() => ({ width: `${(100 * (round.to - round.from)) / span}%` }));

function go(event: MouseEvent): void {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
  const time = round.from + ((event.clientX - box.left) / box.width) * span;
  emit('go', Math.min(round.to, time));
}
</script>

<template>
  <div class="line" :class="{ low }" role="group" :aria-label="round.name" @click="go">
    <i class="ground" :style="width" />
    <i v-for="{ key, style } in brackets" :key="key" class="bracket" :style="style" />
    <div class="hits">
      <i
        v-for="hit in bars"
        :key="hit.time"
        class="hit"
        :class="hit.by"
        :style="hit.style"
        :title="hitInWords(hit)"
        @click.stop="emit('go', hit.time)"
      />
    </div>
    <slot />
    <i v-if="inside" class="playhead" :style="{ left: left(at) }" />
    <span class="name">{{ round.name }} <b class="number">{{ hits.length }}</b></span>
  </div>
</template>

<style scoped>
.line {
  position: relative;
  flex: none;
  height: 92px;
  cursor: crosshair;
  overflow: hidden;
}
.line.low {
  height: 28px;
}
.ground {
  position: absolute;
  inset: 0 auto 0 0;
  background: rgb(var(--v-theme-surface));
}
.hits {
  position: absolute;
  inset: auto 0 0;
  height: 50px;
}
.low .hits {
  height: 20px;
}
.hit {
  position: absolute;
  bottom: 0;
  width: 4px;
  margin-left: -2px;
}
.low .hit {
  width: 2px;
  margin-left: -1px;
}
.hit.motion {
  background: none !important;
  border: 1px dashed var(--quiet);
}
.hit.coach {
  border-top: 4px solid var(--steel);
}
.bracket {
  position: absolute;
  top: 34px;
  height: 4px;
  border: 1.5px solid var(--quiet);
  border-top: 0;
}
.low .bracket {
  display: none;
}
.playhead {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  margin-left: -1px;
  background: var(--signal);
  pointer-events: none;
}
.name {
  position: absolute;
  right: 4px;
  bottom: 1px;
  font-size: var(--type-tiny);
  line-height: 1.2;
  color: var(--quiet);
  background: var(--shade);
  padding: 0 var(--space-1);
  pointer-events: none;
}
</style>
