import { chakra } from '@chakra-ui/react';
import { BarChart, LineChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components';
import { init, use as withParts, type ECharts, type EChartsCoreOption } from 'echarts/core';
import { LabelLayout } from 'echarts/features';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

withParts([
  BarChart,
  LineChart,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  LabelLayout,
  SVGRenderer,
]);

/** The place of a chart, drawn as SVG so that its colours are the page's own. It comes with a large library. */
export function ChartCanvas(props: {
  option: EChartsCoreOption;
  /** A click, by the figure of its place along the lower axis. */
  onPick?: (x: number) => void;
}) {
  const { option, onPick } = props;
  const place = useRef<HTMLDivElement>(null);
  const chart = useRef<ECharts | null>(null);
  const newest = useRef(onPick);

  useEffect(() => {
    newest.current = onPick;
  });
  useEffect(() => {
    const element = place.current!;
    const made = init(element, null, { renderer: 'svg' });
    chart.current = made;
    made.getZr().on('click', ({ offsetX, offsetY }) => {
      const [x] = made.convertFromPixel({ gridIndex: 0 }, [offsetX, offsetY]) as number[];
      if (x !== undefined) newest.current?.(x);
    });
    const observer = new ResizeObserver(() => made.resize());
    observer.observe(element);
    return () => {
      observer.disconnect();
      made.dispose();
    };
  }, []);
  useEffect(() => {
    chart.current?.setOption(option, true);
  }, [option]);

  return <chakra.div ref={place} height="100%" cursor={onPick && 'pointer'} aria-hidden />;
}
