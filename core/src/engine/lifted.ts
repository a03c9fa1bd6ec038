import type { Session, SessionWindow } from '../model/session.ts';
import { arrangementKey, arrangementOf } from './session.ts';

/** True for a window that left its tile only because all others on its workspace float as well. */
function floatsWithAll({ held, lifted, stayAbove, everywhere }: SessionWindow): boolean {
  return held === 'floating' && lifted !== undefined && !stayAbove && !everywhere;
}

/**
 * A window that floats with all others back in its tile, with what it remembered of floating before; others stay as
 * they are.
 *
 * @param memory where it is kept how it stood until now, for when it is lifted again
 */
export function landed(window: SessionWindow, memory?: 'liftedAt' | 'afloatAt'): SessionWindow {
  if (!floatsWithAll(window)) return window;
  const { lifted, standing, ...rest } = window;
  const { alone: _alone, ...before } = lifted!;
  return { ...rest, ...before, held: 'tiled', ...(memory && standing && { [memory]: standing }) };
}

/**
 * Windows that float with all others of their workspace are in their tiles where all do not float any more. Those that
 * are among others while their monitor is away float until it is back.
 */
export function withLiftsEnded(session: Session): Session {
  const isAfloat = ({ workspace, monitor, away }: SessionWindow) =>
    arrangementOf(session, workspace, monitor).afloat ||
    (away !== undefined && session.arrangements[arrangementKey(workspace, away)]?.afloat);
  const isOver = (window: SessionWindow) => floatsWithAll(window) && !isAfloat(window);
  if (!session.windows.some(isOver)) return session;
  const windows = session.windows.map((window) => (isOver(window) ? landed(window) : window));
  return { ...session, windows };
}
