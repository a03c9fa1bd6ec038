import { deskInForce } from '@sorn/core/desk';
import { computePlacements, inDrawingOrder } from '@sorn/core/engine';
import { listenedPresses } from '@sorn/core/keys';
import type { Profile, Session } from '@sorn/core/model';
import type { ArrangedWindow, FromHost, LinkRect, LinkTrigger } from '@sorn/link';
import type { RealMonitors } from './real-monitors.ts';
import { linkId } from './real-window.ts';
import type { Wanted } from './rounds.ts';

// What an agent is told of a session: pure, so that whether it was told already is another question.

/** The modifiers of the way out; its key is Escape. */
export const WAY_OUT = ['Ctrl', 'Alt', 'Shift'] as const;
const PLAIN_BORDER = '#6B7775';
/** Colours of the focus frame by their names in a profile. */
const HUES: Readonly<Record<string, string>> = {
  vermilion: '#C93A17',
  petrol: '#0B6B66',
  ochre: '#8F5D12',
  slate: '#5A6664',
};

/** How the windows of a session are to stand, and what the engine finds wrong with that. */
export function wantedOf(
  session: Session,
  profile: Profile,
  can: readonly string[],
): { wanted: Wanted; findings: ReturnType<typeof computePlacements>['findings'] } {
  const { placements, findings } = computePlacements(session, profile);
  const { on, hue, weight } = profile.look.focusFrame;
  const hasBorder = on && can.includes('border');
  const windows = new Map<string, ArrangedWindow>();
  for (const { id, x, y, width, height, shown, state } of placements) {
    const window = linkId(id);
    const colour = id === session.focus ? (HUES[hue] ?? hue) : PLAIN_BORDER;
    windows.set(window, {
      window,
      rect: { x, y, width, height },
      shown,
      state: state === 'full-screen' && can.includes('full-screen') ? 'full-screen' : 'normal',
      ...(hasBorder && { border: { width: weight, colour } }),
    });
  }
  const order = inDrawingOrder(placements, { session, profile }).map(({ id }) => linkId(id));
  const focus = session.focus === undefined ? null : linkId(session.focus);
  const hasFocus = focus !== null && order.includes(focus);
  return { wanted: { windows, order, focus: hasFocus ? focus : null }, findings };
}

/** Every window of a session where it was before the engine came. */
export function wantedBefore(
  { windows: all, focus, recent }: Session,
  rectOf: (id: string) => LinkRect | undefined,
): Wanted {
  const windows = new Map<string, ArrangedWindow>();
  for (const { id } of all) {
    const window = linkId(id);
    const rect = rectOf(id);
    if (rect) windows.set(window, { window, rect, shown: true, state: 'normal' });
  }
  // Somebody has the keys now, and that is a window.
  const last = focus ?? recent[0];
  return {
    windows,
    order: [...windows.keys()],
    focus: last === undefined ? null : linkId(last),
  };
}

/** The workspaces of a session, for panels of the window system. */
export function workspacesOf(session: Session, real: RealMonitors): FromHost<'workspaces'> {
  const desk = deskInForce(real.profile, session);
  const names = new Map([...real.ids].map(([name, id]) => [id, name]));
  return {
    type: 'workspaces',
    list: desk.workspaces.map(({ id, name }) => ({ id, name })),
    shown: Object.fromEntries(
      desk.monitors.flatMap(({ id }) => {
        const workspace = session.shown[id];
        return workspace === undefined ? [] : [[names.get(id) ?? id, workspace]];
      }),
    ),
    current: session.shown[session.focusMonitor] ?? '',
    of: Object.fromEntries(session.windows.map(({ id, workspace }) => [linkId(id), workspace])),
  };
}

const known = new WeakMap<Profile, LinkTrigger[]>();

/**
 * The keys that are listened for: those of the map and the way out; only that while the engine is out of the way.
 *
 * @param whole every key is told of
 */
export function listeningTo(profile: Profile, whole: boolean, isOut: boolean): FromHost<'listen'> {
  const wayOut = { code: 'Escape', modifiers: [...WAY_OUT] };
  if (isOut) return { type: 'listen', triggers: [wayOut], whole: false };
  let triggers = known.get(profile);
  if (!triggers) {
    const presses = listenedPresses(profile);
    triggers = [wayOut, ...presses.map((press) => ({ ...press, modifiers: [...press.modifiers] }))];
    known.set(profile, triggers);
  }
  return { type: 'listen', triggers, whole };
}
