import { PAPER_NAMES, type ChartMode, type PrintedChart } from '@sorn/core/keys';
import { useKeptChoices } from '../../ui/kept-choices.ts';

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

const FIRST: ChartChoices = {
  shows: 'monitor',
  monitor: '',
  mode: 'day',
  paper: 'A4',
  isLandscape: true,
  layer: '',
  isCard: false,
};

/** The choices, and the change of some of them. */
export const useChartChoices = () =>
  useKeptChoices('sorn.chart', FIRST, ({ paper }) => PAPER_NAMES.includes(paper));
