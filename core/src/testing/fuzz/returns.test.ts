import { isIn } from '../../model/window-mode.ts';
import { interactionOf } from '../../model/interaction.ts';
import type { CommandId, Command } from '../../commands/registry.ts';
import { afterAll, describe, expect, it } from 'vitest';

import { deskInForce } from '../../desk/desk.ts';
import { arrange } from '../../engine/arrange.ts';
import { arrangementOf } from '../../engine/session.ts';
import { openSession } from '../../engine/open.ts';
import { computePlacements } from '../../engine/placements.ts';
import { sessionSchema } from '../../model/session.ts';
import { isDividing } from '../../tiling/layouts.ts';
import { ownEntry } from '../../values/own-entry.ts';
import {
  isFew,
  after,
  commanded,
  events,
  holds,
  isCalm,
  SEED,
  seen,
  Tally,
  TIMEOUT,
  type Desk,
} from './desk-runs.ts';
import { faultsOfDivision } from './division.ts';

/** A toggle, and what leads back. */
const TOGGLES: readonly (readonly [CommandId, CommandId])[] = [
  ['float', 'float'],
  ['float-all', 'float-all'],
  ['stay-above', 'stay-above'],
  ['everywhere', 'everywhere'],
  ['maximise', 'maximise'],
  ['full-screen', 'full-screen'],
  ['show-desktop', 'show-desktop'],
  ['pause', 'resume'],
  ['minimise', 'restore-last'],
  ['pocket', 'call-back'],
];
/** The ways in which the focused window can be held. */
const WAYS = [
  'tiled',
  'floating',
  'left-alone',
  'placed',
  'in a zone',
  'stay-above',
  'everywhere',
  'maximised',
  'full-screen',
  'lifted',
] as const;
/** A window that is left alone is nobody's to change: only what changes the desk as a whole does something then. */
const OF_ALL: readonly CommandId[] = ['float-all', 'show-desktop', 'pause'];
const toggled = new Tally(
  TOGGLES.flatMap(([there]) =>
    WAYS.filter((way) => way !== 'left-alone' || OF_ALL.includes(there)).map(
      (way) => `${there} of ${way}`,
    ),
  ),
);
let returned = 0;
let written = 0;
let divided = 0;
afterAll(() => {
  process.stdout.write(
    `\nfuzz: seed ${SEED}, ${events.count} events, ${written} sessions opened again, ${returned} monitors away and back, ${divided} divisions\ntoggles: ${toggled.text()}\n`,
  );
});

function waysOf({ session, profile }: Desk): string[] {
  const window = session.windows.find(({ id }) => id === session.focus);
  if (!window) return [];
  const at = computePlacements(session, profile).placements.find(({ id }) => id === window.id)!;
  const is: Record<(typeof WAYS)[number], boolean> = {
    tiled: at.tile !== null,
    floating: window.held === 'floating',
    'left-alone': window.held === 'left-alone',
    placed: window.placing !== undefined,
    'in a zone': at.zones !== undefined,
    'stay-above': window.stayAbove === true,
    everywhere: window.everywhere === true,
    maximised: isIn(window, 'maximised'),
    'full-screen': isIn(window, 'full-screen'),
    lifted: window.lifted !== undefined,
  };
  return WAYS.filter((way) => is[way]);
}

/**
 * Four presses are meant to stay: everywhere that ends on another workspace than the window's own, float that gives a
 * tile to one that was called back from elsewhere (both say that it lives here from now on), and call-back of a
 * visitor whose own place has come to where it is, with a monitor that went: there it returns to its place. And
 * float-all brings all into their tiles where one went back into its tile by itself, and then all float.
 */
function settlesHere(there: CommandId, session: Desk['session']): boolean {
  const { windows, focus, focusMonitor, shown, arrangements } = session;
  const window = windows.find(({ id }) => id === focus);
  if (there === 'float-all') {
    const here = `${ownEntry(shown, focusMonitor)}/${focusMonitor}`;
    const tiled = windows.filter(
      (each) => `${each.workspace}/${each.monitor}` === here && each.held === 'tiled',
    );
    return arrangements[here]?.afloat === true && tiled.length > 0;
  }
  if (!window) return false;
  const { pocketedFrom: from, workspace, monitor, everywhere } = window;
  if (there === 'float') return from !== undefined;
  if (there === 'pocket') return from?.monitor === monitor && from.workspace === workspace;
  return there === 'everywhere' && everywhere === true && ownEntry(shown, monitor) !== workspace;
}

