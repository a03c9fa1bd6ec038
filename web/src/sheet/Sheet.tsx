import { interactionOf } from '@sorn/core/model';
import { Box, chakra, Flex } from '@chakra-ui/react';
import type { Finding } from '@sorn/core/checkup';
import { inDrawingOrder } from '@sorn/core/engine';
import type { Rect } from '@sorn/core/geometry';
import { useMemo, useState, type ReactNode } from 'react';
import { usePageKeys, type PageKey } from '../ui/page-keys.ts';
import { useProfileStore, type DeskLayout } from '../state/profile-context.ts';
import { PileCount, PileEdge, pilesOf } from './piles.tsx';
import { StripDrawing, StripNames } from './StripDrawing.tsx';
import { OtherMonitor } from './OtherMonitor.tsx';
import { MonitorDrawing } from './MonitorDrawing.tsx';
import { Shelf } from './Shelf.tsx';
import { ScaleBar } from './ScaleBar.tsx';
import { TitleBlock } from './TitleBlock.tsx';
import { useSheetSize, useSteering } from './steering.ts';
import {
  fitted,
  fittedBeside,
  hasRoomForTitleBlock,
  type RoomBeside,
  type Viewport,
} from './viewport.ts';
import { ZonesDrawing } from './ZonesDrawing.tsx';
import { WindowDrawing } from './WindowDrawing.tsx';

/** More windows than these go to their tiles at once: to set them moving takes longer than a frame. */
const MOST_MOVING = 60;

export interface SheetProps {
  deskLayout: DeskLayout;
  /** Drawn over the windows, in screen pixels. */
  marks?: (view: Viewport) => ReactNode;
  /** Laid over the drawing: what can be typed into or read aloud. */
  notes?: (view: Viewport) => ReactNode;
  onWindow?: (id: string) => void;
  /** What the sheet fits around; all monitors where left out. */
  around?: readonly Rect[];
  /** Room to keep free beside a monitor. */
  room?: RoomBeside | undefined;
  /** The monitors alone, without windows. */
  isPlan?: boolean;
  /** Arrow keys with Shift are the view's own. */
  keepsShift?: boolean;
  /** A drawing to compare: it has no keys, does not move, and says what it shows in the place of a title block. */
  still?: string;
}

const PANNING = [
  ['ArrowLeft', 60, 0, '←'],
  ['ArrowRight', -60, 0, '→'],
  ['ArrowUp', 0, 60, '↑'],
  ['ArrowDown', 0, -60, '↓'],
] as const;

const NO_KEYS: readonly PageKey[] = [];

