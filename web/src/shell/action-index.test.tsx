// @vitest-environment jsdom
import { nearness } from '@sorn/core/engine';
import { act, cleanup, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { describe, expect, it } from 'vitest';
import { drawView } from '../testing/view.tsx';
import { capsOf } from '../ui/KeyStrip.tsx';
import { useKeyRegister } from '../ui/page-keys.ts';
import { useViewPages } from '../state/view-pages.ts';
import { DeskView } from '../views/desk/DeskView.tsx';
import { FilesView } from '../views/files/FilesView.tsx';
import { KeysView } from '../views/keys/KeysView.tsx';
import { RehearseView } from '../views/rehearse/RehearseView.tsx';
import { RulesView } from '../views/rules/RulesView.tsx';
import { TilingView } from '../views/tiling/TilingView.tsx';
import { ZonesView } from '../views/zones/ZonesView.tsx';
import { ACTIONS, isStepKey } from './action-index.ts';
import { PAGES } from './setting-index.ts';

const VIEWS: Record<string, ReactNode> = {
  desk: <DeskView />,
  tiling: <TilingView />,
  zones: <ZonesView />,
  rules: <RulesView />,
  keys: <KeysView />,
  rehearse: <RehearseView />,
  files: <FilesView />,
};
const PROFILE = {
  name: 'Desk',
  monitors: [{ id: 'main', width: 1920, height: 1080 }],
  workspaces: [{ id: 'B' }],
  apps: [{ id: 'maps', name: 'Maps', letter: 'M' }],
  rules: [{ id: 'r', when: { all: [{ of: 'app', is: 'maps' }] }, then: { held: 'floating' } }],
  boards: [
    {
      id: 'b',
      name: 'B',
      columns: [1, 1],
      rows: [1],
      zones: [{ name: 'Z', columns: [1, 1], rows: [1, 1] }],
      for: {},
    },
  ],
  keys: { layers: [{ id: 'far' }], devices: [{ id: 'mouse', buttons: 12 }] },
};

/** Keys that every page of a view has, those of the sheet, and what is on a page for what the profile holds. */
const isElsewhere = (group: string, label: string) =>
  ['sheet', 'sheet-keys'].includes(group) ||
  group.startsWith('Pages of') ||
  // Pages of a view are found as pages, apps as what is opened.
  ['workspaces', 'monitors', 'apps', 'rules'].includes(label) ||
  label.startsWith('open Maps') ||
  ['zone', 'select the zone before'].includes(label);

type Place = readonly [view: string, page: string | undefined];
const PLACES = Object.keys(VIEWS).flatMap((view): Place[] => {
  const pages = PAGES.filter((entry) => entry.view === view);
  return pages.length === 0 ? [[view, undefined]] : pages.map(({ page }) => [view, page]);
});

describe('the actions of a view, and what find-anything knows of them', () => {
  it.each(PLACES)('%s %s', async (view, page) => {
    const { store } = drawView(VIEWS[view], {
      profile: PROFILE,
      session: { windows: [{ id: 'a', app: 'maps' }, { id: 'b' }, { id: 'c' }] },
    });
    if (page) act(() => useViewPages.of(store).getState().show(view, page));
    const registered = () =>
      [...useKeyRegister.getState().groups].flatMap(([group, keys]) =>
        keys
          .filter(({ summary, keys: named }) => !summary && named.length > 0 && !isStepKey(named))
          .filter(({ label }) => !isElsewhere(group, label))
          .map((key) => `${group}: ${key.label} on ${capsOf(key).join(' ')}`),
      );
    const known = ACTIONS.filter((entry) => entry.view === view && entry.page === page).map(
      ({ group, label, caps }) => `${group}: ${label} on ${caps.join(' ')}`,
    );
    // Parts of a view are loaded after it.
    await waitFor(() => expect(registered().sort()).toEqual([...known].sort()), { timeout: 4_000 });
    cleanup();
  });

  it.each(ACTIONS.map((action) => [action.text, action] as const))(
    'is found by its name and by other words: %s',
    (text, { also }) => {
      const found = `${text} Actions ${also}`;
      expect(nearness(found, text)).toBeGreaterThan(0);
      expect(also.split(' ').length).toBeGreaterThan(0);
      for (const word of also.split(' ')) expect(nearness(found, word), word).toBeGreaterThan(0);
    },
  );

  it('have a name of their own', () => {
    expect(new Set(ACTIONS.map(({ text }) => text)).size).toBe(ACTIONS.length);
  });
});