describe('whatever happens on whatever desk', TIMEOUT, () => {
  it('a session that is written and opened again is the same', () => {
    holds(
      (desk) => {
        if (!isCalm(desk.session)) return;
        written++;
        const input = sessionSchema.parse(JSON.parse(JSON.stringify(desk.session)));
        const { session } = openSession(input, desk.profile);
        expect(seen({ ...desk, session })).toEqual(seen(desk));
      },
      () => written > 100,
    );
  });

  it('each toggle, twice, leads back', () => {
    holds(
      (desk) => {
        if (!isCalm(desk.session) || desk.session.paused) return;
        const ways = waysOf(desk);
        if (ways.length === 0) return;
        for (const [there, back] of TOGGLES) {
          if (settlesHere(there, desk.session)) continue;
          const done = commanded(desk, { command: there } as Command);
          const { windows, paused } = done.session;
          const isBare = interactionOf(done.session, 'bare-desktop') !== null;
          // It said that there was nothing to do.
          if (windows === desk.session.windows && !paused && !isBare) continue;
          for (const way of ways) toggled.count(`${there} of ${way}`);
          const again = commanded(done, { command: back } as Command);
          expect(seen(again), `${there}, ${back}`).toEqual(seen(desk));
        }
      },
      () => toggled.never().length === 0,
    );
  });

  it('a monitor that goes and comes back changes nothing', () => {
    holds(
      (desk) => {
        const { session, profile } = desk;
        if (!isCalm(session) || session.paused) return;
        // Rules that ask again when the desk changes are there to change something.
        if (profile.rules.some(({ again }) => again.desk)) return;
        const { monitors, mode } = deskInForce(profile, session);
        if (monitors.length < 2 || mode !== 'extend') return;
        const ids = monitors.map(({ id }) => id);
        const plugged = (connected: readonly string[]) =>
          ({ type: 'monitors-changed', connected, byHand: false }) as const;
        for (const gone of ids) {
          const away = after(desk, plugged(ids.filter((id) => id !== gone)));
          returned++;
          const back = after(away, plugged(ids));
          expect(seen(back), `${gone} gone`).toEqual(seen(desk));
        }
      },
      () => returned > 100,
    );
  });

  it('tiles of dividing layouts fill their area and never overlap', () => {
    holds(
      ({ session, profile }) => {
        if (session.paused || session.unplugged) return;
        const desk = deskInForce(profile, session);
        for (const monitor of desk.monitors) {
          const workspace = ownEntry(session.shown, monitor.id)!;
          const { tiling, tiled, overflow, over } = arrange(
            { session, profile, desk },
            workspace,
            monitor.id,
          );
          // Gaps that were changed by key are not those of the profile.
          const isByKey = arrangementOf(session, workspace, monitor.id).gaps !== undefined;
          if (!isDividing(tiling.layout) || isByKey) continue;
          const tiles = computePlacements(session, profile).placements.flatMap((window) =>
            window.monitor === monitor.id && window.workspace === workspace && window.tile
              ? [window.tile]
              : [],
          );
          if (tiles.length === 0) continue;
          divided++;
          const isPiled = overflow.length > 0 || over.length > 0;
          const isAlone = tiled.length === 1;
          const gaps = profile.tiling.gaps ?? {};
          expect(faultsOfDivision(tiles, monitor, gaps, { isPiled, isAlone })).toEqual([]);
        }
      },
      () => divided > 100,
    );
  });

  it.skipIf(isFew)('each toggle was tried from each way in which a window can be held', () => {
    expect(toggled.never()).toEqual([]);
    expect(Math.min(written, returned, divided)).toBeGreaterThan(100);
  });
});
