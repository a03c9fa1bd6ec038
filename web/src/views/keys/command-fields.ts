import {
  definitionOf,
  KEY_COMMANDS,
  type Argument,
  type ArgumentKind,
  type KeyCommand,
  type KeyCommandId,
} from '@sorn/core/commands';
import { ROLES } from '@sorn/core/desk';
import { BASE, without, type Profile } from '@sorn/core/model';
import { LAYOUTS } from '@sorn/core/tiling';
import {
  rungsField,
  rungsIn,
  type Fraction,
  DIRECTIONS,
  LAYOUT_KINDS,
  type Along,
} from '@sorn/core/values';

interface Option {
  value: string;
  text: string;
}

/** How something that is said with a command is asked for. */
type ArgumentOptions =
  | { of: 'choice'; options: readonly Option[]; none?: string }
  | { of: 'flag'; isOn: boolean }
  | { of: 'figure'; least: number; most: number }
  | {
      of: 'text';
      placeholder: string;
      /** What it says to begin with, where it has to say something. */
      first?: string;
      /** Words that are commonly said. */
      offered?: readonly string[];
    };

/** Something that is said with a command. */
export type CommandField = ArgumentOptions & { name: string; label: string; kind: ArgumentKind };

const plain = (values: readonly string[]): Option[] =>
  values.map((value) => ({ value, text: value }));
const named = (list: readonly { id: string; name?: string }[]): Option[] =>
  list.map(({ id, name = id }) => ({ value: id, text: name === id ? id : `${id} ${name}` }));
const oneOf = (options: readonly Option[]): ArgumentOptions => ({ of: 'choice', options });

/** Where a window can stand along an axis, as a choice. */
const ALONGS: readonly (readonly [string, Along])[] = [
  ...['1/2', '1/3', '2/3', '1/4', '3/4'].flatMap((share): (readonly [string, Along])[] => [
    [`start ${share}`, { start: share }],
    [`end ${share}`, { end: share }],
  ]),
  ['middle 1/3', { middle: '1/3' }],
  ['middle 1/2', { middle: '1/2' }],
];

const WHEN_PRESSED: ArgumentOptions = { of: 'text', placeholder: 'asked for when it is pressed' };

/** How an argument of each kind is asked for; null where a form leaves it out. */
const ASKED: Record<
  ArgumentKind,
  (argument: Argument, profile: Profile) => ArgumentOptions | null
> = {
  workspace: (_, { workspaces }) =>
    oneOf([...named(workspaces), ...plain(['next', 'previous', 'last'])]),
  monitor: (_, { monitors }) =>
    oneOf([...plain([...DIRECTIONS, 'next', 'previous', ...ROLES]), ...named(monitors)]),
  app: (_, { apps }) => oneOf(named(apps)),
  'window-of-app': () => null,
  desk: (_, { desks }) => oneOf(named(desks)),
  zone(_, { boards }) {
    const names = boards.flatMap(({ zones }) => zones.map(({ name }) => name));
    return oneOf(plain([...new Set(['1', '2', '3', '4', '5', '6', '7', '8', '9', ...names])]));
  },
  chain: (_, { chains }) => oneOf(named(chains)),
  menu: (_, { menus }) => oneOf(named(menus)),
  layer: (_, { keys }) => oneOf([...named(keys.layers), { value: BASE, text: BASE }]),
  layout: () => oneOf(LAYOUT_KINDS.map((kind) => ({ value: kind, text: LAYOUTS[kind].title }))),
  lineup: () => WHEN_PRESSED,
  direction: () => oneOf(plain(DIRECTIONS)),
  choice: ({ options = [] }) => oneOf(plain(options)),
  along: () => oneOf(ALONGS.map(([value]) => ({ value, text: value }))),
  ladder: () => ({ of: 'text', placeholder: 'sizes, such as 1/3 2/3' }),
  flag: ({ isOn = false }) => ({ of: 'flag', isOn }),
  figure({ range: [least, most] = [0, 0] }) {
    return { of: 'figure', least, most };
  },
  text: () => WHEN_PRESSED,
  'desktop-words': ({ options = [] }) => ({
    of: 'text',
    placeholder: 'what it does there',
    first: options[0]!,
    offered: options,
  }),
  line: () => ({ of: 'text', placeholder: 'a command line', first: 'echo done' }),
  typed: () => null,
  keys: () => null,
};

