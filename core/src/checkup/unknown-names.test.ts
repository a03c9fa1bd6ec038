import { describe, expect, it } from 'vitest';
import { openSession } from '../engine/open.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { sessionSchema } from '../model/session.ts';
import { FULL } from '../testing/full-profile.ts';
import { unknownNames } from './unknown-names.ts';

/** Where a thing has its name, and no other is named. */
const OWN =
  /^(monitors|desks|workspaces|apps|boards|chains|menus|keys\.(bundles|layers))\[\d+\]\.id$|^boards\[0\]\.zones\[\d\]\.name$|^apps\[0\]\.windows\[0\]\.title$|^trials\[0\]\.(session\.windows\[0\]|steps\[6\]\.open)\.id$|workspacesMade/;
/** The profile may not know an app whose windows a trial opens itself; what a mark is for need not be there. */
const ANY_NAME = /^keys\.marks|^trials\[0\]\.(session\.windows\[\d\]|steps\[\d+\]\.open)\.app$/;

/** Every text in a value with its path, and the value with another text in its place. */
function texts(
  value: unknown,
  path = '',
): { path: string; text: string; with: (text: string) => unknown }[] {
  if (typeof value === 'string') return [{ path, text: value, with: (text) => text }];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, part]) => {
    const at = Array.isArray(value) ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`;
    return texts(part, at).map((found) => ({
      ...found,
      with: (text: string): unknown =>
        Array.isArray(value)
          ? value.map((each: unknown, i) => (String(i) === key ? found.with(text) : each))
          : { ...value, [key]: found.with(text) },
    }));
  });
}

const told = (profile: Profile) =>
  unknownNames(profile).map(({ path, value }) => `${path}: ${value}`);

describe('names that nothing has', () => {
  it('are none in a profile in which all are there', () => {
    expect(told(profileSchema.parse(FULL))).toEqual([]);
  });

  it('are told wherever a name stands', () => {
    const profile = profileSchema.parse(FULL);
    const named = texts(profile).filter(
      ({ path, text }) => text.startsWith('qq') && !OWN.test(path) && !ANY_NAME.test(path),
    );
    expect(named.length).toBeGreaterThan(65);
    for (const { path, text, with: changed } of named) {
      const nonsense = text.startsWith('qqBundle+')
        ? text.replace('qqBundle', 'qqBundl')
        : 'nonesuch';
      const result = profileSchema.safeParse(changed(nonsense));
      if (!result.success) throw new Error(`${path}: ${result.error.message}`);
      const value = nonsense.split('+')[0]!;
      expect(told(result.data)).toContain(`${path}: ${value}`);
    }
  });

  it('of a beginning are those that opening it tells of', () => {
    const profile = profileSchema.parse(FULL);
    const { session } = profile.trials[0]!;
    let found = 0;
    for (const { path, with: changed } of texts(session)) {
      // Opening does not tell of these: what is shown and what has the focus falls back.
      if (/^(shown|focusMonitor|workspacesMade)/.test(path) || /\.(id|app)$/.test(path)) continue;
      const input = changed('nonesuch');
      const result = profileSchema.safeParse({
        ...FULL,
        trials: [{ id: 'trial', session: input, steps: [] }],
      });
      if (!result.success) continue;
      const opened = openSession(sessionSchema.parse(input), profile).findings.flatMap((finding) =>
        finding.kind === 'unknown-name'
          ? [`trials[0].session.${finding.path}: ${finding.value}`]
          : [],
      );
      expect(told(result.data)).toEqual(opened);
      found += opened.length;
    }
    expect(found).toBeGreaterThan(4);
  });

  it('are not numbers of zones', () => {
    const zone = (which: string) =>
      told(
        profileSchema.parse({
          ...FULL,
          chains: [{ id: 'qq-chain', commands: [{ command: 'place-in-zone', zone: which }] }],
        }),
      );
    expect(zone('2')).toEqual([]);
    expect(zone('12')).toEqual([]);
    expect(zone('2nd')).toEqual(['chains[0].commands[0].zone: 2nd']);
  });
});
