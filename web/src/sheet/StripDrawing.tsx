import { countText } from '@sorn/core/values';
import { windowName, type ArrangedWorkspace } from '@sorn/core/engine';
import { useProfileStore } from '../state/profile-context.ts';
import { shortened } from './text-width.ts';
import { onSheet, type Viewport } from './viewport.ts';

/** The strip over windows of which one is shown: a cell for each in a row, or a line for each. */
export function StripDrawing({ arranged, view }: { arranged: ArrangedWorkspace; view: Viewport }) {
  const profile = useProfileStore((state) => state.profile);
  const focus = useProfileStore((state) => state.session.focus);
  const { strip, tiled, overflow } = arranged;
  if (!strip) return null;
  const windows = [...tiled, ...overflow];
  const frame = onSheet(view, strip.rect);
  const isRow = strip.kind === 'tabs';
  const width = isRow ? frame.width / windows.length : frame.width;
  const height = isRow ? frame.height : frame.height / windows.length;
  return (
    <g
      role="img"
      aria-label={`${isRow ? 'Tabs' : 'List'} of ${countText(windows.length, 'window')}`}
      data-strip={strip.kind}
    >
      {windows.map((window, i) => {
        const x = frame.x + (isRow ? i * width : 0);
        const y = frame.y + (isRow ? 0 : i * height);
        const name = windowName(profile, window);
        return (
          <g
            key={window.id}
            className={window.id === focus ? 'strip-cell is-chosen' : 'strip-cell'}
          >
            <rect x={x} y={y} width={Math.max(1, width)} height={Math.max(1, height)} />
            {height >= 8 && width >= 30 && (
              <text x={x + 6} y={y + height / 2 + 4} className="strip-name">
                {shortened(name, 'label', width - 12)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
