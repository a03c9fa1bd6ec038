import { MAIN } from '../values/modifiers.ts';

export const PROFILE_VERSION = 4;

type Fields = Record<string, unknown>;

/**
 * A profile as it was read, brought to the present version of the format. One that does not say its version was
 * written by hand: names of any version are read in it, and what it leaves out is as it is now. What is no
 * profile, or of a version that is not known, is left as it is: reading it tells the fault. What a file says of its
 * schema is for editors, and no part of the profile.
 */
export function migrated(input: unknown): unknown {
  if (!isFields(input)) return input;
  const { $schema: _schema, ...profile } = input;
  const { version } = profile;
  const isOld = version === 1 || version === 2 || version === 3;
  if (version !== undefined && !isOld) return profile;
  const ruled = version === 1 || !isOld ? withRulesForApps(profile) : profile;
  const renamed = withPresentNames(withBindingsForPlaces(ruled));
  return { ...(isOld ? withFormerDefaults(renamed) : renamed), version: PROFILE_VERSION };
}

/** Commands whose names have changed. */
const FORMER_COMMANDS: Readonly<Record<string, string>> = {
  'peek-desktop': 'clear-while-pressed',
  'corner-stays': 'corner-go-on',
};
/** Key starters whose names have changed. */
const FORMER_STARTERS: Readonly<Record<string, string>> = {
  'home-row': 'inverted-t',
  'left-hand': 'inverted-t-left',
  'under-fingers': 'block',
};
/** Key starters that have other keys since version 4. */
const REARRANGED = ['whole', 'few', 'arrows', ...Object.values(FORMER_STARTERS)];

function presentName(names: Readonly<Record<string, string>>, name: unknown): unknown {
  return typeof name === 'string' && Object.hasOwn(names, name) ? names[name] : name;
}

/** A command, or the id of one, by its present name. */
function presentCommand(command: unknown): unknown {
  if (!isFields(command)) return presentName(FORMER_COMMANDS, command);
  return { ...command, command: presentName(FORMER_COMMANDS, command.command) };
}

/** Commands, starters and the corner pick by the names they have since version 4. */
function withPresentNames(profile: Fields): Fields {
  const { keys, placing } = profile;
  const next = { ...profile };
  if (isFields(keys)) next.keys = keysWithPresentNames(keys);
  if (isFields(placing) && isFields(placing.cornerPick)) {
    const { stays, ...cornerPick } = placing.cornerPick;
    const goOn = stays === undefined ? {} : { goOn: stays };
    next.placing = { ...placing, cornerPick: { ...cornerPick, ...goOn } };
  }
  return next;
}

function keysWithPresentNames(keys: Fields): Fields {
  const each = (list: unknown, fields: readonly string[]) =>
    Array.isArray(list)
      ? list.map((item: unknown) => {
          if (!isFields(item)) return item;
          const named = fields.filter((field) => field in item);
          return {
            ...item,
            ...Object.fromEntries(named.map((field) => [field, presentCommand(item[field])])),
          };
        })
      : list;
  return {
    ...keys,
    ...('from' in keys && { from: presentName(FORMER_STARTERS, keys.from) }),
    ...('bindings' in keys && { bindings: each(keys.bindings, ['command', 'release']) }),
    ...('marks' in keys && { marks: each(keys.marks, ['command']) }),
  };
}

/**
 * What files before version 4 meant without saying it: the opposite placing key gave the whole length. Keys of a
 * starter that were left out are other commands' now, and no longer left out.
 */
function withFormerDefaults(profile: Fields): Fields {
  const { keys, placing } = profile;
  const next = { ...profile };
  const isWhole = 'monitors' in profile;
  if (isFields(placing) || (isWhole && placing === undefined))
    next.placing = { onOpposite: 'full', ...(placing as Fields | undefined) };
  if (isFields(keys) && REARRANGED.includes(String(keys.from ?? 'whole'))) {
    const { without: _former, ...rest } = keys;
    next.keys = rest;
  }
  return next;
}

/** Before version 3 only places could be put on keys; they are bindings as any other. */
function withBindingsForPlaces(profile: Fields): Fields {
  const { keys } = profile;
  if (!isFields(keys) || !Array.isArray(keys.places)) return profile;
  const { places, ...rest } = keys;
  const main = keys.main ?? 'Meta';
  const bindings = places.map((place: unknown) => {
    if (!isFields(place)) return place;
    const { modifiers = [], code, ...where } = place;
    const names = Array.isArray(modifiers)
      ? modifiers.map((name: unknown) => (name === main ? MAIN : String(name)))
      : [];
    return {
      keys: [...names, String(code)].join('+'),
      command: { command: 'place-at', ...where },
    };
  });
  return { ...profile, keys: { ...rest, bindings } };
}

/** In version 1 an app said itself how its windows are held and in which zone; that is a rule's to say. */
function withRulesForApps(profile: Fields): Fields {
  const { apps, rules = [] } = profile;
  if (!Array.isArray(apps) || !Array.isArray(rules)) return profile;
  const own: Fields[] = [];
  const plain = apps.map((app: unknown) => {
    if (!isFields(app)) return app;
    const { held, zone, ...rest } = app;
    const then = {
      ...(held !== undefined && held !== 'tiled' && { held }),
      ...(zone !== undefined && { zone }),
    };
    if (Object.keys(then).length > 0) {
      const { id } = app;
      own.push({
        id: `app-${String(id)}`.slice(0, 80),
        when: { all: [{ of: 'app', is: id }] },
        then,
      });
    }
    return rest;
  });
  return { ...profile, apps: plain, ...(own.length > 0 && { rules: [...rules, ...own] }) };
}

