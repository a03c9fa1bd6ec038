import { PAPER_NAMES, type ChartMode, type PrintedChart } from '@sorn/core/keys';
import { useState } from 'react';

/** What a person chose for the chart; kept in this browser. */
export interface ChartChoices {
  /** What is shown: the picture for a monitor, or the page of paper. */
  shows: 'monitor' | 'paper';
  /** The monitor's id; the first one where there is no such. */
  monitor: string;
  mode: ChartMode;
  paper: PrintedChart['paper'];
  isLandscape: boolean;
  /** A layer's id; every layer where it is empty. */
  layer: string;
  /** Only what is used most. */
  isCard: boolean;
}

const KEY = 'sorn.chart';
const FIRST: ChartChoices = {
  shows: 'monitor',
  monitor: '',
  mode: 'day',
  paper: 'A4',
  isLandscape: true,
  layer: '',
  isCard: false,
};

function kept(): ChartChoices {
  try {
    const read = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<ChartChoices>;
    const choices = { ...FIRST, ...read };
    return PAPER_NAMES.includes(choices.paper) ? choices : FIRST;
  } catch {
    return FIRST;
  }
}

/** The choices, and the change of some of them. */
export function useChartChoices() {
  const [choices, setChoices] = useState(kept);
  const choose = (some: Partial<ChartChoices>) => {
    const next = { ...choices, ...some };
    localStorage.setItem(KEY, JSON.stringify(next));
    setChoices(next);
  };
  return [choices, choose] as const;
}
