import { isIn } from '../model/window-mode.ts';
import { interactionOf } from '../model/interaction.ts';
import { monitorOf } from '../desk/desk.ts';
import type { Setting } from '../model/rule.ts';
import type { SessionWindow } from '../model/session.ts';
import { HELD_WORDS } from '../rules/rule-words.ts';
import { zoneBoardName } from '../tiling/zone-board.ts';
import { isDividing, LAYOUTS } from '../tiling/layouts.ts';
import type { Origin } from '../tiling/settings.ts';
import { snapText } from '../values/snap-text.ts';
import { arrange } from './arrange.ts';
import type { ArrangedWorkspace } from './arranged-workspace.ts';
import { computePlacements } from './placements.ts';
import type { Placement } from './placement.ts';
import { gaveBecause } from './explain-rules.ts';
import { arrangementOf, shownOn, windowOf, type Reason, type CommandContext } from './session.ts';

/**
 * Why a window is where it is and how it is: how it is held, its workspace and monitor, its place in the
 * layout, its size, and why it is not shown, each with what decided it.
 */
export function whyHere(context: CommandContext, id: string): Reason[] {
  const { session, profile, desk } = context;
  const window = windowOf(session, id);
  if (!window) return [];
  const placement = computePlacements(session, profile, desk).placements.find(
    (each) => each.id === id,
  )!;
  const arranged = arrange(context, window.workspace, window.monitor);
  return [
    heldBecause(context, window, placement, arranged),
    workspaceBecause(context, window),
    ...(placement.tile ? [tileBecause(window, arranged)] : []),
    sizeBecause(context, window, placement, arranged),
    ...unseenBecause(context, window, placement),
  ].map((reason) => ({ about: id, ...reason }));
}

function heldBecause(
  { profile }: CommandContext,
  window: SessionWindow,
  { held }: Placement,
  { tiling, overflow }: ArrangedWorkspace,
): Reason {
  const decided = window.placing ? 'placed' : held.replace('-', ' ');
  const { ruled } = window;
  const because = () => {
    if (window.held === 'tiled' && held === 'floating' && !window.placing) {
      return overflow.includes(window)
        ? 'there is no room for its minimum; when too small: float'
        : `${LAYOUTS[tiling.layout.kind].title} gives no tiles`;
    }
    if (held === 'pocketed') return 'pocketed by key; call-back brings it';
    if (window.pocketedFrom) return `called back from workspace ${window.pocketedFrom.workspace}`;
    if (window.placing) return 'placed by key, out of the layout; put-back ends that';
    const by = (setting: Setting) => (ruled && gaveBecause(profile, ruled, setting)) ?? 'by key';
    if (window.lifted && window.stayAbove) return `it stays above, ${by('stayAbove')}`;
    if (window.lifted && window.everywhere) return `it is everywhere, ${by('everywhere')}`;
    if (window.lifted) return 'float-all: all windows here float for now';
    if (ruled?.gave.held?.value === HELD_WORDS[held]) return by('held');
    if (ruled?.itself?.includes('held')) return 'it opened so itself';
    return held === 'tiled' ? 'default' : 'by key';
  };
  return { decided, because: because() };
}

function workspaceBecause({ desk, profile }: CommandContext, window: SessionWindow): Reason {
  const monitor = monitorOf(desk, window.monitor);
  const home = desk.workspaces.find(({ id }) => id === window.workspace);
  const away = profile.monitors.find(({ id }) => id === window.away);
  const because = away
    ? `${away.name ?? away.id} is not there; it returns when that does`
    : desk.joined
      ? 'the window’s monitor decides: workspaces are joined'
      : (home?.because ?? 'its workspace is on no monitor');
  return { decided: `workspace ${window.workspace} on ${monitor.name}`, because };
}

const ORIGINS: Record<Origin, string> = {
  session: 'chosen by key',
  'workspace-on-monitor': 'set for this workspace on this monitor',
  workspace: 'set for this workspace',
  monitor: 'set for this monitor',
  profile: 'set for everything',
  default: 'the default',
};

