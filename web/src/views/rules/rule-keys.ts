import type { Rule } from '@sorn/core/model';
import type { Landing } from '@sorn/core/simulate';
import type { RefObject } from 'react';
import { flushSync } from 'react-dom';
import { focusFigure, useInspector } from '../../ui/inspector.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import type { RuleEdits } from './edits.ts';

/** The keys of the Rules view: which rule and which window is selected, and what becomes of the rule. */
export function useRuleKeys(props: {
  edits: RuleEdits;
  rules: readonly Rule[];
  at: number;
  landings: readonly Landing[];
  landing: Landing | null;
  desks: readonly string[];
  desk: string | undefined;
  nameInput: RefObject<HTMLInputElement | null>;
  filterInput: RefObject<HTMLInputElement | null>;
  firstInput: RefObject<HTMLSelectElement | null>;
  onRule: (id: string) => void;
  onWindow: (id: string) => void;
  onDesk: (id: string) => void;
  onCondition: () => void;
  onRuleFor: () => void;
  onOther: () => void;
}) {
  const { edits, rules, at, landings } = props;
  const goTo = (by: 1 | -1) => {
    const next = rules[at + by];
    if (next) props.onRule(next.id);
  };
  const nextWindow = (by: 1 | -1) => {
    if (landings.length === 0) return;
    const from = landings.findIndex(({ id }) => id === props.landing?.id);
    props.onWindow(landings[(from + by + landings.length) % landings.length]!.id);
  };
  const nextDesk = () => {
    const from = props.desks.indexOf(props.desk ?? '');
    const next = props.desks[(from + 1) % props.desks.length];
    if (next !== undefined) props.onDesk(next);
  };
  const withInspector = (run: () => void) => {
    flushSync(() => useInspector.getState().show());
    run();
  };
  usePageKeys('Rules', [
    { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'rule', run: () => goTo(-1) },
    { keys: ['ArrowDown'], label: 'select the next rule', minor: true, run: () => goTo(1) },
    {
      keys: ['ArrowUp'],
      alt: true,
      caps: ['Alt', '↑ ↓'],
      label: 'move',
      run: () => edits.moveBy(-1),
    },
    {
      keys: ['ArrowDown'],
      alt: true,
      caps: ['Alt', '↓'],
      label: 'move it down',
      minor: true,
      run: () => edits.moveBy(1),
    },
    { keys: ['n'], label: 'new', run: () => edits.add() },
    { keys: ['o'], label: 'on, off', run: () => edits.toggle() },
    { keys: ['a'], label: 'condition', run: () => withInspector(props.onCondition) },
    {
      keys: ['s'],
      label: 'settings',
      run: () => withInspector(() => props.firstInput.current?.focus()),
    },
    { keys: ['y'], shift: false, label: 'why, next window', run: () => nextWindow(1) },
    {
      keys: ['y'],
      shift: true,
      caps: ['Shift', 'Y'],
      label: 'why, the window before',
      minor: true,
      run: () => nextWindow(-1),
    },
    { keys: ['r'], label: 'rule from it', run: props.onRuleFor },
    { keys: ['d'], label: 'desk', run: nextDesk },
    {
      keys: ['/'],
      label: 'filter',
      run: () => props.filterInput.current?.focus(),
    },
    {
      keys: ['w'],
      label: 'follow the rules for all open windows',
      minor: true,
      run: edits.applyNow,
    },
    { keys: ['p'], label: 'apps', run: props.onOther },
    { keys: ['Enter'], label: 'name', minor: true, run: () => focusFigure(props.nameInput) },
    { keys: ['u'], label: 'duplicate', minor: true, run: edits.duplicate },
    {
      keys: ['Delete', 'Backspace'],
      caps: ['Delete'],
      label: 'delete the rule',
      minor: true,
      run: edits.remove,
    },
    {
      keys: ['m'],
      label: 'add the rules people expect, as far as they are missing',
      minor: true,
      run: edits.addStarters,
    },
  ]);
}
