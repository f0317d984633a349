<script setup lang="ts">
import type { Family } from '@wax-fist/core/technique';
import { CustomChart, LineChart } from 'echarts/charts';
import { AriaComponent, GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { use, type EChartsCoreOption } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { cssColour } from '../../app/css-colour.ts';
import { useFontsReady } from '../../app/fonts-ready.ts';
import { percent, rateInWords, faultsOfSeen, shortDay } from '../../app/format.ts';
import { familyShapes } from '../checklists/family-shape.ts';
import { runsOfRung, type RatePoint } from './rates-over-sessions.ts';

use([LineChart, CustomChart, GridComponent, TooltipComponent, MarkLineComponent, AriaComponent, CanvasRenderer]);

const {
  points,
  target = undefined,
  family,
  name,
} = defineProps<{ points: RatePoint[]; target?: number; family: Family | undefined; name: string }>();
const emit = defineEmits<{ pick: [sessionId: string] }>();

const font = 'Saira Semi Condensed';
const fontsReady = useFontsReady();

interface Drawing {
  coord: (at: [number, number]) => [number, number];
  value: (dimension: number) => number;
}
/** The interval as a bracket: a stem with feet. */
function bracket(_params: unknown, api: Drawing) {
  const [x, low] = api.coord([api.value(0), api.value(1)]);
  const [, high] = api.coord([api.value(0), api.value(2)]);
  const line = (x1: number, y1: number, x2: number, y2: number) => ({
    type: 'line',
    shape: { x1, y1, x2, y2 },
    style: { stroke: cssColour('--quiet'), lineWidth: 2 },
  });
  return { type: 'group', children: [line(x, low, x, high), line(x - 7, low, x + 7, low), line(x - 7, high, x + 7, high)] };
}

/** The aim as a line over the whole width, told at its left end, where no rate stands. */
const aim = (height: number) => ({
  type: 'line',
  data: [],
  markLine: {
    silent: true,
    symbol: 'none',
    data: [{ yAxis: height }],
    lineStyle: { color: cssColour('--clean'), type: 'dotted', width: 2 },
    label: {
      formatter: `aim ${percent(height)}`,
      color: cssColour('--clean'),
      backgroundColor: cssColour('--paper'),
      padding: [1, 3],
      fontFamily: font,
      fontSize: 14,
      position: 'insideStartTop',
    },
  },
});

const colour = (): string => cssColour(family ? `--${family}` : '--quiet');
const option = computed<EChartsCoreOption>(() => ({
  animation: false,
  aria: {
    enabled: true,
    label: {
      description: `${name}: ${points.map(({ heldOn, rate }) => `${shortDay(heldOn)} ${faultsOfSeen(rate)}, ${rateInWords(rate)}`).join('; ')}`,
    },
  },
  grid: { left: 52, right: 24, top: 18, bottom: 48 },
  textStyle: { fontFamily: font },
  tooltip: {
    trigger: 'item',
    renderMode: 'richText',
    formatter: ({ dataIndex }: { dataIndex: number }) => {
      const { heldOn, rung, rate } = points[dataIndex]!;
      return `${shortDay(heldOn)}, rung ${rung}\n${faultsOfSeen(rate)} seen\n${rateInWords(rate)}`;
    },
  },
  xAxis: {
    type: 'category',
    data: points.map(({ heldOn, rung }) => `${shortDay(heldOn)}\nrung ${rung}`),
    axisTick: { show: false },
    axisLabel: { fontSize: 14, color: cssColour('--quiet'), fontFamily: font, lineHeight: 18 },
  },
  yAxis: {
    type: 'value',
    min: 0,
    max: 1,
    interval: 0.25,
    axisLabel: { formatter: percent, fontSize: 14, color: cssColour('--quiet'), fontFamily: font },
    splitLine: { lineStyle: { color: cssColour('--line') } },
  },
  series: [
    {
      type: 'custom',
      silent: true,
      renderItem: bracket,
      data: points.map(({ rate }, place) => [place, rate.low, rate.high]),
      encode: { x: 0, y: [1, 2] },
      z: 1,
    },
    // Only what was seen at one rung is a line: another rung asks another question.
    ...runsOfRung(points).map((run) => ({
      type: 'line',
      data: points.map(({ rate }, place) => (run.includes(place) ? rate.rate : '-')),
      connectNulls: true,
      symbol: family ? `path://${familyShapes[family]}` : 'circle',
      symbolSize: 18,
      lineStyle: { color: colour(), width: 2, type: 'solid' },
      itemStyle: { color: colour() },
      label: {
        show: true,
        // Beside the stem, on the side from which no line comes in.
        position: [22, -8],
        backgroundColor: cssColour('--paper'),
        padding: [1, 3],
        fontFamily: font,
        fontSize: 15,
        color: colour(),
        formatter: ({ dataIndex }: { dataIndex: number }) => faultsOfSeen(points[dataIndex]!.rate),
      },
      z: 3,
    })),
    ...(target === undefined ? [] : [aim(target)]),
  ],
}));
</script>

<template>
  <VChart
    v-if="fontsReady"
    class="chart"
    :option="option"
    autoresize
    @click="emit('pick', points[$event.dataIndex]!.sessionId)"
  />
  <div v-else class="chart" />
</template>

<style scoped>
.chart {
  height: 250px;
}
</style>
