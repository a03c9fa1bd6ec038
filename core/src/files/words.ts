import { stepsOf, type PathStep } from './positions.ts';
import type { KeyCommand } from '../commands/registry.ts';
import { commandText } from '../commands/command.ts';

import type { Profile } from '../model/profile.ts';
import { keysCaps } from '../values/trigger.ts';
import { differences, isFields, type Difference } from './differences.ts';
import { entriesOf, entryEnd, listOfOrder, valueAt, type Path } from './lists.ts';

/** Fields that are called otherwise in words than in the file. */
const FIELD_WORDS: Record<string, string> = {
  'gaps.inner': 'inner gap',
  'gaps.outer': 'outer gap',
  'gaps.dropWhenAlone': 'gaps dropped when alone',
  'layout.kind': 'layout',
  'cornerPick.goOn': 'corner pick goes on',
  'cornerPick.columns': 'columns of the corner pick',
  'cornerPick.rows': 'rows of the corner pick',
  'focusFrame.on': 'focus frame',
  'focusFrame.hue': 'colour of the focus frame',
  'focusFrame.weight': 'weight of the focus frame',
  'ladders.x': 'ladder of widths',
  'ladders.y': 'ladder of heights',
  'keys.main': 'main modifier',
  main: 'main modifier',
  'keys.from': 'starter of the keys',
  'keys.handBack': 'key that hands back',
  'tiling.growStep': 'grow step',
  motionMs: 'motion, ms',
  recordMs: 'wait for a further press when recording, ms',
  sequenceMs: 'wait for a sequence, ms',
  holdMs: 'time of a hold, ms',
  'for.leastAspect': 'least aspect it is for',
  'for.leastWidth': 'least width it is for',
  'for.turned': 'for turned monitors',
  'for.monitor': 'monitor it is for',
};

/** One thing that changed, in words: "inner gap 10 → 6", "rule 4 moved above 2". */
export function changeTexts(before: Profile, after: Profile): string[] {
  return differences(before, after)
    .flatMap(spread)
    .map((difference) => changeText(difference, before, after));
}

/** What was not there at all is told field by field where its fields are what counts. */
function spread(difference: Difference): Difference[] {
  if (difference.kind === 'moved') return [difference];
  const { path } = difference;
  const before = 'before' in difference ? difference.before : undefined;
  const after = 'after' in difference ? difference.after : undefined;
  const isPlace = path.length === 3 && path[1] === 'places';
  if (!isPlace && difference.kind !== 'set') return [difference];
  if (!isGroup(before) || !isGroup(after)) return [difference];
  const parts = differences(before ?? {}, after ?? {}, path).filter(
    ({ path: at }) => !(isPlace && ['workspace', 'monitor'].includes(at[3] ?? '')),
  );
  return parts.length > 0 ? parts.flatMap(spread) : [difference];
}

/** Nothing, or an object that is not read as one thing, as a size or a command is. */
function isGroup(side: unknown): boolean {
  return side === undefined || (isFields(side) && !('width' in side) && !('command' in side));
}

/** A difference between two profiles in words. */
export function changeText(difference: Difference, before: Profile, after: Profile): string {
  const { path } = difference;
  switch (difference.kind) {
    case 'added':
      return `${subject(path, after)} added${addedText(path, difference.after)}`;
    case 'taken-out':
      return `${subject(path, before)} taken out`;
    case 'moved': {
      const { from, above } = difference;
      const what = path[0] === 'rules' ? `rule ${from + 1}` : subject(path, before);
      const listed = valueAt(before, path.slice(0, -1)) as unknown[];
      const other = above === null ? null : (nameIn(path.slice(0, -1), listed, above) ?? '');
      const where = path[0] === 'rules' && above !== null ? `${above + 1}` : other;
      return `${what} moved ${where === null ? 'to the end' : `above ${where}`}`;
    }
    case 'set': {
      const end = entryEnd(path);
      const [known, field] = [path.slice(0, end), path.slice(end)];
      if (field.at(-1) === 'setAside') return asideText(known, difference.after, after);
      if (field.length === 1 && field[0] === 'on' && known.length > 0)
        return `${subject(known, after)} turned ${difference.after === false ? 'off' : 'on'}`;
      const what =
        known.length > 0
          ? `${subject(known, valueAt(before, known) === undefined ? after : before)}: `
          : '';
      return `${what}${fieldWords(field)} ${valueText(difference.before)} → ${valueText(difference.after)}`;
    }
  }
}

