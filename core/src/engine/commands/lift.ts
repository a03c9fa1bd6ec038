import type { CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import { workArea } from '../../desk/work-area.ts';
import { keptInside, sameRect } from '../../geometry/rect.ts';
import { picked, without } from '../../model/object-fields.ts';
import type { FloatingRect } from '../../model/session-snap.ts';
import type { Session, SessionWindow } from '../../model/session.ts';
import { LAYOUTS } from '../../tiling/layouts.ts';
import { tilingInForce } from '../arrange.ts';
import { computePlacements, computeShownPlacements } from '../placements.ts';
import {
  arrangementOf,
  applied,
  noop,
  shownOn,
  windowName,
  withArrangement,
  withFocus,
  withWindow,
  type Outcome,
  type CommandContext,
  existingWindow,
} from '../session.ts';
import { firstFloatingRect, currentFloatingRect, toFloatingRect } from '../floating-rect.ts';
import { landed } from '../lifted.ts';
import { focusedWindow, isOutcome } from './focused-window.ts';
import { afloatNoMore, joinArrangement, withoutFormerPlace } from './arrangement-member.ts';
import { focusedArrangement } from './shares.ts';

/**
 * float: a tiled window leaves its tile and stands where it stood the last time, else over its tile; a
 * floating one goes back. Its place in the order is kept meanwhile. What it was beside that (placed, above all
 * others, everywhere) is over in its tile, and holds again when it floats again.
 */
function toggleFloat(context: CommandContext): Outcome {
  const { session, profile } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  // A placed window is out of its tile already.
  const floats = window.held !== 'floating' && !window.placing;
  if (isFree(context, window)) {
    return noop(session, `${windowName(profile, window)} floats already: Free gives no tiles`);
  }
  const here = shownOn(session, window.monitor);
  if (window.everywhere && here !== window.workspace) {
    const why = `it is everywhere, and its tile is on workspace ${window.workspace}; the command everywhere ends that here`;
    return noop(session, why);
  }
  const next = withWindow(session, window.id, (there) =>
    floats ? outOfItsTile(context, there) : settledInTile(there),
  );
  return applied(floats ? next : withoutFormerPlace(next, existingWindow(next, window.id)), {
    about: window.id,
    decided: floats ? 'floating' : 'tiled',
    because: floats ? 'taken out of its tile by key' : 'back at its place in the order',
  });
}

function isFree({ session, profile }: CommandContext, window: SessionWindow): boolean {
  const { layout } = tilingInForce(profile, session, window.workspace, window.monitor);
  return layout.kind === 'free';
}

/** Makes a tiled window float, as it did before it was tiled where that is known. */
function outOfItsTile(context: CommandContext, window: SessionWindow): SessionWindow {
  const { untiled, ...rest } = window;
  // One that floated with all others floats by itself where they do not.
  if (untiled) return afloatNoMore(context.session, { ...rest, ...untiled });
  return { ...window, held: 'floating', standing: standingFor(context, window) };
}

const BESIDE_FLOATING = ['stayAbove', 'everywhere', 'lifted', 'placing'] as const;

/** Puts a window into its tile, and keeps how it floated for the next time it floats. */
function settledInTile(window: SessionWindow): SessionWindow {
  const beside = picked(window, BESIDE_FLOATING);
  const { held, standing } = window;
  const { untiled: _former, ...rest } = without(window, BESIDE_FLOATING);
  return {
    ...(rest as SessionWindow),
    held: 'tiled',
    ...((standing || Object.keys(beside).length > 0) && {
      untiled: { held, ...(standing && { standing }), ...beside },
    }),
  };
}

/**
 * A window out of its tile for the time being, at a rectangle.
 * @param alone true where all others float already, and it was in its tile alone
 */
function liftedTo(window: SessionWindow, standing: FloatingRect, alone = false): SessionWindow {
  if (window.held !== 'tiled') return window;
  const lifted = {
    ...(window.standing && { standing: window.standing }),
    ...(alone && { alone: true as const }),
  };
  return { ...window, held: 'floating', lifted, standing };
}

/** Where a window stands that is lifted by itself: as it did the last time, else as it would float. */
function liftedStanding(context: CommandContext, window: SessionWindow): FloatingRect {
  const { liftedAt } = window;
  if (!liftedAt) return standingFor(context, window);
  const monitor = monitorOf(context.desk, window.monitor);
  return toFloatingRect(
    currentFloatingRect({ ...window, held: 'floating', standing: liftedAt }, monitor),
    monitor,
  );
}

function standingFor(context: CommandContext, window: SessionWindow): FloatingRect {
  const monitor = monitorOf(context.desk, window.monitor);
  if (window.standing) {
    return toFloatingRect(
      keptInside(workArea(monitor).area, currentFloatingRect(window, monitor)),
      monitor,
    );
  }
  const now = computeShownPlacements(context, window.monitor).find(({ id }) => id === window.id);
  // One that floats for want of room floats on where it does.
  if (now?.held === 'floating') return toFloatingRect(now, monitor);
  const { grid } = context.profile.floating;
  const over = now?.tile ?? undefined;
  return toFloatingRect(firstFloatingRect(window, monitor, { over, grid }), monitor);
}

/** stay-above: the focused window floats over all others; again, it is back where it was. */
function toggleStayAbove(context: CommandContext): Outcome {
  const { session } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const said = (decided: string, because: string) => ({ about: window.id, decided, because });
  if (!window.stayAbove) {
    return applied(
      withWindow(session, window.id, (there) => ({
        ...liftedAlone(context, there),
        stayAbove: true,
      })),
      said('stays above', 'floating over all others, by key'),
    );
  }
  return applied(
    withWindow(session, window.id, ({ stayAbove: _gone, ...there }) =>
      landedUnlessAfloat(context, there),
    ),
    said('no longer above', 'held as it was before'),
  );
}

/** everywhere: the focused window is on every workspace of its monitor; again, it is back where it was. */
function toggleEverywhere(context: CommandContext): Outcome {
  const { session } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const said = (decided: string, because: string) => ({ about: window.id, decided, because });
  if (!window.everywhere) {
    return applied(
      withWindow(session, window.id, (there) => ({
        ...liftedAlone(context, there),
        everywhere: true,
      })),
      said('everywhere', 'on every workspace of its monitor, by key'),
    );
  }
  const { everywhere: _gone, ...rest } = window;
  const here = shownOn(session, window.monitor);
  if (here === window.workspace) {
    return applied(
      withWindow(session, window.id, () => landedUnlessAfloat(context, rest)),
      said(`on workspace ${here} alone`, 'held as it was before'),
    );
  }
  const { lifted: _lifted, ...stays } = rest;
  const alone = withWindow(session, window.id, () => stays);
  const moved = joinArrangement({ ...context, session: alone }, stays, window.monitor, here);
  return applied(
    withFocus(moved, existingWindow(moved, window.id)),
    said(`on workspace ${here} alone`, 'this is the workspace it was last seen on'),
  );
}

/** Lifts a single window out of its tile for the time being. */
function liftedAlone(context: CommandContext, window: SessionWindow): SessionWindow {
  return liftedTo(window, liftedStanding(context, window), isAfloat(context.session, window));
}

function isAfloat(session: Session, { workspace, monitor }: SessionWindow): boolean {
  return arrangementOf(session, workspace, monitor).afloat === true;
}

function landedUnlessAfloat(context: CommandContext, window: SessionWindow): SessionWindow {
  if (isAfloat(context.session, window) && !window.lifted?.alone) return window;
  // One that never was moved is remembered where it is drawn.
  const standing = window.standing ?? standingFor(context, window);
  return landed({ ...window, standing }, 'liftedAt');
}

/** float-all: every tiled window here floats where it is; again, all are back in their tiles. */
function floatAll(context: CommandContext): Outcome {
  const { session, profile, desk } = context;
  const { workspace, monitor } = focusedArrangement(session);
  const isHere = (window: SessionWindow) =>
    window.workspace === workspace && window.monitor === monitor;
  const arrangement = arrangementOf(session, workspace, monitor);
  const said = (decided: string, because: string) => ({ about: workspace, decided, because });
  const { kind } = tilingInForce(profile, session, workspace, monitor).layout;
  if (kind === 'free')
    return noop(session, `all float already: ${LAYOUTS.free.title} gives no tiles`);
  const isTaken = (window: SessionWindow) =>
    isHere(window) && window.held === 'tiled' && !window.placing;
  const back = (window: SessionWindow) => (isHere(window) ? landed(window, 'afloatAt') : window);
  // Where each went back into its tile by itself, all are there to be lifted again.
  const lands =
    session.windows.some((window) => back(window) !== window) || !session.windows.some(isTaken);
  if (arrangement.afloat && lands) {
    const windows = session.windows.map(back);
    const tiled = withArrangement(
      { ...session, windows },
      workspace,
      monitor,
      ({ afloat: _gone, ...rest }) => rest,
    );
    return applied(
      withMovedAlone(context, tiled),
      said('all in their tiles', 'the arrangement from before float-all'),
    );
  }
  const placements = new Map(
    computePlacements(session, profile, desk).placements.map((p) => [p.id, p]),
  );
  if (!session.windows.some(isTaken)) return noop(session, 'no window is tiled here');
  const windows = session.windows.map((window) => {
    if (!isTaken(window)) return window;
    const { afloatAt, ...rest } = window;
    const on = monitorOf(desk, monitor);
    const at = afloatAt
      ? currentFloatingRect({ ...window, held: 'floating', standing: afloatAt }, on)
      : placements.get(window.id)!;
    return liftedTo(rest, toFloatingRect(at, on));
  });
  return applied(
    withArrangement({ ...session, windows }, workspace, monitor, (there) => ({
      ...there,
      afloat: true,
    })),
    said('all float where they are', 'float-all; again, all go back into their tiles'),
  );
}

/** Of windows that are back in their tiles, only those that were moved meanwhile keep how they floated. */
function withMovedAlone({ profile, desk }: CommandContext, session: Session): Session {
  const placements = new Map(
    computePlacements(session, profile, desk).placements.map((p) => [p.id, p]),
  );
  const windows = session.windows.map((window) => {
    const { afloatAt, ...rest } = window;
    return afloatAt && sameRect(afloatAt, placements.get(window.id)!) ? rest : window;
  });
  return { ...session, windows };
}

export const liftFunctions = {
  float: toggleFloat,
  'float-all': floatAll,
  'stay-above': toggleStayAbove,
  everywhere: toggleEverywhere,
} satisfies Partial<CommandFunctions>;
