import { chakra } from '@chakra-ui/react';
import { SWEEP, type Sweep } from '@sorn/core/simulate';
import { LineChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components';
import { init, use as withParts, type ECharts } from 'echarts/core';
import { LabelLayout } from 'echarts/features';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { chartOption } from './chart-option.ts';

withParts([
  LineChart,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  LabelLayout,
  SVGRenderer,
]);

/** The chart itself, drawn as SVG so that its colours are the page's own. */
export default function ChartDrawing(props: {
  sweep: Sweep;
  present: number;
  names: readonly string[];
  balloons: readonly string[];
  hues: readonly number[];
  onTake: (share: number) => void;
}) {
  const { sweep, present, names, balloons, hues, onTake } = props;
  const place = useRef<HTMLDivElement>(null);
  const chart = useRef<ECharts | null>(null);
  const newest = useRef(onTake);

  useEffect(() => {
    newest.current = onTake;
  });
  useEffect(() => {
    const element = place.current!;
    const made = init(element, null, { renderer: 'svg' });
    chart.current = made;
    made.getZr().on('click', ({ offsetX, offsetY }) => {
      const [share] = made.convertFromPixel({ gridIndex: 0 }, [offsetX, offsetY]) as number[];
      if (share !== undefined && share >= SWEEP.from && share <= SWEEP.to) newest.current(share);
    });
    const observer = new ResizeObserver(() => made.resize());
    observer.observe(element);
    return () => {
      observer.disconnect();
      made.dispose();
    };
  }, []);
  useEffect(() => {
    chart.current?.setOption(chartOption({ sweep, present, names, balloons, hues }), true);
  }, [sweep, present, names, balloons, hues]);

  return <chakra.div ref={place} height="100%" cursor="pointer" aria-hidden />;
}
