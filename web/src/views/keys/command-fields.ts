import { COMMANDS, type CommandId } from '@sorn/core/commands';
import { ROLES } from '@sorn/core/desk';
import { BASE, without, LAYER_COMMANDS, type KeyCommand, type Profile } from '@sorn/core/model';
import { LAYOUTS } from '@sorn/core/tiling';
import {
  rungsField,
  rungsIn,
  type Fraction,
  DIRECTIONS,
  LAYOUT_KINDS,
  MODES,
  type Along,
} from '@sorn/core/values';

export type KeyCommandId = KeyCommand['command'];

interface Option {
  value: string;
  text: string;
}

/** Something that is said with a command. */
export type CommandField =
  | { of: 'choice'; name: string; label: string; options: readonly Option[]; none?: string }
  | { of: 'flag'; name: string; label: string; isOn: boolean }
  | { of: 'figure'; name: string; label: string; least: number; most: number }
  | { of: 'text' | 'rungs'; name: string; label: string; placeholder: string };

const plain = (values: readonly string[]): Option[] =>
  values.map((value) => ({ value, text: value }));
const named = (list: readonly { id: string; name?: string }[]): Option[] =>
  list.map(({ id, name = id }) => ({ value: id, text: name === id ? id : `${id} ${name}` }));

/** What place-at can say of its axes; along the longer side, whichever that is, or across and down. */
const PLACE_AXES = [
  ['x', 'Across'],
  ['y', 'Down'],
  ['long', 'Along the longer side'],
] as const;
const isAxis = (name: string) => PLACE_AXES.some(([axis]) => axis === name);

/** Where a window can stand along an axis, as a choice. */
const ALONGS: readonly (readonly [string, Along])[] = [
  ...['1/2', '1/3', '2/3', '1/4', '3/4'].flatMap((share): (readonly [string, Along])[] => [
    [`start ${share}`, { start: share }],
    [`end ${share}`, { end: share }],
  ]),
  ['middle 1/3', { middle: '1/3' }],
  ['middle 1/2', { middle: '1/2' }],
];

/** What can be said with a command, in the order it is asked for. */
export function fieldsOf(command: KeyCommandId, profile: Profile): CommandField[] {
  const monitors = [
    ...plain([...DIRECTIONS, 'next', 'previous', ...ROLES]),
    ...named(profile.monitors),
  ];
  const which = (options: readonly Option[], label = 'Which'): CommandField => ({
    of: 'choice',
    name: 'which',
    label,
    options,
  });
  const text = (label: string, name = 'text'): CommandField => ({
    of: 'text',
    name,
    label,
    placeholder: 'asked for when it is pressed',
  });
  switch (command) {
    case 'go-workspace':
      return [which([...named(profile.workspaces), ...plain(['next', 'previous', 'last'])])];
    case 'put-on-workspace':
      return [
        which([...named(profile.workspaces), ...plain(['next', 'previous', 'last'])]),
        { of: 'flag', name: 'follow', label: 'Go with it', isOn: false },
      ];
    case 'go-monitor':
    case 'put-workspace-on-monitor':
      return [which(monitors)];
    case 'put-on-monitor':
      return [which(monitors), { of: 'flag', name: 'follow', label: 'Go with it', isOn: true }];
    case 'call-app':
    case 'open-app':
      return [{ of: 'choice', name: 'app', label: 'App', options: named(profile.apps) }];
    case 'use-desk':
      return [{ of: 'choice', name: 'desk', label: 'Desk', options: named(profile.desks) }];
    case 'desk-mode':
      return [
        { of: 'choice', name: 'mode', label: 'Mode', options: plain(MODES), none: 'the next one' },
      ];
    case 'place-at':
      return [
        ...PLACE_AXES.map(([name, label]): CommandField => ({
          of: 'choice',
          name,
          label,
          options: ALONGS.map(([value]) => ({ value, text: value })),
          none: name === 'long' ? 'not said' : 'full',
        })),
        {
          of: 'rungs',
          name: 'ladder',
          label: 'Pressed again',
          placeholder: 'sizes, such as 1/3 2/3',
        },
      ];
    case 'place-in-zone': {
      const names = profile.boards.flatMap(({ zones }) => zones.map(({ name }) => name));
      const all = [...new Set(['1', '2', '3', '4', '5', '6', '7', '8', '9', ...names])];
      return [{ of: 'choice', name: 'zone', label: 'Zone', options: plain(all) }];
    }
    case 'use-layout':
      return [
        {
          of: 'choice',
          name: 'layout',
          label: 'Layout',
          options: LAYOUT_KINDS.map((kind) => ({ value: kind, text: LAYOUTS[kind].title })),
        },
      ];
    case 'move-edge':
      return [
        { of: 'choice', name: 'direction', label: 'Edge', options: plain(DIRECTIONS) },
        { of: 'figure', name: 'by', label: 'How much', least: -10_000, most: 10_000 },
      ];
    case 'find-window':
    case 'launch':
    case 'save-lineup':
    case 'forget-lineup':
      return [text('Name')];
    case 'recall-lineup':
      return [text('Lineup', 'which')];
    case 'enter-layer':
      return [
        {
          of: 'choice',
          name: 'layer',
          label: 'Layer',
          options: [...named(profile.keys.layers), { value: BASE, text: BASE }],
        },
      ];
    default:
      return [];
  }
}

