import { MAIN } from '../keys/modifiers.ts';

export const PROFILE_VERSION = 3;

type Fields = Record<string, unknown>;

/**
 * A profile as it was read, brought to the present version of the format; one that does not say its version
 * may be of any. What is no profile, or of a version that is not known, is left as it is: reading it tells
 * the fault. What a file says of its schema is for editors, and no part of the profile.
 */
export function migrated(input: unknown): unknown {
  if (!isFields(input)) return input;
  const { $schema: _schema, ...profile } = input;
  const version = profile.version ?? 1;
  if (version !== 1 && version !== 2) return profile;
  const ruled = version === 1 ? withRulesForApps(profile) : profile;
  return { ...withBindingsForPlaces(ruled), version: PROFILE_VERSION };
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

/** A session as it was read: beside profiles of version 1, a window named the zone it wished to open in. */
export function migratedSession(input: unknown): unknown {
  if (!isFields(input) || !Array.isArray(input.windows)) return input;
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
