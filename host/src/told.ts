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
  const { hue } = profile.look.focusFrame;
  const windows = new Map<string, ArrangedWindow>();
  const frame = frameWidth(profile, can);
  for (const { id, x, y, width, height, shown, state, stayAbove } of placements) {
    const window = linkId(id);
    const colour = id === session.focus ? (HUES[hue] ?? hue) : PLAIN_BORDER;
    windows.set(window, {
      window,
      rect: { x, y, width, height },
      shown,
      state: state === 'full-screen' && can.includes('full-screen') ? 'full-screen' : 'normal',
      ...(stayAbove && can.includes('above') && { above: true }),
      ...(frame > 0 && { border: { width: frame, colour } }),
    });
  }
  const order = inDrawingOrder(placements, { session, profile }).map(({ id }) => linkId(id));
  const focus = session.focus === undefined ? null : linkId(session.focus);
  const hasFocus = focus !== null && order.includes(focus);
  return { wanted: { windows, order, focus: hasFocus ? focus : null }, findings };
}

/** How wide the border of every window is, in pixels: the focus frame, in whatever colour. */
export function frameWidth({ look }: Profile, can: readonly string[]): number {
  const { on, weight } = look.focusFrame;
  return on && can.includes('border') ? weight : 0;
}

/** What holds for the whole desktop. */
export function settingsOf(profile: Profile, can: readonly string[]): FromHost<'settings'> {
  const { focusFollows, goesAlong, clickRaises } = profile.pointer;
  return {
    type: 'settings',
    focusFollowsPointer: focusFollows,
    pointerFollowsFocus: goesAlong,
    clickRaises,
    border: frameWidth(profile, can),
  };
}

/** Every window of a session where it was before the engine came, with the frame that was told of by then. */
export function wantedBefore(
  { windows: all, focus, recent }: Session,
  rectOf: (id: string) => LinkRect | undefined,
  frame: number,
): Wanted {
  const windows = new Map<string, ArrangedWindow>();
  const border = frame > 0 && { border: { width: frame, colour: PLAIN_BORDER } };
  for (const { id } of all) {
    const window = linkId(id);
    const rect = rectOf(id);
    if (rect) windows.set(window, { window, rect, shown: true, state: 'normal', ...border });
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
 * @param ahead before those that came earlier are answered
 */
export function listeningTo(
  profile: Profile,
  whole: boolean,
  ahead: boolean,
  isOut: boolean,
): FromHost<'listen'> {
  const wayOut = { code: 'Escape', modifiers: [...WAY_OUT] };
  if (isOut) return { type: 'listen', triggers: [wayOut], whole: false };
  let triggers = known.get(profile);
  if (!triggers) {
    const presses = listenedPresses(profile);
    triggers = [wayOut, ...presses.map((press) => ({ ...press, modifiers: [...press.modifiers] }))];
    known.set(profile, triggers);
  }
  return { type: 'listen', triggers, whole, ...(whole && ahead && { ahead }) };
}
