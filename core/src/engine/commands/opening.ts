import { isIn } from '../../model/window-mode.ts';
import { monitorFor, monitorOf } from '../../desk/desk.ts';
import type { RuleSettings } from '../../model/rule.ts';
import type { FloatingRect } from '../../model/session-snap.ts';
import type { Arrangement, WindowInput, Session, SessionWindow } from '../../model/session.ts';
import { dividedBy, longerAxis } from '../../tiling/hand.ts';
import type { TilingInForce } from '../../tiling/settings.ts';
import { ownEntry } from '../../values/own-entry.ts';
import { arrange, tilingInForce } from '../arrange.ts';
import type { ArrangedWorkspace } from '../arranged-workspace.ts';
import { heldByRule, parentApp, snappedByRule, floatingRectByRule } from '../rule-effects.ts';
import { rulesWhy } from '../explain-rules.ts';
import { rulingFor, type Ruling, type WindowLocation } from '../ruling.ts';
import {
  arrangementOf,
  applied,
  isTiled,
  noop,
  shownOn,
  windowName,
  windowOf,
  withArrangement,
  withFocus,
  withList,
  type Outcome,
  type Reason,
  type CommandContext,
  existingWindow,
} from '../session.ts';
import { givenFloatingRect } from '../floating-rect.ts';
import { zoneBoardHere } from './zone-board-here.ts';
import { handOf } from './split.ts';

/**
 * A window opens. Its own settings come first, then the rules, then the defaults: tiled, where the focus is, in the
 * order by the setting for new windows (in hand-split it divides the focused window), and with the focus.
 *
 * @param goes its settings in the list of what opens at the start; they come before any rule
 */
export function onWindowOpened(
  context: CommandContext,
  input: WindowInput,
  goes: RuleSettings = {},
): Outcome {
  if (windowOf(context.session, input.id)) {
    return noop(context.session, `${input.id} is open already`);
  }
  const { session, trace } = openWindow(context, input, goes);
  return applied(session, ...trace, ...rulesWhy({ ...context, session }, input.id));
}

/** Opens a window that is not open yet, without the reasons of the rules. */
export function openWindow(
  context: CommandContext,
  input: WindowInput,
  goes: RuleSettings = {},
): Outcome {
  const { session } = context;
  const without = spotOf(context, input, {});
  const parent = parentApp(session.windows, input.parent);
  const ruling = rulingFor(context, input, without, parent, { atStart: goes });
  const { follows } = ruling;
  const spot = spotOf(context, input, follows);
  const { window, stands } = openedWindow(context, { ...input, ...spot }, ruling);
  const ordered = entered(context, window, follows);
  const placed = snappedByRule({ ...context, session: ordered.session }, window.id, follows);
  const next = withFirstFocus(session, placed.session, window.id, follows);
  return applied(
    next,
    {
      about: window.id,
      decided: `${windowName(context.profile, window)} on workspace ${spot.workspace}`,
      because: spotBecause(input, ruling),
    },
    ordered.reason,
    ...(stands === null
      ? []
      : [{ about: window.id, decided: 'where it was moved last', because: stands }]),
    ...ruling.trace,
    ...(placed.trace.length > 0 ? placed.trace : seatTaken({ ...context, session: next }, window)),
  );
}

/** Where a window opens: on the workspace and monitor it names, else those of the rules, else where the focus is. */
function spotOf(
  { session, desk }: CommandContext,
  input: WindowInput,
  follows: RuleSettings,
): WindowLocation {
  const wanted = input.workspace ?? follows.workspace;
  const named = desk.workspaces.find(({ id }) => id === wanted);
  const asked = monitorOf(desk, input.monitor ?? follows.monitor ?? session.focusMonitor).id;
  const monitor = named ? monitorFor(desk, named, asked) : asked;
  return { monitor, workspace: named?.id ?? shownOn(session, monitor) };
}

/** What decided it is a reason of its own. */
const AS_SAID = 'as it is said for it';

