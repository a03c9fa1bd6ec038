import { Box } from '@chakra-ui/react';
import { useMemo, useState, type ReactNode } from 'react';
import { usePageKeys } from '../app/keys.ts';
import { useBench, type PlacedDesk } from '../data/bench-context.ts';
import { inDrawingOrder } from './drawing-order.ts';
import { PileCount, PileEdge, pilesOf } from './piles.tsx';
import { StripDrawing } from './StripDrawing.tsx';
import { MonitorDrawing } from './MonitorDrawing.tsx';
import { ScaleBar } from './ScaleBar.tsx';
import { sheetStyle } from './style.ts';
import { TitleBlock } from './TitleBlock.tsx';
import { useSheetSize, useSteering } from './steering.ts';
import { fitted, type Viewport } from './viewport.ts';
import { WindowDrawing } from './WindowDrawing.tsx';

export interface SheetProps {
  placed: PlacedDesk;
  /** Drawn over the windows, in screen pixels. */
  marks?: (view: Viewport) => ReactNode;
  /** Laid over the drawing: what can be typed into or read aloud. */
  notes?: (view: Viewport) => ReactNode;
  onWindow?: (id: string) => void;
}

/** The true-scale drawing of the desk. Zooms and pans by key and pointer; 0 fits the desk, then one monitor. */
export function Sheet({ placed, marks, notes, onWindow }: SheetProps) {
  const { desk, placements, focused } = placed;
  const session = useBench((bench) => bench.session);
  const look = useBench((bench) => bench.profile.look);
  const [element, setElement] = useState<HTMLDivElement | null>(null);
  const size = useSheetSize(element);
  const [oneMonitor, setOneMonitor] = useState(false);
  const fit = useMemo(
    () => fitted(oneMonitor ? [focused.monitor] : desk.monitors, size),
    [desk.monitors, focused.monitor, oneMonitor, size],
  );
  const { view, isSteering, zoom, pan, release } = useSteering(element, fit);

  usePageKeys('sheet', [
    { keys: ['+', '='], caps: ['+'], label: 'zoom in', minor: true, run: () => zoom(1.25) },
    { keys: ['-', '_'], caps: ['-'], label: 'zoom out', minor: true, run: () => zoom(0.8) },
    {
      keys: ['0'],
      label: 'fit the desk, again: one monitor',
      minor: true,
      run: () => (release() ? setOneMonitor(false) : setOneMonitor(!oneMonitor)),
    },
    ...(
      [
        ['ArrowLeft', 60, 0, '←'],
        ['ArrowRight', -60, 0, '→'],
        ['ArrowUp', 0, 60, '↑'],
        ['ArrowDown', 0, -60, '↓'],
      ] as const
    ).map(([key, x, y, cap]) => ({
      keys: [key],
      shift: true,
      caps: ['Shift', cap],
      label: 'move the sheet',
      minor: true,
      run: () => pan(x, y),
    })),
  ]);

  const shown = inDrawingOrder(placements, session);
  const piles = pilesOf(
    placements.filter(
      ({ shown: isShown, tile, workspace, monitor }) =>
        !isShown && tile !== null && session.shown[monitor] === workspace,
    ),
  );
  const motionMs = isSteering ? 0 : look.motionMs;

  return (
    <Box
      ref={setElement}
      position="relative"
      height="100%"
      overflow="hidden"
      bg="sheet"
      border="1px solid"
      borderColor="hairline"
      css={sheetStyle}
      style={{ '--motion': `${motionMs}ms` } as React.CSSProperties}
    >
      <svg
        width={size.width}
        height={size.height}
        role="group"
        aria-label={`${desk.name}, drawn to scale`}
        style={{ display: 'block', touchAction: 'none' }}
      >
        <Patterns />
        <rect width="100%" height="100%" fill="url(#sheet-grid)" />
        {desk.monitors.map((monitor) => (
          <MonitorDrawing key={monitor.id} monitor={monitor} view={view} placed={placed} />
        ))}
        {placed.shown.map((arranged) => (
          <StripDrawing key={arranged.monitor.id} arranged={arranged} view={view} />
        ))}
        {piles.map((pile) => (
          <PileEdge key={pile.key} pile={pile} view={view} />
        ))}
        {shown.map((placement) => (
          <WindowDrawing
            key={placement.id}
            placement={placement}
            view={view}
            findings={placed.findings}
            {...(onWindow && { onPress: () => onWindow(placement.id) })}
          />
        ))}
        {piles.map((pile) => (
          <PileCount key={pile.key} pile={pile} view={view} />
        ))}
        {marks?.(view)}
        <ScaleBar scale={view.scale} />
      </svg>
      {notes?.(view)}
      <TitleBlock placed={placed} scale={view.scale} />
    </Box>
  );
}

function Patterns() {
  return (
    <defs>
      <pattern id="sheet-grid" width="16" height="16" patternUnits="userSpaceOnUse">
        <path d="M16 0H0V16" className="grid" />
      </pattern>
      <pattern
        id="sheet-hatch"
        width="5"
        height="5"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <path d="M0 0V5" className="hatch" />
      </pattern>
      <pattern id="sheet-cross-hatch" width="8" height="8" patternUnits="userSpaceOnUse">
        <path d="M0 0L8 8M8 0L0 8" className="cross-hatch" />
      </pattern>
    </defs>
  );
}
