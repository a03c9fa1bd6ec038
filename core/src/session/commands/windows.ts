import { monitorOf } from '../../desk/desk.ts';
import { nearestName } from '../../profile/nearest.ts';
import type { App } from '../../profile/schema.ts';
import { placeShown } from '../place.ts';
import type { WindowInput } from '../schema.ts';
import {
  did,
  nothing,
  shownOn,
  windowName,
  windowOf,
  withArrangement,
  withFocus,
  withFocusOnMonitor,
  type Outcome,
  type SessionWindow,
  type Situation,
} from '../session.ts';
import { firstStanding } from '../standing.ts';

/** A window opens: on the workspace it names, else where the focus is; it joins the end of the order and has the focus. */
export function windowOpened(situation: Situation, input: WindowInput): Outcome {
  const { session, desk, profile } = situation;
  if (windowOf(session, input.id)) return nothing(session, `${input.id} is open already`);
  const named = desk.workspaces.find((workspace) => workspace.id === input.workspace);
  const monitor = named?.monitor ?? monitorOf(desk, input.monitor ?? session.focusMonitor).id;
  const workspace = named?.id ?? shownOn(session, monitor);
  const place = { ...input, monitor, workspace };
  const window: SessionWindow =
    input.held === 'tiled' || input.standing
      ? place
      : {
          ...place,
          standing: firstStanding(place, monitorOf(desk, monitor), parentRect(situation, input)),
        };

  const app = input.app ?? input.id;
  const opened = withArrangement(
    {
      ...session,
      windows: [...session.windows, window],
      opened: { ...session.opened, [app]: (session.opened[app] ?? 0) + 1 },
    },
    workspace,
    monitor,
    (arrangement) => ({ ...arrangement, order: [...arrangement.order, window.id] }),
  );
  return did(
    withFocus(opened, window),
    {
      about: window.id,
      decided: `${windowName(profile, window)} on workspace ${workspace}`,
      because: named ? 'it asks for that workspace' : 'the focus is there',
    },
    {
      about: window.id,
      decided: window.held === 'tiled' ? 'tiled, at the end' : window.held.replace('-', ' '),
      because: window.held === 'tiled' ? 'default' : 'its app opens so',
    },
  );
}

function parentRect(situation: Situation, { parent }: WindowInput) {
  const over = windowOf(situation.session, parent);
  if (!over) return undefined;
  return placeShown(situation, over.monitor).find(({ id }) => id === over.id);
}

/** A window closes; the most recently focused window on its monitor has the focus. */
export function windowClosed({ session, profile }: Situation, id: string): Outcome {
  const window = windowOf(session, id);
  if (!window) return nothing(session, `no window ${id} is open`);
  const { focus, ...rest } = session;
  const without = withArrangement(
    {
      ...rest,
      ...(focus !== undefined && focus !== id && { focus }),
      windows: session.windows.filter((other) => other.id !== id),
      recent: session.recent.filter((other) => other !== id),
    },
    window.workspace,
    window.monitor,
    (arrangement) => ({
      ...arrangement,
      order: arrangement.order.filter((other) => other !== id),
    }),
  );
  const next = focus === id ? withFocusOnMonitor(without, window.monitor) : without;
  return did(next, {
    about: id,
    decided: `${windowName(profile, window)} closed`,
    because: 'the others close up',
  });
}

/** open-app: always another window of the app. The new window's id is the app's and a number never used before. */
export function openApp(situation: Situation, appId: string): Outcome {
  const { session, profile } = situation;
  const app = profile.apps.find((candidate) => candidate.id === appId);
  if (!app) {
    const nearest = nearestName(
      appId,
      profile.apps.map(({ id }) => id),
    );
    return nothing(
      session,
      `no app is called ${appId}${nearest ? `; the nearest is ${nearest}` : ''}`,
    );
  }
  let number = (session.opened[appId] ?? 0) + 1;
  while (windowOf(session, `${appId}-${number}`)) number++;
  return windowOpened(situation, windowOfApp(situation, app, `${appId}-${number}`));
}

function windowOfApp({ session }: Situation, app: App, id: string): WindowInput {
  const { id: _id, name, balloon: _balloon, hue: _hue, letter: _letter, parent, ...window } = app;
  const over = session.recent.find((other) => windowOf(session, other)?.app === parent);
  return {
    ...window,
    id,
    app: app.id,
    title: app.title ?? name ?? app.id,
    ...(parent !== undefined && over !== undefined && { parent: over }),
  };
}

export function closeFocused(situation: Situation): Outcome {
  const { session } = situation;
  if (session.focus === undefined) return nothing(session, 'no window has the focus');
  return windowClosed(situation, session.focus);
}