/** A session as it was read, with what it says of commands and choices as it is said now. */
export function migratedSession(input: unknown): unknown {
  if (!isFields(input)) return input;
  const session = withInteraction(
    withDetached(withMovedSizes(withFlatTrees({ ...(withoutWishes(input) as Fields) }))),
  );
  const { uses } = session;
  if (Array.isArray(uses)) {
    session.uses = uses.map((use: unknown) =>
      isFields(use) ? { ...use, command: presentName(FORMER_COMMANDS, use.command) } : use,
    );
  }
  return session;
}

/** What was under way stood in fields of their own. Only a bare desktop until further notice outlives a visit. */
const FORMER_INTERACTIONS = [
  'picking',
  'previewing',
  'switching',
  'shaping',
  'choosingMode',
  'calledBack',
  'putAway',
  'desktop',
];

function withInteraction(session: Fields): Fields {
  if (!FORMER_INTERACTIONS.some((field) => field in session)) return session;
  const rest = Object.entries(session).filter(([field]) => !FORMER_INTERACTIONS.includes(field));
  const { desktop } = session;
  if (!isFields(desktop) || desktop.whileHeld !== false) return Object.fromEntries(rest);
  const { whileHeld, ...kept } = desktop;
  const interaction = { kind: 'bare-desktop', whilePressed: whileHeld, ...kept };
  return { ...Object.fromEntries(rest), interaction };
}

/** A window as it was read: what it is beside its place were flags, of which the later ones were over the earlier. */
export function migratedWindow(input: unknown): unknown {
  if (!isFields(input)) return input;
  const { maximised, fullScreen, minimised, ...window } = input;
  const flags = [
    ['maximised', maximised],
    ['full-screen', fullScreen],
    ['minimised', minimised],
  ] as const;
  if (flags.every(([, is]) => is === undefined)) return input;
  // What is no flag is left as it was: reading it tells the fault.
  if (flags.some(([, is]) => is !== undefined && typeof is !== 'boolean')) return input;
  let mode: Fields | undefined;
  for (const [as, is] of flags) if (is) mode = { as, ...(mode && { over: mode }) };
  return { ...window, ...(mode && { mode }) };
}

/** Sizes moved by key were called weights, as the weights are that a profile sets. */
function withMovedSizes(session: Fields): Fields {
  return inArrangements(session, (part) => {
    if (!isFields(part.adjusted)) return part;
    const kinds = Object.entries(part.adjusted).map(([kind, adjusted]) => {
      if (!isFields(adjusted) || !('weights' in adjusted)) return [kind, adjusted] as const;
      const { weights, ...rest } = adjusted;
      return [kind, { ...rest, moved: weights }] as const;
    });
    return { ...part, adjusted: Object.fromEntries(kinds) };
  });
}

/** An arrangement whose monitor went was marked as left. */
function withDetached(session: Fields): Fields {
  return inArrangements(session, (part) => {
    if (!('left' in part)) return part;
    const { left, ...rest } = part;
    return { ...rest, detached: left };
  });
}

/** Trees made by hand were written with one split within the other, which grew deeper with every window. */
function withFlatTrees(session: Fields): Fields {
  return inArrangements(session, (part) =>
    isFields(part.hand) ? { ...part, hand: flatTree(part.hand) } : part,
  );
}

/** A session with everything changed that says how a workspace is arranged, or was at a step or in a lineup. */
function inArrangements(session: Fields, change: (part: Fields) => Fields): Fields {
  const each = (value: unknown, by: (part: Fields) => Fields): unknown => {
    if (Array.isArray(value))
      return value.map((part: unknown) => (isFields(part) ? by(part) : part));
    if (!isFields(value)) return value;
    const parts = Object.entries(value);
    return Object.fromEntries(
      parts.map(([name, part]) => [name, isFields(part) ? by(part) : part]),
    );
  };
  const inside = (part: Fields): Fields => ({
    ...part,
    ...('arrangements' in part && { arrangements: each(part.arrangements, change) }),
    ...('lineups' in part && { lineups: each(part.lineups, change) }),
  });
  return {
    ...inside(session),
    ...(isFields(session.together) && { together: change(session.together) }),
    ...('past' in session && { past: each(session.past, inside) }),
    ...('future' in session && { future: each(session.future, inside) }),
  };
}

function flatTree(tree: Fields): Fields[] {
  const splits: Fields[] = [];
  const add = (split: Fields): number => {
    const at = splits.length;
    splits.push(split);
    const { children } = split;
    if (Array.isArray(children)) {
      const parts = children.map((child: unknown) => (isFields(child) ? add(child) : child));
      splits[at] = { ...split, children: parts };
    }
    return at;
  };
  add(tree);
  return splits;
}

/** A script as it was read, its commands by their present names. */
export function migratedScript(input: unknown): unknown {
  if (Array.isArray(input)) return input.map(presentStep);
  if (!isFields(input) || !Array.isArray(input.steps)) return input;
  return { ...input, steps: input.steps.map(presentStep) };
}

function presentStep(step: unknown): unknown {
  if (!isFields(step)) return presentCommand(step);
  if ('hold' in step) return { ...step, hold: presentCommand(step.hold) };
  return 'command' in step ? presentCommand(step) : step;
}

/** Beside profiles of version 1, a window named the zone it wished to open in. */
function withoutWishes(input: Fields): unknown {
  if (!Array.isArray(input.windows)) return input;
  const isOld = (window: unknown) => isFields(window) && 'zone' in window;
  if (!input.windows.some(isOld)) return input;
  const windows = input.windows.map((window: unknown) => {
    if (!isFields(window)) return window;
    const { zone: _wish, ...rest } = window;
    return rest;
  });
  return { ...input, windows };
}

function isFields(value: unknown): value is Fields {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
