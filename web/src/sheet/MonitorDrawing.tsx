import { interactionOf } from '@sorn/core/model';
import { workArea, type DeskMonitor } from '@sorn/core/desk';
import { listedWorkspaces, tilingInForce } from '@sorn/core/engine';
import { layoutText } from './words.ts';
import { useProfileStore, type DeskLayout } from '../state/profile-context.ts';
import { tabEdge } from './tabs.ts';
import { shortened, textWidth } from './text-width.ts';
import { onSheet, type Viewport } from './viewport.ts';

interface Props {
  monitor: DeskMonitor;
  view: Viewport;
  deskLayout: DeskLayout;
}

/** A monitor's outline, its reserved edges, and the tab outside it. */
export function MonitorDrawing(props: Props & { isPlan: boolean }) {
  const { monitor, view, deskLayout, isPlan } = props;
  const hue = useProfileStore((state) => state.profile.look.focusFrame.hue);
  const hasFocus = useProfileStore(
    (state) => state.session.focusMonitor === monitor.id && state.session.focus === undefined,
  );
  const shownId = useProfileStore((state) => state.session.shown[monitor.id]!);
  const says = useProfileStore(({ session }) =>
    session.unplugged
      ? 'Not connected: the session waits. X plugs it in.'
      : interactionOf(session, 'bare-desktop')
        ? 'The bare desktop'
        : `No window on workspace ${shownId}`,
  );
  const isUnplugged = useProfileStore((state) => state.session.unplugged === true);
  const isEmpty = !deskLayout.placements.some(
    (placement) => placement.shown && placement.monitor === monitor.id,
  );
  const frame = onSheet(view, monitor);
  const area = onSheet(view, workArea(monitor).area);
  return (
    <g data-monitor={monitor.id}>
      <rect {...frame} className={isUnplugged ? 'other-monitor' : 'monitor'} />
      <ReservedEdges frame={frame} area={area} />
      {hasFocus && !isPlan && (
        <rect
          x={area.x + 4}
          y={area.y + 4}
          width={Math.max(0, area.width - 8)}
          height={Math.max(0, area.height - 8)}
          className={`monitor-focus hue-${hue}`}
          strokeWidth={2}
        >
          <title>This monitor has the focus and shows no window</title>
        </rect>
      )}
      {isEmpty && !isPlan && (
        <text
          x={area.x + area.width / 2}
          y={area.y + area.height / 2}
          textAnchor="middle"
          className="label"
        >
          {shortened(says, 'label', area.width - 24)}
        </text>
      )}
      <Tab monitor={monitor} view={view} deskLayout={deskLayout} />
    </g>
  );
}

type ScreenRect = ReturnType<typeof onSheet>;

function ReservedEdges({ frame, area }: { frame: ScreenRect; area: ScreenRect }) {
  const right = frame.x + frame.width;
  const bottom = frame.y + frame.height;
  const strips = [
    { x: frame.x, y: frame.y, width: frame.width, height: area.y - frame.y },
    {
      x: frame.x,
      y: area.y + area.height,
      width: frame.width,
      height: bottom - area.y - area.height,
    },
    { x: frame.x, y: area.y, width: area.x - frame.x, height: area.height },
    { x: area.x + area.width, y: area.y, width: right - area.x - area.width, height: area.height },
  ];
  return strips
    .filter(({ width, height }) => width > 0.5 && height > 0.5)
    .map((strip) => (
      <rect
        key={`${strip.x},${strip.y},${strip.width}`}
        {...strip}
        className="reserved-line"
        fill="url(#sheet-hatch)"
      />
    ));
}

const CELL = 22;

function Tab({ monitor, view, deskLayout }: Props) {
  const session = useProfileStore((state) => state.session);
  const profile = useProfileStore((state) => state.profile);
  const { desk } = deskLayout;
  const frame = onSheet(view, monitor);
  const atTop = tabEdge(monitor, desk, view) === 'top';
  const middle = atTop ? frame.y - 14 : frame.y + frame.height + 15;
  const workspaces = listedWorkspaces({ session, profile, desk }, monitor.id);
  const shownId = session.shown[monitor.id]!;
  const layout = layoutText(tilingInForce(profile, session, shownId, monitor.id).layout);
  const pixels = `${monitor.width}×${monitor.height}${monitor.scale === 1 ? '' : ` @${monitor.scale}`}`;

  const cellsAt = frame.x + frame.width - workspaces.length * CELL;
  const layoutAt = cellsAt - 8;
  const all = layoutAt - (frame.x + 15);
  const beside = all - textWidth(layout, 'label') - 12;
  // Where both have no room, the name counts more.
  const hasLayout = beside >= textWidth(monitor.name, 'title');
  const room = hasLayout ? beside : all;
  const name = shortened(monitor.name, 'title', room);
  const nameWidth = textWidth(name, 'title');
  const showsPixels = room - nameWidth > textWidth(pixels, 'figure') + 10;

  return (
    <g>
      <circle
        cx={frame.x + 5}
        cy={middle}
        r={4.5}
        className={`level-mark${monitor === desk.monitors[0] ? ' primary' : ''}`}
      >
        <title>{monitor === desk.monitors[0] ? 'Primary monitor' : 'Monitor'}</title>
      </circle>
      <text x={frame.x + 15} y={middle + 4} className="name">
        {name}
      </text>
      {showsPixels && (
        <text x={frame.x + 15 + nameWidth + 8} y={middle + 4} className="figure">
          {pixels}
        </text>
      )}
      {hasLayout && (
        <text x={layoutAt} y={middle + 4} textAnchor="end" className="layout-name">
          {layout}
        </text>
      )}
      {workspaces.map(({ id, name: workspaceName }, i) => {
        const filled = session.windows.some(
          (window) => window.workspace === id && window.monitor === monitor.id,
        );
        const state = `${id === shownId ? ' shown' : ''}${filled ? ' filled' : ''}`;
        return (
          <g key={id} data-workspace={id} data-shown={id === shownId}>
            <title>{`Workspace ${id}${workspaceName === id ? '' : `, ${workspaceName}`}${id === shownId ? ', shown' : ''}`}</title>
            <rect
              x={cellsAt + i * CELL + 1}
              y={middle - 9}
              width={CELL - 2}
              height={18}
              className={`workspace${state}`}
            />
            <text
              x={cellsAt + i * CELL + CELL / 2}
              y={middle + 4}
              className={`workspace-id${state}`}
            >
              {shortened(id, 'figure', CELL - 4) || id.slice(0, 1)}
            </text>
          </g>
        );
      })}
    </g>
  );
}
