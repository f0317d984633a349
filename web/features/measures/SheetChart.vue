<script setup lang="ts">
import { ScatterChart } from 'echarts/charts';
import { AriaComponent, GridComponent, MarkAreaComponent, TooltipComponent } from 'echarts/components';
import { use, type EChartsCoreOption } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { cssColour } from '../../app/css-colour.ts';
import { useFontsReady } from '../../app/fonts-ready.ts';
import { clock } from '../../app/format.ts';
import { endsOf, scaleFor } from '../checklists/band-scale.ts';
import { measuredInWords, valueInWords } from '../checklists/measured-words.ts';
import type { SheetMark, SheetRow } from './sheet-rows.ts';
import { measuresWords as words } from './words.ts';

use([ScatterChart, GridComponent, MarkAreaComponent, TooltipComponent, AriaComponent, CanvasRenderer]);

/** Every strike of every row as a mark on its band, one row under the other. */
const {
  rows,
  rowHeight,
  picked = undefined,
} = defineProps<{
  /** Each with the stature of whoever it is measured of. */
  rows: readonly (SheetRow & { stature: number | null })[];
  /** Pixels that a row takes in the page. */
  rowHeight: number;
  /** The strike that stands out in every row. */
  picked?: string | undefined;
}>();
const emit = defineEmits<{ pick: [mark: SheetMark] }>();
const font = 'Saira Semi Condensed';
const fontsReady = useFontsReady();
/** Room above the strip, and below it for its numbers. */
const [above, below] = [8, 22];

/** Marks of about the same value beside each other: strikes in turn on one of so many lines. */
const lines = 7;
const line = (place: number): number => ((place * 3) % lines) / (lines - 1);

const area = (span: readonly [number | null, number | null], from: number, to: number, colour: string) => [
  { xAxis: span[0] ?? from, itemStyle: { color: colour } },
  { xAxis: span[1] ?? to },
];

const option = computed<EChartsCoreOption>(() => {
  const scales = rows.map(({ band, marks }) =>
    scaleFor(
      band,
      marks.map(({ value }) => value),
    ),
  );
  return {
    animation: false,
    aria: {
      enabled: true,
      label: { description: rows.map(({ name, marks }) => words.strikesName(name, marks.length)).join('; ') },
    },
    textStyle: { fontFamily: font },
    tooltip: {
      trigger: 'item',
      renderMode: 'richText',
      formatter: ({ seriesIndex, dataIndex }: { seriesIndex: number; dataIndex: number }) => {
        const { marks, measure, stature } = rows[seriesIndex]!;
        const mark = marks[dataIndex]!;
        return `${clock(mark.at)}\n${measuredInWords(measure, mark, stature)}`;
      },
    },
    grid: rows.map((_, place) => ({
      left: 6,
      right: 6,
      top: place * rowHeight + above,
      height: rowHeight - above - below,
      show: true,
      borderWidth: 0,
      backgroundColor: cssColour('--fault-ground'),
    })),
    xAxis: rows.map(({ band, measure, stature }, gridIndex) => ({
      type: 'value',
      gridIndex,
      min: scales[gridIndex]!.from,
      max: scales[gridIndex]!.to,
      axisTick: { show: false },
      axisLine: { show: false },
      splitLine: { show: false },
      axisLabel: {
        customValues: [...new Set(endsOf(band))],
        formatter: (value: number) => valueInWords(measure, value, stature),
        hideOverlap: true,
        fontFamily: font,
        fontSize: 13,
        margin: 4,
        color: cssColour('--quiet'),
      },
    })),
    yAxis: rows.map((_, gridIndex) => ({ type: 'value', gridIndex, min: -0.25, max: 1.25, show: false })),
    series: rows.map(({ marks, band }, place) => ({
      type: 'scatter',
      xAxisIndex: place,
      yAxisIndex: place,
      data: marks.map(({ value, strikeId }, strike) => ({
        value: [value, line(strike)],
        ...(strikeId === picked && { symbolSize: 16, itemStyle: { color: cssColour('--picked'), opacity: 1, borderWidth: 2 } }),
      })),
      symbolSize: 9,
      symbol: 'circle',
      cursor: 'pointer',
      itemStyle: { color: cssColour('--ink'), opacity: 0.75, borderColor: cssColour('--paper'), borderWidth: 1 },
      emphasis: { scale: 1.5, itemStyle: { opacity: 1 } },
      markArea: {
        silent: true,
        data: [
          area(band.watch, scales[place]!.from, scales[place]!.to, cssColour('--watch-ground')),
          area(band.clean, scales[place]!.from, scales[place]!.to, cssColour('--clean-ground')),
        ],
      },
    })),
  };
});
const height = computed(() => `${rows.length * rowHeight}px`);
</script>

<template>
  <VChart
    v-if="fontsReady"
    :style="{ height }"
    :option="option"
    :update-options="{ notMerge: true }"
    autoresize
    @click="emit('pick', rows[$event.seriesIndex!]!.marks[$event.dataIndex]!)"
  />
  <div v-else :style="{ height }" />
</template>
