import { deskInForce, monitorOf, type DeskInForce } from '../desk/desk.ts';
import { fitsPattern } from '../desk/roles.ts';
import { arrange } from '../engine/arrange.ts';
import type { ArrangementFinding } from '../engine/finding.ts';
import type { Placement } from '../engine/placement.ts';
import { computePlacements } from '../engine/placements.ts';
import { windowName } from '../engine/session.ts';
import type { Rect } from '../geometry/rect.ts';
import type {
  Expectation,
  Least,
  OfEveryWindow,
  WhichWindow,
  WindowState,
} from '../model/expectation.ts';
import type { Profile } from '../model/profile.ts';
import type { Session, SessionWindow } from '../model/session.ts';
import { whichText } from './expectation-text.ts';
import { differencesBetween, standingOf, type ScriptState } from './script.ts';
import type { Pressing } from './press.ts';

/** What is known at a point of a try beside how the desk stands. */
export interface SoFar {
  marks: ReadonlyMap<string, ScriptState>;
  presses: number;
  /** How the desk stood before the step before; null before the first. */
  before: Look | null;
}

/** An expectation that does not hold. */
export interface Miss {
  /** What stands there instead, in words. */
  found: string;
  /** Windows that this is about, as far as they are there. */
  windows: readonly string[];
  /** It does not hold because a window or a mark is not there at all. */
  isMissing: boolean;
}

/** A desk that is looked at: what is asked of it is computed once, and only where it is asked. */
export class Look {
  readonly session: Session;
  readonly profile: Profile;
  private readonly at: Pressing;
  private computed: { placements: Placement[]; findings: ArrangementFinding[] } | null = null;
  private stands: ScriptState | null = null;

  constructor(at: Pressing) {
    this.at = at;
    this.session = at.session;
    this.profile = at.profile;
  }

  get desk(): DeskInForce {
    return deskInForce(this.profile, this.session);
  }

  get placements(): readonly Placement[] {
    return (this.computed ??= computePlacements(this.session, this.profile)).placements;
  }

  get findings(): readonly ArrangementFinding[] {
    return (this.computed ??= computePlacements(this.session, this.profile)).findings;
  }

  /** How it stands, to be compared with another time. */
  get standing(): ScriptState {
    return (this.stands ??= standingOf(this.at));
  }

  placementOf(id: string): Placement {
    return this.placements.find((placement) => placement.id === id)!;
  }

  window(which: WhichWindow): SessionWindow | undefined {
    const { windows } = this.session;
    if (typeof which === 'string') return windows.find(({ app }) => app === which);
    if ('title' in which)
      return windows.find(({ title }) => title !== undefined && fitsPattern(title, which.title));
    return windows.filter(({ app }) => app === which.app)[which.nth - 1];
  }

  name(id: string): string {
    const window = this.session.windows.find((each) => each.id === id);
    return window ? windowName(this.profile, window) : id;
  }

  /** The tiled windows of the workspace that a window is on, there. */
  arrangedWith(placement: Placement) {
    const { session, profile, desk } = this;
    return arrange({ session, profile, desk }, placement.workspace, placement.monitor);
  }
}

const miss = (found: string, windows: readonly string[] = [], isMissing = false): Miss => ({
  found,
  windows,
  isMissing,
});

