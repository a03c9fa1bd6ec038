import type { KeyCommand } from '../../commands/registry.ts';
import { commandText } from '../../commands/command.ts';
import { type InputDevice, type Mark, BASE } from '../../model/keys.ts';
import type { Profile } from '../../model/profile.ts';
import { MAIN } from '../../values/modifiers.ts';
import { triggerOf } from '../../values/trigger.ts';
import { freeInputsOf } from '../devices.ts';
import { SELDOM_THERE } from '../free-keys.ts';
import { expander, keyMap } from '../map.ts';
import { reachTable } from '../reach.ts';
import { shortcutLists } from '../shortcut-lists.ts';
import { definitionOf, argumentsOf } from '../../commands/registry.ts';

/** A command for which keys are suggested. */
export interface BindingCandidate {
  command: KeyCommand;
  text: string;
  /** How often it is used. */
  uses: number;
  mark: Mark;
  /** Keys that it stays on. */
  pinned: string | null;
}

/** Keys that a command can be put on, and their reach. */
export interface KeySlot {
  keys: string;
  code: string;
  modifiers: readonly string[];
  reach: number;
}

/** The most commands for which the assignment is computed exactly. */
export const MOST_CANDIDATES = 120;

/**
 * Every command of the base layer of a profile, each once, with its use.
 *
 * @param uses how often each was used, by its text; null: guessed
 */
export function bindingCandidates(
  profile: Profile,
  device: InputDevice,
  uses: ReadonlyMap<string, number> | null,
): BindingCandidate[] {
  const inputs = new Set(freeInputsOf(device));
  const marks = new Map(
    profile.keys.marks.map(({ command, mark }) => [commandText(command), mark]),
  );
  const candidates = new Map<string, BindingCandidate>();
  for (const { command, layer, app, pinned, keys, trigger } of keyMap(profile)) {
    if (!command || layer !== BASE || app !== null || trigger.how !== 'press') continue;
    const text = commandText(command);
    const isHere = trigger.steps.every(({ code }) => code !== undefined && inputs.has(code));
    const former = candidates.get(text);
    const stays = pinned && isHere ? keys : null;
    if (former) {
      former.pinned ??= stays;
      continue;
    }
    const counted = uses ? (uses.get(text) ?? 0) : definitionOf(command.command).guessedUses;
    candidates.set(text, {
      command,
      text,
      uses: counted,
      mark: marks.get(text) ?? 'wanted',
      pinned: stays,
    });
  }
  for (const { command, mark } of profile.keys.marks) {
    const text = commandText(command);
    if (candidates.has(text)) continue;
    const counted = uses ? (uses.get(text) ?? 0) : definitionOf(command.command).guessedUses;
    candidates.set(text, { command, text, uses: counted, mark, pinned: null });
  }
  return [...candidates.values()];
}

const WITH: readonly (readonly string[])[] = [
  [MAIN],
  [MAIN, 'Shift'],
  [MAIN, 'Ctrl'],
  [MAIN, 'Alt'],
  [MAIN, 'Ctrl', 'Shift'],
];

/** The main modifier alone, with one more and with two: what commands are put on as a rule. */
export function modifiersWithMain({ keys: { main } }: Profile): string[][] {
  return WITH.map((set) => set.map((name) => (name === main ? 'Meta' : name)));
}

/**
 * The keys of a device that commands can be put on, those of the least reach first: bare ones where it sends no
 * modifiers, else with the main modifier and up to two more. What the desktop takes, and what stays bound
 * there, is left out.
 *
 * @param staying triggers that stay bound, by their signs
 * @param codes only these inputs, where given
 */
export function slotsOf(
  profile: Profile,
  device: InputDevice,
  staying: ReadonlySet<string>,
  codes?: readonly string[],
): KeySlot[] {
  const reach = reachTable(profile);
  const expand = expander(profile.keys);
  const taken = new Set(
    shortcutLists(profile)
      .filter(({ on }) => on)
      .flatMap(({ shortcuts }) => shortcuts.map(({ keys }) => expand(keys).canonicalTrigger)),
  );
  const inputs = freeInputsOf(device).filter((code) => !codes || codes.includes(code));
  const sets = device.modifiers ? modifiersWithMain(profile) : [[]];
  return sets
    .flatMap((modifiers) =>
      inputs.map((code): KeySlot => {
        const keys = [...modifiers, code].join('+');
        return { keys, code, modifiers, reach: reach(keys) };
      }),
    )
    .filter(({ keys, code }) => {
      const isReserved =
        code === 'Escape' || code === profile.keys.handBack || SELDOM_THERE.includes(code);
      const { canonicalTrigger } = expand(keys);
      return !isReserved && !staying.has(canonicalTrigger) && !taken.has(canonicalTrigger);
    })
    .sort((a, b) => a.reach - b.reach);
}

/** The code of the key of a chord; null for sequences and keys by what they type. */
export function codeOf(keys: string): string | null {
  const { steps } = triggerOf(keys);
  return steps.length === 1 ? (steps[0]!.code ?? null) : null;
}

/** How much nearer a key counts that is called as what its command leads to: it need not be remembered. */
const CALLED_SO = 0.5;
const LEAST_REACH = 0.1;
/** Commands that are never used still get near keys, after the others. */
const LEAST_USE = 1e-3;

/** What a command costs on a key: its uses times the reach. */
export function costFor(
  profile: Profile,
  { command, uses }: BindingCandidate,
  slot: KeySlot,
): number {
  const nearer = isMnemonic(profile, command, slot.code) ? CALLED_SO : 0;
  return Math.max(uses, LEAST_USE) * Math.max(LEAST_REACH, slot.reach - nearer);
}

/** What a command says that has a name of its own, as "workspace B". */
export function namedTargetsOf(command: KeyCommand): string[] {
  return argumentsOf(command).flatMap(({ argument: { of }, value }) =>
    value !== undefined && ['workspace', 'app', 'zone'].includes(of)
      ? [`${of} ${String(value)}`]
      : [],
  );
}

/** True for the letter or digit of the workspace, app or zone that a command leads to. */
export function isMnemonic({ apps }: Profile, command: KeyCommand, code: string): boolean {
  const name = /^(?:Key|Digit|Numpad)(\w)$/.exec(code)?.[1];
  if (name === undefined) return false;
  return argumentsOf(command).some(({ argument: { of }, value }) => {
    if (of === 'workspace') return String(value).toUpperCase() === name;
    if (of === 'zone') return value === name;
    return of === 'app' && apps.find(({ id }) => id === value)?.letter === name;
  });
}
