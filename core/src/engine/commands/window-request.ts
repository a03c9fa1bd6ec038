import { monitorOf } from '../../desk/desk.ts';
import { workArea } from '../../desk/work-area.ts';
import { keptInside, type Rect } from '../../geometry/rect.ts';
import { ownEntry } from '../../values/own-entry.ts';
import { reapplyRules } from '../reapply-rules.ts';
import { tilingInForce } from '../arrange.ts';
import { minimumOf } from '../hints.ts';
import {
  applied,
  noop,
  windowOf,
  withWindow,
  type Outcome,
  type CommandContext,
} from '../session.ts';
import { onGrid, currentFloatingRect, floatingRectOn, toFloatingRect } from '../floating-rect.ts';

/** A window has another title. */
export function onWindowRetitled(context: CommandContext, id: string, title: string): Outcome {
  const { session } = context;
  if (!windowOf(session, id)) return noop(session, `no window ${id} is open`);
  const titled = withWindow(session, id, (window) => ({ ...window, title }));
  const said = { about: id, decided: `titled ${title}`, because: 'its app says so' };
  if (session.paused) return applied(titled, said);
  const again = reapplyRules({ ...context, session: titled }, 'title', [id]);
  return applied(again.session, said, ...again.trace);
}

/**
 * A window asks for a position or a size, in physical pixels. A floating window gets it within the work area. A
 * window that is left alone, or any window while the engine is paused, gets it as asked. A tiled window gets
 * nothing: its layout decides.
 */
export function onWindowRequest(
  context: CommandContext,
  id: string,
  asked: Partial<Rect>,
): Outcome {
  const { session, profile, desk } = context;
  const window = windowOf(session, id);
  if (!window) return noop(session, `no window ${id} is open`);
  const monitor = monitorOf(desk, window.monitor);
  const { kind } = tilingInForce(profile, session, window.workspace, window.monitor).layout;
  const { paused } = session;
  const isFree = window.held !== 'tiled' || kind === 'free' || paused !== undefined;
  if (!isFree) return noop(session, 'its tile decides where it is and how large');
  const pausedAt = ownEntry(paused?.standing, id);
  const now = pausedAt
    ? floatingRectOn(window, pausedAt, monitor)
    : currentFloatingRect(window, monitor);
  const wanted = { ...now, ...asked };
  const least = minimumOf(window, monitor.scale);
  const size = {
    width: Math.max(least.width, wanted.width),
    height: Math.max(least.height, wanted.height),
  };
  const free = { ...wanted, ...size };
  const isKept = !paused && window.held !== 'left-alone';
  const there = isKept
    ? keptInside(workArea(monitor).area, onGrid(free, monitor, profile.floating.grid))
    : free;
  const standing = toFloatingRect(there, monitor);
  const said = { about: id, decided: rectText(there), because: 'its app asks for it' };
  if (paused) {
    const stands = { ...paused, standing: { ...paused.standing, [id]: standing } };
    return applied({ ...session, paused: stands }, said);
  }
  return applied(
    withWindow(session, id, (before) => ({ ...before, standing })),
    said,
  );
}

function rectText({ x, y, width, height }: Rect): string {
  return `${width} × ${height} at ${x}, ${y}`;
}
