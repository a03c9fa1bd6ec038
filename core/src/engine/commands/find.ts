import { nothingTyped, type CommandFunctions } from './command-functions.ts';
import type { Profile } from '../../model/profile.ts';
import type { Session, SessionWindow } from '../../model/session.ts';
import { knownWindows, type KnownWindow } from '../../rules/known-windows.ts';
import { nearestName } from '../../values/nearest-name.ts';
import {
  applied,
  noop,
  windowName,
  windowOf,
  withFocus,
  type Outcome,
  type CommandContext,
} from '../session.ts';
import { takeFromPocket } from './pocket.ts';
import { appNamed, openApp } from './windows.ts';

/** How well a text matches what was typed: 0 when a typed word is missing, higher the earlier the words stand. */
export function nearness(text: string, typed: string): number {
  const found = text.toLowerCase();
  const places = typed
    .toLowerCase()
    .split(/\s+/)
    .map((word) => found.indexOf(word));
  return places.includes(-1) ? 0 : 1 / (1 + Math.min(...places));
}

/** The entries of a list that match what was typed, the best first; of equals the one that comes earlier. */
function matching<T extends { id: string }>(
  list: readonly T[],
  typed: string,
  textOf: (item: T) => string,
): T[] {
  return list
    .map((item) => ({ item, near: item.id === typed ? 2 : nearness(textOf(item), typed) }))
    .filter(({ near }) => near > 0)
    .sort((a, b) => b.near - a.near)
    .map(({ item }) => item);
}

/** The windows that match what was typed by app, title, workspace or id; of equals the most recent first. */
export function findWindows(session: Session, profile: Profile, typed: string): SessionWindow[] {
  const recent = session.recent.flatMap((id) => windowOf(session, id) ?? []);
  return matching(recent, typed.trim(), (window) =>
    [windowName(profile, window), window.title ?? '', window.workspace, window.id].join(' '),
  );
}

/**
 * The windows that can be opened and match what was typed: by the app's name or id, or by the title of a further
 * window.
 */
export function findLaunches(profile: Profile, typed: string): (KnownWindow & { id: string })[] {
  const all = knownWindows(profile).map((known) => {
    const { app, window, further } = known;
    return { ...known, id: further === null ? app.id : `${app.id}: ${window.title}` };
  });
  return matching(all, typed.trim(), ({ id, name }) => `${name} ${id}`);
}

/** find-window: goes to the window that matches best what was typed, wherever it is. */
function findWindow(context: CommandContext, typed: string): Outcome {
  const { session, profile } = context;
  const [window] = findWindows(session, profile, typed);
  if (!window) return noop(session, `no window answers to ${typed}`);
  return wentTo(context, window, `it answers to ${typed}`);
}

/** launch: opens the window that matches best what was typed. */
function launch(context: CommandContext, typed: string): Outcome {
  const [found] = findLaunches(context.profile, typed);
  if (found) {
    const { app, window, further } = found;
    return openApp(context, app.id, further === null ? undefined : window.title);
  }
  const names = context.profile.apps.map(({ id }) => id);
  const nearest = nearestName(typed, names);
  return noop(
    context.session,
    `no app answers to ${typed}${nearest ? `; the nearest is ${nearest}` : ''}`,
  );
}

/** call-app: opens it; or goes to its most recent window; or, if that has the focus, to its next one. */
function callApp(context: CommandContext, appId: string): Outcome {
  const { session, profile } = context;
  const app = appNamed(profile, appId);
  if (typeof app === 'string') return noop(session, app);
  const recent = session.recent.map((id) => windowOf(session, id)).find((w) => w?.app === app.id);
  if (!recent) return openApp(context, app.id);
  if (recent.id === session.focus) return nextOfApp(context);
  return wentTo(context, recent, 'it is the most recent window of its app');
}

/** next-of-app: the next window of the same app, in the order in which they opened, round. */
function nextOfApp(context: CommandContext): Outcome {
  const { session, profile } = context;
  const window = windowOf(session, session.focus);
  if (!window) return noop(session, 'no window has the focus');
  const same = session.windows.filter(({ app }) => app !== undefined && app === window.app);
  const next = same[(same.indexOf(window) + 1) % same.length];
  if (!next || next.id === window.id) {
    return noop(session, `it is the only window of ${windowName(profile, window)}`);
  }
  const number = `number ${same.indexOf(next) + 1} of ${same.length}`;
  return wentTo(context, next, `it is the next window of its app, ${number}`);
}

/** Goes to a window wherever it is; one in the pocket is called back. */
function wentTo(context: CommandContext, window: SessionWindow, because: string): Outcome {
  const { session, profile } = context;
  const next =
    window.held === 'pocketed' ? takeFromPocket(context, window) : withFocus(session, window);
  if (next === session) return noop(session, 'it has the focus already');
  return applied(next, {
    about: window.id,
    decided: `${windowName(profile, window)} has the focus`,
    because,
  });
}

export const findFunctions = {
  'call-app': (context, { app }) => callApp(context, app),
  'next-of-app': nextOfApp,
  'find-window': (context, { text }) =>
    text ? findWindow(context, text) : nothingTyped(context, 'a window'),
  launch: (context, { text }) => (text ? launch(context, text) : nothingTyped(context, 'an app')),
} satisfies Partial<CommandFunctions>;
