<script setup lang="ts">
import type { Hit } from '@wax-fist/core/sound';
import type { Verdict } from '@wax-fist/core/review';
import type { Ms } from '@wax-fist/core/units';
import { computed } from 'vue';
import HitLine from '../rounds/HitLine.vue';
import { apart } from './ribbon-window.ts';
import VerdictSign from './VerdictSign.vue';

/** A strike as the ribbon shows it. */
export interface RibbonMark {
  id: string;
  contact: Ms;
  call: string;
  name: string;
  verdict: Verdict | undefined;
  dim: boolean;
}

/** One round: its hits, and its strikes with their signs above them. */
const {
  round,
  span,
  marks,
  least = 0,
  large = undefined,
} = defineProps<{
  round: { name: string; from: Ms; to: Ms };
  span: Ms;
  hits: readonly Hit[];
  gap: Ms;
  marks: readonly RibbonMark[];
  /** Least share of the width between two marks; those that would lie over each other give way. */
  least?: number;
  /** What of it is drawn large, above. */
  large?: { from: Ms; to: Ms };
  at: Ms;
  selected: string | undefined;
  /** A round that is not in hand is drawn low, without calls. */
  low: boolean;
}>();
const emit = defineEmits<{ select: [strikeId: string]; go: [time: Ms] }>();
const place = (time: Ms): number => (time - round.from) / span;
const left = (share: number): string => `${100 * share}%`;
const placed = computed(() => {
  const places = apart(
    marks.map(({ contact }) => place(contact)),
    Number.isFinite(least) ? least : 0,
  );
  return marks.map((mark, order) => ({ ...mark, left: left(places[order]!) }));
});
</script>

<template>
  <HitLine :round="round" :span="span" :hits="hits" :gap="gap" :at="at" :low="low" @go="emit('go', $event)">
    <button
      v-for="mark in placed"
      :key="mark.id"
      type="button"
      class="mark"
      :class="{ selected: mark.id === selected, dim: mark.dim, low }"
      :style="{ left: mark.left }"
      :aria-label="mark.name"
      :aria-current="mark.id === selected"
      tabindex="-1"
      @click.stop="emit('select', mark.id)"
    >
      <VerdictSign :verdict="mark.verdict" :size="low ? 9 : 13" aria-hidden="true" />
      <span v-if="!low" class="number">{{ mark.call }}</span>
    </button>
    <i v-if="large" class="large" :style="{ left: left(place(large.from)), width: left((large.to - large.from) / span) }" />
  </HitLine>
</template>

<style scoped>
.mark {
  position: absolute;
  top: 3px;
  bottom: 0;
  width: 18px;
  margin-left: -9px;
  display: flex;
  flex-direction: column;
  align-items: center;
  line-height: 1;
}
.large {
  position: absolute;
  top: 0;
  bottom: 0;
  border: 1.5px solid var(--chalk);
  border-radius: 2px;
  pointer-events: none;
}
.mark.low {
  top: 1px;
}
.mark .number {
  font-size: var(--type-note);
  margin: var(--space-0-5) 0 var(--space-1);
  color: var(--chalk);
}
.mark.selected {
  background: var(--signal-ground);
  box-shadow: inset 0 0 0 1px var(--signal);
}
.mark.dim {
  opacity: 0.22;
}
</style>
