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
  'outside',
] as const;
export type Task = (typeof TASKS)[number];

export const TASK_TITLES: Record<Task, string> = {
  focus: 'Focus',
  move: 'Order of windows',
  sizes: 'Sizes',
  layout: 'Layout',
  holding: 'What a window is',
  placing: 'Placing',
  zones: 'Zones and picks',
  apps: 'Apps and windows',
  workspaces: 'Workspaces',
  monitors: 'Monitors and desks',
  desk: 'The engine',
  layers: 'Layers of keys',
  outside: 'Outside Sorn',
};
