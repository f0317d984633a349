<script setup lang="ts">
import { isMeasureId, measures, verdictIn, type Band } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { endsOf, scaleFor } from './band-scale.ts';
import { measuredInWords, valueInWords } from './measured-words.ts';
import { checklistsWords as words } from './words.ts';

/** A band from fault over watch to clean, and on it what was measured with its spread. Never a bare number. */
const {
  band,
  measure,
  values = [],
} = defineProps<{ band: Band; measure: string; values?: readonly { value: number; doubt: number }[] }>();

const unit = computed(() => (isMeasureId(measure) ? measures[measure].unit : 'ratio'));
const ends = computed(() => endsOf(band));
const scale = computed(() =>
  scaleFor(
    band,
    values.map(({ value }) => value),
  ),
);
const place = (value: number): number =>
  (100 * (Math.min(Math.max(value, scale.value.from), scale.value.to) - scale.value.from)) / (scale.value.to - scale.value.from);
const span = ([from, to]: Band['clean']) => {
  const left = place(from ?? scale.value.from);
  return { left: `${left}%`, width: `${place(to ?? scale.value.to) - left}%` };
};
const marks = computed(() =>
  values.map(({ value, doubt }) => ({
    at: `${place(value)}%`,
    left: `${place(value - doubt)}%`,
    width: `${place(value + doubt) - place(value - doubt)}%`,
    verdict: verdictIn(band, value),
  })),
);
/** Room that a number takes, in hundredths of the scale. */
const numberWidth = computed(() => (unit.value === 'milliseconds' ? 24 : 11));
/** Ends whose numbers have room: the one further out gives way. */
const told = computed(() => {
  const inner = band.clean.filter((end): end is number => end !== null);
  return [...new Set(ends.value)].filter(
    (end) => inner.includes(end) || inner.every((other) => Math.abs(place(other) - place(end)) > numberWidth.value),
  );
});
const said = (value: number): string => valueInWords(measure, value);
const label = computed(() => {
  const edges = (name: string, [from, to]: Band['clean']): string =>
    `${name} ${from === null ? '' : words.fromFrom(said(from))}${to === null ? '' : words.toTo(said(to))}`.trim();
  const measured = values.length === 1 ? `${measuredInWords(measure, values[0]!)}; ` : '';
  return `${measured}${edges('clean', band.clean)}; ${edges('watch', band.watch)}`;
});
</script>

<template>
  <div class="scale" role="img" :aria-label="label" :title="label">
    <i class="watch" :style="span(band.watch)" />
    <i class="clean" :style="span(band.clean)" />
    <template v-for="(mark, index) in marks" :key="index">
      <i v-if="marks.length < 40" class="spread" :style="{ left: mark.left, width: mark.width }" />
      <i class="at" :class="{ many: marks.length > 1 }" :style="{ left: mark.at }" />
    </template>
    <span v-for="end in told" :key="end" class="end number" :style="{ left: `${place(end)}%` }">{{ said(end) }}</span>
  </div>
</template>

<style scoped>
.scale {
  position: relative;
  height: 14px;
  margin-bottom: var(--space-4);
  background: repeating-linear-gradient(-45deg, color-mix(in srgb, var(--fault) 30%, transparent) 0 3px, transparent 3px 6px);
  border-bottom: 1px solid var(--line);
}
.scale > i {
  position: absolute;
  top: 0;
  bottom: 0;
}
.watch {
  background: color-mix(in srgb, var(--watch) 45%, rgb(var(--v-theme-surface)));
}
.clean {
  background: color-mix(in srgb, var(--clean) 65%, rgb(var(--v-theme-surface)));
}
.spread {
  margin-block: var(--space-1);
  background: rgb(var(--v-theme-on-surface));
  opacity: 0.35;
}
.at {
  width: 3px;
  margin-left: -1.5px;
  background: rgb(var(--v-theme-on-surface));
}
.at.many {
  width: 1px;
  opacity: 0.45;
}
.end {
  position: absolute;
  top: 15px;
  transform: translateX(-50%);
  font-size: var(--type-tiny);
  white-space: nowrap;
  color: var(--quiet);
}
</style>