/** The true-scale drawing of the desk. Zooms and pans by key and pointer; 0 fits the desk, then one monitor. */
export function Sheet(props: SheetProps) {
  const { deskLayout, marks, notes, onWindow, around, room, still, isPlan = false } = props;
  const { desk, placements, focused } = deskLayout;
  const session = useProfileStore((state) => state.session);
  const isBare = interactionOf(session, 'bare-desktop') !== null;
  const profile = useProfileStore((state) => state.profile);
  const { look } = profile;
  const [element, setElement] = useState<HTMLDivElement | null>(null);
  const size = useSheetSize(element);
  const [oneMonitor, setOneMonitor] = useState(false);
  const hasTitleBlock = still === undefined && hasRoomForTitleBlock(size);
  const fit = useMemo(() => {
    const all = around ?? [...desk.monitors, ...desk.others];
    const rects = oneMonitor ? [focused.monitor] : all;
    const beside = room && desk.monitors.find(({ id }) => id === room.monitor);
    return beside
      ? fittedBeside(rects, size, beside, room.width)
      : fitted(rects, size, !hasTitleBlock);
  }, [around, desk, focused.monitor, hasTitleBlock, oneMonitor, room, size]);
  const { view, isSteering, zoom, pan, release } = useSteering(still ? null : element, size, fit);

  const keys: PageKey[] = [
    { keys: ['+', '='], caps: ['+'], label: 'zoom in', minor: true, run: () => zoom(1.25) },
    { keys: ['-', '_'], caps: ['-'], label: 'zoom out', minor: true, run: () => zoom(0.8) },
    {
      keys: ['0'],
      label: 'fit the desk, again: one monitor',
      minor: true,
      run: () => (release() ? setOneMonitor(false) : setOneMonitor(!oneMonitor)),
    },
    ...(props.keepsShift ? [] : PANNING).map(([key, x, y, cap]) => ({
      keys: [key],
      shift: true,
      caps: ['Shift', cap],
      label: 'move the sheet',
      minor: true,
      run: () => pan(x, y),
    })),
  ];
  usePageKeys(`sheet${still ?? ''}`, still === undefined ? keys : NO_KEYS);

  const drawn = isPlan ? [] : placements;
  const shown = inDrawingOrder(drawn, { session, profile });
  const needs = needsByWindow(deskLayout.findings);
  const piles = pilesOf(
    drawn.filter(
      ({ shown: isShown, tile, workspace, monitor }) =>
        !session.unplugged && !isShown && tile !== null && session.shown[monitor] === workspace,
    ),
  );
  // A strip names what lies beneath.
  const nameless = piles.filter(
    ({ placement }) =>
      !deskLayout.shown.some(({ monitor, strip }) => strip && monitor.id === placement.monitor),
  );
  const motionMs = isSteering || shown.length > MOST_MOVING ? 0 : look.motionMs;

  const sheet = (
    <Box
      ref={setElement}
      position="relative"
      flex="1"
      minH="0"
      overflow="hidden"
      bg="sheet"
      border="1px solid"
      borderColor="hairline"
      className="sheet"
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
          <MonitorDrawing
            key={monitor.id}
            monitor={monitor}
            view={view}
            deskLayout={deskLayout}
            isPlan={isPlan}
          />
        ))}
        {desk.others.map((monitor) => (
          <OtherMonitor
            key={monitor.id}
            monitor={monitor}
            desk={desk}
            placements={placements}
            view={view}
          />
        ))}
        {(session.unplugged || isPlan ? [] : deskLayout.shown).map((arranged) => (
          <StripDrawing key={arranged.monitor.id} arranged={arranged} view={view} />
        ))}
        {(session.unplugged || isBare || isPlan ? [] : deskLayout.shown).map((arranged) => (
          <ZonesDrawing key={arranged.monitor.id} arranged={arranged} view={view} />
        ))}
        {piles.map((pile) => (
          <PileEdge key={pile.key} pile={pile} view={view} />
        ))}
        {shown.map((placement) => (
          <WindowDrawing
            key={placement.id}
            placement={placement}
            view={view}
            needs={needs.get(placement.id) ?? ''}
            onPress={onWindow}
          />
        ))}
        {(session.unplugged || isBare || isPlan ? [] : deskLayout.shown).map((arranged) => (
          <StripNames key={arranged.monitor.id} arranged={arranged} shown={shown} view={view} />
        ))}
        {nameless.map((pile) => (
          <PileCount key={pile.key} pile={pile} view={view} />
        ))}
        {marks?.(view)}
        {still === undefined && (
          <ScaleBar scale={view.scale} {...(isPlan && { top: size.height - 34 })} />
        )}
      </svg>
      {notes?.(view)}
      {still === undefined ? (
        hasTitleBlock && <TitleBlock deskLayout={deskLayout} scale={view.scale} />
      ) : (
        <StillTitle title={still} desk={desk.name} />
      )}
    </Box>
  );
  return (
    // What stands beside it keeps its room: the drawing is as wide as it was measured.
    <Flex direction="column" height="100%" minW="0" minH="0" overflow="hidden">
      {sheet}
      {still === undefined && !isPlan && <Shelf />}
    </Flex>
  );
}

function StillTitle({ title, desk }: { title: string; desk: string }) {
  return (
    <Box position="absolute" top="8px" left="12px" fontSize="12px" fontStretch="94%">
      <chakra.span fontWeight={650}>{title}</chakra.span>{' '}
      <chakra.span color="slate">{desk}</chakra.span>
    </Box>
  );
}

/** What each window that is too small has and needs, in words. */
function needsByWindow(findings: readonly Finding[]): Map<string, string> {
  const needs = new Map<string, string>();
  for (const finding of findings) {
    if (finding.kind !== 'squeeze') continue;
    const text = `has ${finding.has}, needs ${finding.needs}`;
    const other = needs.get(finding.window);
    needs.set(finding.window, other === undefined ? text : `${other}; ${text}`);
  }
  return needs;
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
