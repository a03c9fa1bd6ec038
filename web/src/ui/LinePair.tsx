import { chakra, Flex } from '@chakra-ui/react';
import { useMemo } from 'react';
import { ChartCanvas } from './ChartCanvas.tsx';
import { CHART_AXIS, chartColour } from './chart-style.ts';

const COLOURS = ['petrol', 'vermilion'] as const;

/** A figure over steps for two things, and a mark at the present step; a click goes to another. */
export default function LinePair(props: {
  lines: readonly { name: string; values: readonly number[] }[];
  at: number;
  onPick: (at: number) => void;
}) {
  const { lines, at, onPick } = props;
  const option = useMemo(
    () => ({
      animation: false,
      grid: { left: 4, right: 12, top: 10, bottom: 4, containLabel: true },
      xAxis: {
        ...CHART_AXIS,
        type: 'value',
        min: 0,
        max: Math.max(1, ...lines.map(({ values }) => values.length - 1)),
        minInterval: 1,
      },
      yAxis: { ...CHART_AXIS, type: 'value', splitNumber: 3 },
      series: lines.map(({ name, values }, i) => ({
        type: 'line',
        name,
        symbol: i === 0 ? 'circle' : 'rect',
        symbolSize: 6,
        data: values.map((value, step) => [step, value]),
        itemStyle: { color: chartColour(COLOURS[i]!) },
        lineStyle: { color: chartColour(COLOURS[i]!), width: 2, type: i === 0 ? 'solid' : [6, 4] },
        ...(i === 0 && {
          markLine: {
            silent: true,
            symbol: 'none',
            label: { show: false },
            lineStyle: { color: chartColour('slate'), type: 'solid', width: 1 },
            data: [{ xAxis: at }],
          },
        }),
      })),
    }),
    [lines, at],
  );
  return (
    <chakra.figure mb="6px">
      <chakra.div height="140px">
        <ChartCanvas option={option} onPick={(step) => onPick(Math.max(0, Math.round(step)))} />
      </chakra.div>
      <Flex gap="16px" fontSize="12px">
        {lines.map(({ name }, i) => (
          <Flex key={name} align="center" gap="6px" minW="0">
            <chakra.svg width="26px" height="8px" flexShrink="0" stroke={COLOURS[i]!} aria-hidden>
              <path d="M0 4h26" strokeWidth="2" strokeDasharray={i === 0 ? undefined : '6 4'} />
            </chakra.svg>
            <chakra.span truncate>{name}</chakra.span>
          </Flex>
        ))}
      </Flex>
    </chakra.figure>
  );
}
