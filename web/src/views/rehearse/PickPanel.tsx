import { interactionOf, pickingOf, type InteractionOf } from '@sorn/core/model';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { deskInForce, monitorOf } from '@sorn/core/desk';
import {
  zoneBoardChoices,
  gridHere,
  offerNow,
  windowName,
  type Offer,
  type CommandContext,
} from '@sorn/core/engine';
import { gridText, numberLabels } from '@sorn/core/snap';
import { zoneBoardName } from '@sorn/core/tiling';
import { useEffect, useMemo, useRef, type ReactNode } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import { Balloon } from '../../sheet/Balloon.tsx';
import { onSheet, sideBeside, type RoomBeside, type Viewport } from '../../sheet/viewport.ts';
import { balloonStyle } from '../../ui/balloon-style.ts';

/** What can be chosen now by typing: windows for an empty place, boards and their zones, or a block. */
export function PickPanel({ view }: { view: Viewport }) {
  const session = useProfileStore((state) => state.session);
  const profile = useProfileStore((state) => state.profile);
  const picking = pickingOf(session);
  if (!picking) return null;
  const context = { session, profile, desk: deskInForce(profile, session) };
  if (picking.kind === 'offer') {
    const offer = offerNow(context, picking);
    return offer && <OfferList context={context} offer={offer} typed={picking.typed} view={view} />;
  }
  return picking.kind === 'board-pick' ? (
    <BoardColumn context={context} view={view} />
  ) : (
    <CornerNote context={context} picking={picking} />
  );
}

const LIST_WIDTH = 220;
const MOST_LISTED = 9;
/** Heights of the list's head and foot, and of a line, in pixels. */
const LIST_FRAME = 70;
const LIST_LINE = 30;

/** The windows for an empty place, in its middle, one number each. */
function OfferList(props: {
  context: CommandContext;
  offer: Offer;
  typed: string;
  view: Viewport;
}) {
  const { context, offer, typed, view } = props;
  const { profile } = context;
  const { place, windows } = offer;
  const frame = onSheet(view, place.rect);
  const labels = numberLabels(windows.length);
  const lines = windows
    .map((window, i) => ({ window, label: labels[i]! }))
    .filter(({ label }) => label.startsWith(typed));
  const height = LIST_FRAME + LIST_LINE * Math.min(lines.length, MOST_LISTED);
  return (
    <Box
      role="group"
      aria-label={`Offer: ${place.zone?.name ?? `${place.rect.width} × ${place.rect.height}`}`}
      position="absolute"
      width={`${LIST_WIDTH}px`}
      bg="sheet"
      border="1.5px solid"
      borderColor="petrol"
      boxShadow="0 6px 18px var(--sorn-colors-shade)"
      style={{
        left: frame.x + frame.width / 2,
        // Where the place is too low for it, below its upper edge: what was placed stays in sight.
        top: frame.y + Math.max(6, (frame.height - height) / 2),
        transform: 'translateX(-50%)',
      }}
    >
      <Flex
        align="baseline"
        px="10px"
        py="5px"
        gap="8px"
        borderBottom="1px solid"
        borderColor="hairline"
      >
        <chakra.span fontSize="12px" fontWeight={650} flex="1">
          {place.zone?.name ?? 'Empty place'}
        </chakra.span>
        <chakra.span fontFamily="mono" fontSize="11px" fontStretch="88%" color="slate">
          {place.rect.width} × {place.rect.height}
        </chakra.span>
      </Flex>
      <chakra.ul py="3px">
        {lines.slice(0, MOST_LISTED).map(({ window, label }) => {
          const app = profile.apps.find(({ id }) => id === window.app);
          const name = windowName(profile, window);
          return (
            <chakra.li
              key={window.id}
              display="flex"
              alignItems="center"
              gap="8px"
              px="10px"
              height={`${LIST_LINE}px`}
            >
              <KeyCap>{label}</KeyCap>
              <chakra.svg
                width="25px"
                height="25px"
                flexShrink="0"
                overflow="visible"
                css={balloonStyle}
              >
                <Balloon
                  x={12.5}
                  y={12.5}
                  text={app?.balloon ?? name.slice(0, 2)}
                  hue={app?.hue ?? 0}
                />
              </chakra.svg>
              <chakra.span fontSize="13px" truncate>
                {name}
              </chakra.span>
            </chakra.li>
          );
        })}
      </chakra.ul>
      {lines.length > MOST_LISTED && (
        <chakra.p px="10px" fontSize="12px" color="slate">
          and {lines.length - MOST_LISTED} more, by number
        </chakra.p>
      )}
      <Hints>
        <KeyCap>Space</KeyCap> next place <KeyCap>Esc</KeyCap> end
      </Hints>
    </Box>
  );
}

