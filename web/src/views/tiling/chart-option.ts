import { SWEEP, type Band, type Sweep } from '@sorn/core/simulate';
import type { EChartsCoreOption } from 'echarts/core';
import { CHART_AXIS, CHART_FIGURES, chartColour } from '../../ui/chart-style.ts';

const [VERMILION, OCHRE] = ['vermilion', 'ochre'].map(chartColour) as [string, string];

/** How lines of windows differ besides their hue. */
const DASHES = ['solid', [6, 3], [2, 3], [9, 3, 2, 3]] as const;

/** The hue of an app's balloon, as it is on the sheet. */
function lineHue(hue: number): string {
  return `oklch(var(--balloon-lightness, 0.58) 0.12 ${hue + 25})`;
}

/** Which lists are alike: their positions, those of equal ones together. Equal lines are drawn once. */
function distinct(lists: readonly (readonly unknown[])[]): number[][] {
  const groups = new Map<string, number[]>();
  lists.forEach((list, i) => {
    const key = list.join();
    groups.set(key, [...(groups.get(key) ?? []), i]);
  });
  return [...groups.values()];
}

/** Where any window is under something: bands that touch are one, so that none is shaded twice. */
function shaded(bands: readonly Band[], under: Band['under'], color: string, opacity: number) {
  const merged: { from: number; to: number }[] = [];
  const alike = bands.filter((band) => band.under === under).sort((a, b) => a.from - b.from);
  for (const { from, to } of alike) {
    const last = merged.at(-1);
    if (last && from <= last.to) last.to = Math.max(last.to, to);
    else merged.push({ from, to });
  }
  return merged.map(({ from, to }) => [
    { xAxis: from, itemStyle: { color, opacity } },
    { xAxis: to },
  ]);
}

/** The chart of a sweep: one line a window, shaded where something is too small, a mark at the present share. */
export function chartOption(of: {
  sweep: Sweep;
  present: number;
  names: readonly string[];
  /** Two letters and a hue in degrees for each window. */
  balloons: readonly string[];
  hues: readonly number[];
}): EChartsCoreOption {
  const { sweep, present, names, balloons, hues } = of;
  const { shares, windows, bands } = sweep;
  return {
    animation: false,
    grid: { left: 46, right: 52, top: 22, bottom: 24 },
    xAxis: { ...CHART_AXIS, type: 'value', min: SWEEP.from, max: SWEEP.to, interval: 0.15 },
    yAxis: { ...CHART_AXIS, type: 'value', splitNumber: 3 },
    series: distinct(windows.map(({ lengths }) => lengths)).map((alike, k) => ({
      type: 'line',
      name: alike.map((i) => names[i]).join(', '),
      silent: true,
      symbol: 'none',
      data: shares.map((share, at) => [share, windows[alike[0]!]!.lengths[at]]),
      lineStyle: { color: lineHue(hues[alike[0]!]!), width: 1.5, type: DASHES[k % DASHES.length] },
      endLabel: {
        ...CHART_FIGURES,
        // A window without a tile at the end has no end to stand at.
        show: windows[alike[0]!]!.lengths.at(-1) !== null,
        distance: 4,
        color: lineHue(hues[alike[0]!]!),
        fontWeight: 700,
        formatter: alike.map((i) => balloons[i]).join(' '),
      },
      labelLayout: { moveOverlap: 'shiftY' },
      ...(k === 0 && {
        markLine: {
          silent: true,
          symbol: 'none',
          label: {
            ...CHART_FIGURES,
            color: VERMILION,
            fontWeight: 600,
            formatter: String(Number(present.toFixed(3))),
          },
          lineStyle: { color: VERMILION, width: 1.5, type: 'solid' },
          data: [{ xAxis: present }],
        },
        markArea: {
          silent: true,
          data: [
            ...shaded(bands, 'wanted', OCHRE, 0.14),
            ...shaded(bands, 'minimum', VERMILION, 0.2),
          ],
        },
      }),
    })),
  };
}
