import { describe, expect, it } from 'vitest';
import type { SessionWindow } from '@sorn/core/model';
import type { Sweep } from '@sorn/core/simulate';
import { chartOption } from './chart-option.ts';

const window = (id: string) => ({ id }) as SessionWindow;
const sweep: Sweep = {
  axis: 'x',
  shares: [0.2, 0.5, 0.8],
  windows: [
    { window: window('a'), lengths: [200, 500, 800], minimum: 1, wanted: null },
    { window: window('b'), lengths: [800, 500, 200], minimum: 1, wanted: null },
    { window: window('c'), lengths: [800, 500, 200], minimum: 1, wanted: null },
    { window: window('d'), lengths: [300, null, null], minimum: 1, wanted: null },
  ],
  bands: [
    { window: 'a', from: 0.2, to: 0.4, under: 'wanted' },
    { window: 'b', from: 0.3, to: 0.5, under: 'wanted' },
    { window: 'c', from: 0.7, to: 0.8, under: 'wanted' },
    { window: 'd', from: 0.2, to: 0.3, under: 'minimum' },
  ],
};
const option = chartOption({
  sweep,
  present: 0.58,
  names: ['A', 'B', 'C', 'D'],
  balloons: ['AA', 'BB', 'CC', 'DD'],
  hues: [0, 90, 180, 270],
}) as {
  series: {
    name: string;
    data: unknown[];
    endLabel: { show: boolean; formatter: string };
    markLine?: { data: unknown[] };
    markArea?: { data: { xAxis: number }[][] };
  }[];
};

describe('the chart of a sweep', () => {
  it('draws equal lines once, named for all whose they are', () => {
    expect(option.series.map(({ name }) => name)).toEqual(['A', 'B, C', 'D']);
    expect(option.series[1]!.endLabel.formatter).toBe('BB CC');
    expect(option.series[0]!.data).toEqual([
      [0.2, 200],
      [0.5, 500],
      [0.8, 800],
    ]);
  });

  it('names no line at its end where it has none', () => {
    expect(option.series.map(({ endLabel }) => endLabel.show)).toEqual([true, true, false]);
  });

  it('marks the present share, and shades touching bands once', () => {
    const [first] = option.series;
    expect(first!.markLine!.data).toEqual([{ xAxis: 0.58 }]);
    const shaded = first!.markArea!.data.map((ends) => ends.map(({ xAxis }) => xAxis));
    expect(shaded).toEqual([
      [0.2, 0.5],
      [0.7, 0.8],
      [0.2, 0.3],
    ]);
  });
});
