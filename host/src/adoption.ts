import type { Session, SessionInput } from '@sorn/core/model';
import { appName, sessionId } from './real-window.ts';

/** What is known of a window beside its id, by which it is found again under another one. */
interface KnownWindow {
  app?: string;
  title?: string;
}
interface RealWindow {
  window: string;
  app?: string;
  title?: string;
}

/**
 * Which windows of a session real windows are, by id: the same where the id and the app are, else in their order where
 * app and title are the same and as many of them are there as were. Others are not known: rules are asked for them.
 *
 * @param known windows of the session by id
 */
export function adopted(
  known: ReadonlyMap<string, KnownWindow>,
  windows: readonly RealWindow[],
): Map<string, string> {
  const found = new Map<string, string>();
  const isLeft = new Map(known);
  for (const { window, ...tells } of windows) {
    const id = sessionId(window);
    const was = isLeft.get(id);
    if (!was || was.app !== appName(tells)) continue;
    found.set(window, id);
    isLeft.delete(id);
  }
  const left = windows.filter(({ window }) => !found.has(window));
  const sign = ({ app, title }: KnownWindow) => JSON.stringify([app ?? null, title ?? null]);
  const signOf = ({ app, title }: RealWindow) => {
    const name = appName(app === undefined ? {} : { app });
    return sign({
      ...(name !== undefined && { app: name }),
      ...(title !== undefined && { title }),
    });
  };
  const byId = (a: string, b: string) => a.localeCompare(b, 'en', { numeric: true });
  for (const wanted of new Set(left.map(signOf))) {
    const ids = [...isLeft].filter(([, was]) => sign(was) === wanted).map(([id]) => id);
    const alike = left.filter((window) => signOf(window) === wanted);
    if (ids.length !== alike.length) continue;
    ids.sort(byId).forEach((id, i) => found.set(alike[i]!.window, id));
  }
  return found;
}

/**
 * A session whose windows go by other ids. Ids of windows look like nothing else in a session, so that each text and
 * each name of a field that is one is replaced.
 */
export function renamed<S extends Session | SessionInput>(
  session: S,
  names: ReadonlyMap<string, string>,
): S {
  const isSame = [...names].every(([from, to]) => from === to);
  return isSame ? session : (replaced(session, names) as S);
}

function replaced(value: unknown, names: ReadonlyMap<string, string>): unknown {
  if (typeof value === 'string') return names.get(value) ?? value;
  if (Array.isArray(value)) return value.map((each) => replaced(each, names));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, each]) => [names.get(name) ?? name, replaced(each, names)]),
  );
}