function Hints({ children }: { children: ReactNode }) {
  return (
    <Flex
      align="center"
      gap="6px"
      px="10px"
      py="5px"
      fontSize="12px"
      color="slate"
      borderTop="1px solid"
      borderColor="hairline"
    >
      {children}
    </Flex>
  );
}

const COLUMN_WIDTH = 196;
/** Between the column and the monitor, and the edges of the sheet. */
const APART = 14;

/** What the sheet keeps free beside the monitor with the focus while boards are chosen. */
export function useRoomForBoards(): RoomBeside | undefined {
  const monitor = useProfileStore(({ session }) =>
    interactionOf(session, 'board-pick') ? session.focusMonitor : undefined,
  );
  return useMemo(
    () => (monitor === undefined ? undefined : { monitor, width: COLUMN_WIDTH + 2 * APART }),
    [monitor],
  );
}

/** The names of the boards that fit the monitor, a letter each, beside its edge: the marked one is drawn on it. */
function BoardColumn({ context, view }: { context: CommandContext; view: Viewport }) {
  const { desk, session } = context;
  const monitor = monitorOf(desk, session.focusMonitor);
  const choices = zoneBoardChoices(context);
  const numbers = choices.find(({ isMarked }) => isMarked)?.numbers ?? [];
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-current=true]')?.scrollIntoView({ block: 'nearest' });
  });
  const frame = onSheet(view, monitor);
  const left =
    sideBeside(monitor, desk.monitors) === 'left'
      ? Math.max(APART / 2, frame.x - COLUMN_WIDTH - APART)
      : frame.x + frame.width + APART;
  return (
    <Flex
      direction="column"
      role="group"
      aria-label={`Boards for ${monitor.name}`}
      position="absolute"
      width={`${COLUMN_WIDTH}px`}
      bg="sheet"
      borderTop="2px solid"
      borderColor="ink"
      fontSize="12px"
      style={{
        // Whoever moved the sheet keeps it in sight.
        left: `min(${left}px, calc(100% - ${COLUMN_WIDTH + APART / 2}px))`,
        top: Math.max(6, frame.y),
        maxHeight: `calc(100% - ${Math.max(6, frame.y) + 6}px)`,
      }}
    >
      <chakra.p py="5px" fontWeight={650} truncate>
        Boards for {monitor.name}
      </chakra.p>
      <chakra.ul ref={list} overflowY="auto" minH="0" borderY="1px solid" borderColor="hairline">
        {choices.map(({ board, letter, isMarked }) => (
          <chakra.li
            key={board.id}
            data-board-choice={board.id}
            aria-current={isMarked}
            display="flex"
            alignItems="center"
            gap="8px"
            minH="28px"
            pl="6px"
            borderLeft="4px solid"
            borderColor={isMarked ? 'vermilion' : 'transparent'}
            fontWeight={isMarked ? 650 : 400}
          >
            <KeyCap>{letter}</KeyCap>
            <chakra.span truncate>{zoneBoardName(board)}</chakra.span>
          </chakra.li>
        ))}
      </chakra.ul>
      <Flex direction="column" gap="4px" py="6px" color="slate">
        {numbers.length > 0 && (
          <span>
            <KeyCap>{numbers.length > 1 ? `${numbers[0]} … ${numbers.at(-1)}` : numbers[0]}</KeyCap>{' '}
            the window there
          </span>
        )}
        <span>
          <KeyCap>↑</KeyCap> <KeyCap>↓</KeyCap> another board
        </span>
        <span>
          <KeyCap>Enter</KeyCap> arranges workspace {session.shown[monitor.id]}
        </span>
        <span>
          <KeyCap>Esc</KeyCap> end
        </span>
      </Flex>
    </Flex>
  );
}

/** What can be typed on the lettered grid, and what is asked while a block is put on a key. */
function CornerNote(props: { context: CommandContext; picking: InteractionOf<'corner-pick'> }) {
  const { context, picking } = props;
  const { goOn, asksKeys: asks = false } = picking;
  // Keys that could not be taken are still asked for: the last line of the log tells why.
  const last = useProfileStore((state) => state.log.at(-1)?.trace[0]);
  const says = last?.decided === 'nothing to do' ? last.because : '';
  const { main } = context.profile.keys;
  const text = asks
    ? says || `Press the key for this place, with ${main}. Escape: no key.`
    : `${gridText(gridHere(context))}${goOn ? '; goes on with the next window' : ''}`;
  return (
    <Box
      role="status"
      aria-label="Corner pick"
      position="absolute"
      left="12px"
      top="56px"
      maxW="420px"
      bg="sheet"
      border="1.5px solid"
      borderColor={asks ? 'vermilion' : 'ink'}
      px="10px"
      py="5px"
      fontSize="12px"
    >
      {text}
    </Box>
  );
}
