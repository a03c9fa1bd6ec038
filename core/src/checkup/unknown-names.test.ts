import { describe, expect, it } from 'vitest';
import { openSession } from '../engine/open.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { sessionSchema } from '../model/session.ts';
import { unknownNames } from './unknown-names.ts';

/** Each begins with "qq", so that a name is known from any other text. */
const FULL = {
  monitors: [
    { id: 'qq-left', width: 1920, height: 1080, fallback: 'qq-right' },
    { id: 'qq-right', width: 1920, height: 1080 },
  ],
  desks: [
    {
      id: 'qq-office',
      monitors: [
        { monitor: 'qq-left', x: 0, y: 0 },
        { monitor: 'qq-right', x: 1920, y: 0 },
      ],
      primary: 'qq-left',
      only: 'qq-right',
    },
  ],
  machines: [{ host: 'host', monitors: [{ monitor: 'qq-left', scale: 2 }] }],
  workspaces: [{ id: 'qq-mail', monitor: 'qq-left' }, { id: 'qq-code' }],
  apps: [
    { id: 'qq-post', parent: 'qq-shell', windows: [{ title: 'qq-letter', parent: 'qq-shell' }] },
    { id: 'qq-shell' },
  ],
  start: [{ app: 'qq-post', workspace: 'qq-mail', monitor: 'qq-left', zone: 'qq-lead' }],
  rules: [
    {
      id: 'rule',
      when: {
        all: [
          { of: 'app', is: 'qq-post' },
          { of: 'monitor', is: 'qq-left' },
          { of: 'workspace', is: 'qq-mail' },
        ],
        any: [
          { of: 'parent', is: 'qq-shell' },
          { of: 'desk', is: 'qq-office' },
        ],
        none: [{ of: 'app', is: 'qq-shell' }],
      },
      then: { workspace: 'qq-code', monitor: 'qq-right', zone: 'qq-lead' },
    },
  ],
  boards: [
    {
      id: 'qq-board',
      for: { monitor: 'qq-left' },
      columns: [1, 1],
      rows: [1],
      zones: [
        { name: 'qq-lead', columns: [1, 1], rows: [1, 1] },
        { name: 'qq-rest', columns: [2, 2], rows: [1, 1] },
      ],
    },
  ],
  tiling: {
    layout: { kind: 'board', board: 'qq-board' },
    setAside: [{ kind: 'board', board: 'qq-board' }],
    places: [
      {
        workspace: 'qq-mail',
        monitor: 'qq-left',
        layout: { kind: 'board', board: 'qq-board' },
        setAside: [{ kind: 'board', board: 'qq-board' }],
      },
    ],
  },
  keys: {
    bundles: [{ id: 'qqBundle', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt'] }],
    layers: [{ id: 'qq-layer', lasts: 'once' }],
    bindings: [
      { keys: 'qqBundle+KeyA', command: { command: 'enter-layer', layer: 'qq-layer' } },
      { keys: 'KeyB', in: 'qq-layer', command: { command: 'call-app', app: 'qq-post' } },
      {
        keys: 'Main+KeyC',
        app: 'qq-post',
        command: { command: 'place-in-zone', zone: 'qq-lead' },
        release: { command: 'use-desk', desk: 'qq-office' },
      },
      {
        keys: 'Main+KeyD',
        command: { command: 'use-layout', layout: { kind: 'board', board: 'qq-board' } },
      },
      { keys: 'Main+KeyE', command: { command: 'menu', menu: 'qq-menu' } },
    ],
  },
  chains: [
    {
      id: 'qq-chain',
      commands: [
        { command: 'open-app', app: 'qq-post', window: 'qq-letter' },
        { command: 'go-workspace', which: 'qq-mail' },
        { command: 'go-monitor', which: 'qq-left' },
        { command: 'place-in-zone', zone: 'qq-rest' },
      ],
    },
  ],
  menus: [
    {
      id: 'qq-menu',
      entries: [
        { letter: 'A', command: { command: 'chain', chain: 'qq-chain' } },
        { letter: 'B', command: { command: 'place-in-zone', zone: 'qq-rest' } },
      ],
    },
  ],
  trials: [
    {
      id: 'trial',
      session: {
        desk: 'qq-office',
        connected: ['qq-left', 'qq-right'],
        focusMonitor: 'qq-left',
        workspacesMade: [{ id: 'qq-made', monitor: 'qq-left' }],
        shown: { 'qq-left': 'qq-mail' },
        windows: [
          { id: 'qq-window', app: 'qq-post', monitor: 'qq-left', workspace: 'qq-mail' },
          { id: 'other', app: 'game', workspace: 'qq-made' },
        ],
      },
      steps: [
        { command: 'call-app', app: 'qq-post' },
        { hold: { command: 'place-in-zone', zone: 'qq-lead' } },
        { release: 'taken' },
        { point: 'qq-window' },
        { retitle: 'qq-window', title: 'x' },
        { ask: 'qq-window', rect: { x: 1 } },
        { open: { id: 'qq-second', app: 'qq-post' } },
        { close: 'qq-second' },
        { close: 'qq-post-1' },
        { plugged: ['qq-left'] },
        { mark: 'begin' },
        { anyOrder: [{ command: 'chain', chain: 'qq-chain' }, { close: 'qq-window' }] },
        { expect: { window: 'qq-post', zone: 'qq-lead' } },
        { expect: { window: { app: 'qq-post', nth: 2 }, workspace: 'qq-mail' } },
        { expect: { window: 'qq-post', beside: 'qq-shell' } },
        { expect: { window: 'qq-post', monitor: 'qq-left' } },
        { expect: { monitor: 'qq-left', shows: 'qq-mail' } },
        { expect: { moved: ['qq-post', 'game'] } },
      ],
    },
  ],
};

/** Where a thing has its name, and no other is named. */
const OWN =
  /^(monitors|desks|workspaces|apps|boards|chains|menus|keys\.(bundles|layers))\[\d+\]\.id$|^boards\[0\]\.zones\[\d\]\.name$|^apps\[0\]\.windows\[0\]\.title$|^trials\[0\]\.(session\.windows\[0\]|steps\[6\]\.open)\.id$|workspacesMade/;
/** The profile may not know an app whose windows a trial opens itself. */
const ANY_APP = /^trials\[0\]\.(session\.windows\[\d\]|steps\[\d+\]\.open)\.app$/;

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
      ({ path, text }) => text.startsWith('qq') && !OWN.test(path) && !ANY_APP.test(path),
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
