import { deskInForce, monitorOf } from '../desk/desk.ts';
import { arrange } from '../engine/arrange.ts';
import { openWindow } from '../engine/commands/opening.ts';
import { openSession } from '../engine/open.ts';
import { factsOf } from '../engine/ruling.ts';
import { windowOf, type CommandContext, existingWindow } from '../engine/session.ts';
import { picked } from '../model/object-fields.ts';
import type { Profile } from '../model/profile.ts';
import { sessionSchema, type WindowInput, type SessionWindow } from '../model/session.ts';
import { matchingRules } from '../rules/decide.ts';
import { knownWindows, parentOf, type KnownWindow } from '../rules/known-windows.ts';
import { snapText } from '../values/snap-text.ts';
import { hintFields } from '../values/window.ts';

/** Where a window lands that opens alone on a desk, and what decided that. */
export interface Landing {
  /** Its id in the session it was opened in. */
  id: string;
  name: string;
  title: string;
  appId: string | undefined;
  /** The desk right after it opened there: whatever is asked about it is asked of this. */
  context: CommandContext;
  window: SessionWindow;
  /** In a few words: "tiled", "floating, above", "zone Middle". */
  held: string;
  workspace: string;
  monitor: string;
  /** Places in the list, counted from 0, of the rules that decided something. */
  decidedBy: readonly number[];
  /** Of all rules that are on, those that match it. */
  matching: readonly number[];
}

/**
 * Every window that the apps of a profile can open, and every open one that is none of these, each as it
 * lands when it opens on an otherwise empty desk with the focus on the primary monitor. One that stands over
 * another is opened after that.
 *
 * @param desk id of a desk of the profile; the first where left out
 * @param open windows of a session that are listed, too
 */
export function landings(
  profile: Profile,
  desk: string | undefined,
  open: readonly SessionWindow[] = [],
): Landing[] {
  const input = sessionSchema.parse(desk === undefined ? {} : { desk });
  const { session } = openSession(input, profile);
  const empty: CommandContext = { session, profile, desk: deskInForce(profile, session) };
  const known = knownWindows(profile);
  const isKnown = ({ app, title }: SessionWindow) =>
    known.some((each) => each.app.id === app && titleOf(each) === (title ?? ''));
  return [
    ...known.map((each, i) => landingOf(empty, known, inputOf(each, `known-${i}`), each.name)),
    ...open
      .filter((window) => !isKnown(window))
      .map((window) => landingOf(empty, known, bare(window), nameOf(profile, window))),
  ];
}

function titleOf({ app, window }: KnownWindow): string {
  return window.title ?? app.name ?? app.id;
}

function nameOf({ apps }: Profile, { app, title, id }: SessionWindow): string {
  const name = apps.find((each) => each.id === app)?.name ?? app;
  return [name, title ?? (name === undefined ? id : undefined)].filter(Boolean).join(': ');
}

/** A window before it is anywhere, and the app of the one it stands over. */
type Bare = WindowInput & { parentApp?: string };

const HINTS = Object.keys(hintFields) as (keyof typeof hintFields)[];

/** An open window as it was before it was anywhere. */
function bare(window: SessionWindow): Bare {
  const { id, app, title, kind } = window;
  return {
    id,
    kind,
    ...(app !== undefined && { app }),
    ...(title !== undefined && { title }),
    ...picked(window, HINTS),
  };
}

function inputOf(known: KnownWindow, id: string): Bare {
  const { app, window } = known;
  const parent = parentOf(known);
  return {
    id,
    app: app.id,
    title: titleOf(known),
    kind: window.kind,
    ...picked(window, HINTS),
    ...(parent !== undefined && { parentApp: parent }),
  };
}

function landingOf(
  empty: CommandContext,
  known: readonly KnownWindow[],
  { parentApp, ...input }: Bare,
  name: string,
): Landing {
  const { profile, desk } = empty;
  let { session } = empty;
  const over = known.findIndex((each) => each.app.id === parentApp && each.further === null);
  if (over >= 0) {
    const { parentApp: _none, ...parent } = inputOf(known[over]!, 'parent');
    session = openWindow({ ...empty, session }, parent).session;
  }
  const window: WindowInput = { ...input, ...(over >= 0 && { parent: 'parent' }) };
  session = openWindow({ ...empty, session }, window).session;
  const context = { session, profile, desk };
  return described(
    context,
    existingWindow(session, input.id),
    name,
    over >= 0 ? known[over]!.name : null,
  );
}

function described(
  context: CommandContext,
  window: SessionWindow,
  name: string,
  over: string | null,
): Landing {
  const { profile, desk } = context;
  const { gave = {} } = window.ruled ?? {};
  const ids = new Set(Object.values(gave).map((given) => given?.rule));
  const facts = factsOf(
    context,
    window,
    window.ruled ?? window,
    over === null ? undefined : parentAppOf(context, window),
  );
  const on = (test: (at: number) => boolean) =>
    profile.rules.flatMap((_, at) => (test(at) ? [at] : []));
  const isOver = over !== null && window.held === 'floating' && !window.placing;
  return {
    id: window.id,
    name,
    title: window.title ?? '',
    appId: window.app,
    context,
    window,
    held: heldText(context, window),
    workspace: window.everywhere ? 'every' : window.workspace,
    monitor: isOver ? `over ${over}` : monitorOf(desk, window.monitor).name,
    decidedBy: on((at) => ids.has(profile.rules[at]!.id)),
    matching: matchingRules(profile.rules, facts),
  };
}

function parentAppOf({ session }: CommandContext, { parent }: SessionWindow): string | undefined {
  return windowOf(session, parent)?.app;
}

function heldText(context: CommandContext, window: SessionWindow): string {
  const { placing, held, stayAbove } = window;
  const { zoned, tiled } = arrange(context, window.workspace, window.monitor);
  const seat = zoned?.seats[tiled.findIndex(({ id }) => id === window.id)];
  const zone = placing?.zone?.zones ?? seat?.zones;
  const base = zone
    ? `zone ${zone.join(' and ')}`
    : placing
      ? `placed ${snapText(placing)}`
      : held.replace('-', ' ');
  return stayAbove ? `${base}, above` : base;
}
