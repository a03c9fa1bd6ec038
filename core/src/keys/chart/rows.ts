import { TASKS, type Task, TASK_TITLES } from '../../commands/tasks.ts';
import { commandText } from '../../commands/command.ts';
import type { Profile } from '../../model/profile.ts';
import type { Use } from '../../model/uses.ts';
import { triggerCaps, triggerOf } from '../../values/trigger.ts';
import { bindingText } from '../edit.ts';
import { keyMap, type KeyBinding } from '../map.ts';
import { definitionOf } from '../../commands/registry.ts';

/** One row of a key chart: a binding. */
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
  const byKeys = new Map(uses.map(({ keys, command, times }) => [`${keys} ${command}`, times]));
  const rows = keyMap(profile).map((binding): ChartRow => {
    const { keys, layer, app, from, command, release } = binding;
    const caps = triggerCaps(triggerOf(keys), profile.keys);
    const first = command ?? release!;
    return {
      task: definitionOf(first.command).task,
      pressed: caps.map((step) => step.join(' ')).join(' then '),
      caps,
      command: bindingText(binding),
      layer,
      app: app === null ? '' : (profile.apps.find(({ id }) => id === app)?.name ?? app),
      from,
      uses: byKeys.get(`${keys} ${commandText(first)}`) ?? 0,
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
