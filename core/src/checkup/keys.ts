import type { KeyCommand } from '../commands/registry.ts';
import { commandText } from '../commands/command.ts';
import { expander, keyMap, pressesOf, type KeyBinding } from '../keys/map.ts';
import { placeOf } from '../keys/key-position.ts';
import { shortcutLists } from '../keys/shortcut-lists.ts';
import { directedOf, wayBack } from '../keys/ways-back.ts';
import { dualRole } from '../keys/lookup.ts';
import { keyTable } from '../keys/table.ts';
import { BASE } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { keptByFields } from '../values/cache.ts';
import { checkDevices } from './key-devices.ts';
import { neverPressed, typedNoMore } from './key-typing.ts';
import { bindingName, finding, keysName, type KeyFinding } from './key-finding.ts';

/** What is wrong with the key map of a profile. */
export const checkKeys = keptByFields(2, (profile: Profile): readonly KeyFinding[] => {
  const map = keyMap(profile);
  return [
    ...twice(profile, map),
    ...hidden(profile, map),
    ...taken(profile, map),
    ...typedNoMore(profile, map),
    ...neverPressed(profile, map),
    ...layers(profile, map),
    ...withoutWayBack(map),
    ...contradictions(profile, map),
    ...checkDevices(profile, map),
  ];
});

/** Bindings with the same value of something, where there are several, in the map's order. */
function several(
  map: readonly KeyBinding[],
  by: (binding: KeyBinding) => string,
): (readonly KeyBinding[])[] {
  const groups = new Map<string, KeyBinding[]>();
  for (const binding of map) {
    const key = by(binding);
    const group = groups.get(key);
    if (group) group.push(binding);
    else groups.set(key, [binding]);
  }
  return [...groups.values()].filter((group) => group.length > 1);
}

const inLayer = (layer: string) => (layer === BASE ? '' : ` in the layer ${layer}`);

/** The same trigger twice, in one layer and for the same windows. */
function twice(profile: Profile, map: readonly KeyBinding[]): KeyFinding[] {
  return several(
    map,
    ({ layer, app, canonicalTrigger }) => `${layer} ${app ?? ''} ${canonicalTrigger}`,
  ).map((group) => {
    const [first, second] = group as [KeyBinding, KeyBinding];
    const others = group.slice(1).map(bindingName).join(' and ');
    const text = `${keysName(profile, first)} does ${bindingName(first)}${inLayer(first.layer)}, and hides ${others} on the same keys.`;
    return finding('keys-twice', group, `${keysName(profile, first)} is bound twice`, text, second);
  });
}

/** A chord that hides a longer sequence, and a tap-hold key that hides what it did by itself. */
function hidden(profile: Profile, map: readonly KeyBinding[]): KeyFinding[] {
  const longer = new Map<string, KeyBinding[]>();
  const whole = new Map<string, KeyBinding>();
  for (const binding of map) {
    const { trigger, layer } = binding;
    if (trigger.how === 'press') {
      const signs = pressesOf(binding);
      const at = `${layer} ${binding.canonicalTrigger}`;
      if (!whole.has(at)) whole.set(at, binding);
      for (let steps = 1; steps < signs.length; steps++) {
        const begins = `${layer} ${signs.slice(0, steps).join(' ')}`;
        longer.set(begins, [...(longer.get(begins) ?? []), binding]);
      }
    }
  }
  const sequences = [...longer].flatMap(([at, hides]): KeyFinding[] => {
    const chord = whole.get(at);
    if (!chord) return [];
    const names = hides.map((each) => `${keysName(profile, each)} (${bindingName(each)})`);
    const text = `${keysName(profile, chord)} does ${bindingName(chord)} at once${inLayer(chord.layer)}: ${names.join(', ')} cannot be reached.`;
    const title = `${keysName(profile, chord)} hides a sequence`;
    return [finding('keys-hidden', [chord, ...hides], title, text, chord)];
  });
  const table = keyTable(profile);
  const twoRoles = map.flatMap((binding): KeyFinding[] => {
    const { trigger, layer } = binding;
    if (trigger.how !== 'press') return [];
    const [over] = trigger.steps.flatMap(
      ({ code = '' }) => dualRole(table, [layer, BASE], code, binding.app) ?? [],
    );
    if (!over) return [];
    const [role, keys] = [keysName(profile, over), keysName(profile, binding)];
    const isPlain = trigger.steps.length === 1 && trigger.steps[0]!.modifiers.length === 0;
    const when = isPlain ? 'when the key goes down' : `on ${keys}`;
    const where = over.layer === layer ? '' : inLayer(layer);
    const text = `${role} does ${bindingName(over)}${inLayer(over.layer)}: ${bindingName(binding)}${where}, ${when}, cannot be reached.`;
    const title = `${keys} is hidden by ${isPlain ? `its own ${over.trigger.how}` : role}`;
    return [finding('keys-hidden', [over, binding], title, text, binding)];
  });
  return [...sequences, ...twoRoles];
}

