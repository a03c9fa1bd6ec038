import { countText } from '../values/count-text.ts';
import { deskInForce } from '../desk/desk.ts';
import { arrange } from '../engine/arrange.ts';
import { openSession } from '../engine/open.ts';
import { snapArea } from '../engine/snap-area.ts';
import type { Rect } from '../geometry/rect.ts';
import { CHART_COLOURS, type ChartMode } from '../keys/chart/drawing.ts';
import { html } from '../values/markup.ts';
import type { ZoneBoard } from '../model/zone-board.ts';
import type { Profile } from '../model/profile.ts';
import { sessionSchema } from '../model/session.ts';
import { layoutSlip, type Slip } from './slip.ts';
import { slipMetadata } from './svg-slip.ts';
import { zoneBoardName, zoneRects } from '../tiling/zone-board.ts';
import { LAYOUTS } from '../tiling/layouts.ts';

const SANS = "'Archivo Variable', system-ui, sans-serif";
const MONO = "'Martian Mono Variable', ui-monospace, monospace";
/** Of the drawing's height: letters, and the room for the title below. */
const LETTER = 0.038;
const FOOT = 0.08;

/** One rectangle of a drawing, with what is written in it. */
interface Tile extends Rect {
  name: string;
}

/**
 * A zone board as it lies on a monitor of the profile's desk, at true scale: an SVG whose unit is a physical
 * pixel. Each zone has its name, and its size in pixels.
 */
export function zoneBoardSvg(
  profile: Profile,
  board: ZoneBoard,
  monitorId: string,
  mode: ChartMode = 'day',
): string {
  const { session, desk } = emptyDesk(profile, 0);
  const { workspace } = shownOn(session, monitorId);
  const { monitor, area, gap } = snapArea({ session, profile, desk }, workspace, monitorId);
  const rects = zoneRects(board, area, gap);
  const tiles = board.zones.map(({ name }, i) => ({ ...rects[i]!, name }));
  const title = `Board ${zoneBoardName(board)} on ${monitor.name}`;
  return drawing(monitor, tiles, title, mode, { board });
}

/**
 * The layout in force on a monitor with so many windows that wish for nothing, at true scale: an SVG whose
 * unit is a physical pixel.
 */
export function layoutSvg(
  profile: Profile,
  monitorId: string,
  count: number,
  mode: ChartMode = 'day',
): string {
  const { session, desk } = emptyDesk(profile, count, monitorId);
  const { workspace } = shownOn(session, monitorId);
  const { monitor, tiles, tiled, tiling } = arrange(
    { session, profile, desk },
    workspace,
    monitorId,
  );
  const named = (tiles ?? []).map((tile, i) => ({ ...tile, name: tiled[i]!.id }));
  const layout = LAYOUTS[tiling.layout.kind].title;
  return drawing(
    monitor,
    named,
    `${layout}, ${countText(count, 'window')}, on ${monitor.name}`,
    mode,
    layoutSlip(profile, tiling.layout),
  );
}

/** The profile's first desk, with some windows without wishes on what a monitor shows. */
function emptyDesk(profile: Profile, count: number, monitorId?: string) {
  const { session } = openSession(sessionSchema.parse({}), profile);
  const desk = deskInForce(profile, session);
  if (monitorId === undefined) return { session, desk };
  const { workspace } = shownOn(session, monitorId);
  const windows = Array.from({ length: count }, (_, i) => ({ id: String(i + 1), workspace }));
  return { ...openSession(sessionSchema.parse({ windows }), profile), desk };
}

function shownOn(session: { shown: Readonly<Record<string, string>> }, monitor: string) {
  const workspace = session.shown[monitor];
  if (workspace === undefined) throw new RangeError(`${monitor} is on no desk`);
  return { workspace };
}

function drawing(
  monitor: Rect,
  tiles: readonly Tile[],
  title: string,
  mode: ChartMode,
  slip: Slip,
): string {
  const { ground, sheet, ink, slate, petrol } = CHART_COLOURS[mode];
  const { width, height } = monitor;
  const letter = Math.round(Math.min(width, height) * LETTER);
  const line = Math.max(1, Math.round(letter / 18));
  const foot = Math.round(height * FOOT);
  const parts = tiles.map(({ x, y, width: w, height: h, name }) => {
    const [left, top] = [x - monitor.x, y - monitor.y];
    const text = (below: number, said: string, face: string, fill: string) =>
      `<text x="${left + letter}" y="${top + letter * below}" font-size="${letter}" font-family="${face}" fill="${fill}">${html(said)}</text>`;
    return [
      `<rect x="${left}" y="${top}" width="${w}" height="${h}" fill="${sheet}" stroke="${petrol}" stroke-width="${line}"/>`,
      text(2, name, SANS, ink),
      text(3.5, `${w} × ${h}`, MONO, slate),
    ].join('');
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height + foot}" width="${width}" height="${height + foot}" role="img" aria-label="${html(title)}">`,
    slipMetadata(slip),
    `<rect width="${width}" height="${height + foot}" fill="${ground}"/>`,
    `<rect width="${width}" height="${height}" fill="none" stroke="${ink}" stroke-width="${line}"/>`,
    ...parts,
    `<text x="${letter}" y="${height + foot / 2 + letter / 2}" font-size="${Math.min(letter, foot / 2)}" font-family="${SANS}" fill="${slate}">${html(`${title} · ${width} × ${height}`)}</text>`,
    '</svg>',
    '',
  ].join('\n');
}