/** Whether an expectation holds on a desk: null, or what stands there instead. */
export function missOf(expectation: Expectation, look: Look, soFar: SoFar): Miss | null {
  if ('window' in expectation) {
    const window = look.window(expectation.window);
    if (!window) return miss(`${whichText(expectation.window)} is not open`, [], true);
    return ofWindow(expectation, look.placementOf(window.id), look);
  }
  if ('shows' in expectation) {
    const { monitor, shows } = expectation;
    const is = look.desk.monitors.some(({ id }) => id === monitor);
    if (!is) return miss(`monitor ${monitor} is not there`, [], true);
    const shown = look.session.shown?.[monitor];
    return shown === shows ? null : miss(`it shows ${shown ?? 'nothing'}`);
  }
  if ('layout' in expectation) {
    const home = look.desk.workspaces.find(({ id }) => id === expectation.workspace);
    if (!home) return miss(`workspace ${expectation.workspace} is not there`, [], true);
    const { session, profile, desk } = look;
    const { layout } = arrange({ session, profile, desk }, home.id, home.monitor).tiling;
    return layout.kind === expectation.layout ? null : miss(`it has layout ${layout.kind}`);
  }
  if ('every' in expectation) return ofEvery(expectation.every, look);
  if ('findings' in expectation) {
    const wanted = expectation.findings;
    const found = look.findings.filter(
      ({ kind }) => wanted.length === 0 || (wanted as readonly string[]).includes(kind),
    );
    if (found.length === 0) return null;
    const windows = found.flatMap((finding) => ('window' in finding ? [finding.window] : []));
    return miss([...new Set(found.map(({ kind }) => kind))].join(', '), windows);
  }
  if ('same' in expectation) {
    const mark = soFar.marks.get(expectation.same);
    if (!mark) return miss(`no mark is called ${expectation.same}`, [], true);
    const [first, ...others] = differencesBetween(mark, look.standing);
    if (first === undefined) return null;
    return miss(others.length > 0 ? `${first}, and ${others.length} more` : first);
  }
  if ('presses' in expectation)
    return soFar.presses <= expectation.presses ? null : miss(`${soFar.presses} key presses`);
  return ofMoved(expectation.moved, look, soFar);
}

function ofWindow(
  expectation: Extract<Expectation, { window: WhichWindow }>,
  placement: Placement,
  look: Look,
): Miss | null {
  const about = (found: string, ...others: string[]) => miss(found, [placement.id, ...others]);
  if ('monitor' in expectation)
    return placement.monitor === expectation.monitor
      ? null
      : about(`it is on ${placement.monitor}`);
  if ('workspace' in expectation)
    return placement.workspace === expectation.workspace
      ? null
      : about(`it is on workspace ${placement.workspace}`);
  if ('zone' in expectation) {
    const { zones = [] } = placement;
    const isIn = zones.includes(expectation.zone);
    if (isIn) return null;
    return about(zones.length > 0 ? `it is in ${zones.join(', ')}` : 'it is in no zone');
  }
  if ('number' in expectation) {
    const at = look.arrangedWith(placement).tiled.findIndex(({ id }) => id === placement.id);
    if (at + 1 === expectation.number) return null;
    return about(at < 0 ? 'it is in no tile' : `it is number ${at + 1}`);
  }
  if ('is' in expectation) {
    const states = statesOf(placement, look);
    return states.includes(expectation.is) ? null : about(`it is ${states.join(', ')}`);
  }
  if ('rect' in expectation) {
    const { x, y, width, height } = expectation.rect;
    const isThere =
      placement.x === x &&
      placement.y === y &&
      placement.width === width &&
      placement.height === height;
    return isThere
      ? null
      : about(`it is at ${placement.x} ${placement.y}, ${placement.width} × ${placement.height}`);
  }
  if ('beside' in expectation) {
    const other = look.window(expectation.beside);
    if (!other) return miss(`${whichText(expectation.beside)} is not open`, [placement.id], true);
    return areBeside(placement, look.placementOf(other.id), look.placements)
      ? null
      : about('something is between them, or they are elsewhere', other.id);
  }
  const { width, height } = expectation.atLeast;
  const isLarge =
    isAtLeast(width, placement, look, 'width') && isAtLeast(height, placement, look, 'height');
  return isLarge ? null : about(`it is ${placement.width} × ${placement.height}`);
}

function isAtLeast(least: Least, placement: Placement, look: Look, length: 'width' | 'height') {
  const has = placement[length];
  const { scale } = monitorOf(look.desk, placement.monitor);
  if (typeof least === 'number') return has >= Math.floor(least * scale);
  const [parts = 1, of = 1] = least.split('/').map(Number);
  const { area, gap } = look.arrangedWith(placement);
  const between = gap[length === 'width' ? 'x' : 'y'];
  // As zones divide it: a half and a half, and a gap between them. A pixel may be lost where they are rounded.
  return (has + between + 1) * of >= parts * (area[length] + between);
}

