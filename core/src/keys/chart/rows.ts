import { BASE, keyCommandText, type KeyCommand } from '../../model/keys.ts';
import type { Profile } from '../../model/profile.ts';
import type { Use } from '../../model/uses.ts';
import type { LayoutSetting } from '../../values/layout.ts';
import { shareText, type PlaceAt } from '../../values/placing-text.ts';
import type { Along, Fraction } from '../../values/placing.ts';
import { triggerCaps, triggerOf } from '../../values/trigger.ts';
import { bindingText } from '../edit.ts';
import { keyMap, type KeyBinding } from '../map.ts';
import { TASKS, TASK_TITLES, taskOf, type Task } from '../tasks.ts';

/** A line of a key chart. */
export interface ChartRow {
  task: Task;
  /** The presses, as they are on the caps: "Meta Shift L", "Meta K then S". */
  pressed: string;
  caps: readonly (readonly string[])[];
  command: string;
  layer: string;
  app: string;
  from: KeyBinding['from'];
  uses: number;
  binding: KeyBinding;
}

/** Every binding of a profile once, grouped by what it is for. */
export function chartRows(profile: Profile, uses: readonly Use[] = []): ChartRow[] {
  const { main } = profile.keys;
  const byKeys = new Map(uses.map(({ keys, command, times }) => [`${keys} ${command}`, times]));
  const rows = keyMap(profile).map((binding): ChartRow => {
    const { keys, layer, app, from, command, release } = binding;
    const caps = triggerCaps(triggerOf(keys), main);
    const first = command ?? release!;
    return {
      task: taskOf(first),
      pressed: caps.map((step) => step.join(' ')).join(' then '),
      caps,
      command: bindingText(binding),
      layer,
      app: app === null ? '' : (profile.apps.find(({ id }) => id === app)?.name ?? app),
      from,
      uses: byKeys.get(`${keys} ${keyCommandText(first)}`) ?? 0,
      binding,
    };
  });
  return TASKS.flatMap((task) => rows.filter((row) => row.task === task));
}

/** Rows by task, tasks without any left out. */
export function byTask(rows: readonly ChartRow[]): { title: string; rows: readonly ChartRow[] }[] {
  return TASKS.map((task) => ({
    title: TASK_TITLES[task],
    rows: rows.filter((row) => row.task === task),
  })).filter((group) => group.rows.length > 0);
}

/** A command in a few letters, for a key cap on a drawn board. */
export function shortText(command: KeyCommand): string {
  const { command: id } = command;
  switch (id) {
    case 'go-workspace':
      return `ws ${command.which}`;
    case 'put-on-workspace':
      return `${command.follow ? 'follow to' : 'put on'} ws ${command.which}`;
    case 'call-app':
      return `call ${command.app}`;
    case 'open-app':
      return `open ${command.app}`;
    case 'place-in-zone':
      return `zone ${command.zone}`;
    case 'go-monitor':
      return `to ${command.which}`;
    case 'put-on-monitor':
      return `put ${command.which}`;
    case 'put-workspace-on-monitor':
      return `ws put ${command.which}`;
    case 'use-desk':
      return `desk ${command.desk}`;
    case 'enter-layer':
      return command.layer === BASE ? 'base layer' : `layer: ${command.layer}`;
    case 'place-at':
      return shortPlace(command);
    case 'use-layout':
      return layoutName(command.layout);
    default:
      return keyCommandText(command)
        .replace(/-/g, ' ')
        .replace(/workspace/, 'ws')
        .replace(/^lead /, '');
  }
}

function layoutName(layout: LayoutSetting): string {
  const strip = 'strip' in layout && layout.strip !== 'none' ? layout.strip : undefined;
  return strip ?? layout.kind;
}

const SIDES = {
  x: { start: 'left', middle: 'middle', end: 'right' },
  y: { start: 'upper', middle: 'middle', end: 'lower' },
  long: { start: 'first', middle: 'middle', end: 'last' },
} as const;

/** A place in a few letters: "left 1/2", "upper right", "whole". */
function shortPlace({ x = 'full', y = 'full', long }: PlaceAt): string {
  const side = (axis: keyof typeof SIDES, along: Along): string[] => {
    if (along === 'full') return [];
    if ('from' in along) return ['block'];
    const [[of, share]] = Object.entries(along) as [['start' | 'middle' | 'end', Fraction]];
    return [SIDES[axis][of], shareText(share)];
  };
  const [across, down] = [side('x', x), side('y', y)];
  if (long !== undefined) return side('long', long).join(' ') || 'whole';
  if (across.length > 0 && down.length > 0) return `${down[0]} ${across[0]}`;
  return [...across, ...down].join(' ') || 'whole';
}