/** What a binding is set off or begun by. */
function firstPress(binding: Pick<KeyBinding, 'trigger' | 'canonicalTrigger'>): string {
  return binding.trigger.how === 'press' ? pressesOf(binding)[0]! : binding.canonicalTrigger;
}

/** Keys that the desktop, or an app with the focus, takes before they come here. */
function taken(profile: Profile, map: readonly KeyBinding[]): KeyFinding[] {
  const expand = expander(profile.keys);
  const by = new Map<string, { who: string; app: string | null; what: string }[]>();
  const add = (keys: string, who: string, what: string, app: string | null) => {
    const { canonicalTrigger } = expand(keys);
    by.set(canonicalTrigger, [...(by.get(canonicalTrigger) ?? []), { who, what, app }]);
  };
  for (const { on, shortcuts } of shortcutLists(profile))
    if (on) for (const { keys, what } of shortcuts) add(keys, 'The desktop', what, null);
  for (const { id, name = id, shortcuts = [] } of profile.apps)
    for (const { keys, what } of shortcuts) add(keys, name, what, id);
  const keeps = new Map(
    profile.apps.flatMap(({ id, name = id, keepsAllBut }) =>
      keepsAllBut
        ? [
            [
              id,
              { name, but: new Set(keepsAllBut.map((keys) => firstPress(expand(keys)))) },
            ] as const,
          ]
        : [],
    ),
  );
  if (by.size === 0 && keeps.size === 0) return [];
  return map.flatMap((binding): KeyFinding[] => {
    // What is left to the desktop is taken by it as it is to be.
    if (binding.command?.command === 'leave-to-desktop') return [];
    const first = firstPress(binding);
    const keeper = binding.app === null ? undefined : keeps.get(binding.app);
    if (keeper && binding.layer === BASE && !keeper.but.has(first)) {
      const text = `${keeper.name} keeps all keys but a few for itself: ${bindingName(binding)} is not reached in it.`;
      const title = `${keysName(profile, binding)} is kept by ${keeper.name}`;
      return [finding('keys-taken', [binding], title, text, binding)];
    }
    const takes = (by.get(first) ?? []).find(
      ({ app }) => app === null || binding.app === null || binding.app === app,
    );
    if (!takes) return [];
    const text = `${takes.who} ${takes.what} with it: ${bindingName(binding)} is not reached${takes.app === null ? '' : ' while that has the focus'}.`;
    return [
      finding('keys-taken', [binding], `${keysName(profile, binding)} is taken`, text, binding),
    ];
  });
}

const NO_COMMANDS: readonly KeyCommand[] = [];

function commandsOf({ command, release }: KeyBinding): readonly KeyCommand[] {
  if (command) return release ? [command, release] : [command];
  return release ? [release] : NO_COMMANDS;
}

