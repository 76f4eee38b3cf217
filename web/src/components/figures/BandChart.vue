<script setup lang="ts">
import { LineChart } from 'echarts/charts';
import { GridComponent, TooltipComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { computed, ref, watch } from 'vue';
import VChart from 'vue-echarts';
import { useSession } from '@/composables/useSession';

/**
 * A line over steps, with the band it may lie in and one step marked; each screen puts a table of the same figures
 * beside it. Loaded only where it is shown (FigureChart).
 */
use([LineChart, GridComponent, TooltipComponent, SVGRenderer]);
export interface Step {
  label: string;
  /** What the figure says in words, for the tip. */
  told: string;
  value: number;
  /** Written over the point. */
  tag?: string;
  low?: number;
  high?: number;
}
const props = defineProps<{
  steps: Step[];
  /** Of the scale; without one no scale is drawn, and the points say what they are. */
  unit?: string;
  marked?: number;
}>();
const { user } = useSession();

const token = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
const read = () => ({
  ink: token('--ink'),
  rule: token('--rule'),
  line: token('--sloe'),
  band: token('--gorse-fill'),
  paper: token('--paper'),
  font: token('--font'),
});
const colours = ref(read());
// the tokens change with the light, after the page has taken it
watch(
  () => user.value?.light,
  () => (colours.value = read()),
  { flush: 'post' },
);

const hasBand = computed(() => props.steps.every((s) => s.low !== undefined && s.high !== undefined));
const option = computed(() => {
  const c = colours.value;
  const text = { color: c.ink, fontFamily: c.font, fontSize: 13, fontWeight: 600 };
  const band = hasBand.value
    ? [
        { data: props.steps.map((s) => s.low ?? 0), areaStyle: { opacity: 0 } },
        { data: props.steps.map((s) => (s.high ?? 0) - (s.low ?? 0)), areaStyle: { color: c.band, opacity: 1 } },
      ].map((part) => ({
        ...part,
        type: 'line' as const,
        stack: 'band',
        symbol: 'none',
        silent: true,
        lineStyle: { opacity: 0 },
        tooltip: { show: false },
      }))
    : [];
  return {
    animation: false,
    textStyle: text,
    grid: { left: 8, right: 44, top: 28, bottom: 4, containLabel: true },
    xAxis: {
      type: 'category' as const,
      boundaryGap: false,
      data: props.steps.map((s) => s.label),
      axisLine: { lineStyle: { color: c.ink } },
      axisTick: { show: false },
      axisLabel: text,
    },
    yAxis: {
      type: 'value' as const,
      splitNumber: 3,
      scale: !props.unit,
      boundaryGap: props.unit ? undefined : (['25%', '25%'] as [string, string]),
      axisLabel: { ...text, show: Boolean(props.unit), formatter: `{value} ${props.unit ?? ''}` },
      splitLine: { show: Boolean(props.unit), lineStyle: { color: c.rule } },
    },
    tooltip: {
      trigger: 'item' as const,
      backgroundColor: c.paper,
      borderColor: c.ink,
      textStyle: text,
      formatter: (at: { dataIndex: number }) => props.steps[at.dataIndex]?.told ?? '',
    },
    series: [
      ...band,
      {
        type: 'line' as const,
        lineStyle: { color: c.line, width: 3 },
        symbol: 'circle',
        data: props.steps.map((s, i) => ({
          value: s.value,
          symbolSize: i === props.marked ? 15 : 9,
          itemStyle: { color: i === props.marked ? c.line : c.paper, borderColor: c.line, borderWidth: 2.5 },
          label: {
            show: Boolean(s.tag),
            position: 'top' as const,
            formatter: s.tag ?? '',
            ...text,
            color: c.line,
          },
        })),
      },
    ],
  };
});
</script>

<template>
  <VChart class="chart" :option="option" autoresize aria-hidden="true" />
</template>

<style scoped>
.chart {
  width: 100%;
  height: 100%;
}
</style>
