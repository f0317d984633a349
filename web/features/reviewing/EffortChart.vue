<script setup lang="ts">
import type { EffortWeek } from '@wax-fist/contract/reviewing';
import { max } from 'd3-array';
import { BarChart } from 'echarts/charts';
import { AriaComponent, GridComponent, TitleComponent, TooltipComponent } from 'echarts/components';
import { use, type EChartsCoreOption } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { cssColour } from '../../app/css-colour.ts';
import { useFontsReady } from '../../app/fonts-ready.ts';
import { shortDay } from '@wax-fist/core/words';
import { costFigures, costOf } from './reviewing-words.ts';

use([BarChart, GridComponent, TooltipComponent, TitleComponent, AriaComponent, CanvasRenderer]);

/** Minutes a round, presses a strike and proposals taken, week by week, one under the other on the same weeks. */
const { weeks } = defineProps<{ weeks: readonly EffortWeek[] }>();
const font = 'Saira Semi Condensed';
const fontsReady = useFontsReady();
const [top, panelHeight, gap, foot] = [34, 84, 44, 26];
/** What nothing was ever said of has no panel. */
const costs = computed(() => weeks.map(costOf));
const figures = computed(() => costFigures.filter(({ id }) => costs.value.some((cost) => cost[id] !== undefined)));
const height = computed(() => top + figures.value.length * (panelHeight + gap) - gap + foot);
const place = (panel: number): number => top + panel * (panelHeight + gap);

const option = computed<EChartsCoreOption>(() => {
  const quiet = { fontSize: 13, color: cssColour('--quiet'), fontFamily: font };
  return {
    animation: false,
    aria: { enabled: true },
    textStyle: { fontFamily: font },
    title: figures.value.map(({ name, says }, panel) => ({
      text: `{name|${name}}  ${says}`,
      left: 0,
      top: place(panel) - 32,
      textStyle: { ...quiet, fontWeight: 400, rich: { name: { fontSize: 15, fontWeight: 700, color: cssColour('--ink') } } },
    })),
    grid: figures.value.map((_, panel) => ({ left: 0, right: 0, top: place(panel), height: panelHeight })),
    tooltip: { trigger: 'item', renderMode: 'richText' },
    xAxis: figures.value.map((_, panel) => ({
      type: 'category',
      gridIndex: panel,
      data: weeks.map(({ monday }) => shortDay(monday)),
      axisTick: { show: false },
      axisLine: { lineStyle: { color: cssColour('--line') } },
      axisLabel: { ...quiet, show: panel === figures.value.length - 1, hideOverlap: true },
    })),
    yAxis: figures.value.map(({ id, most }, panel) => ({
      type: 'value',
      gridIndex: panel,
      min: 0,
      max: most ?? 1.25 * (max(costs.value, (cost) => cost[id]) ?? 1),
      show: false,
    })),
    series: figures.value.map(({ id, name, written }, panel) => ({
      type: 'bar',
      name,
      xAxisIndex: panel,
      yAxisIndex: panel,
      barMaxWidth: 34,
      data: costs.value.map((cost) => cost[id] ?? null),
      itemStyle: { color: `${cssColour('--quiet')}8c` },
      label: {
        show: true,
        position: 'top',
        fontFamily: font,
        fontSize: 14,
        color: cssColour('--ink'),
        formatter: ({ value }: { value: number | null }) => (value === null ? '' : written(value)),
      },
    })),
  };
});
</script>

<template>
  <VChart v-if="fontsReady" :style="{ height: `${height}px` }" :option="option" autoresize />
  <div v-else :style="{ height: `${height}px` }" />
</template>