function spotBecause({ workspace, monitor }: WindowInput, { ruled: { gave } }: Ruling): string {
  if (workspace !== undefined) return 'it asks for that workspace';
  if (monitor !== undefined) return 'it asks for that monitor';
  return gave.workspace || gave.monitor ? AS_SAID : 'the focus is there';
}

/** The window with all that is known of it, before it has a place in the order. */
function openedWindow(
  context: CommandContext,
  input: WindowInput & WindowLocation,
  { follows, ruled }: Ruling,
): { window: SessionWindow; stands: string | null } {
  const { session, profile } = context;
  const { workspace, monitor } = input;
  const { afloat } = arrangementOf(session, workspace, monitor);
  const held = heldByRule({ ...input, held: input.held ?? 'tiled' }, follows);
  const isLifted = held.held === 'tiled' && afloat === true;
  const window: SessionWindow = {
    ...held,
    ruled,
    ...(isLifted && { held: 'floating', lifted: {} }),
    ...(held.held === 'pocketed' && { pocketedFrom: { workspace, monitor, held: 'tiled' } }),
  };
  const tiling = tilingInForce(profile, session, workspace, monitor);
  const isTileless =
    tiling.layout.kind === 'free' || !hasZoneLeft(arrange(context, workspace, monitor));
  const stands = window.held !== 'tiled' || isTileless || session.paused !== undefined;
  if (!stands) return { window, stands: null };
  if (input.standing) {
    const isFree = window.held === 'floating' || window.held === 'left-alone';
    const standing = isFree
      ? givenFloatingRect(window.held, input.standing, monitorOf(context.desk, monitor))
      : input.standing;
    return { window: { ...window, standing }, stands: null };
  }
  const { standing, because } = floatingRectByRule(context, window, follows);
  return { window: { ...window, standing }, stands: because };
}

/** False where a board has no zone for one more window, or there is no board at all. */
function hasZoneLeft({ tiling, zoned, unseated }: ArrangedWorkspace): boolean {
  const { layout } = tiling;
  if (layout.kind !== 'board') return true;
  if (!zoned) return false;
  if (layout.whenFull !== 'float') return zoned.board.zones.length > 0;
  const taken = new Set(zoned.seats.flatMap(({ zones }) => zones));
  return unseated.length === 0 && taken.size < zoned.board.zones.length;
}

/** The session with a window more, at its place in the order. */
function entered(
  context: CommandContext,
  window: SessionWindow,
  follows: RuleSettings,
): { session: Session; reason: Reason } {
  const { session, profile } = context;
  const { id, workspace, monitor, standing } = window;
  const app = window.app ?? id;
  const { paused } = session;
  const more: Session = {
    ...session,
    windows: [...session.windows, window],
    opened: { ...session.opened, [app]: (ownEntry(session.opened, app) ?? 0) + 1 },
    ...(paused && standing && { paused: adopting(paused, id, standing) }),
  };
  const entry = paused
    ? { change: atEnd(id), ...WAITS }
    : entryOf(context, tilingInForce(profile, session, workspace, monitor), window, follows);
  const { decided, because } = entry;
  return {
    session: withArrangement(more, workspace, monitor, entry.change),
    reason: { about: id, decided, because },
  };
}

/** Gives a window that opened the focus, or where a rule says it takes none, a place after the focused one. */
function withFirstFocus(before: Session, now: Session, id: string, follows: RuleSettings): Session {
  const window = existingWindow(now, id);
  const isPocketed = window.held === 'pocketed';
  if (!isPocketed && follows.focus !== false) return withFocus(now, window);
  const listed = isIn(window, 'minimised')
    ? withList(now, 'minimised', (ids) => [...ids, id])
    : now;
  const { recent } = listed;
  if (isPocketed)
    return withList({ ...listed, recent: [...recent, id] }, 'pocket', (ids) => [...ids, id]);
  const [focused, ...others] = recent;
  const isFirst = before.focus === undefined || focused === undefined;
  return { ...listed, recent: isFirst ? [id, ...recent] : [focused, id, ...others] };
}

