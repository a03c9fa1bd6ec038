import type { ChangesFound } from '@sorn/core/keys';
import { useMemo } from 'react';
import { ChartCanvas } from '../../ui/ChartCanvas.tsx';
import { CHART_AXIS, CHART_FIGURES, chartColour } from '../../ui/chart-style.ts';

const [PETROL, VERMILION, SHEET] = ['petrol', 'vermilion', 'sheet'].map(chartColour) as [
  string,
  string,
  string,
];

/** Reach spared against the number of keys that change: what is proven is solid, what is only the best found hollow. */
export default function ChangesChart(props: {
  found: ChangesFound;
  at: number;
  onPick: (keys: number) => void;
}) {
  const { found, at, onPick } = props;
  const option = useMemo(() => {
    const { points, knee } = found;
    const most = points.at(-1)!;
    const here = points[at]!;
    return {
      animation: false,
      grid: { left: 52, right: 18, top: 18, bottom: 24 },
      xAxis: { ...CHART_AXIS, type: 'value', min: 0, max: Math.max(1, most.keys), minInterval: 1 },
      yAxis: { ...CHART_AXIS, type: 'value', min: 0, splitNumber: 3 },
      series: [
        {
          type: 'line',
          step: 'end',
          silent: true,
          lineStyle: { color: PETROL, width: 1.5 },
          data: points.map(({ keys, spares, is }, i) => ({
            value: [keys, spares],
            symbol: i === knee ? 'diamond' : 'circle',
            symbolSize: i === knee ? 12 : 7,
            itemStyle: {
              color: is === 'proven' ? PETROL : SHEET,
              borderColor: PETROL,
              borderWidth: 1.5,
            },
          })),
          markLine: {
            silent: true,
            symbol: 'none',
            label: {
              ...CHART_FIGURES,
              color: VERMILION,
              fontWeight: 600,
              formatter: String(here.keys),
            },
            lineStyle: { color: VERMILION, width: 1.5, type: 'solid' },
            data: [{ xAxis: here.keys }],
          },
        },
      ],
    };
  }, [found, at]);
  return <ChartCanvas option={option} onPick={onPick} />;
}
