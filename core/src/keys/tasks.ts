import type { KeyCommand } from '../model/keys.ts';

/** What commands are for, in the order a list of them is read. */
export const TASKS = [
  'focus',
  'move',
  'sizes',
  'layout',
  'holding',
  'placing',
  'zones',
  'apps',
  'workspaces',
  'monitors',
  'desk',
  'layers',
] as const;
export type Task = (typeof TASKS)[number];

export const TASK_TITLES: Record<Task, string> = {
  focus: 'Focus',
  move: 'Order of windows',
  sizes: 'Sizes',
  layout: 'Layout',
  holding: 'How a window is held',
  placing: 'Placing',
  zones: 'Zones and picks',
  apps: 'Apps and windows',
  workspaces: 'Workspaces',
  monitors: 'Monitors and desks',
  desk: 'The engine',
  layers: 'Layers of keys',
};

/** The first that fits decides. */
const BY_ID: readonly (readonly [RegExp, Task])[] = [
  [/^(enter|leave)-layer$/, 'layers'],
  [/monitor|^use-desk$|^desk-mode$|^bring-inside$/, 'monitors'],
  [/workspace/, 'workspaces'],
  [/^focus-|^switch-window$|^find-window$|^next-of-app$/, 'focus'],
  [/^(move-(left|right|up|down|earlier|later)|swap-with-lead|promote)$/, 'move'],
  [/^(grow|shrink|lead|even-out|move-edge|shape)/, 'sizes'],
  [/layout|^split-/, 'layout'],
  [/^(call-app|open-app|launch|close|open-start)$/, 'apps'],
  [/zone|^widen|pick|corner|lineup|offer/, 'zones'],
  [/^(place-|put-back|centre|bigger|smaller|nudge-|fill-rest)/, 'placing'],
  [/^(pause|resume|undo|redo|show-desktop|clear-while-pressed|apply-rules)$/, 'desk'],
];

/** What a command is for. */
export function taskOf({ command }: Pick<KeyCommand, 'command'>): Task {
  return BY_ID.find(([pattern]) => pattern.test(command))?.[1] ?? 'holding';
}

/** How often a command is used in a day by guess, where nothing was counted: by what it is for. */
const GUESSED: readonly (readonly [RegExp, number])[] = [
  [/^focus-(left|right|up|down)/, 60],
  [/^go-workspace/, 40],
  [/^(call-app|switch-window|focus-last)/, 35],
  [/^place-(left|right|at|in-zone)/, 20],
  [/^(move-(left|right|up|down)|swap-with-lead|maximise|put-on-workspace)/, 15],
  [/^(close|float|place-|undo|find-window|go-monitor)/, 10],
  [/^(grow|shrink|lead-|pocket|call-back|minimise|put-on-monitor|open-app)/, 6],
];

/** A guess of how often a command is used, in times a day. */
export function guessedUse({ command }: Pick<KeyCommand, 'command'>): number {
  return GUESSED.find(([pattern]) => pattern.test(command))?.[1] ?? 2;
}
