import { rectOfSnap } from '../engine/snap-area.ts';
import { monitorOf } from '../desk/desk.ts';
import type { Measure } from '../geometry/measure.ts';
import type { Rect } from '../geometry/rect.ts';
import type { Expectation, WhichWindow } from '../model/expectation.ts';
import type { Look } from './expect.ts';

/** Where a window was expected and where it stands, in physical pixels of the joint desktop. */
export interface ExpectedPlace {
  /** The window; left out where the place is a monitor's. */
  window?: string;
  expected: Rect;
  /** Left out while it is not shown. */
  stands?: Rect;
  /** From where an edge of it stands to where it was expected; none along an axis along which it stands as expected. */
  apart: readonly Measure[];
}

/**
 * The place that an expectation asks for, as far as it asks for one: null where it is about how a window is held, about
 * findings, or about a window that is not there.
 *
 * @param before the desk before the step before, for what should not have moved
 * @param about windows that the expectation fails for
 */
export function expectedPlace(
  expectation: Expectation,
  look: Look,
  before: Look | null,
  about: readonly string[],
): ExpectedPlace | null {
  if ('shows' in expectation) {
    const monitor = look.desk.monitors.find(({ id }) => id === expectation.monitor);
    return monitor ? { expected: rectOf(monitor), apart: [] } : null;
  }
  if ('moved' in expectation) {
    const was = before?.placements.find(({ id, shown }) => shown && id === about[0]);
    return was ? placed(look, was.id, was) : null;
  }
  if ('every' in expectation) return ofEvery(expectation.every, look, about[0]);
  if (!('window' in expectation)) return null;
  const window = look.window(expectation.window);
  const expected = window && ofWindow(expectation, look, window.id);
  return window && expected ? placed(look, window.id, expected) : null;
}

function placed(look: Look, id: string, expected: Rect): ExpectedPlace {
  const placement = look.placementOf(id);
  return {
    window: id,
    expected: rectOf(expected),
    ...(placement.shown && { stands: rectOf(placement) }),
    apart: placement.shown ? apart(placement, expected) : [],
  };
}

function apart(stands: Rect, expected: Rect): Measure[] {
  return (['x', 'y'] as const).flatMap((axis): Measure[] => {
    const length = axis === 'x' ? 'width' : 'height';
    const begin = { axis, from: stands[axis], to: expected[axis] };
    const end = {
      axis,
      from: stands[axis] + stands[length],
      to: expected[axis] + expected[length],
    };
    return [begin, end].filter(({ from, to }) => from !== to).slice(0, 1);
  });
}

function ofWindow(
  expectation: Extract<Expectation, { window: WhichWindow }>,
  look: Look,
  id: string,
): Rect | null {
  const { desk, session, profile } = look;
  const placement = look.placementOf(id);
  if ('rect' in expectation) return expectation.rect;
  if ('monitor' in expectation)
    return desk.monitors.find((each) => each.id === expectation.monitor) ?? null;
  if ('workspace' in expectation) {
    const home = desk.workspaces.find((each) => each.id === expectation.workspace);
    return home ? monitorOf(desk, home.monitor) : null;
  }
  if ('zone' in expectation) {
    const board = profile.boards.find(({ zones }) =>
      zones.some(({ name }) => name === expectation.zone),
    );
    const window = session.windows.find((each) => each.id === id)!;
    if (!board) return null;
    const zone = { board: board.id, zones: [expectation.zone] };
    return rectOfSnap({ session, profile, desk }, window, { x: 'full', y: 'full', zone });
  }
  if ('atLeast' in expectation) {
    const { width, height } = expectation.atLeast;
    const { area } = look.arrangedWith(placement);
    const { scale } = monitorOf(desk, placement.monitor);
    return {
      x: placement.x,
      y: placement.y,
      // A length of which there is enough is as it should be.
      width: Math.max(placement.width, lengthOf(width, area.width, scale)),
      height: Math.max(placement.height, lengthOf(height, area.height, scale)),
    };
  }
  const isLead = 'is' in expectation && expectation.is === 'lead';
  const number = 'number' in expectation ? expectation.number : isLead ? 1 : null;
  if (number === null) return null;
  const there = look.arrangedWith(placement).tiled[number - 1];
  if (!there) return null;
  // Its tile: what fills it may be smaller.
  const { tile, ...window } = look.placementOf(there.id);
  return tile ?? window;
}

function lengthOf(least: number | string, whole: number, scale: number): number {
  if (typeof least === 'number') return Math.floor(least * scale);
  const [parts = 1, of = 1] = least.split('/').map(Number);
  return Math.floor((whole * parts) / of);
}

function ofEvery(
  every: Extract<Expectation, { every: unknown }>['every'],
  look: Look,
  id: string | undefined,
): ExpectedPlace | null {
  const window = look.session.windows.find((each) => each.id === id);
  if (!window || every === 'in-reach') return null;
  const placement = look.placementOf(window.id);
  if (every === 'at-home') {
    const home = look.desk.workspaces.find((each) => each.id === placement.workspace);
    return home ? placed(look, window.id, monitorOf(look.desk, home.monitor)) : null;
  }
  const { scale } = monitorOf(look.desk, placement.monitor);
  if (!window.min) return null;
  const { x, y } = placement;
  const width = Math.max(placement.width, Math.floor(window.min.width * scale));
  const height = Math.max(placement.height, Math.floor(window.min.height * scale));
  return placed(look, window.id, { x, y, width, height });
}

function rectOf({ x, y, width, height }: Rect): Rect {
  return { x, y, width, height };
}