/** What a field of a command says now, as its choice has it; empty where it says nothing. */
export function saidOf(command: KeyCommand, name: string): string {
  const value = (command as Record<string, unknown>)[name];
  if (value === undefined) return '';
  if (isAxis(name)) {
    const same = JSON.stringify(value);
    return ALONGS.find(([, along]) => JSON.stringify(along) === same)?.[0] ?? same;
  }
  if (name === 'ladder') return (value as readonly Fraction[]).join(' ');
  if (name === 'layout') return (value as { kind: string }).kind;
  return String(value);
}

/** A command with something else said with it; empty takes it out. */
export function withSaid(command: KeyCommand, field: CommandField, said: string): KeyCommand {
  const { [field.name]: _former, ...others } = command as Record<string, unknown>;
  if (said === '') return others as KeyCommand;
  const value = valueOf(field, said);
  if (value === undefined) return command;
  // Along the longer side, and across and down, take each other's place.
  const rest = isAxis(field.name)
    ? without(others, field.name === 'long' ? ['x', 'y'] : ['long'])
    : others;
  return { ...rest, [field.name]: value } as KeyCommand;
}

/** Why a text cannot be said with a command; null where it can. */
export function faultOfSaid(field: CommandField, said: string): string | null {
  const isRight = said.trim() === '' || valueOf(field, said) !== undefined;
  return isRight ? null : 'expected shares above 0 and below 1, such as 1/3 2/3';
}

function valueOf(field: CommandField, said: string): unknown {
  if (field.of === 'flag') return said === 'true';
  if (field.of === 'figure') return Number(said);
  if (field.name === 'layout') return { kind: said };
  if (field.of === 'rungs') {
    const rungs = rungsField.safeParse(rungsIn(said));
    return rungs.success ? rungs.data : undefined;
  }
  if (isAxis(field.name)) {
    return ALONGS.find(([value]) => value === said)?.[1] ?? JSON.parse(said);
  }
  return said;
}

/** A command of a kind with the first of what can be said with it; null where there is nothing to say. */
export function firstOf(id: KeyCommandId, profile: Profile): KeyCommand | null {
  let command = { command: id } as KeyCommand;
  for (const field of fieldsOf(id, profile)) {
    if (field.of === 'choice' && field.none === undefined) {
      const [first] = field.options;
      if (!first) return null;
      command = withSaid(command, field, first.value);
    }
    if (field.of === 'figure') command = withSaid(command, field, '40');
  }
  return command;
}

/** Steps of something that is under way: their keys are there while it lasts. */
const STEPS: readonly CommandId[] = [
  'pick',
  'pick-next',
  'pick-previous',
  'pick-take',
  'pick-back',
  'pick-drop',
  'corner-go-on',
  'shape-as',
  'shape-step',
  'shape-back',
  'shape-drop',
];

/** Every command that a key can be given, and for those of which one thing has to be said, one for each. */
export function commandsToBind(profile: Profile): KeyCommand[] {
  const ids: KeyCommandId[] = [...COMMANDS, ...LAYER_COMMANDS];
  return ids.flatMap((id): KeyCommand[] => {
    if (STEPS.includes(id as CommandId)) return [];
    const [field, more] = fieldsOf(id, profile);
    const first = firstOf(id, profile);
    if (!first) return [];
    if (field?.of !== 'choice' || more?.of === 'choice' || field.none !== undefined) return [first];
    return field.options.map(({ value }) => withSaid(first, field, value));
  });
}
