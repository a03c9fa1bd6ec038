import { interactionOf, pickingOf } from '@sorn/core/model';
import { deskInForce } from '@sorn/core/desk';
import {
  comingHalf,
  zoneBoardChoices,
  gridHere,
  offerNow,
  snapArea,
  previewedPlacements,
  type CommandContext,
} from '@sorn/core/engine';
import type { Rect } from '@sorn/core/geometry';
import { blockOf, letterOf, snappedRect } from '@sorn/core/snap';
import { zoneRects } from '@sorn/core/tiling';
import { useProfileStore } from '../../state/profile-context.ts';
import { SizeLabel } from '../../sheet/SizeLabel.tsx';
import { textWidth } from '../../sheet/text-width.ts';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';

/** What lies over the windows while something is placed: where it would land, what is offered, or the lettered grid. */
export function PlacingMarks({ view }: { view: Viewport }) {
  const session = useProfileStore((state) => state.session);
  const profile = useProfileStore((state) => state.profile);
  const picking = pickingOf(session);
  const previewing = interactionOf(session, 'previewing');
  const context = { session, profile, desk: deskInForce(profile, session) };
  if (!picking && !previewing) {
    const coming = comingHalf(context);
    return coming && <Outline name="coming" rect={coming.rect} view={view} />;
  }
  if (previewing) {
    return previewedPlacements(context).map((there) => (
      <Outline key={there.id} name="preview" rect={there} view={view} />
    ));
  }
  if (picking?.kind === 'offer') {
    const offer = offerNow(context, picking);
    return offer && <Outline name="offer" rect={offer.place.rect} view={view} />;
  }
  if (picking?.kind === 'board-pick')
    return <MarkedBoard context={context} typed={picking.typed} view={view} />;
  return picking?.kind === 'corner-pick' ? (
    <CornerGrid context={context} typed={picking.typed} view={view} />
  ) : null;
}

/** Room that a number needs, in pixels, for each of its digits and in height. */
const DIGIT = { width: 11, height: 18 };

/** The marked board on its monitor, at true scale: a number for each of its zones, and what it is called. */
function MarkedBoard(props: { context: CommandContext; typed: string; view: Viewport }) {
  const { context, typed, view } = props;
  const { session } = context;
  const marked = zoneBoardChoices(context).find(({ isMarked }) => isMarked);
  if (!marked) return null;
  const monitor = session.focusMonitor;
  const { area, gap } = snapArea(context, session.shown[monitor] ?? '', monitor);
  const { board, numbers } = marked;
  const digits = typed.replace(/^[a-z]/, '');
  return (
    <g data-board-drawn={board.id}>
      {zoneRects(board, area, gap).map((rect, i) => {
        const number = numbers[i]!;
        const { name } = board.zones[i]!;
        const frame = onSheet(view, rect);
        const middle = { x: frame.x + frame.width / 2, y: frame.y + frame.height / 2 };
        const hasRoom =
          frame.width >= DIGIT.width * number.length + 8 && frame.height >= DIGIT.height;
        const isNamed = frame.height >= 60 && frame.width >= textWidth(name, 'label') + 12;
        return (
          <g
            key={name}
            className={number.startsWith(digits) ? 'choice-zone' : 'choice-zone is-out'}
            data-zone-choice={number}
            data-at={`${rect.x},${rect.y}`}
            data-size={`${rect.width} × ${rect.height}`}
          >
            <rect {...frame} />
            {hasRoom && (
              <text x={middle.x} y={middle.y + 7} textAnchor="middle" className="choice-number">
                {number}
              </text>
            )}
            {isNamed && (
              <text x={middle.x} y={middle.y + 26} textAnchor="middle" className="label">
                {name}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

function Outline(props: {
  name: 'preview' | 'offer' | 'block' | 'coming';
  rect: Rect;
  view: Viewport;
}) {
  const { name, rect, view } = props;
  const frame = onSheet(view, rect);
  const middle = { x: frame.x + frame.width / 2, y: frame.y + frame.height / 2 };
  return (
    <g
      data-mark={name}
      data-at={`${rect.x},${rect.y}`}
      data-size={`${rect.width} × ${rect.height}`}
    >
      <rect {...frame} className={`place-outline is-${name}`} />
      {name !== 'offer' && frame.width > 110 && frame.height > 30 && (
        <SizeLabel {...middle} text={`${rect.width} × ${rect.height}`} />
      )}
    </g>
  );
}

/** The grid over the focused monitor, lettered along the top and numbered down the side, and the block typed so far. */
function CornerGrid(props: { context: CommandContext; typed: string; view: Viewport }) {
  const { context, typed, view } = props;
  const { session } = context;
  const grid = gridHere(context);
  const monitor = session.focusMonitor;
  const { area, gap } = snapArea(context, session.shown[monitor] ?? '', monitor);
  const cell = (axis: 'x' | 'y', at: number) => ({
    from: at + 1,
    to: at + 1,
    of: axis === 'x' ? grid.columns : grid.rows,
  });
  const columns = Array.from({ length: grid.columns }, (_, i) =>
    onSheet(view, snappedRect(area, gap, { x: cell('x', i), y: 'full' })),
  );
  const rows = Array.from({ length: grid.rows }, (_, i) =>
    onSheet(view, snappedRect(area, gap, { x: 'full', y: cell('y', i) })),
  );
  const block = blockOf(grid, typed);
  const isTyped = (text: string) => typed.includes(text);
  return (
    <g data-grid={`${grid.columns} × ${grid.rows}`}>
      {columns.flatMap((column, i) =>
        rows.map((row, j) => (
          <rect
            key={`${i} ${j}`}
            className="grid-cell"
            x={column.x}
            y={row.y}
            width={column.width}
            height={row.height}
          />
        )),
      )}
      {block && <Outline name="block" rect={snappedRect(area, gap, block)} view={view} />}
      {columns.map(({ x, y, width }, i) => (
        <GridName
          key={i}
          x={x + width / 2}
          y={y + 16}
          text={letterOf(i)}
          isTyped={isTyped(letterOf(i))}
        />
      ))}
      {rows.map(({ x, y, height }, i) => (
        <GridName
          key={i}
          x={x - 14}
          y={y + height / 2}
          text={String(i + 1)}
          isTyped={isTyped(String(i + 1))}
        />
      ))}
    </g>
  );
}

function GridName(props: { x: number; y: number; text: string; isTyped: boolean }) {
  return (
    <g className={`grid-name${props.isTyped ? ' is-typed' : ''}`}>
      <rect x={props.x - 10} y={props.y - 10} width={20} height={20} />
      <text x={props.x} y={props.y + 5} textAnchor="middle">
        {props.text}
      </text>
    </g>
  );
}