/** Layers that nothing enters, and those that stay and that nothing in them leaves. */
function layers({ keys }: Profile, map: readonly KeyBinding[]): KeyFinding[] {
  const leads = new Map<string, Set<string>>();
  const leaves = new Set<string>();
  for (const binding of map) {
    for (const command of commandsOf(binding)) {
      if (command.command === 'leave-layer') leaves.add(binding.layer);
      if (command.command !== 'enter-layer') continue;
      if (command.layer === BASE) leaves.add(binding.layer);
      leads.set(binding.layer, (leads.get(binding.layer) ?? new Set()).add(command.layer));
    }
  }
  const reached = new Set([BASE]);
  for (const layer of reached) for (const next of leads.get(layer) ?? []) reached.add(next);
  return keys.layers.flatMap(({ id, lasts }): KeyFinding[] => {
    const about = map.filter(({ layer }) => layer === id);
    const ways: KeyFinding[] = [];
    if (!reached.has(id) && about.length > 0) {
      const text = `No key enters the layer ${id}, so ${about.length === 1 ? 'its key is' : `its ${about.length} keys are`} never there.`;
      ways.push({
        ...finding('layer-unreached', about, `${id} cannot be reached`, text),
        layer: id,
      });
    }
    if (lasts === 'kept' && !leaves.has(id)) {
      const text = `Nothing in the layer ${id} leaves it but Escape alone, which leads home from everywhere: a device without that key stays in it.`;
      ways.push({ ...finding('layer-stuck', about, `${id} cannot be left`, text), layer: id });
    }
    return ways;
  });
}

/** Commands that have a way back, which no key has. */
function withoutWayBack(map: readonly KeyBinding[]): KeyFinding[] {
  const bound = new Set<string>();
  for (const binding of map)
    for (const command of commandsOf(binding)) bound.add(commandText(command));
  const told = new Set<string>();
  const findings: KeyFinding[] = [];
  for (const binding of map) {
    for (const command of commandsOf(binding)) {
      const name = commandText(command);
      if (told.has(name)) continue;
      told.add(name);
      const back = wayBack(command);
      if (!back || bound.has(commandText(back))) continue;
      const text = `No key does ${commandText(back)}, which takes it back.`;
      const title = `${name} has no way back`;
      findings.push({ ...finding('no-way-back', [binding], title, text), wanted: back });
    }
  }
  return findings;
}

/** In key widths: rows and columns that are staggered stand a little aside of each other. */
const ASIDE = 0.6;

/** Keys whose positions contradict their directions, such as a key for left at the right of the one for right. */
function contradictions(profile: Profile, map: readonly KeyBinding[]): KeyFinding[] {
  const place = placeOf(profile);
  const families = new Map<string, Map<string, KeyBinding>>();
  for (const binding of map) {
    const { command, trigger, layer, app } = binding;
    const directed = command && directedOf(command);
    const step = trigger.steps.at(-1)!;
    if (!directed || step.code === undefined || !place(step.code)) continue;
    // Keys of the pad and keys of the hand are two families, though they do the same.
    const block = step.code.startsWith('Numpad')
      ? 'pad'
      : step.code.startsWith('Arrow')
        ? 'arrows'
        : '';
    const same = [layer, app, trigger.how, step.modifiers.join('+'), block, directed.family].join(
      ' ',
    );
    const family = families.get(same) ?? new Map<string, KeyBinding>();
    if (!family.has(directed.direction)) family.set(directed.direction, binding);
    families.set(same, family);
  }
  const at = (binding: KeyBinding) => place(binding.trigger.steps.at(-1)!.code!)!;
  const opposed = [
    ['left', 'right', 'x'],
    ['up', 'down', 'y'],
  ] as const;
  return [...families.values()].flatMap((family) =>
    opposed.flatMap(([from, to, axis]): KeyFinding[] => {
      const [one, other] = [family.get(from), family.get(to)];
      if (!one || !other || at(one)[axis] < at(other)[axis] + ASIDE) return [];
      const side = axis === 'x' ? 'right of' : 'below';
      const text = `${keysName(profile, one)} does ${bindingName(one)} and stands ${side} ${keysName(profile, other)}, which does ${bindingName(other)}.`;
      const title = `${bindingName(one)} is on the wrong side`;
      return [finding('keys-contradict', [one, other], title, text, one)];
    }),
  );
}
