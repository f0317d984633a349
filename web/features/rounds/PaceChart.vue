<script setup lang="ts">
import { decimal, minutes } from '@wax-fist/core/words';
import type { RoundFigures } from '@wax-fist/core/rounds';
import { BarChart, LineChart } from 'echarts/charts';
import { AriaComponent, GridComponent, LegendComponent, TooltipComponent } from 'echarts/components';
import { use, type EChartsCoreOption } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { cssColour } from '../../app/css-colour.ts';
import { useFontsReady } from '../../app/fonts-ready.ts';
import { roundsWords as words } from './words.ts';

use([BarChart, LineChart, GridComponent, LegendComponent, TooltipComponent, AriaComponent, CanvasRenderer]);

/** Pace, loudness and snap through a round, in half minutes. */
const {
  figures,
  from,
  name,
  picked = undefined,
} = defineProps<{
  figures: RoundFigures;
  from: number;
  name: string;
  /** The place of the half minute that stands out. */
  picked?: number | undefined;
}>();
const emit = defineEmits<{ pick: [stretch: number] }>();
const font = 'Saira Semi Condensed';
const fontsReady = useFontsReady();
const one = (value: number | undefined): string => (value === undefined ? '–' : decimal(value, 1));

const option = computed<EChartsCoreOption>(() => {
  const { stretches } = figures;
  const axisLabel = { fontFamily: font, fontSize: 14, color: cssColour('--quiet') };
  const line = (title: string, grid: number, data: (number | undefined)[], colour: string) => ({
    name: title,
    type: 'line',
    xAxisIndex: grid,
    yAxisIndex: grid,
    data: data.map((value) => value ?? '-'),
    symbolSize: 8,
    lineStyle: { width: 2, color: colour },
    itemStyle: { color: colour },
  });
  const titles = [words.hitsPerS, words.loudnessDb, words.snap];
  const tops = [32, 142, 226];
  const heights = [66, 44, 44];
  return {
    animation: false,
    aria: {
      enabled: true,
      label: {
        description: `${name}: ${stretches
          .map(({ from: start, pace, level, snap }) =>
            words.paceLoudnessDbSnap(minutes(start - from), one(pace), one(level), one(snap)),
          )
          .join('; ')}`,
      },
    },
    textStyle: { fontFamily: font },
    tooltip: {
      trigger: 'axis',
      renderMode: 'richText',
      valueFormatter: (value: number | string) => (typeof value === 'number' ? decimal(value, 1) : value),
    },
    grid: tops.map((top, place) => ({ left: 40, right: 12, top, height: heights[place] })),
    xAxis: tops.map((_, gridIndex) => ({
      type: 'category',
      gridIndex,
      data: stretches.map((stretch) => minutes(stretch.from - from)),
      axisTick: { show: false },
      axisLabel: { ...axisLabel, show: gridIndex === 2 },
    })),
    yAxis: titles.map((title, gridIndex) => ({
      type: 'value',
      gridIndex,
      name: title,
      nameLocation: 'end',
      nameGap: 14,
      nameTextStyle: { ...axisLabel, align: 'left', padding: [0, 0, 0, -38] },
      splitNumber: 2,
      ...(gridIndex === 2 ? { min: 0, max: 1, interval: 0.5 } : { minInterval: 1 }),
      scale: gridIndex === 1,
      axisLabel,
      splitLine: { lineStyle: { color: cssColour('--line') } },
    })),
    series: [
      {
        name: titles[0],
        type: 'bar',
        data: stretches.map(({ pace }, place) => ({
          value: pace,
          ...(place === picked && { itemStyle: { color: cssColour('--picked') } }),
        })),
        barMaxWidth: 46,
        itemStyle: { color: '#17494d' },
        label: {
          show: stretches.length < 14,
          position: 'insideTop',
          formatter: ({ value }: { value: number }) => value.toFixed(0),
          fontFamily: font,
          fontSize: 14,
          color: '#fff',
        },
      },
      line(
        titles[1]!,
        1,
        stretches.map(({ level }) => level),
        '#8a5a12',
      ),
      line(
        titles[2]!,
        2,
        stretches.map(({ snap }) => snap),
        '#1b5e9e',
      ),
    ],
  };
});
</script>

<template>
  <VChart v-if="fontsReady" class="chart" :option="option" autoresize @click="emit('pick', $event.dataIndex)" />
  <div v-else class="chart" />
</template>

<style scoped>
.chart {
  height: 296px;
}
</style>