function seatTaken(context: CommandContext, { id }: SessionWindow): Reason[] {
  if (context.session.paused) return [];
  const seat = zoneBoardHere(context, existingWindow(context.session, id))?.seat;
  if (!seat) return [];
  const because = seat.isOver ? 'every zone is taken' : 'the next empty zone';
  return [{ about: id, decided: `in ${seat.zones.join(' and ')}`, because }];
}

function adopting(paused: NonNullable<Session['paused']>, id: string, standing: FloatingRect) {
  return {
    standing: { ...paused.standing, [id]: standing },
    opened: [...paused.opened, id],
  };
}

const WAITS = { decided: 'where it opened', because: 'the engine is paused; resume takes it in' };

interface Entry extends Pick<Reason, 'decided' | 'because'> {
  change: (arrangement: Arrangement) => Arrangement;
}

const atEnd = (id: string) => (arrangement: Arrangement) => ({
  ...arrangement,
  order: [...arrangement.order, id],
});

/** How a window that opens enters its arrangement, and why so. */
function entryOf(
  context: CommandContext,
  tiling: TilingInForce,
  window: SessionWindow,
  { join }: RuleSettings,
): Entry {
  const { session } = context;
  const { id, workspace, monitor, ruled } = window;
  if (!isTiled(window)) return { change: atEnd(id), ...notTiled(window) };
  const { order } = arrangementOf(session, workspace, monitor);
  const focused = windowOf(session, session.focus);
  const isHere =
    focused !== undefined &&
    order.includes(focused.id) &&
    isTiled(focused) &&
    focused.workspace === workspace &&
    focused.monitor === monitor;
  const where = join ?? tiling.newWindows;
  if (tiling.layout.kind === 'split' && isHere && join !== 'lead' && join !== 'end') {
    return dividing(context, focused, id);
  }
  const set = join
    ? AS_SAID
    : tiling.from.newWindows === 'default'
      ? 'default'
      : 'new windows are set so';
  const how = ruled?.gave.held ? 'tiled by a rule' : 'tiled';
  if (where === 'lead') {
    const change = (there: Arrangement) => ({ ...there, order: [id, ...there.order] });
    return { change, decided: `${how}, first`, because: set };
  }
  if (where === 'after-focused' && isHere) {
    const change = (there: Arrangement) => ({
      ...there,
      order: after(there.order, focused.id, id),
    });
    return { change, decided: `${how}, after the focused window`, because: set };
  }
  return { change: atEnd(id), decided: `${how}, at the end`, because: set };
}

function notTiled({ held, lifted, stayAbove, everywhere, ruled }: SessionWindow) {
  const because = ruled?.gave.held
    ? AS_SAID
    : lifted && (stayAbove ?? everywhere)
      ? `a rule says it ${stayAbove ? 'stays above' : 'is everywhere'}`
      : lifted
        ? 'all windows here float for now'
        : 'it opens so itself';
  return { decided: held.replace('-', ' '), because };
}

function after(order: readonly string[], beside: string, id: string): string[] {
  return order.flatMap((other) => (other === beside ? [other, id] : [other]));
}

/** The new window shares the focused one's place: as it was told, else along the longer side. */
function dividing(context: CommandContext, focused: SessionWindow, id: string): Entry {
  const arranged = arrange(context, focused.workspace, focused.monitor);
  const told = arrangementOf(context.session, focused.workspace, focused.monitor).divides;
  const isTold = told?.window === focused.id;
  const at = arranged.tiled.indexOf(focused);
  const axis = isTold ? told.axis : longerAxis(arranged.tiles?.[at] ?? arranged.area);
  return {
    change: (there) => {
      const { hand } = handOf(there, arranged);
      const { divides: _used, ...rest } = there;
      return {
        ...rest,
        order: after(there.order, focused.id, id),
        hand: dividedBy(hand ?? focused.id, focused.id, id, axis),
      };
    },
    decided: `tiled, ${axis === 'x' ? 'right of' : 'below'} ${windowName(context.profile, focused)}`,
    because: isTold ? 'split by key' : 'it halves the longer side of the focused window',
  };
}