/** What was set for layouts that are not in use now. */
function asideText(known: Path, aside: unknown, profile: Profile): string {
  const where = known.length > 0 ? `${subject(known, profile)}: ` : '';
  const kinds = ((aside ?? []) as { kind: string }[]).map(({ kind }) => kind);
  return kinds.length > 0
    ? `${where}what was set for ${kinds.join(', ')} is kept for its return`
    : `${where}nothing is kept for other layouts`;
}

/** The commands of a chain, in their order. */
function chainText(chain: unknown): string {
  const { commands } = chain as { commands: readonly KeyCommand[] };
  return commands.map(commandText).join(', then ');
}

function addedText(path: Path, added: unknown): string {
  if (path[0] === 'chains' && path.length === 2) return `: ${chainText(added)}`;
  if (path[0] === 'menus' && path.length === 4)
    return `: ${commandText((added as { command: KeyCommand }).command)}`;
  if (path[0] !== 'keys' || path[1] !== 'bindings') return '';
  const { command, release } = added as { command?: KeyCommand; release?: KeyCommand };
  const does = [command, release].flatMap((each) => (each ? [commandText(each)] : []));
  return `: ${does.join(', then ')}`;
}

/** A part that two people made different, in words: what it is, and how each of them has it. */
export function conflictWords(
  { path, mine, theirs }: { path: Path; mine: unknown; theirs: unknown },
  profile: Profile,
): { what: string; mine: string; theirs: string } {
  const list = listOfOrder(path);
  if (list) {
    return {
      what: `order of ${listWords(list, profile)}`,
      mine: namesText(list, mine, profile),
      theirs: namesText(list, theirs, profile),
    };
  }
  const end = entryEnd(path);
  const [known, field] = [path.slice(0, end), path.slice(end)];
  const isEntry = field.length === 0;
  const said = (value: unknown) => {
    if (!isEntry) return valueText(value);
    return value === undefined ? 'taken out' : valueText(value);
  };
  const what = [
    ...(end > 0 ? [subject(known, profile)] : []),
    ...(isEntry ? [] : [fieldWords(field)]),
  ];
  return { what: what.join(': '), mine: said(mine), theirs: said(theirs) };
}

/** What a list is called: "rules", "zones of board wide-three". */
function listWords(list: Path, profile: Profile): string {
  const end = entryEnd(list);
  const name = fieldWords(list.slice(end));
  return end > 0 ? `${name} of ${subject(list.slice(0, end), profile)}` : name;
}

/** The names of a list's entries in an order, as a person knows them. */
function namesText(list: Path, names: unknown, profile: Profile): string {
  const known = (valueAt(profile, list) ?? []) as readonly unknown[];
  const called = (name: string) => {
    const entry = entriesOf(list, known)?.get(name)?.value as { name?: string } | undefined;
    return list[0] === 'workspaces' ? name : (entry?.name ?? name);
  };
  return (names as readonly string[]).map(called).join(', ');
}

/** A thing of a profile that a fault or finding is about. */
export interface NamedThing {
  /** "rule 5 “Duty Line”: monitor". */
  text: string;
  /** The path to it by what entries of lists are known by: ["rules", "duty", "then", "monitor"]. */
  path: Path;
}

/** What stands at a path as faults tell it, such as "rules[4].then.monitor". */
export function thingAt(profile: Profile, faultPath: string): NamedThing {
  const path: string[] = [];
  let value: unknown = profile;
  for (const step of stepsOf(faultPath)) {
    const names = Array.isArray(value) ? entriesOf(path, value) : null;
    // A list without entries of their own is one value: what is in it has no name.
    const name = typeof step === 'number' ? names && [...names.keys()][step] : step;
    if (typeof name !== 'string') break;
    path.push(name);
    value = (value as Record<PathStep, unknown> | undefined)?.[step];
  }
  const end = entryEnd(path);
  const field = path.slice(end);
  const text = [
    ...(end > 0 ? [subject(path.slice(0, end), profile)] : []),
    ...(field.length > 0 ? [fieldWords(field)] : []),
  ].join(': ');
  return { text, path };
}

/** What a part of a profile is called: an entry of a list, or a setting. */
export function partText(path: Path, profile: Profile): string {
  return subject(path, profile);
}

