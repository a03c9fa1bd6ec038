import { chakra } from '@chakra-ui/react';
import { useMemo } from 'react';
import { ChartCanvas } from './ChartCanvas.tsx';
import { CHART_AXIS, CHART_FIGURES, chartColour } from './chart-style.ts';

interface Bar {
  name: string;
  value: number;
  /** Drawn so that it is seen among the others. */
  isMarked?: boolean;
}

/** Bars with their names and figures. The figures are told as a list where they are not seen. */
export default function BarChart(props: {
  label: string;
  bars: readonly Bar[];
  /** From the left to the right, a line each, for long names. */
  isAcross?: boolean;
}) {
  const { label, bars, isAcross = false } = props;
  const option = useMemo(() => optionOf(bars, isAcross), [bars, isAcross]);
  return (
    <chakra.figure>
      <chakra.div height={isAcross ? `${bars.length * 34 + 6}px` : '120px'}>
        <ChartCanvas option={option} />
      </chakra.div>
      <chakra.ul srOnly aria-label={label}>
        {bars.map(({ name, value }) => (
          <li key={name} data-bar={name} data-value={value}>
            {name}: {value}
          </li>
        ))}
      </chakra.ul>
    </chakra.figure>
  );
}

function optionOf(bars: readonly Bar[], isAcross: boolean) {
  const names = { ...CHART_AXIS, type: 'category', data: bars.map(({ name }) => name) };
  const values = { ...CHART_AXIS, type: 'value', min: 0, minInterval: 1 };
  const data = bars.map(({ value, isMarked = false }) => ({
    value,
    itemStyle: { color: chartColour(isMarked ? 'vermilion' : 'petrol') },
  }));
  const figures = { show: true, ...CHART_FIGURES, color: chartColour('ink') };
  if (!isAcross) {
    return {
      animation: false,
      grid: { left: 4, right: 8, top: 16, bottom: 4, containLabel: true },
      xAxis: names,
      yAxis: { ...values, show: false },
      series: [{ type: 'bar', data, barMaxWidth: 26, label: { ...figures, position: 'top' } }],
    };
  }
  return {
    animation: false,
    grid: { left: 0, right: 44, top: 0, bottom: 0 },
    xAxis: { ...values, show: false },
    // Its name stands above each bar: there is no room for it beside.
    yAxis: {
      ...names,
      inverse: true,
      axisLine: { show: false },
      axisTick: { show: false },
      axisLabel: {
        inside: true,
        fontFamily: 'Archivo Variable',
        fontSize: 12,
        color: chartColour('ink'),
        verticalAlign: 'bottom',
        padding: [0, 0, 9, 0],
        width: 290,
        overflow: 'truncate',
      },
      z: 3,
    },
    series: [
      {
        type: 'bar',
        data,
        barWidth: 8,
        barGap: '0%',
        label: { ...figures, position: 'right' },
        itemStyle: { borderWidth: 0 },
      },
    ],
  };
}
