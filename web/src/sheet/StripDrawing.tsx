import { countText } from '@sorn/core/values';
import { windowName, type ArrangedWorkspace, type Placement } from '@sorn/core/engine';
import type { Profile, SessionWindow } from '@sorn/core/model';
import { useProfileStore } from '../state/profile-context.ts';
import { READABLE, stripNames } from './strip-names.ts';
import { shortened } from './text-width.ts';
import { onSheet, type Viewport } from './viewport.ts';

/** A strip as it is drawn: a cell for each window, in screen pixels. */
interface DrawnStrip {
  isRow: boolean;
  windows: readonly SessionWindow[];
  frame: { x: number; y: number };
  cell: { width: number; height: number };
  isReadable: boolean;
}

function drawnStrip(
  { strip, tiled, overflow }: ArrangedWorkspace,
  view: Viewport,
): DrawnStrip | null {
  if (!strip) return null;
  const windows = [...tiled, ...overflow];
  const frame = onSheet(view, strip.rect);
  const isRow = strip.kind === 'tabs';
  const cell = {
    width: isRow ? frame.width / windows.length : frame.width,
    height: isRow ? frame.height : frame.height / windows.length,
  };
  return { isRow, windows, frame, cell, isReadable: cell.height >= READABLE && cell.width >= 30 };
}

/** What tells the windows of a strip apart: their names, or their titles where two have one name. */
function namesOf(profile: Profile, windows: readonly SessionWindow[]): string[] {
  const names = windows.map((window) => windowName(profile, window));
  return names.map((name, i) =>
    names.filter((other) => other === name).length > 1 ? windows[i]!.title || name : name,
  );
}

/** The strip over windows of which one is shown: a cell for each in a row, or a line for each. */
export function StripDrawing({ arranged, view }: { arranged: ArrangedWorkspace; view: Viewport }) {
  const profile = useProfileStore((state) => state.profile);
  const focus = useProfileStore((state) => state.session.focus);
  const strip = drawnStrip(arranged, view);
  if (!strip) return null;
  const { isRow, windows, frame, cell, isReadable } = strip;
  const names = namesOf(profile, windows);
  return (
    <g
      role="img"
      aria-label={`${isRow ? 'Tabs' : 'List'} of ${countText(windows.length, 'window')}`}
      data-strip={isRow ? 'tabs' : 'list'}
    >
      {windows.map((window, i) => {
        const x = frame.x + (isRow ? i * cell.width : 0);
        const y = frame.y + (isRow ? 0 : i * cell.height);
        return (
          <g
            key={window.id}
            className={window.id === focus ? 'strip-cell is-chosen' : 'strip-cell'}
          >
            <rect x={x} y={y} width={Math.max(1, cell.width)} height={Math.max(1, cell.height)} />
            {isReadable && (
              <text x={x + 6} y={y + cell.height / 2 + 4} className="strip-name">
                {shortened(names[i]!, 'label', cell.width - 12)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** The names of a strip that is drawn too low to be read, over the window it shows. */
export function StripNames({
  arranged,
  shown,
  view,
}: {
  arranged: ArrangedWorkspace;
  /** The windows in sight. */
  shown: readonly Placement[];
  view: Viewport;
}) {
  const profile = useProfileStore((state) => state.profile);
  const strip = drawnStrip(arranged, view);
  if (!strip || strip.isReadable) return null;
  const { isRow, windows } = strip;
  const onTop = shown.find(({ id, tile }) => tile && windows.some((window) => window.id === id));
  if (!onTop?.tile) return null;
  const chosen = windows.findIndex(({ id }) => id === onTop.id);
  const names = namesOf(profile, windows);
  const tile = onSheet(view, onTop.tile);
  const cells = stripNames(isRow ? 'tabs' : 'list', tile, names, chosen);
  return (
    <g aria-hidden="true" data-strip-names={isRow ? 'tabs' : 'list'}>
      {cells.map(({ text, isChosen, ...rect }) => (
        <g key={`${rect.x} ${rect.y}`} className={isChosen ? 'strip-cell is-chosen' : 'strip-cell'}>
          <rect {...rect} />
          <text x={rect.x + 4} y={rect.y + 13} className="strip-name">
            {text}
          </text>
        </g>
      ))}
    </g>
  );
}
