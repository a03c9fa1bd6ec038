import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { hasHeld, type WatchedTrial } from '../../state/trial-watch.ts';
import { timeText } from '../../ui/date-text.ts';
import { DataTable, type Column } from '../../ui/DataTable.tsx';

/** The trials: how often each was tried and held, what it costs in key presses, and when it last ran. */
export function TrialList(props: {
  trials: readonly WatchedTrial[];
  selected: string | null;
  onTrial: (id: string) => void;
}) {
  return (
    <DataTable
      label="Trials"
      rows={props.trials}
      columns={COLUMNS}
      idOf={({ trial }) => trial.id}
      selected={props.selected}
      onRow={props.onTrial}
      dataOf={(watched) => ({
        'data-trial': watched.trial.id,
        'data-state': stateOf(watched),
        'data-tries': watched.result?.tries ?? 0,
        'data-count': watched.count,
        'data-failed': watched.result?.failed.length ?? 0,
      })}
      headingOf={({ isOwn }) => (isOwn ? 'Yours' : 'In every profile: nothing is ever lost')}
      empty="No trial yet."
    />
  );
}

/** How a trial stands. */
function stateOf(watched: WatchedTrial): 'off' | 'to-come' | 'running' | 'held' | 'failed' {
  if (!watched.trial.on) return 'off';
  if (watched.isRunning) return 'running';
  if (!watched.result) return 'to-come';
  return hasHeld(watched) ? 'held' : 'failed';
}

const WORDS: Record<ReturnType<typeof stateOf>, string> = {
  off: 'not tried',
  'to-come': 'to come',
  running: 'running',
  held: 'held',
  failed: 'failed',
};

const COLUMNS: readonly Column<WatchedTrial>[] = [
  {
    id: 'name',
    header: 'Trial',
    cell: ({ row: { original } }) => (
      <chakra.span
        fontSize="13px"
        fontWeight={600}
        color={original.trial.on ? 'ink' : 'slate'}
        display="block"
        truncate
        maxW="340px"
      >
        {original.trial.name ?? original.trial.id}
      </chakra.span>
    ),
  },
  {
    id: 'state',
    header: 'State',
    cell: ({ row: { original } }) => <StateWord watched={original} />,
  },
  {
    id: 'tries',
    header: 'Tries: held, failed, to come',
    cell: ({ row: { original } }) => <TriesBar watched={original} />,
  },
  {
    id: 'held',
    header: 'Held',
    meta: { isFigure: true },
    cell: ({ row: { original } }) => (
      <chakra.span whiteSpace="nowrap">{heldText(original)}</chakra.span>
    ),
  },
  {
    id: 'presses',
    header: 'Presses',
    meta: { isFigure: true, isMinor: true },
    cell: ({ row: { original } }) => (
      <chakra.span whiteSpace="nowrap">{pressesText(original)}</chakra.span>
    ),
  },
  {
    id: 'at',
    header: 'Tried',
    meta: { isFigure: true, isMinor: true },
    cell: ({ row: { original } }) => (original.at ? timeText(original.at) : '—'),
  },
];

function StateWord({ watched }: { watched: WatchedTrial }): ReactNode {
  const state = stateOf(watched);
  const isFailed = (watched.result?.failed.length ?? 0) > 0 && watched.trial.on;
  const colour = isFailed ? 'vermilion' : state === 'held' ? 'petrol' : 'slate';
  return (
    <chakra.span color={colour} fontWeight={600} whiteSpace="nowrap">
      <Pennant isFailed={isFailed} /> {WORDS[state]}
    </chakra.span>
  );
}

/** A flag: outlined where something holds, filled and with a notch where it does not. */
export function Pennant({ isFailed }: { isFailed: boolean }) {
  return (
    <chakra.svg
      display="inline-block"
      verticalAlign="-1px"
      width="11px"
      height="12px"
      overflow="visible"
      stroke="currentColor"
      strokeWidth="1.3"
      fill={isFailed ? 'currentColor' : 'none'}
      aria-hidden
    >
      <path d={isFailed ? 'M1 12V0.7H10L7 3.7L10 6.7H1' : 'M1 12V0.7H10V6.7H1'} />
    </chakra.svg>
  );
}

export function heldText({ result, count }: Pick<WatchedTrial, 'result' | 'count'>): string {
  if (!result) return '—';
  const { tries, failed } = result;
  const held = `${(tries - failed.length).toLocaleString('en')} of ${tries.toLocaleString('en')}`;
  return tries < count ? `${held}, of ${count.toLocaleString('en')}` : held;
}

function pressesText({ result }: WatchedTrial): string {
  const figures = Object.keys(result?.presses ?? {}).map(Number);
  if (figures.length === 0) return '—';
  const [least, most] = [Math.min(...figures), Math.max(...figures)];
  return least === most ? String(least) : `${least} to ${most}`;
}

function TriesBar({ watched: { result, count } }: { watched: WatchedTrial }) {
  const failed = result?.failed.length ?? 0;
  const held = (result?.tries ?? 0) - failed;
  const part = (tries: number) => `${(100 * tries) / Math.max(1, count)}%`;
  return (
    <Box
      display="flex"
      height="8px"
      minW="120px"
      border="1px solid"
      borderColor="slate"
      aria-hidden
    >
      <Box width={part(held)} bg="petrol" />
      {/* A failure is never too thin to be seen. */}
      <Box width={part(failed)} minW={failed > 0 ? '4px' : '0'} bg="vermilion" />
    </Box>
  );
}
