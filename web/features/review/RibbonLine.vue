<script setup lang="ts">
import type { Hit } from '@wax-fist/core/sound';
import type { Verdict } from '@wax-fist/core/review';
import type { Ms } from '@wax-fist/core/units';
import HitLine from '../rounds/HitLine.vue';
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
const { round, span } = defineProps<{
  round: { name: string; from: Ms; to: Ms };
  span: Ms;
  hits: readonly Hit[];
  gap: Ms;
  marks: readonly RibbonMark[];
  at: Ms;
  selected: string | undefined;
  /** A round that is not in hand is drawn low, without calls. */
  low: boolean;
}>();
const emit = defineEmits<{ select: [strikeId: string]; go: [time: Ms] }>();
const left = (time: Ms): string => `${(100 * (time - round.from)) / span}%`;
</script>

<template>
  <HitLine :round="round" :span="span" :hits="hits" :gap="gap" :at="at" :low="low" @go="emit('go', $event)">
    <button
      v-for="mark in marks"
      :key="mark.id"
      type="button"
      class="mark"
      :class="{ selected: mark.id === selected, dim: mark.dim, low }"
      :style="{ left: left(mark.contact) }"
      :aria-label="mark.name"
      :aria-current="mark.id === selected"
      tabindex="-1"
      @click.stop="emit('select', mark.id)"
    >
      <VerdictSign :verdict="mark.verdict" :size="low ? 9 : 13" aria-hidden="true" />
      <span v-if="!low" class="number">{{ mark.call }}</span>
    </button>
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
.mark.low {
  top: 1px;
}
.mark .number {
  font-size: 13px;
  margin: 2px 0 3px;
  color: #d9d7d0;
}
.mark.selected {
  background: #e9b44c30;
  box-shadow: inset 0 0 0 1px #e9b44c;
}
.mark.dim {
  opacity: 0.22;
}
</style>
