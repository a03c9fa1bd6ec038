import { fitsPattern } from '@sorn/core/desk';
import type { App, Profile, WindowInput } from '@sorn/core/model';
import type { FromAgent, LinkHints } from '@sorn/link';

/** A window as the agent told of it. */
export interface RealWindow extends FromAgent<'opened'> {
  /** The id of the app that was launched when it came, where it told the start-up id of that. */
  launchedAs?: string;
}

/** The id in a session of a window of the link: no name in a profile looks like it. */
export function sessionId(window: string): string {
  return `win:${window}`;
}

/** The window of the link that a window of a session is. */
export function linkId(id: string): string {
  return id.slice('win:'.length);
}

/** Kinds of window that are nobody's to arrange: docks reserve their edges, splashes go by themselves. */
export function isArranged({ kind }: Pick<RealWindow, 'kind'>): boolean {
  return kind !== 'dock' && kind !== 'splash';
}

/**
 * The app of the profile that a window is of: by what the app says it is known by, by its id or name, else by what was
 * launched. What a window is comes before that: a program hands its start-up id on to those that it starts itself.
 */
export function appOf(
  { apps }: Pick<Profile, 'apps'>,
  window: Pick<RealWindow, 'app' | 'process' | 'title' | 'launchedAs'>,
): App | undefined {
  const fits = (name: string | undefined, pattern: string | undefined) =>
    pattern === undefined ||
    (name !== undefined && fitsPattern(name.toLowerCase(), pattern.toLowerCase()));
  const known = apps.find(({ match }) =>
    match?.some(
      (each) =>
        fits(window.app, each.class) &&
        fits(window.process, each.process) &&
        fits(window.title, each.title),
    ),
  );
  if (known) return known;
  const names = [window.app, window.process].flatMap((name) => (name ? [name.toLowerCase()] : []));
  const named = apps.find(
    ({ id, name, match }) =>
      !match && [id, name].some((each) => each !== undefined && names.includes(each.toLowerCase())),
  );
  return named ?? apps.find(({ id }) => id === window.launchedAs);
}

/** What a person calls the app of a window that the profile does not know: rules can name it, too. */
export function appName({ app, process }: Pick<RealWindow, 'app' | 'process'>): string | undefined {
  const name = (app || process)?.replace(/[\s/]+/g, '-').slice(0, 80);
  return name && name !== '__proto__' ? name : undefined;
}

type Hints = Pick<WindowInput, 'min' | 'max' | 'increment' | 'base' | 'aspect'>;

/** What a window says of its size, in logical pixels of a monitor of the given scale. */
export function logicalHints(
  { min, max, increment, base, aspect }: LinkHints,
  scale: number,
): Hints {
  const size = (
    { width, height }: { width: number; height: number },
    round: (value: number) => number,
    smallest = 1,
  ) => ({
    width: within(round(width / scale), smallest),
    height: within(round(height / scale), smallest),
  });
  return {
    ...(min && { min: size(min, Math.ceil) }),
    ...(max && { max: size(max, Math.floor) }),
    ...(increment && { increment: size(increment, Math.round) }),
    ...(base && { base: size(base, Math.round, 0) }),
    ...(aspect && { aspect: aspectWithin(aspect) }),
  };
}

/** No size of a session is larger, in logical pixels. */
export const LARGEST = 100_000;
const within = (length: number, smallest: number) => Math.min(LARGEST, Math.max(smallest, length));

/** The same proportion in figures that a session takes. */
function aspectWithin({ width, height }: { width: number; height: number }) {
  const by = Math.max(1, width / LARGEST, height / LARGEST);
  return { width: within(Math.round(width / by), 1), height: within(Math.round(height / by), 1) };
}

/**
 * A window as the engine takes it.
 *
 * @param scale of the monitor that it is on
 * @param learned what was seen of windows of its app, in physical pixels; what it says itself comes first
 */
export function windowInput(
  profile: Profile,
  opened: RealWindow,
  scale: number,
  learned: LinkHints = {},
): WindowInput {
  const app = appOf(profile, opened)?.id ?? appName(opened);
  const { width, height } = opened.rect;
  const isFixed = !opened.resizable;
  return {
    id: sessionId(opened.window),
    ...(app !== undefined && { app }),
    title: opened.title ?? app ?? opened.window,
    kind: opened.kind === 'dialog' || opened.kind === 'utility' ? opened.kind : 'normal',
    ...(opened.kind === 'fixed' && { held: 'left-alone' as const }),
    ...(opened.parent !== undefined && { parent: sessionId(opened.parent) }),
    ...logicalHints({ ...learned, ...opened.hints }, scale),
    ...(isFixed && { resizable: false }),
    preferred: {
      width: within(Math.round(width / scale), 1),
      height: within(Math.round(height / scale), 1),
    },
    ...(opened.wants?.above && { stayAbove: true }),
  };
}
