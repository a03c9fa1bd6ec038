import { Box, chakra, Flex } from '@chakra-ui/react';
import {
  boardChoices,
  boardName,
  deskInForce,
  gridText,
  monitorOf,
  numberLabels,
  offerNow,
  windowName,
  workArea,
  zoneRects,
  type BoardChoice,
  type Offer,
  type Rect,
  type Situation,
} from '@sorn/core';
import type { ReactNode } from 'react';
import { KeyCap } from '../../app/KeyCap.tsx';
import { useBench } from '../../data/bench-context.ts';
import { Balloon } from '../../sheet/Balloon.tsx';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import { balloonStyle } from '../../app/balloon-style.ts';
import { useBlockKey } from './block-keys.ts';
import { OverSheet } from './OverSheet.tsx';

/** What can be chosen now by typing: windows for an empty place, boards and their zones, or a block. */
export function PickPanel({ view }: { view: Viewport }) {
  const session = useBench((bench) => bench.session);
  const profile = useBench((bench) => bench.profile);
  const { picking } = session;
  if (!picking) return null;
  const situation = { session, profile, desk: deskInForce(profile, session) };
  if (picking.by === 'offer') {
    const offer = offerNow(situation, picking);
    return (
      offer && <OfferList situation={situation} offer={offer} typed={picking.typed} view={view} />
    );
  }
  return picking.by === 'board' ? (
    <BoardList situation={situation} typed={picking.typed} />
  ) : (
    <CornerNote situation={situation} stays={picking.stays} />
  );
}

const LIST_WIDTH = 220;
const MOST_LISTED = 9;
/** Heights of the list's head and foot, and of a line, in pixels. */
const LIST_FRAME = 70;
const LIST_LINE = 30;

/** The windows for an empty place, in its middle, one number each. */
function OfferList(props: { situation: Situation; offer: Offer; typed: string; view: Viewport }) {
  const { situation, offer, typed, view } = props;
  const { profile } = situation;
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

const SMALL = { width: 128, height: 76 };
/** A marked board of so many zones is drawn larger, so that there is room for its numbers. */
const MANY = 20;
const LARGE = { width: 520, height: 280 };
/** Room that a number needs, in pixels, for each of its digits and in height. */
const DIGIT = { width: 7.6, height: 13 };

/** The boards that fit the monitor, small: a letter for each, a number for each of their zones. */
function BoardList({ situation, typed }: { situation: Situation; typed: string }) {
  const { desk, session } = situation;
  const monitor = monitorOf(desk, session.focusMonitor);
  const { area } = workArea(monitor);
  const intoOf = ({ board, isMarked }: BoardChoice): Rect => {
    const { width, height } = isMarked && board.zones.length > MANY ? LARGE : SMALL;
    const scale = Math.min(width / area.width, height / area.height);
    return { x: 1, y: 1, width: area.width * scale, height: area.height * scale };
  };
  return (
    <OverSheet
      head={<chakra.span fontSize="13px">Boards for {monitor.name}</chakra.span>}
      width={580}
    >
      <Flex wrap="wrap" gap="6px 10px" p="10px" maxHeight="360px" overflowY="auto">
        {boardChoices(situation).map((choice) => (
          <BoardCell
            key={choice.board.id}
            choice={choice}
            into={intoOf(choice)}
            typed={typed.replace(/^[a-z]/, '')}
          />
        ))}
      </Flex>
      <Hints>
        <KeyCap>1 … 9</KeyCap> the window there <KeyCap>a … z</KeyCap> mark a board{' '}
        <KeyCap>Enter</KeyCap> it arranges workspace {session.shown[monitor.id]} <Box flex="1" />
        <KeyCap>Esc</KeyCap> end
      </Hints>
    </OverSheet>
  );
}

function BoardCell(props: { choice: BoardChoice; into: Rect; typed: string }) {
  const { choice, into, typed } = props;
  const { board, letter, numbers, isMarked } = choice;
  return (
    <Box
      data-board-choice={board.id}
      aria-current={isMarked}
      minW={`${SMALL.width + 24}px`}
      maxW={`${into.width + 24}px`}
      px="8px"
      py="6px"
      borderLeft="4px solid"
      borderColor={isMarked ? 'vermilion' : 'transparent'}
    >
      <Flex align="center" gap="6px" mb="4px">
        <KeyCap>{letter}</KeyCap>
        <chakra.span fontSize="12px" fontStretch="92%" truncate>
          {boardName(board)}
        </chakra.span>
      </Flex>
      <chakra.svg
        width={`${into.width + 2}px`}
        height={`${into.height + 2}px`}
        role="img"
        aria-label={board.zones.map(({ name }, i) => `${numbers[i]} ${name}`).join(', ')}
        css={{
          '& rect': { fill: 'petrol.wash', stroke: 'petrol', strokeWidth: 1 },
          '& text': { fill: 'ink', fontFamily: 'mono', fontSize: '12px', fontWeight: 600 },
          '& .is-out text': { fill: 'slate', fontWeight: 400 },
        }}
      >
        {zoneRects(board, into, { x: 2, y: 2 }).map((rect, i) => (
          <g key={numbers[i]} className={isMarked && numbers[i]!.startsWith(typed) ? '' : 'is-out'}>
            <rect {...rect} />
            {rect.width >= DIGIT.width * numbers[i]!.length && rect.height >= DIGIT.height && (
              <text
                x={rect.x + rect.width / 2}
                y={rect.y + rect.height / 2 + 4}
                textAnchor="middle"
              >
                {numbers[i]}
              </text>
            )}
          </g>
        ))}
      </chakra.svg>
    </Box>
  );
}

/** What can be typed on the lettered grid, and what is asked while a block is put on a key. */
function CornerNote({ situation, stays }: { situation: Situation; stays: boolean }) {
  const asks = useBlockKey((block) => block.asks);
  const says = useBlockKey((block) => block.says);
  const { main } = situation.profile.keys;
  const text = asks
    ? says || `Press the key for this place, with ${main}. Escape: no key.`
    : `${gridText(situation.profile.placing.cornerPick)}${stays ? '; stays open for the next window' : ''}`;
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
