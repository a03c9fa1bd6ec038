import { snapArea } from '@sorn/core/engine';
import { drawZoneBoard, type DrawnZoneBoard } from '@sorn/core/zones';
import { useProfileStore, type DeskLayout } from '../../state/profile-context.ts';
import { shortened } from '../../sheet/text-width.ts';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';

const CORNER = 10;

/** A board over its work area: the zones in their order, where they overlap, and the selected one. */
export function ZoneBoardDrawing(props: {
  drawn: DrawnZoneBoard;
  zone: string | null;
  view: Viewport;
}) {
  const { drawn, zone, view } = props;
  return (
    <g data-board={drawn.board.id} role="img" aria-label={boardText(drawn)}>
      {drawn.board.zones.map(({ name }, i) => (
        <ZoneShape key={name} drawn={drawn} at={i} isChosen={name === zone} view={view} />
      ))}
      {drawn.overlaps.map((rect, i) => (
        <rect key={i} {...onSheet(view, rect)} className="overlap is-zones" data-overlap={i} />
      ))}
      {drawn.lines.map(({ axis, track, at, from, to }) => {
        const offset = axis === 'x' ? view.x : view.y;
        const across = axis === 'x' ? view.y : view.x;
        const [along, start, end] = [
          at * view.scale + offset,
          from * view.scale + across,
          to * view.scale + across,
        ];
        const d = axis === 'x' ? `M${along} ${start}V${end}` : `M${start} ${along}H${end}`;
        return <path key={`${axis}${track}`} className="track-line" d={d} />;
      })}
      {drawn.board.zones.map(({ name }, i) => (
        <ZoneText key={name} drawn={drawn} at={i} isChosen={name === zone} view={view} />
      ))}
    </g>
  );
}

function boardText({ board, zones }: DrawnZoneBoard): string {
  const all = board.zones.map(
    ({ name }, i) => `${i + 1} ${name}, ${zones[i]!.width} × ${zones[i]!.height}`,
  );
  return all.length > 0 ? all.join('; ') : 'no zone yet';
}

interface ZoneProps {
  drawn: DrawnZoneBoard;
  at: number;
  isChosen: boolean;
  view: Viewport;
}

function ZoneShape({ drawn, at, isChosen, view }: ZoneProps) {
  const rect = drawn.zones[at]!;
  const { name } = drawn.board.zones[at]!;
  const { x, y, width, height } = onSheet(view, rect);
  const [left, top, right, bottom] = [x + 1, y + 1, x + width - 1, y + height - 1];
  return (
    <g
      data-zone={name}
      data-at={`${rect.x},${rect.y}`}
      data-size={`${rect.width} × ${rect.height}`}
      data-selected={isChosen}
    >
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        className={`zone${isChosen ? ' in-hand' : ''}`}
      />
      {isChosen && (
        <path
          className="zone-corner"
          d={`M${left} ${top}h${CORNER}l${-CORNER} ${CORNER}Z
            M${right} ${top}v${CORNER}l${-CORNER} ${-CORNER}Z
            M${left} ${bottom}v${-CORNER}l${CORNER} ${CORNER}Z
            M${right} ${bottom}h${-CORNER}l${CORNER} ${-CORNER}Z`}
        />
      )}
    </g>
  );
}

/** Number, name and size, one zone's a step lower than another's that begins at the same corner. */
function ZoneText({ drawn, at, isChosen, view }: ZoneProps) {
  const rect = drawn.zones[at]!;
  const { name } = drawn.board.zones[at]!;
  const frame = onSheet(view, rect);
  const before = drawn.zones.slice(0, at).filter(({ x, y }) => x === rect.x && y === rect.y).length;
  const y = frame.y + Math.min(24, frame.height / 2 + 5) + before * 22;
  const box = Math.max(22, 8 * String(at + 1).length + 6);
  const room = frame.width - box - 22;
  if (frame.width < box + 8 || y > frame.y + frame.height - 4) return null;
  const size = `${rect.width} × ${rect.height}`;
  return (
    <g aria-hidden>
      <rect
        x={frame.x + 8}
        y={y - 15}
        width={box}
        height={20}
        className={`zone-number${isChosen ? ' in-hand' : ''}`}
      />
      <text
        x={frame.x + 8 + box / 2}
        y={y}
        textAnchor="middle"
        className={`zone-digit${isChosen ? ' in-hand' : ''}`}
      >
        {at + 1}
      </text>
      <text x={frame.x + box + 15} y={y} className={`on-picture ${isChosen ? 'title' : 'label'}`}>
        {shortened(name, 'title', room)}
      </text>
      {before === 0 && frame.height > 70 && frame.width > 96 && (
        <text x={frame.x + 8} y={frame.y + frame.height - 10} className="figure on-picture">
          {size}
        </text>
      )}
    </g>
  );
}

/** The board that each other monitor gets, thin. */
export function OtherZoneBoards(props: {
  deskLayout: DeskLayout;
  besides: string;
  view: Viewport;
}) {
  const { deskLayout, besides, view } = props;
  const session = useProfileStore((state) => state.session);
  const profile = useProfileStore((state) => state.profile);
  const context = { session, profile, desk: deskLayout.desk };
  return deskLayout.shown.map(({ workspace, monitor, boards, zoned }) => {
    const board = zoned?.board ?? boards.fitting[0];
    if (monitor.id === besides || !board) return null;
    const { zones } = drawZoneBoard(board, snapArea(context, workspace, monitor.id));
    return (
      <g key={monitor.id} data-board-of={monitor.id} aria-hidden>
        {zones.map((rect, i) => {
          const frame = onSheet(view, rect);
          return (
            <g key={i}>
              <rect {...frame} className="zone is-empty" />
              <text x={frame.x + 8} y={frame.y + 18} className="figure">
                {frame.width > 26 ? i + 1 : ''}
              </text>
            </g>
          );
        })}
      </g>
    );
  });
}
