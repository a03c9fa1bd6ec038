import type { Profile } from '../model/profile.ts';
import { shortJson, type Fault } from '../values/faults.ts';
import { MAIN, MODIFIERS } from '../values/modifiers.ts';
import { nearestName } from '../values/nearest-name.ts';
import { triggerOf } from '../values/trigger.ts';

/**
 * Keys that name a modifier which does not exist: such keys could never be pressed.
 *
 * @param bundles further bundles that are known where the keys go
 */
export function unknownModifiers(profile: Profile, bundles: readonly string[] = []): Fault[] {
  const known = [MAIN, ...MODIFIERS, ...profile.keys.bundles.map(({ id }) => id), ...bundles];
  return triggersOf(profile).flatMap(([path, keys]) => {
    const unknown = triggerOf(keys)
      .steps.flatMap(({ modifiers }) => modifiers)
      .find((name) => !known.includes(name));
    if (unknown === undefined) return [];
    const nearest = nearestName(unknown, known);
    const hint = nearest ? `; the nearest to ${unknown} is ${nearest}` : `, not ${unknown}`;
    const expected = `modifiers among ${known.join(', ')}${hint}`;
    return [{ path, found: shortJson(keys), expected }];
  });
}

/** Every trigger of a profile, with the path to it. */
function triggersOf({ keys, apps }: Profile): [string, string][] {
  const shortcuts = (path: string, list: readonly { keys: string }[] = []): [string, string][] =>
    list.map((each, i) => [`${path}[${i}].keys`, each.keys]);
  return [
    ...shortcuts('keys.bindings', keys.bindings),
    ...keys.without.map((each, i): [string, string] => [`keys.without[${i}]`, each]),
    ...(keys.taken ?? []).flatMap((each, i) =>
      shortcuts(`keys.taken[${i}].shortcuts`, each.shortcuts),
    ),
    ...apps.flatMap((app, i) => shortcuts(`apps[${i}].shortcuts`, app.shortcuts)),
    ...apps.flatMap(({ keepsAllBut = [] }, i) =>
      keepsAllBut.map((each, j): [string, string] => [`apps[${i}].keepsAllBut[${j}]`, each]),
    ),
  ];
}