function tileBecause(window: SessionWindow, arranged: ArrangedWorkspace): Reason {
  const { tiling, tiled, overflow, over, zoned } = arranged;
  const seat = zoned?.seats[tiled.indexOf(window)];
  if (zoned && seat) {
    const board = `${zoneBoardName(zoned.board)}, ${ORIGINS[tiling.from.board ?? tiling.from.kind ?? 'default']}`;
    const because = seat.isOver
      ? `every zone is taken; ${board}`
      : seat.before
        ? `widened by key; ${board}`
        : board;
    return { decided: `in ${seat.zones.join(' and ')}`, because };
  }
  const { title, can } = LAYOUTS[tiling.layout.kind];
  const at = tiled.indexOf(window);
  const leads = 'leadCount' in tiling.layout ? tiling.layout.leadCount : 1;
  const isLead = can.lead && at >= 0 && at < leads;
  const decided = over.includes(at)
    ? 'beneath the last tile: no pixel is left for one of its own'
    : at < 0
      ? `beneath the last tile of ${tiled.length}, with ${overflow.length - 1} more`
      : `${isLead ? 'lead, ' : ''}number ${at + 1} of ${tiled.length} in the order`;
  return { decided, because: `${title}, ${ORIGINS[tiling.from.kind ?? 'default']}` };
}

function sizeBecause(
  { session }: CommandContext,
  window: SessionWindow,
  { tile, width, height, state, placed, zones }: Placement,
  { tiled, minimums, tiling, afloat }: ArrangedWorkspace,
): Reason {
  const decided = `${width} × ${height}`;
  if (session.paused) return { decided, because: 'the engine is paused: as it stood then' };
  if (state === 'maximised') return { decided, because: 'maximised: the work area less the gap' };
  if (state === 'full-screen') return { decided, because: 'full screen: the whole monitor' };
  if (placed) {
    const { placing } = window;
    const how = placing?.moved
      ? 'an edge was moved by key'
      : placing?.at
        ? 'placed by key'
        : placing?.zone
          ? `placed in ${placing.zone.zones.join(' and ')}`
          : placing && snapText(placing);
    const fits = placed.width === width && placed.height === height;
    const inside = fits ? '' : `; its hints, in ${placed.width} × ${placed.height}`;
    return { decided, because: `${how}${inside}` };
  }
  if (!tile) {
    const size = window.preferred ? 'the size it prefers' : 'half the work area';
    const where = afloat.length > 1 && afloat.includes(window) ? 'beside others' : 'in the middle';
    return { decided, because: window.standing ? 'where it stood last' : `${size}, ${where}` };
  }
  const minimum = minimums[tiled.indexOf(window)];
  if (minimum && (tile.width < minimum.width || tile.height < minimum.height)) {
    const because = `it needs ${minimum.width} × ${minimum.height}; minimums here cannot all be met`;
    return { decided, because };
  }
  if (tile.width !== width || tile.height !== height) {
    const hints = [
      (window.resizable === false || window.max) && 'its largest size',
      window.aspect !== undefined && 'its aspect',
      window.increment && 'its steps',
    ].filter(Boolean);
    return { decided, because: `${hints.join(', ')} in a tile of ${tile.width} × ${tile.height}` };
  }
  if (zones) {
    const isMoved =
      arrangementOf(session, window.workspace, window.monitor).adjusted?.board !== undefined;
    const what = zones.length > 1 ? 'its zones together' : 'its zone';
    return { decided, because: isMoved ? `${what}; an edge here was moved by key` : what };
  }
  const share = { ...tiling.layout } as { leadShare?: number; share?: number };
  const { adjusted } = arrangementOf(session, window.workspace, window.monitor);
  const isMoved = adjusted?.[tiling.layout.kind]?.moved !== undefined;
  const figure = share.leadShare ?? share.share;
  const because = () => {
    if (isMoved) return 'its tile; an edge here was moved by key';
    if (figure === undefined) return isDividing(tiling.layout) ? 'its tile' : 'the whole area';
    if (tiled.length === 1) return 'the only tile, which is the whole area';
    return `its tile at a share of ${Number(figure.toFixed(3))}`;
  };
  return { decided, because: because() };
}

function unseenBecause(
  { session }: CommandContext,
  window: SessionWindow,
  { shown }: Placement,
): Reason[] {
  if (shown || window.held === 'pocketed') return [];
  const here = shownOn(session, window.monitor);
  const because = session.unplugged
    ? 'no monitor is connected'
    : isIn(window, 'minimised')
      ? 'minimised; restore-last brings it'
      : interactionOf(session, 'bare-desktop')
        ? 'the bare desktop is shown'
        : here !== window.workspace
          ? `its monitor shows workspace ${here}`
          : 'another window in the same place is on top';
  return [{ decided: 'not shown', because }];
}
