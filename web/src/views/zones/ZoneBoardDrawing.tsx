import { snapArea } from '@sorn/core/engine';
import { drawZoneBoard, type DrawnZoneBoard } from '@sorn/core/zones';
import { useProfileStore, type DeskLayout } from '../../state/profile-context.ts';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import { zoneLabels, type ZoneLabel } from './zone-labels.ts';

const CORNER = 10;

/** A board over its work area: the zones in their order, where they overlap, and the selected one. */
export function ZoneBoardDrawing(props: {
  drawn: DrawnZoneBoard;
  zone: string | null;
  view: Viewport;
}) {
  const { drawn, zone, view } = props;
  const texts = drawn.board.zones.map(({ name }, i) => {
    const { width, height } = drawn.zones[i]!;
    return { name, size: `${width} × ${height}`, frame: onSheet(view, drawn.zones[i]!) };
  });
  const labels = zoneLabels(texts);
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
      {texts.map(({ name, size }, i) => (
        <ZoneText
          key={name}
          number={i + 1}
          label={labels[i]!}
          size={size}
          isChosen={name === zone}
        />
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

/** Number, name and size. */
function ZoneText(props: { number: number; label: ZoneLabel; size: string; isChosen: boolean }) {
  const { number, label, size, isChosen } = props;
  const { name, size: sizeAt } = label;
  return (
    <g aria-hidden>
      {name && (
        <>
          <rect {...name.box} className={`zone-number${isChosen ? ' in-hand' : ''}`} />
          <text
            x={name.box.x + name.box.width / 2}
            y={name.box.y + 15}
            textAnchor="middle"
            className={`zone-digit${isChosen ? ' in-hand' : ''}`}
          >
            {number}
          </text>
          <text
            x={name.box.x + name.box.width + 7}
            y={name.box.y + 15}
            className={`on-picture ${isChosen ? 'title' : 'label'}`}
          >
            {name.text}
          </text>
        </>
      )}
      {sizeAt && (
        <text {...sizeAt} className="figure on-picture">
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
