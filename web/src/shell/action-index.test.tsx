// @vitest-environment jsdom
import { act, cleanup, waitFor } from '@testing-library/react';
import { beforeAll, describe, expect, it } from 'vitest';
import { EVERY_VIEW, ONE_OF_EACH } from '../testing/every-view.tsx';
import { drawView } from '../testing/view.tsx';
import { capsOf } from '../ui/KeyStrip.tsx';
import { useKeyRegister } from '../ui/page-keys.ts';
import { useLive } from '../state/live-store.ts';
import { liveNews } from '../testing/live-news.ts';
import { useViewPages } from '../state/view-pages.ts';
import { ACTIONS, isStepKey } from './action-index.ts';
import { Frame } from './Frame.tsx';
import { PAGES } from './setting-index.ts';

/** Keys that every page of a view has, those of the sheet, and what is on a page for what the profile holds. */
const isElsewhere = (group: string, label: string) =>
  ['sheet', 'sheet-keys'].includes(group) ||
  group.startsWith('Pages of') ||
  // Pages of a view are found as pages, apps as what is opened.
  ['workspaces', 'monitors', 'apps', 'rules', 'live desk'].includes(label) ||
  label.startsWith('open Maps') ||
  ['zone', 'select the zone before', 'cancel the search'].includes(label);

type Place = readonly [view: string, page: string | undefined];
const PLACES = Object.keys(EVERY_VIEW).flatMap((view): Place[] => {
  const pages = PAGES.filter((entry) => entry.view === view);
  return pages.length === 0 ? [[view, undefined]] : pages.map(({ page }) => [view, page]);
});

/** Pages that are another one for another profile. */
const PROFILES: Partial<Record<string, readonly object[]>> = {
  chains: [ONE_OF_EACH, { ...ONE_OF_EACH, chains: [] }],
  suggest: [
    ONE_OF_EACH,
    { ...ONE_OF_EACH, keys: { ...ONE_OF_EACH.keys, devices: [{ id: 'board', board: 'ansi-80' }] } },
  ],
};

/** Keys that are registered, each with the group it is in. */
const shownKeys = () =>
  [...useKeyRegister.getState().groups].flatMap(([group, keys]) =>
    keys.map((key) => ({ ...key, group })),
  );
type ShownKey = ReturnType<typeof shownKeys>[number];

/** Pairs of keys that one press would be for: the later one does nothing. */
function takenTwice(keys: readonly ShownKey[]): string[] {
  const isSame = (one: ShownKey, other: ShownKey) =>
    Boolean(one.ctrl) === Boolean(other.ctrl) &&
    Boolean(one.alt) === Boolean(other.alt) &&
    (one.shift === undefined || other.shift === undefined || one.shift === other.shift) &&
    one.keys.some((key) => other.keys.some((each) => each.toLowerCase() === key.toLowerCase()));
  return keys.flatMap((one, i) =>
    keys
      .slice(i + 1)
      .filter((other) => isSame(one, other))
      .map((other) => `${one.group}: ${one.label} and ${other.group}: ${other.label}`),
  );
}

let frameKeys: readonly ShownKey[] = [];
beforeAll(() => {
  drawView(<Frame />, {
    profile: ONE_OF_EACH,
    session: { windows: [] },
  });
  frameKeys = shownKeys().filter(({ group }) => group === 'frame');
  expect(frameKeys.length).toBeGreaterThan(20);
  cleanup();
});

describe('the actions of a view, and what find-anything knows of them', () => {
  it.each(PLACES)('%s %s', async (view, page) => {
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
    const found = new Set<string>();
    const profiles = PROFILES[page ?? ''] ?? [ONE_OF_EACH];
    for (const profile of profiles) {
      const { store } = drawView(EVERY_VIEW[view], {
        profile,
        session: { windows: [{ id: 'a', app: 'maps' }, { id: 'b' }, { id: 'c' }] },
      });
      if (page) act(() => useViewPages.of(store).getState().show(view, page));
      const twice = () => takenTwice([...frameKeys, ...shownKeys()]);
      if (page === 'live')
        act(() => {
          const { id, profile: drawn } = store.getState();
          useLive.of(store).getState().takeNews(liveNews(id, drawn));
        });
      // Parts of a view are loaded after it.
      await waitFor(
        () => {
          for (const each of registered()) expect(known).toContain(each);
          const all = new Set([...found, ...registered()]);
          if (profile === profiles.at(-1)) expect([...all].sort()).toEqual([...known].sort());
          else expect(registered().length).toBeGreaterThan(0);
        },
        { timeout: 4_000 },
      );
      for (const each of registered()) found.add(each);
      expect(twice()).toEqual([]);
      cleanup();
    }
  });

  it('have a name of their own', () => {
    expect(new Set(ACTIONS.map(({ text }) => text)).size).toBe(ACTIONS.length);
  });
});
