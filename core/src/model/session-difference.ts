import type { Session, SessionWindow } from './session.ts';

/** What is told of a session: undo and redo stay where it is kept. */
type Told = Omit<Session, 'past' | 'future'>;

/** What makes a session of the one that was told before. */
export interface SessionDifference {
  /** Fields but windows that are otherwise; null where one is gone. */
  fields?: Readonly<Record<string, unknown>>;
  /** Windows that are new or otherwise. */
  windows?: readonly SessionWindow[];
  /** The ids of all windows in their order, where that is another one. */
  order?: readonly string[];
}

const KEPT = ['windows', 'past', 'future'];

/**
 * What is otherwise in a session than in the one before: parts that are the same object are the same, so that it takes
 * a look at each window and no more. Null where nothing is.
 *
 * @param before null where nothing was told yet
 */
export function sessionDifference(
  before: Session | null,
  after: Session,
): SessionDifference | null {
  if (before === after) return null;
  const is = after as unknown as Record<string, unknown>;
  const was = (before ?? {}) as Record<string, unknown>;
  const fields: Record<string, unknown> = {};
  for (const name of new Set([...Object.keys(was), ...Object.keys(is)]))
    if (!KEPT.includes(name) && was[name] !== is[name]) fields[name] = is[name] ?? null;
  const known = new Map(before?.windows.map((window) => [window.id, window]));
  const windows = after.windows.filter((window) => known.get(window.id) !== window);
  const isSameOrder =
    before !== null &&
    before.windows.length === after.windows.length &&
    before.windows.every(({ id }, at) => after.windows[at]!.id === id);
  const difference = {
    ...(Object.keys(fields).length > 0 && { fields }),
    ...(windows.length > 0 && { windows }),
    ...(!isSameOrder && { order: after.windows.map(({ id }) => id) }),
  };
  return Object.keys(difference).length > 0 ? difference : null;
}

/**
 * The session that a difference makes of the one before; what is not otherwise stays the same object.
 *
 * @param before null where nothing was told yet: the difference holds all then
 */
export function withDifference(
  before: Session | null,
  { fields = {}, windows = [], order }: SessionDifference,
): Session {
  const rest = Object.fromEntries(
    Object.entries({ ...before, ...fields }).filter(([, value]) => value !== null),
  ) as unknown as Told;
  const all = new Map(before?.windows.map((window) => [window.id, window]));
  for (const window of windows) all.set(window.id, window);
  const ids = order ?? before?.windows.map(({ id }) => id) ?? [];
  const isSame = windows.length === 0 && order === undefined && before !== null;
  return {
    ...rest,
    windows: isSame ? before.windows : ids.map((id) => all.get(id)!),
    past: [],
    future: [],
  };
}