/** What can be said with a command, in the order it is asked for. */
export function fieldsOf(command: KeyCommandId, profile: Profile): CommandField[] {
  return Object.entries(definitionOf(command).said).flatMap(([name, argument]): CommandField[] => {
    const asked = ASKED[argument.of](argument, profile);
    if (!asked) return [];
    const { label, of: kind, none } = argument;
    return [{ name, label, kind, ...asked, ...(none !== undefined && { none }) }];
  });
}

/** What a field of a command says now, as its choice has it; empty where it says nothing. */
export function valueOfField(command: KeyCommand, { name, kind }: CommandField): string {
  const value = (command as Record<string, unknown>)[name];
  if (value === undefined) return '';
  if (kind === 'along') {
    const same = JSON.stringify(value);
    return ALONGS.find(([, along]) => JSON.stringify(along) === same)?.[0] ?? same;
  }
  if (kind === 'ladder') return (value as readonly Fraction[]).join(' ');
  if (kind === 'layout') return (value as { kind: string }).kind;
  return String(value);
}

/** A command with something else said with it; empty takes it out. */
export function withArgument(command: KeyCommand, field: CommandField, said: string): KeyCommand {
  const { [field.name]: _former, ...others } = command as Record<string, unknown>;
  if (said === '') {
    const isNeeded = field.of === 'text' && field.first !== undefined;
    return isNeeded ? command : (others as KeyCommand);
  }
  const value = valueOf(field, said);
  if (value === undefined) return command;
  return agreeing({ ...others, [field.name]: value } as KeyCommand, field);
}

/** A command without what goes not with what was said last: along the longer side takes the place of across and down. */
function agreeing(command: KeyCommand, { name, kind }: CommandField): KeyCommand {
  const { said, rule } = definitionOf(command.command);
  const agrees = (each: KeyCommand) => !rule || rule.holds(each as never);
  if (agrees(command)) return command;
  const alike = Object.keys(said).filter((other) => other !== name && said[other]?.of === kind);
  const less = (names: readonly string[]) =>
    without(command as Record<string, unknown>, names) as unknown as KeyCommand;
  return alike.map((other) => less([other])).find(agrees) ?? less(alike);
}

/** Why a text cannot be said with a command; null where it can. */
export function argumentFault(field: CommandField, said: string): string | null {
  const isRight = said.trim() === '' || valueOf(field, said) !== undefined;
  return isRight ? null : 'expected shares above 0 and below 1, such as 1/3 2/3';
}

function valueOf({ kind }: CommandField, said: string): unknown {
  switch (kind) {
    case 'flag':
      return said === 'true';
    case 'figure':
      return Number(said);
    case 'layout':
      return { kind: said };
    case 'ladder': {
      const rungs = rungsField.safeParse(rungsIn(said));
      return rungs.success ? rungs.data : undefined;
    }
    case 'along':
      return ALONGS.find(([value]) => value === said)?.[1] ?? JSON.parse(said);
    default:
      return said;
  }
}

/** A command of a kind with the first of what can be said with it; null where there is nothing to say. */
export function firstOf(id: KeyCommandId, profile: Profile): KeyCommand | null {
  let command = { command: id } as KeyCommand;
  for (const field of fieldsOf(id, profile)) {
    if (field.of === 'choice' && field.none === undefined) {
      const [first] = field.options;
      if (!first) return null;
      command = withArgument(command, field, first.value);
    }
    if (field.of === 'text' && field.first !== undefined)
      command = withArgument(command, field, field.first);
    if (field.of === 'figure') command = withArgument(command, field, '40');
  }
  return command;
}

/** The commands that a key can be given: steps of something under way have keys of their own while it lasts. */
export const BINDABLE = KEY_COMMANDS.filter((id) => !definitionOf(id).hasFixedKeys);

/** Every command that a key can be given, and for those of which one thing has to be said, one for each. */
export function commandsToBind(profile: Profile): KeyCommand[] {
  return BINDABLE.flatMap((id): KeyCommand[] => {
    const [field, more] = fieldsOf(id, profile);
    const first = firstOf(id, profile);
    if (!first) return [];
    if (field?.of === 'text' && field.offered)
      return field.offered.map((words) => withArgument(first, field, words));
    if (field?.of !== 'choice' || more?.of === 'choice' || field.none !== undefined) return [first];
    return field.options.map(({ value }) => withArgument(first, field, value));
  });
}
