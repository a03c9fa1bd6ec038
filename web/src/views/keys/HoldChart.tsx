import type { HoldErrors } from '@sorn/core/keys';
import { useMemo } from 'react';
import { ChartCanvas } from '../../ui/ChartCanvas.tsx';
import { CHART_AXIS, CHART_FIGURES, chartColour } from '../../ui/chart-style.ts';

const [PETROL, OCHRE, VERMILION] = ['petrol', 'ochre', 'vermilion'].map(chartColour) as [
  string,
  string,
  string,
];

/** Both kinds of errors against the hold time: taps taken for holds solid, holds taken for taps dashed. */
export default function HoldChart(props: {
  errors: readonly HoldErrors[];
  holdMs: number;
  onPick: (ms: number) => void;
}) {
  const { errors, holdMs, onPick } = props;
  const option = useMemo(() => {
    const line = (name: string, color: string, type: string, of: (each: HoldErrors) => number) => ({
      type: 'line',
      name,
      silent: true,
      symbol: 'none',
      lineStyle: { color, width: 1.5, type },
      data: errors.map((each) => [each.holdMs, of(each)]),
    });
    return {
      animation: false,
      grid: { left: 40, right: 18, top: 20, bottom: 24 },
      xAxis: { ...CHART_AXIS, type: 'value', min: 50, max: 500 },
      yAxis: { ...CHART_AXIS, type: 'value', min: 0, minInterval: 1, splitNumber: 3 },
      series: [
        {
          ...line('taps taken for holds', PETROL, 'solid', ({ asHolds }) => asHolds),
          markLine: {
            silent: true,
            symbol: 'none',
            label: { ...CHART_FIGURES, color: VERMILION, formatter: `${holdMs} ms` },
            lineStyle: { color: VERMILION, width: 1.5, type: 'solid' },
            data: [{ xAxis: holdMs }],
          },
        },
        line('holds taken for taps', OCHRE, 'dashed', ({ asTaps }) => asTaps),
      ],
    };
  }, [errors, holdMs]);
  return <ChartCanvas option={option} onPick={onPick} />;
}
