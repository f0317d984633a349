<script setup lang="ts">
import type { Family } from '@wax-fist/core/technique';
import { addDays } from 'date-fns/addDays';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { LineChart, ScatterChart } from 'echarts/charts';
import { AriaComponent, GridComponent, MarkLineComponent, TitleComponent, TooltipComponent } from 'echarts/components';
import { use, type EChartsCoreOption } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { cssColour } from '../../app/css-colour.ts';
import { useFontsReady } from '../../app/fonts-ready.ts';
import { faultsOfSeen, levelInWords, percent, shortDay } from '@wax-fist/core/words';
import { familyShapes } from '../checklists/family-shape.ts';
import type { LevelPanel, MarkedDay, PanelPoint } from './level-panels.ts';
import { correctionsWords as words } from './words.ts';

use([LineChart, ScatterChart, GridComponent, TooltipComponent, TitleComponent, MarkLineComponent, AriaComponent, CanvasRenderer]);

const { panels, days, target, family, name } = defineProps<{
  panels: readonly LevelPanel[];
  /** Days that explain something, drawn over all panels. */
  days: readonly MarkedDay[];
  target: number | undefined;
  family: Family | undefined;
  name: string;
}>();
const emit = defineEmits<{ pick: [sessionId: string] }>();

const font = 'Saira Semi Condensed';
const fontsReady = useFontsReady();
const [top, panelHeight, gap, foot] = [30, 116, 40, 26];
const height = computed(() => top + panels.length * (panelHeight + gap) - gap + foot);
const place = (panel: number): number => top + panel * (panelHeight + gap);
const colour = (): string => cssColour(family ? `--${family}` : '--quiet');

/** Every day that is drawn, the first one first. */
const all = computed(() => panels.flatMap(({ points }) => points.map(({ heldOn }) => heldOn)).sort());

/** The aim across, and days that explain something down. */
const marks = (first: boolean) => ({
  silent: true,
  symbol: 'none',
  animation: false,
  data: [
    ...(target === undefined
      ? []
      : [
          {
            yAxis: target,
            lineStyle: { color: cssColour('--clean'), type: 'dotted', width: 2 },
            label: {
              formatter: words.aimTarget(percent(target)),
              color: cssColour('--clean'),
              position: 'insideStartTop',
              fontSize: 13,
            },
          },
        ]),
    ...days.map(({ day, says }) => ({
      xAxis: day,
      lineStyle: { color: cssColour('--quiet'), type: 'dashed', width: 1 },
      label: {
        show: first,
        formatter: says,
        color: cssColour('--quiet'),
        position: 'insideEndTop',
        rotate: 0,
        align: 'left',
        offset: [6, 14],
        fontSize: 13,
      },
    })),
  ],
});

const line = (panel: number, data: [string, number][], change: object) => ({
  ...{ type: 'line', xAxisIndex: panel, yAxisIndex: panel, data, symbol: 'none', silent: true, lineStyle: { width: 0 } },
  ...change,
});
/** A level that was told once is drawn as wide as a day. */
function drawn<One extends PanelPoint>(points: readonly One[]): readonly One[] {
  const [only] = points;
  if (points.length !== 1 || !only) return points;
  const day = addDays(parseISO(only.heldOn), only.heldOn === all.value[0] ? 1 : -1);
  const other = { ...only, heldOn: format(day, 'yyyy-MM-dd') };
  return other.heldOn < only.heldOn ? [other, only] : [only, other];
}
const seriesOf = ({ points }: LevelPanel, panel: number) => {
  const wide = drawn(points);
  return [
    // The band: what lies below it is not drawn, what lies in it is.
    line(
      panel,
      wide.map(({ heldOn, low }) => [heldOn, low]),
      { stack: `band ${panel}` },
    ),
    line(
      panel,
      wide.map(({ heldOn, low, high }) => [heldOn, high - low]),
      {
        stack: `band ${panel}`,
        areaStyle: { color: colour(), opacity: 0.16 },
      },
    ),
    line(
      panel,
      wide.map(({ heldOn, level }) => [heldOn, level]),
      {
        lineStyle: { color: colour(), width: 3 },
        markLine: marks(panel === 0),
        z: 3,
      },
    ),
    {
      type: 'scatter',
      xAxisIndex: panel,
      yAxisIndex: panel,
      data: points.map(({ heldOn, faults, seen }) => [heldOn, faults / seen]),
      symbol: family ? `path://${familyShapes[family]}` : 'circle',
      symbolSize: 13,
      itemStyle: { color: cssColour('--paper'), borderColor: colour(), borderWidth: 1.5 },
      label: {
        show: points.length <= 14,
        position: 'right',
        backgroundColor: cssColour('--paper'),
        padding: [0, 2],
        fontFamily: font,
        fontSize: 13,
        color: cssColour('--quiet'),
        formatter: ({ dataIndex }: { dataIndex: number }) => faultsOfSeen(points[dataIndex]!),
      },
      z: 4,
    },
  ];
};
const option = computed<EChartsCoreOption>(() => ({
  animation: false,
  aria: {
    enabled: true,
    label: {
      description: panels
        .map(
          (panel) =>
            `${name}, ${panel.name}: ${panel.points.map((point) => words.levelHeldOn(shortDay(point.heldOn), faultsOfSeen(point), levelInWords(point))).join('; ')}`,
        )
        .join('. '),
    },
  },
  textStyle: { fontFamily: font },
  title: panels.map(({ rung, name }, panel) => ({
    text: words.rungRung(rung, name.toLowerCase()),
    right: 70,
    top: place(panel) - 24,
    textStyle: { fontSize: 14, fontWeight: 400, color: cssColour('--quiet'), fontFamily: font },
  })),
  grid: panels.map((_, panel) => ({ left: 52, right: 70, top: place(panel), height: panelHeight })),
  tooltip: {
    trigger: 'item',
    renderMode: 'richText',
    formatter: ({ seriesIndex, dataIndex }: { seriesIndex: number; dataIndex: number }) => {
      const point = panels[Math.floor(seriesIndex / 4)]!.points[dataIndex]!;
      return words.seenLevel(shortDay(point.heldOn), faultsOfSeen(point), levelInWords(point));
    },
  },
  xAxis: panels.map((_, panel) => ({
    type: 'time',
    gridIndex: panel,
    min: all.value[0],
    max: all.value.at(-1),
    axisTick: { show: false },
    axisLabel: {
      show: panel === panels.length - 1,
      hideOverlap: true,
      formatter: '{d} {MMM}',
      fontSize: 13,
      color: cssColour('--quiet'),
      fontFamily: font,
    },
    splitLine: { show: false },
  })),
  yAxis: panels.map((_, panel) => ({
    type: 'value',
    gridIndex: panel,
    min: 0,
    max: 1,
    interval: 0.5,
    axisLabel: { formatter: percent, fontSize: 13, color: cssColour('--quiet'), fontFamily: font },
    splitLine: { lineStyle: { color: cssColour('--line') } },
  })),
  series: panels.flatMap(seriesOf),
}));
function picked({ seriesIndex = 0, dataIndex = 0 }: { seriesIndex?: number; dataIndex?: number }): void {
  const point = panels[Math.floor(seriesIndex / 4)]?.points[dataIndex];
  if (point) emit('pick', point.sessionId);
}
</script>

<template>
  <VChart v-if="fontsReady" class="chart" :style="{ height: `${height}px` }" :option="option" autoresize @click="picked" />
  <div v-else :style="{ height: `${height}px` }" />
</template>
