import { withoutLargeness } from '../../model/window-mode.ts';
import { withInteraction, interactionOf } from '../../model/interaction.ts';
import { picked, without } from '../../model/object-fields.ts';
import type { CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import type { DeskMonitor } from '../../desk/monitors.ts';
import type { Session, SessionWindow } from '../../model/session.ts';
import {
  applied,
  arrangementOf,
  noop,
  windowName,
  windowOf,
  withArrangement,
  withFocus,
  withFocusOnMonitor,
  withList,
  withoutWindow,
  withWindow,
  type Outcome,
  type CommandContext,
  existingWindow,
} from '../session.ts';
import { withLiftsEnded } from '../lifted.ts';
import { firstFloatingRect, toFloatingRect, givenFloatingRect } from '../floating-rect.ts';
import { focusedWindow, isOutcome } from './focused-window.ts';
import { focusedArrangement } from './shares.ts';

/** pocket: the focused window is out of sight, until it is called back. Its place in the order is kept. */
function pocket(context: CommandContext): Outcome {
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  return applied(
    withInteraction(putInPocket(context.session, window), {
      kind: 'calling-back',
      window: window.id,
      from: 'desk',
    }),
    {
      about: window.id,
      decided: 'pocketed',
      because: 'by key; call-back brings it to where you are',
    },
  );
}

type FormerPlace = NonNullable<SessionWindow['pocketedFrom']>;

/** What is kept of a window in the pocket, for when it is back where it was. */
function formerPlace({ workspace, monitor, held, ...place }: FormerPlace): FormerPlace {
  return { workspace, monitor, held, ...picked(place, ['away', 'standing', 'lifted']) };
}

/** The session with a window put into the pocket: the next to be called back, or the last of all. */
export function putInPocket(
  session: Session,
  window: SessionWindow,
  comes: 'next' | 'last' = 'next',
): Session {
  const pocketedFrom = window.pocketedFrom ?? formerPlace(window);
  const gone = withWindow(session, window.id, ({ lifted: _lifted, ...there }) => ({
    ...there,
    held: 'pocketed',
    pocketedFrom,
  }));
  const listed = withList(gone, 'pocket', (ids) =>
    comes === 'next' ? [...ids, window.id] : [window.id, ...ids],
  );
  return withFocusOnMonitor(listed, session.focusMonitor);
}

/**
 * call-back: the window pocketed last comes to the present workspace, floating in the middle, or to its
 * former place on the workspace it came from. Again, while it has the focus, pockets it; the next one comes then.
 */
function callBack(context: CommandContext): Outcome {
  const { session, profile } = context;
  const focused = windowOf(session, session.focus);
  const last = interactionOf(session, 'calling-back');
  const isVisitor = focused?.pocketedFrom !== undefined && last?.from !== 'desk';
  const isBack = last?.from === 'pocket' && last.window === focused?.id;
  if (focused && (isVisitor || isBack)) {
    return applied(putInPocket(session, focused, 'last'), {
      about: focused.id,
      decided: 'pocketed again',
      because: 'it was called back and has the focus',
    });
  }
  const window = windowOf(session, session.pocket?.at(-1));
  if (!window) return noop(session, 'the pocket is empty');
  const back = takeFromPocket(context, window);
  return applied(
    withInteraction(back, { kind: 'calling-back', window: window.id, from: 'pocket' }),
    {
      about: window.id,
      decided: `${windowName(profile, window)} called back`,
      because: existingWindow(back, window.id).pocketedFrom
        ? 'it was pocketed last; it floats, for it came from another workspace'
        : 'it was pocketed last here; it is at its former place',
    },
  );
}

/** A pocketed window on the present workspace, with the focus. */
export function takeFromPocket(
  { session, profile, desk }: CommandContext,
  window: SessionWindow,
): Session {
  const here = focusedArrangement(session);
  const from = window.pocketedFrom ?? { ...window, held: 'tiled' as const };
  // One that is everywhere is on every workspace of its monitor.
  const isHere = ({ workspace, monitor }: { workspace: string; monitor: string }) =>
    monitor === here.monitor && (workspace === here.workspace || window.everywhere === true);
  const isAway = window.workspace !== from.workspace || window.monitor !== from.monitor;
  // Called back to where it visited last, it is as it was there.
  const isAgain = isAway && isHere(window);
  const isHome = isHere(from) && !isAgain;
  const taken = withList(session, 'pocket', (ids) => ids.filter((id) => id !== window.id));
  // Its place where it came from stays in the order there; that of a visit elsewhere is let go.
  const left =
    isAway && !isAgain
      ? withArrangement(taken, window.workspace, window.monitor, (arrangement) =>
          withoutWindow(arrangement, window.id),
        )
      : taken;
  const floatsFirst = (there: SessionWindow, monitor: DeskMonitor) =>
    toFloatingRect(firstFloatingRect(there, monitor, { grid: profile.floating.grid }), monitor);
  const back = withWindow(left, window.id, (there) => {
    const { pocketedFrom: _from, standing: _standing, away: _away, ...kept } = there;
    // Where it was placed by key waits for it there; while it visits it floats in the middle.
    const { placing } = isAway ? from : there;
    const rest = { ...without(kept, ['placing']), ...(isHome && placing && { placing }) };
    if (isHome) {
      const { workspace, monitor, held, standing } = from;
      const { afloat } = arrangementOf(left, workspace, monitor);
      const isLifted = held === 'tiled' && (rest.stayAbove ?? rest.everywhere) === true;
      const now = isLifted ? 'floating' : held;
      const home = monitorOf(desk, monitor);
      const stands = standing
        ? givenFloatingRect(now, standing, home)
        : now === 'floating' && floatsFirst(rest, home);
      return {
        ...rest,
        workspace,
        monitor,
        ...picked(from, ['away', 'lifted']),
        held: now,
        // All others here float already: it goes back into its tile by itself.
        ...(isLifted && { lifted: afloat ? { alone: true } : {} }),
        ...(stands && { standing: stands }),
      };
    }
    if (isAgain) return { ...there, held: 'floating' };
    const plain = withoutLargeness(rest);
    const on = monitorOf(desk, here.monitor);
    const standing = floatsFirst(there, on);
    const pocketedFrom = { ...formerPlace(from), ...(placing && { placing }) };
    return { ...plain, ...here, held: 'floating', standing, pocketedFrom };
  });
  const joined =
    isHome || isAgain
      ? back
      : withArrangement(back, here.workspace, here.monitor, (arrangement) => ({
          ...arrangement,
          order: [...arrangement.order, window.id],
        }));
  const settled = withLiftsEnded(joined);
  return withFocus(settled, existingWindow(settled, window.id));
}

export const pocketFunctions = {
  pocket,
  'call-back': callBack,
} satisfies Partial<CommandFunctions>;
