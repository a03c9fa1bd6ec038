import type { StepPlace, TrialLine } from '@sorn/core/simulate';
import type { RefObject } from 'react';
import type { WatchedTrial } from '../../state/trial-watch.ts';
import { focusFigure } from '../../ui/inspector.ts';
import { usePageKeys, type PageKey } from '../../ui/page-keys.ts';
import type { TrialEdits, VaryFlag } from './edits.ts';

const FLAGS: readonly { key: string; flag: VaryFlag; label: string }[] = [
  { key: 'd', flag: 'desks', label: 'vary: on each desk' },
  { key: 't', flag: 'twice', label: 'vary: twice' },
  { key: 'p', flag: 'pulled', label: 'vary: a monitor pulled after any step' },
  { key: 's', flag: 'minimums', label: 'vary: minimums a quarter larger' },
];

/** The keys of the view. */
export function useTrialKeys(props: {
  trials: readonly WatchedTrial[];
  watched: WatchedTrial | null;
  /** The place of the selected step, of so many; -1 for the beginning. */
  at: number;
  count: number;
  line: TrialLine | null;
  lines: readonly TrialLine[];
  isShort: boolean;
  hasFailing: boolean;
  edits: TrialEdits;
  nameInput: RefObject<HTMLInputElement | null>;
  stepInput: RefObject<HTMLInputElement | null>;
  furtherInput: RefObject<HTMLInputElement | null>;
  onTrial: (id: string) => void;
  onStep: (at: number) => void;
  onShow: (which: 'written' | 'failing') => void;
  onAdd: (adds: boolean) => void;
  onHeat: () => void;
  onMend: (number: number) => void;
  onRun: () => void;
  onStop: () => void;
}): void {
  const { trials, watched, at, count, line, lines, isShort, edits } = props;
  const goTo = (by: 1 | -1) => {
    const next = trials[(watched ? trials.indexOf(watched) : -1) + by];
    if (next) props.onTrial(next.trial.id);
  };
  const goStep = (by: 1 | -1) => props.onStep(Math.max(-1, Math.min(count - 1, at + by)));
  /** What changes a step is shown on the trial as it is written. */
  const onLine = (change: (line: TrialLine) => void) => {
    if (isShort) props.onShow('written');
    else if (line) change(line);
  };
  const move = (by: 1 | -1) =>
    onLine((line) => {
      const place = edits.moveStep(line.place, by);
      // A group moves as a whole past what stands beside it.
      const to = lines.findIndex((each) => isSamePlace(each.place, place));
      props.onStep(to >= 0 && line.place.step !== place.step ? at + by : to);
    });
  const isRunning = watched?.isRunning === true;
  const keys: PageKey[] = [
    {
      keys: ['ArrowUp'],
      caps: ['↑', '↓'],
      label: 'trial',
      run: () => goTo(-1),
    },
    { keys: ['ArrowDown'], label: 'next trial', minor: true, run: () => goTo(1) },
    { keys: ['ArrowLeft'], caps: ['←', '→'], label: 'step', run: () => goStep(-1) },
    { keys: ['ArrowRight'], label: 'next step', minor: true, run: () => goStep(1) },
    {
      keys: ['v'],
      label: 'as it fails, as it is written',
      minor: !props.hasFailing,
      run() {
        if (props.hasFailing) props.onShow(isShort ? 'written' : 'failing');
      },
    },
    {
      keys: ['m'],
      shift: false,
      label: 'the quick fix',
      minor: !props.hasFailing,
      run: () => props.onMend(0),
    },
    {
      keys: ['m'],
      shift: true,
      caps: ['Shift', 'M'],
      label: 'the second quick fix',
      minor: true,
      run: () => props.onMend(1),
    },
    isRunning
      ? { keys: ['Escape'], caps: ['Esc'], label: 'stop', run: props.onStop }
      : { keys: ['r'], label: 'all tries', run: props.onRun },
    { keys: ['h'], label: 'where windows end', run: props.onHeat },
    { keys: ['n'], label: 'new trial', run: () => edits.add() },
    {
      keys: ['a'],
      label: 'add a step',
      run() {
        props.onShow('written');
        props.onStep(at);
        props.onAdd(true);
      },
    },
    {
      keys: ['Enter'],
      label: 'change the step',
      run() {
        if (isShort) props.onShow('written');
        else focusFigure(props.stepInput);
      },
    },
    {
      keys: ['o'],
      shift: false,
      label: 'any order with the step before',
      run: () => onLine(({ place }) => edits.anyOrder(place)),
    },
    {
      keys: ['o'],
      shift: true,
      caps: ['Shift', 'O'],
      label: 'the order as it is written',
      minor: true,
      run: () => onLine(({ place }) => edits.fixedOrder(place)),
    },
    {
      keys: ['['],
      caps: ['[', ']'],
      label: 'the step earlier, later',
      minor: true,
      run: () => move(-1),
    },
    { keys: [']'], label: 'the step later', minor: true, run: () => move(1) },
    {
      keys: ['-'],
      label: 'take the step out',
      minor: true,
      run: () =>
        onLine(({ place }) => {
          edits.removeStep(place);
          props.onStep(at - 1);
        }),
    },
    { keys: ['i'], label: 'its name', minor: true, run: () => focusFigure(props.nameInput) },
    { keys: ['e'], label: 'tried or not', minor: true, run: edits.toggle },
    ...FLAGS.map(({ key, flag, label }) => ({
      keys: [key],
      label,
      minor: true,
      part: 'Variations',
      run: () => edits.vary(flag),
    })),
    {
      keys: ['f'],
      label: 'vary: further windows',
      minor: true,
      part: 'Variations',
      run: () => focusFigure(props.furtherInput),
    },
    {
      keys: ['c'],
      label: 'a copy of it',
      minor: true,
      run: () => watched && edits.add(watched.trial),
    },
    {
      keys: ['Delete', 'Backspace'],
      caps: ['Delete'],
      label: 'delete the trial',
      minor: true,
      run: edits.remove,
    },
  ];
  usePageKeys('Trials', keys);
}

function isSamePlace(one: StepPlace, other: StepPlace): boolean {
  return one.step === other.step && one.inGroup === other.inGroup;
}