function statesOf(placement: Placement, look: Look): WindowState[] {
  const { tiled, tiling } = look.arrangedWith(placement);
  const at = tiled.findIndex(({ id }) => id === placement.id);
  const leads = 'leadCount' in tiling.layout ? tiling.layout.leadCount : 1;
  const { held, shown, stayAbove } = placement;
  return [
    held,
    ...(at >= 0 && at < leads ? (['lead'] as const) : []),
    ...(stayAbove ? (['above'] as const) : []),
    shown ? 'shown' : 'hidden',
    ...(look.session.focus === placement.id ? (['focused'] as const) : []),
  ];
}

/** True where two shown windows of a monitor face each other along an edge, and no other one is between them. */
function areBeside(one: Placement, other: Placement, all: readonly Placement[]): boolean {
  if (!one.shown || !other.shown || one.monitor !== other.monitor) return false;
  const between = gapBetween(one, other);
  if (!between) return false;
  return !all.some(
    (each) => each.shown && each.id !== one.id && each.id !== other.id && overlaps(each, between),
  );
}

function gapBetween(one: Rect, other: Rect): Rect | null {
  const left = Math.max(one.x, other.x);
  const right = Math.min(one.x + one.width, other.x + other.width);
  const top = Math.max(one.y, other.y);
  const bottom = Math.min(one.y + one.height, other.y + other.height);
  if (left >= right && top < bottom)
    return { x: right, y: top, width: left - right, height: bottom - top };
  if (top >= bottom && left < right)
    return { x: left, y: bottom, width: right - left, height: top - bottom };
  return null;
}

function overlaps(one: Rect, other: Rect): boolean {
  return (
    one.x < other.x + other.width &&
    other.x < one.x + one.width &&
    one.y < other.y + other.height &&
    other.y < one.y + one.height
  );
}

function ofEvery(every: OfEveryWindow, look: Look): Miss | null {
  const { desk, session } = look;
  for (const placement of look.placements) {
    const window = session.windows.find(({ id }) => id === placement.id)!;
    const found = everyOf(every, placement, window, desk);
    if (found !== null) return miss(`${look.name(placement.id)} ${found}`, [placement.id]);
  }
  return null;
}

function everyOf(
  every: OfEveryWindow,
  placement: Placement,
  { min, everywhere }: SessionWindow,
  desk: DeskInForce,
): string | null {
  const home = desk.workspaces.find(({ id }) => id === placement.workspace);
  const monitor = desk.monitors.find(({ id }) => id === placement.monitor);
  switch (every) {
    case 'in-reach':
      if (!monitor) return `is on ${placement.monitor}, which is not there`;
      if (!home) return `is on workspace ${placement.workspace}, which is not there`;
      return placement.shown && !desk.monitors.some((each) => overlaps(placement, each))
        ? 'is outside every monitor'
        : null;
    case 'at-least-its-minimum': {
      if (!placement.shown || !min || !monitor) return null;
      const isSmall =
        placement.width < Math.floor(min.width * monitor.scale) ||
        placement.height < Math.floor(min.height * monitor.scale);
      return isSmall ? `is ${placement.width} × ${placement.height}, under its minimum` : null;
    }
    case 'at-home':
      return everywhere || desk.joined || !home || home.monitor === placement.monitor
        ? null
        : `is on ${placement.monitor}; its workspace ${placement.workspace} is on ${home.monitor}`;
  }
}

function ofMoved(moved: readonly WhichWindow[], look: Look, { before }: SoFar): Miss | null {
  if (!before) return null;
  const may = moved.map((which) => look.window(which)?.id);
  const was = new Map(before.placements.map((placement) => [placement.id, placement]));
  const others = look.placements.filter((placement) => {
    const then = was.get(placement.id);
    return then && !may.includes(placement.id) && !isSamePlace(then, placement);
  });
  if (others.length === 0) return null;
  const ids = others.map(({ id }) => id);
  return miss(`${ids.map((id) => look.name(id)).join(', ')} moved`, ids);
}

function isSamePlace(one: Placement, other: Placement): boolean {
  return (
    one.x === other.x &&
    one.y === other.y &&
    one.width === other.width &&
    one.height === other.height &&
    one.shown === other.shown
  );
}