/** What an entry of a list is called: "rule 4 “Duty Line”", "zone Left of board wide-three". */
function subject(path: Path, profile: Profile): string {
  const [list, name = '', inner, innerName = ''] = path;
  if (path.length === 1 || entryEnd(path) !== path.length) return fieldWords(path);
  const named = (items: readonly { id: string; name?: string }[]) =>
    items.find(({ id }) => id === name)?.name ?? name;
  switch (list) {
    case 'rules': {
      const at = profile.rules.findIndex(({ id }) => id === name);
      return `rule ${at + 1} “${named(profile.rules)}”`;
    }
    case 'boards':
      return inner === 'zones'
        ? `zone ${innerName} of board ${named(profile.boards)}`
        : `board ${named(profile.boards)}`;
    case 'chains':
      return `chain ${named(profile.chains)}`;
    case 'menus':
      return inner === 'entries'
        ? `${innerName} of menu ${named(profile.menus)}`
        : `menu ${named(profile.menus)}`;
    case 'trials': {
      const trial = `trial ${named(profile.trials)}`;
      return inner === 'session' ? `window ${path[4] ?? ''} of ${trial}` : trial;
    }
    case 'monitors':
      return `monitor ${named(profile.monitors)}`;
    case 'workspaces':
      return `workspace ${name}`;
    case 'machines':
      return inner === 'monitors' ? `${innerName} on machine ${name}` : `machine ${name}`;
    case 'desks': {
      const desk = `desk ${named(profile.desks)}`;
      return inner === 'monitors' ? `${innerName} on ${desk}` : desk;
    }
    case 'apps': {
      const app = `app ${named(profile.apps)}`;
      if (inner === 'windows') return `window ${innerName} of ${app}`;
      return inner === 'shortcuts' ? `shortcut ${innerName} of ${app}` : app;
    }
    case 'start':
      return `${name} at the start`;
    case 'tiling':
      return inner !== undefined && name === 'places'
        ? placeWords(inner)
        : `layout set aside ${inner ?? ''}`;
    case 'keys':
      return keysSubject(path, profile);
    default:
      return path.join(' ');
  }
}

function placeWords(place: string): string {
  const [workspace = '', monitor = ''] = place.split(' ');
  if (workspace && monitor) return `workspace ${workspace} on ${monitor}`;
  return workspace ? `workspace ${workspace}` : `monitor ${monitor}`;
}

function keysSubject([, list, name = '']: Path, profile: Profile): string {
  switch (list) {
    case 'bindings': {
      const [keys = '', layer, app] = name.split(' · ');
      const where = [layer && `in layer ${layer}`, app && `in ${app}`].filter(Boolean);
      return [`keys ${capsText(keys, profile.keys)}`, ...where].join(' ');
    }
    case 'without':
      return `starter's keys ${capsText(name, profile.keys)} left out`;
    case 'marks':
      return `mark of ${name}`;
    case 'taken':
      return `list of taken keys ${name}`;
    default:
      return `${list === 'layers' ? 'key layer' : list?.replace(/s$/, '')} ${name}`;
  }
}

function capsText(keys: string, captions: Profile['keys']): string {
  const [plain = keys, again] = keys.split(' #');
  try {
    return `${keysCaps(plain, captions).join(' ')}${again ? ` (${again})` : ''}`;
  } catch {
    return keys;
  }
}

function fieldWords(field: Path): string {
  const last = field.at(-1) ?? '';
  const known = FIELD_WORDS[field.slice(-2).join('.')] ?? FIELD_WORDS[last];
  if (known) return known;
  const spaced = last.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  const parent = field.at(-2);
  const isSide = ['top', 'right', 'bottom', 'left', 'x', 'y', 'width', 'height'].includes(last);
  return isSide && parent !== undefined ? `${fieldWords(field.slice(0, -1))}, ${spaced}` : spaced;
}

const MOST_LETTERS = 60;

function valueText(value: unknown): string {
  if (value === undefined) return 'not set';
  if (typeof value === 'boolean') return value ? 'on' : 'off';
  if (typeof value === 'string') return value === '' ? '“”' : shortened(value);
  if (Array.isArray(value)) return shortened(value.map(valueText).join(', ') || 'none');
  if (!isFields(value)) return String(value);
  if ('width' in value && 'height' in value && Object.keys(value).length === 2)
    return `${String(value.width)} × ${String(value.height)}`;
  if (typeof value.command === 'string') return shortened(commandText(value as KeyCommand));
  const parts = Object.entries(value).map(([name, part]) => `${name} ${valueText(part)}`);
  return shortened(parts.join(', '));
}

function shortened(text: string): string {
  return text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS - 1)}…` : text;
}

function nameIn(path: Path, list: readonly unknown[], index: number): string | undefined {
  for (const [name, entry] of entriesOf(path, list) ?? []) if (entry.index === index) return name;
  return undefined;
}
