/** A colour of the page in a chart, by its token. */
export const chartColour = (token: string): string => `var(--sorn-colors-${token})`;

/** Figures in charts. */
export const CHART_FIGURES = { fontFamily: 'Martian Mono Variable', fontSize: 11 } as const;

const INK = chartColour('slate');

/** An axis of a chart: hairlines and figures, no grid. */
export const CHART_AXIS = {
  axisLine: { lineStyle: { color: INK } },
  axisTick: { lineStyle: { color: INK } },
  axisLabel: { ...CHART_FIGURES, color: INK, hideOverlap: true },
  splitLine: { show: false },
} as const;
