import { interactionOf } from '@sorn/core/model';
import { workArea, type DeskMonitor } from '@sorn/core/desk';
import { listedWorkspaces, tilingInForce } from '@sorn/core/engine';
import { frameStyle } from './frame-colour.ts';
import { layoutText } from './words.ts';
import { useProfileStore, type DeskLayout } from '../state/profile-context.ts';
import { CELL, tabParts } from './tab-parts.ts';
import { isEdgeFree, tabEdge } from './tabs.ts';
import { shortened } from './text-width.ts';
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
          className="monitor-focus"
          style={frameStyle(hue)}
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

function Tab({ monitor, view, deskLayout }: Props) {
  const session = useProfileStore((state) => state.session);
  const profile = useProfileStore((state) => state.profile);
  const { desk } = deskLayout;
  const frame = onSheet(view, monitor);
  const edge = tabEdge(monitor, desk, view);
  const middleAt = { top: frame.y - 14, bottom: frame.y + frame.height + 15 };
  const middle = middleAt[edge];
  const workspaces = listedWorkspaces({ session, profile, desk }, monitor.id);
  const shown = session.shown[monitor.id]!;
  const parts = tabParts(frame.width, {
    name: monitor.name,
    layout: layoutText(tilingInForce(profile, session, shown, monitor.id).layout),
    pixels: `${monitor.width}×${monitor.height}${monitor.scale === 1 ? '' : ` @${monitor.scale}`}`,
    workspaces,
    shown,
    hasOtherEdge: edge === 'top' && isEdgeFree(monitor, desk, view, 'bottom'),
  });
  const hasWindows = new Set(
    session.windows.filter((window) => window.monitor === monitor.id).map((each) => each.workspace),
  );
  const cellEnds = parts.cells.reduce<number[]>(
    (ends, { width }) => [...ends, (ends.at(-1) ?? parts.cellsAt) + width],
    [],
  );
  return (
    <g>
      <circle
        cx={frame.x + 5}
        cy={middle}
        r={4.5}
        className={`level-mark${monitor === desk.monitors[0] ? ' primary' : ''}`}
      >
        <title>{`${monitor.name}${monitor === desk.monitors[0] ? ', the primary monitor' : ''}`}</title>
      </circle>
      <text x={frame.x + 15} y={middle + 4} className="name">
        {parts.name}
      </text>
      {parts.pixels !== '' && (
        <text x={frame.x + parts.pixelsAt} y={middle + 4} className="figure">
          {parts.pixels}
        </text>
      )}
      <text
        x={frame.x + parts.layoutEnd}
        y={(parts.isLayoutApart ? middleAt.bottom : middle) + 4}
        textAnchor="end"
        className="layout-name"
      >
        {parts.layout}
      </text>
      {parts.cells.map(({ id, text, width }, i) => {
        const from = frame.x + cellEnds[i]! - width;
        const state = `${id === shown ? ' shown' : ''}${hasWindows.has(id) ? ' filled' : ''}`;
        const name = workspaces.find((each) => each.id === id)?.name;
        const [letter, ...rest] = text.split(' ');
        return (
          <g key={id} {...(id !== '' && { 'data-workspace': id })} data-shown={id === shown}>
            <title>
              {name === undefined
                ? 'More workspaces'
                : `Workspace ${id}${name === id ? '' : `, ${name}`}${id === shown ? ', shown' : ''}`}
            </title>
            <rect
              x={from + 1}
              y={middle - 9}
              width={width - 2}
              height={18}
              className={`workspace${state}`}
            />
            <text x={from + CELL / 2} y={middle + 4} className={`workspace-id${state}`}>
              {letter}
            </text>
            {rest.length > 0 && (
              <text x={from + CELL - 2} y={middle + 4} className={`workspace-name${state}`}>
                {rest.join(' ')}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
