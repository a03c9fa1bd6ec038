import { interactionOf, withoutInteraction, withInteraction } from '../../model/interaction.ts';
import type { CommandFunctions } from './command-functions.ts';
import { type App, type AppWindow, appWindowSchema } from '../../model/app.ts';
import { picked } from '../../model/object-fields.ts';
import type { Profile } from '../../model/profile.ts';
import type { WindowInput, Session, SessionWindow } from '../../model/session.ts';
import { nearestName } from '../../values/nearest-name.ts';
import { ownEntry } from '../../values/own-entry.ts';
import {
  applied,
  noop,
  windowName,
  windowOf,
  withArrangement,
  withFocusOnMonitor,
  withList,
  withoutWindow,
  type Outcome,
  type Reason,
  type CommandContext,
} from '../session.ts';
import { onWindowOpened } from './opening.ts';

/** A window closes; the most recently focused window on its monitor has the focus. */
export function onWindowClosed({ session, profile }: CommandContext, id: string): Outcome {
  const window = windowOf(session, id);
  if (!window) return noop(session, `no window ${id} is open`);
  const without = forgotten(remembering(session, window), window);
  const next = session.focus === id ? withFocusOnMonitor(without, window.monitor) : without;
  return applied(next, {
    about: id,
    decided: `${windowName(profile, window)} closed`,
    because: session.paused ? 'the engine is paused; the others stay' : 'the others close up',
  });
}

/** Where the person moved a floating window is remembered for the next one of its app. */
function remembering(session: Session, window: SessionWindow): Session {
  const { standing, monitor, moved, held } = window;
  if (!moved || !standing || held !== 'floating') return session;
  const of = window.app ?? window.id;
  return { ...session, remembered: { ...session.remembered, [of]: { monitor, standing } } };
}

/** The session without a window, wherever it was named. */
function forgotten(session: Session, window: SessionWindow): Session {
  const { id } = window;
  const others = (list: readonly string[]) => list.filter((other) => other !== id);
  const { focus, paused, ...rest } = withoutFromChoice(session, id);
  const places = [window, window.pocketedFrom ?? window];
  const gone = places.reduce<Session>(
    (now, { workspace, monitor }) =>
      withArrangement(now, workspace, monitor, (arrangement) => withoutWindow(arrangement, id)),
    {
      ...rest,
      ...(focus !== undefined && focus !== id && { focus }),
      ...(paused && { paused: { ...paused, opened: others(paused.opened) } }),
      windows: session.windows.filter((other) => other.id !== id),
      recent: others(session.recent),
    },
  );
  return withList(withList(gone, 'pocket', others), 'minimised', others);
}

/** Takes a window out of the list that switch-window goes through. */
function withoutFromChoice(session: Session, id: string): Session {
  const switching = interactionOf(session, 'switching');
  if (!switching?.among.includes(id)) return session;
  const among = switching.among.filter((other) => other !== id);
  if (among.length === 0) return withoutInteraction(session);
  const at = Math.min(switching.at, among.length - 1);
  return withInteraction(session, { ...switching, among, at });
}

/** open-app: always another window of the app. The new window's id is the app's and a number never used before. */
export function openApp(context: CommandContext, appId: string, title?: string): Outcome {
  const { session, profile } = context;
  const app = appNamed(profile, appId);
  if (typeof app === 'string') return noop(session, app);
  const which = title === undefined ? null : furtherNamed(app, title);
  if (typeof which === 'string') return noop(session, which);
  return onWindowOpened(context, windowOfApp(context, app, newId(context, appId), which));
}

/** open-start: of the apps that are opened at the start, each whose window is not open yet. */
function openStart(context: CommandContext): Outcome {
  const { profile } = context;
  let { session } = context;
  const trace: Reason[] = [];
  const open = new Map<string, number>();
  for (const { app } of session.windows) if (app) open.set(app, (open.get(app) ?? 0) + 1);
  for (const { app: appId, ...goes } of profile.start) {
    const openAlready = open.get(appId) ?? 0;
    if (openAlready > 0) {
      open.set(appId, openAlready - 1);
      continue;
    }
    const app = appNamed(profile, appId);
    const now = { ...context, session };
    const outcome =
      typeof app === 'string'
        ? noop(session, app)
        : onWindowOpened(now, windowOfApp(now, app, newId(now, appId), null), goes);
    session = outcome.session;
    trace.push(...outcome.trace);
  }
  if (trace.length > 0) return { session, trace };
  return noop(
    session,
    profile.start.length > 0 ? 'all of them are open' : 'no app is opened at the start',
  );
}

/** An id that no window of the app ever had. */
function newId({ session }: CommandContext, appId: string): string {
  let number = (ownEntry(session.opened, appId) ?? 0) + 1;
  while (windowOf(session, `${appId}-${number}`)) number++;
  return `${appId}-${number}`;
}

/** One of the further windows of an app by its title, or a sentence for the person. */
function furtherNamed(app: App, title: string): AppWindow | string {
  const { windows = [], name = app.id } = app;
  const found = windows.find((window) => window.title === title);
  if (found) return found;
  const nearest = nearestName(
    title,
    windows.map((window) => window.title),
  );
  return `${name} has no window ${title}${nearest ? `; the nearest is ${nearest}` : ''}`;
}

/** The app of that id, or a sentence for the person when there is none. */
export function appNamed(profile: Profile, appId: string): App | string {
  const app = profile.apps.find((candidate) => candidate.id === appId);
  if (app) return app;
  const names = profile.apps.map(({ id }) => id);
  const nearest = nearestName(appId, names);
  return `no app is called ${appId}${nearest ? `; the nearest is ${nearest}` : ''}`;
}

/** The fields of an app that describe its windows. */
const WINDOW_FIELDS = Object.keys(appWindowSchema.shape) as (keyof AppWindow)[];

/** A window as an app opens it: its own, or a further one. */
function windowOfApp(
  { session }: CommandContext,
  app: App,
  id: string,
  further: AppWindow | null,
): WindowInput {
  const from = further ?? app;
  const { parent: over, ...window } = picked(from, WINDOW_FIELDS);
  const parent = over ?? (further?.kind === 'dialog' ? app.id : undefined);
  const there = session.recent.find((other) => windowOf(session, other)?.app === parent);
  return {
    ...window,
    kind: from.kind,
    id,
    app: app.id,
    title: window.title ?? app.name ?? app.id,
    ...(parent !== undefined && there !== undefined && { parent: there }),
  };
}

function closeFocused(context: CommandContext): Outcome {
  const { session } = context;
  if (session.focus === undefined) return noop(session, 'no window has the focus');
  return onWindowClosed(context, session.focus);
}

export const windowFunctions = {
  'open-app': (context, { app, window }) => openApp(context, app, window),
  close: closeFocused,
  'open-start': openStart,
} satisfies Partial<CommandFunctions>;
