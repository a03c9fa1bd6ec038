import type { LineupWindow } from '../model/session-snap.ts';
import type { Session, SessionWindow } from '../model/session.ts';

/**
 * Which open window each of a lineup's is: itself where it is open and titled as then; else of one app those
 * with its very title first, then in the order in which they opened. Null where none is open.
 */
export function matched(session: Session, wanted: readonly LineupWindow[]): (string | null)[] {
  const unmatched = new Set(session.windows.filter(({ held }) => held !== 'left-alone'));
  const found = wanted.map((): string | null => null);
  const take = (isIt: (window: SessionWindow, of: LineupWindow) => boolean) =>
    wanted.forEach((of, i) => {
      if (found[i] !== null) return;
      for (const window of unmatched) {
        if (!isIt(window, of)) continue;
        unmatched.delete(window);
        found[i] = window.id;
        return;
      }
    });
  const isOfApp = (window: SessionWindow, of: LineupWindow) =>
    of.app === undefined ? window.id === of.id : window.app === of.app;
  const hasTitle = (window: SessionWindow, of: LineupWindow) =>
    isOfApp(window, of) && window.title === of.title;
  // The very window before another of its kind.
  take((window, of) => window.id === of.id && hasTitle(window, of));
  take(hasTitle);
  take((window, of) => window.id === of.id && isOfApp(window, of));
  take(isOfApp);
  return found;
}
