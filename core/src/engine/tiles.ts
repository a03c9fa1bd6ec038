import type { ArrangementFinding } from './finding.ts';
import type { Rect, Size } from '../geometry/rect.ts';
import type { Session, SessionWindow } from '../model/session.ts';
import type { Axis } from '../values/direction.ts';
import { type ArrangedWorkspace, type TileReading, type GivenTile } from './arranged-workspace.ts';
import { minimumOf } from './hints.ts';
import type { CommandContext } from './session.ts';
import { stackingOrder } from './stacking.ts';

/** What a layout gives to its windows; known for an arrangement until it changes. */
export function readTiles(context: CommandContext, arranged: ArrangedWorkspace): TileReading {
  if (arranged.read) return arranged.read;
  const read = readAnew(context, arranged);
  // Where windows lie over each other, the focus decides which is on top.
  const isLasting =
    arranged.tiling.layout.kind !== 'single' &&
    arranged.overflow.length === 0 &&
    arranged.over.length === 0 &&
    (arranged.zoned?.piles.length ?? 0) === 0;
  if (isLasting) arranged.read = read;
  return read;
}

function readAnew(context: CommandContext, arranged: ArrangedWorkspace): TileReading {
  const { session } = context;
  const entries: GivenTile[] = [];
  const findings: ArrangementFinding[] = [];
  const { tiled, minimums, workspace, zoned, unseated } = arranged;
  const monitor = arranged.monitor.id;
  for (const dropped of tiled.length > 0 ? arranged.dropped : []) {
    findings.push({ kind: 'no-room', workspace, monitor, ...dropped });
  }
  for (const { id: window } of unseated) {
    findings.push({ kind: 'no-zone', window, workspace, monitor });
  }
  if (!arranged.tiles) {
    if (arranged.tiling.layout.kind === 'board' && tiled.length > 0) {
      findings.push({ kind: 'no-board', workspace, monitor });
    }
    return { entries, findings };
  }
  const { kind } = arranged.tiling.layout;
  const onTop = kind === 'single' ? topOf(context, [...tiled, ...arranged.overflow]) : null;
  const beneath = new Set<SessionWindow>();
  const lie = (windows: readonly SessionWindow[], top: SessionWindow) => {
    for (const window of windows) if (window !== top) beneath.add(window);
  };
  for (const pile of zoned?.piles ?? []) {
    const windows = pile.map((at) => tiled[at]!);
    lie(windows, topOf(context, windows));
  }
  if (arranged.over.length > 0) {
    const last = tiled.findLast((_, i) => !arranged.over.includes(i))!;
    const pile = [last, ...arranged.over.map((at) => tiled[at]!)];
    lie(pile, topOfLast(session, pile));
  }
  const place = { workspace, monitor };
  tiled.forEach((window, i) => {
    const tile = arranged.tiles![i]!;
    const covered = (onTop !== null && window !== onTop) || beneath.has(window);
    const zones = zoned?.seats[i]!.zones;
    entries.push(zones ? { window, tile, covered, zones } : { window, tile, covered });
    for (const finding of squeezes(window.id, tile, minimums[i]!, place)) findings.push(finding);
  });
  for (const position of arranged.over) {
    const { id: window } = tiled[position]!;
    findings.push({ kind: 'no-tile', window, workspace, monitor, now: 'stack' });
  }
  readLeft(session, arranged, onTop, entries, findings);
  return { entries, findings };
}

const NONE: readonly ArrangementFinding[] = [];

/** What a window lacks in a rectangle that is less than its minimum. */
export function squeezes(
  window: string,
  has: Rect,
  minimum: Size,
  { workspace, monitor }: { workspace: string; monitor: string },
): readonly ArrangementFinding[] {
  if (has.width >= minimum.width && has.height >= minimum.height) return NONE;
  const along = (axis: Axis, length: number, needs: number): ArrangementFinding[] =>
    length < needs
      ? [{ kind: 'squeeze', window, workspace, monitor, axis, has: length, needs }]
      : [];
  return [...along('x', has.width, minimum.width), ...along('y', has.height, minimum.height)];
}

/** Of windows in one place the focused one is on top, else the first in the stacking order. */
function topOf(
  { session, profile }: CommandContext,
  pile: readonly SessionWindow[],
): SessionWindow {
  const focused = pile.find(({ id }) => id === session.focus);
  if (focused) return focused;
  const byId = new Map(pile.map((window) => [window.id, window]));
  const topmost = stackingOrder(session, profile).find((id) => byId.has(id));
  return byId.get(topmost ?? '') ?? pile.at(-1)!;
}

/** Of windows at the last tile the focused one is on top, else the one whose tile it is, the first of them. */
function topOfLast(session: Session, pile: readonly SessionWindow[]): SessionWindow {
  return pile.find(({ id }) => id === session.focus) ?? pile[0]!;
}

/** Windows without a tile of their own: floating, or beneath the last tile, where the focused one is on top. */
function readLeft(
  session: Session,
  { overflow, tiling, workspace, monitor }: ArrangedWorkspace,
  ofAll: SessionWindow | null,
  entries: GivenTile[],
  findings: ArrangementFinding[],
): void {
  const now = tiling.whenTooSmall;
  if (now === 'squeeze' || overflow.length === 0) return;
  for (const window of overflow) {
    findings.push({ kind: 'no-tile', window: window.id, workspace, monitor: monitor.id, now });
  }
  if (now === 'float') return;
  const last = entries.at(-1)!;
  const pile = ofAll ? overflow : [last.window, ...overflow];
  const onTop = ofAll ?? topOfLast(session, pile);
  if (!ofAll) entries.pop();
  for (const window of pile) {
    entries.push({ window, tile: last.tile, covered: window !== onTop });
  }
  const place = { workspace, monitor: monitor.id };
  for (const window of overflow) {
    findings.push(...squeezes(window.id, last.tile, minimumOf(window, monitor.scale), place));
  }
}
