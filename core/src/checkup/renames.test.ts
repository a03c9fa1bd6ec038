import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Command } from '../commands/registry.ts';
import { withWorkspaceId } from '../desk/workspaces.ts';
import { withListNamed } from '../keys/edit-chains.ts';
import { layerRenamed, withModifierAlias } from '../keys/edit-layers.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { testDesk } from '../testing/desk.ts';
import { FULL } from '../testing/full-profile.ts';
import { withZoneRenamed } from '../zones/edit.ts';
import { unknownNames } from './unknown-names.ts';

/** How a trial of the profile begins: on a workspace, on a zone, in the pocket, in a lineup. */
const SESSION = {
  shown: { 'qq-left': 'qq-mail', 'qq-right': 'qq-code' },
  shownBefore: { 'qq-left': 'qq-code' },
  workspacesPut: [{ id: 'qq-mail', monitor: 'qq-left' }],
  workspacesClosed: ['qq-code'],
  windows: [
    {
      id: 'one',
      workspace: 'qq-mail',
      monitor: 'qq-left',
      placing: { zone: { board: 'qq-board', zones: ['qq-lead', 'qq-rest'] } },
    },
    {
      id: 'two',
      held: 'pocketed',
      workspace: 'qq-mail',
      monitor: 'qq-left',
      pocketedFrom: {
        workspace: 'qq-mail',
        monitor: 'qq-left',
        held: 'tiled',
        placing: { zone: { board: 'qq-board', zones: ['qq-lead'] } },
      },
    },
  ],
  arrangements: {
    'qq-mail/qq-left': {
      order: ['one', 'two'],
      inZones: { 'qq-board': { two: { zones: ['qq-lead'], before: ['qq-lead', 'qq-rest'] } } },
    },
  },
  lineups: [
    {
      name: 'all',
      workspace: 'qq-mail',
      monitor: 'qq-left',
      board: 'qq-board',
      windows: [
        {
          id: 'two',
          held: 'tiled',
          inZones: { zones: ['qq-lead'] },
          placing: { zone: { board: 'qq-board', zones: ['qq-lead'] } },
          seen: { x: 0, y: 0, width: 10, height: 10 },
        },
      ],
    },
  ],
};
const PROFILE = profileSchema.parse({
  ...FULL,
  trials: [...FULL.trials, { id: 'standing', session: SESSION, steps: [] }],
});

/** Another name in every place of a text that is just the former, or begins the place "workspace/monitor". */
function written<T>(value: T, from: string, to: string): T {
  const text = JSON.stringify(value)
    .replaceAll(`"${from}"`, `"${to}"`)
    .replaceAll(`"${from}/`, `"${to}/`)
    .replaceAll(`"${from}+`, `"${to}+`)
    .replaceAll(`+${from}+`, `+${to}+`);
  return JSON.parse(text) as T;
}
const plain = <T>(value: T) => JSON.parse(JSON.stringify(value)) as T;

describe('what is called otherwise', () => {
  const kinds: [string, string, (profile: Profile, to: string) => Profile | null][] = [
    ['a workspace', 'qq-mail', (profile, to) => withWorkspaceId(profile, 'qq-mail', to)],
    ['a zone', 'qq-lead', (profile, to) => withZoneRenamed(profile, 'qq-board', 'qq-lead', to)],
    ['a layer', 'qq-layer', (profile, to) => layerRenamed(profile, 'qq-layer', to)],
    [
      'a bundle',
      'qqBundle',
      (profile, to) => withModifierAlias(profile, 'qqBundle', (bundle) => ({ ...bundle, id: to })),
    ],
    [
      'a chain',
      'qq-chain',
      (profile, to) => withListNamed(profile, 'chains', 'qq-chain', to).profile,
    ],
    ['a menu', 'qq-menu', (profile, to) => withListNamed(profile, 'menus', 'qq-menu', to).profile],
  ];

  it.each(kinds)('%s is so wherever the profile names it', (_, from, renamed) => {
    const after = renamed(PROFILE, 'new')!;
    // Chains and menus are given a name, of which their id is made.
    const meant = written(PROFILE, from, 'new');
    for (const list of [...meant.chains, ...meant.menus]) if (list.id === 'new') list.name = 'new';
    expect(plain(after)).toEqual(meant);
    expect(unknownNames(profileSchema.parse(after))).toEqual([]);
  });

  it('a zone of two boards that have one by that name is so where its board is named', () => {
    const [board] = FULL.boards;
    const two = profileSchema.parse({ ...PROFILE, boards: [board, { ...board, id: 'other' }] });
    const { boards, trials, ...rest } = withZoneRenamed(two, 'qq-board', 'qq-lead', 'new');
    const { boards: _boards, trials: _trials, ...before } = two;
    expect(rest).toEqual(before);
    expect(boards.map(({ zones }) => zones[0]!.name)).toEqual(['new', 'qq-lead']);
    expect(trials[1]).toEqual(written(two.trials[1], 'qq-lead', 'new'));
    expect(trials[0]).toEqual(two.trials[0]);
  });
});

describe('a zone that is called otherwise while windows are open', () => {
  const DESK = profileSchema.parse({
    monitors: FULL.monitors,
    workspaces: FULL.workspaces,
    boards: [{ ...FULL.boards[0]!, for: {} }],
    tiling: { layout: { kind: 'board', board: 'qq-board' } },
    apps: [{ id: 'app' }],
  });
  const COMMANDS: readonly Command[] = [
    { command: 'place-in-zone', zone: 'qq-lead' },
    { command: 'place-in-zone', zone: 'qq-rest' },
    { command: 'open-app', app: 'app' },
    { command: 'save-lineup', text: 'all' },
    { command: 'use-layout', layout: { kind: 'columns' } },
    { command: 'use-layout', layout: { kind: 'board', board: 'qq-board' } },
    { command: 'widen-right' },
    { command: 'put-back' },
    { command: 'float' },
    { command: 'pocket' },
    { command: 'call-back' },
    { command: 'move-right' },
    { command: 'focus-previous' },
    { command: 'undo' },
    { command: 'redo' },
  ];

  it('keeps them, and undo leads back into it', () => {
    let named = 0;
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...COMMANDS), { maxLength: 25 }), (commands) => {
        const before = testDesk(DESK, { windows: [{ id: 'a' }, { id: 'b' }], focus: 'a' }).run(
          ...commands,
        );
        const after = before.edited(withZoneRenamed(before.profile, 'qq-board', 'qq-lead', 'new'));
        expect(plain(after.session)).toEqual(written(before.session, 'qq-lead', 'new'));
        if (JSON.stringify(before.session.past).includes('qq-lead')) named++;
      }),
      { numRuns: 300 },
    );
    expect(named).toBeGreaterThan(100);
  });
});
