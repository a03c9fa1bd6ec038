import { dividerEvents, dividerMoved, dividersOf, type Divider } from '@sorn/core/engine';
import { useState } from 'react';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import { useProfileStoreApi, type DeskLayout } from '../../state/profile-context.ts';
import { usePull } from '../../ui/pull.ts';

/** The least breadth of a divider that a hand can take hold of, in screen pixels. */
const LEAST = 10;

interface Moving {
  divider: Divider;
  /** As far as minimums let it go, in physical pixels. */
  pixels: number;
}

/**
 * Takes hold of the gaps between windows by pointer. While one is pulled a line shows where it stops, with the size that
 * its window gets; letting go moves the edge once, Escape leaves all as it was.
 */
export function Dividers({ deskLayout, view }: { deskLayout: DeskLayout; view: Viewport }) {
  const store = useProfileStoreApi();
  const { focused } = deskLayout;
  const [moving, setMoving] = useState<Moving | null>(null);
  const bind = usePull<[Divider]>(({ args: [divider], from, to, ...pull }) => {
    if (pull.isTap) return;
    const along = divider.direction === 'right' ? 0 : 1;
    const by = Math.round((to[along] - from[along]) / view.scale / focused.monitor.scale);
    const { session, profile, happen } = store.getState();
    if (!pull.isLast) {
      setMoving({ divider, pixels: dividerMoved(session, profile, divider, by) });
      return;
    }
    setMoving(null);
    if (pull.isDropped || by === 0) return;
    const [focus, edge] = dividerEvents(divider, by);
    if (session.focus !== divider.window && focus) happen(focus);
    if (edge) happen(edge, [], `move-edge ${divider.direction} ${by}`);
  });
  return (
    <>
      {dividersOf(focused).map((divider) => (
        <rect
          key={`${divider.window} ${divider.direction}`}
          {...bind(divider)}
          {...broad(onSheet(view, divider.rect), divider.direction)}
          className={`handle is-line-${divider.direction === 'right' ? 'x' : 'y'}`}
          data-divider={`${divider.window} ${divider.direction}`}
        />
      ))}
      {moving && <MovingLine {...moving} deskLayout={deskLayout} view={view} />}
    </>
  );
}

function broad(rect: ReturnType<typeof onSheet>, direction: Divider['direction']) {
  const { x, y, width, height } = rect;
  return direction === 'right'
    ? { ...rect, x: x + width / 2 - Math.max(LEAST, width) / 2, width: Math.max(LEAST, width) }
    : { ...rect, y: y + height / 2 - Math.max(LEAST, height) / 2, height: Math.max(LEAST, height) };
}

function MovingLine(props: Moving & { deskLayout: DeskLayout; view: Viewport }) {
  const { divider, pixels, deskLayout, view } = props;
  const { tiled, tiles } = deskLayout.focused;
  const tile = tiles?.[tiled.findIndex(({ id }) => id === divider.window)];
  if (!tile) return null;
  const isX = divider.direction === 'right';
  const { x, y, width, height } = onSheet(view, {
    ...divider.rect,
    ...(isX ? { x: divider.rect.x + pixels } : { y: divider.rect.y + pixels }),
  });
  const [length, other] = isX ? [tile.width, tile.height] : [tile.height, tile.width];
  const size = isX ? `${length + pixels} × ${other}` : `${other} × ${length + pixels}`;
  const middle = { x: x + width / 2, y: y + height / 2 };
  return (
    <g data-divider-at={pixels} pointerEvents="none">
      <path
        className="line marked"
        strokeWidth={2}
        d={isX ? `M${middle.x} ${y}V${y + height}` : `M${x} ${middle.y}H${x + width}`}
      />
      <g className="place-size">
        <rect x={middle.x - 48} y={middle.y - 11} width={96} height={22} />
        <text x={middle.x} y={middle.y + 4} textAnchor="middle" className="figure marked">
          {size}
        </text>
      </g>
    </g>
  );
}
