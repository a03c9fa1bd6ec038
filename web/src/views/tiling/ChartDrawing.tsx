import { SWEEP, type Sweep } from '@sorn/core/simulate';
import { useMemo } from 'react';
import { ChartCanvas } from '../../ui/ChartCanvas.tsx';
import { chartOption } from './chart-option.ts';

/** The chart of a sweep itself; a click takes a share. */
export default function ChartDrawing(props: {
  sweep: Sweep;
  present: number;
  names: readonly string[];
  balloons: readonly string[];
  hues: readonly number[];
  onTake: (share: number) => void;
}) {
  const { sweep, present, names, balloons, hues, onTake } = props;
  const option = useMemo(
    () => chartOption({ sweep, present, names, balloons, hues }),
    [sweep, present, names, balloons, hues],
  );
  return (
    <ChartCanvas
      option={option}
      onPick={(share) => {
        if (share >= SWEEP.from && share <= SWEEP.to) onTake(share);
      }}
    />
  );
}
