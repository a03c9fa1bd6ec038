import {
  dividerEvents,
  dividerMoved,
  dividersOf,
  type Divider,
  type MovedDivider,
} from '@sorn/core/engine';
import { useState } from 'react';
import { SizeLabel } from '../../sheet/SizeLabel.tsx';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import { useProfileStoreApi, type DeskLayout } from '../../state/profile-context.ts';
import { usePull } from '../../ui/pull.ts';

/** The least breadth of a divider that a hand can take hold of, in screen pixels. */
const LEAST = 10;

interface Moving extends MovedDivider {
  direction: Divider['direction'];
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
      const moved = dividerMoved(session, profile, divider, by);
      setMoving(moved && { ...moved, direction: divider.direction });
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
      {moving && <MovingLine {...moving} view={view} />}
    </>
  );
}

function broad(rect: ReturnType<typeof onSheet>, direction: Divider['direction']) {
  const { x, y, width, height } = rect;
  return direction === 'right'
    ? { ...rect, x: x + width / 2 - Math.max(LEAST, width) / 2, width: Math.max(LEAST, width) }
    : { ...rect, y: y + height / 2 - Math.max(LEAST, height) / 2, height: Math.max(LEAST, height) };
}

function MovingLine({ direction, pixels, rect, size, view }: Moving & { view: Viewport }) {
  const { x, y, width, height } = onSheet(view, rect);
  const middle = { x: x + width / 2, y: y + height / 2 };
  const line =
    direction === 'right' ? `M${middle.x} ${y}V${y + height}` : `M${x} ${middle.y}H${x + width}`;
  return (
    <g data-divider-at={pixels} pointerEvents="none">
      <path className="line marked" strokeWidth={2} d={line} />
      <SizeLabel {...middle} text={`${size.width} × ${size.height}`} />
    </g>
  );
}
