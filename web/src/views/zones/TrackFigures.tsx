import { Box, chakra } from '@chakra-ui/react';
import { readWeight, shareText, type Axis } from '@sorn/core/values';
import type { DrawnZoneBoard } from '@sorn/core/zones';
import type { RefObject } from 'react';
import { Figure } from '../../ui/Figure.tsx';
import { DimensionLine } from '../../sheet/DimensionLine.tsx';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import type { ZoneEdits } from './edits.ts';

/** How far outside the work area the dimension lines lie, in screen pixels: above clear of the monitor's tab. */
const ABOVE = { tab: 44, bare: 22 };
const BESIDE = 24;
/** Length of a column's line with room for its weight and its percent, in screen pixels. */
const ROOM_FOR_PERCENT = 110;

/** Lines down to the tracks end above the tab's text, in screen pixels from the area. */
const CLEAR_OF_TAB = 32;

interface LinesProps {
  drawn: DrawnZoneBoard;
  view: Viewport;
  /** The monitor's tab is at its upper edge. */
  hasTab: boolean;
}

/** Dimension lines along the columns, above the monitor, and along the rows, left of it. */
export function TrackLines({ drawn, view, hasTab }: LinesProps) {
  const above = hasTab ? ABOVE.tab : ABOVE.bare;
  const frame = onSheet(view, drawn.area);
  return drawn.measured.map(({ axis, track, measure }) => (
    <DimensionLine
      key={`${axis}${track}`}
      measure={measure}
      view={view}
      at={axis === 'x' ? frame.y - above : frame.x - BESIDE}
      toward={axis === 'x' ? (hasTab ? frame.y - CLEAR_OF_TAB : frame.y) : frame.x}
      marked
    />
  ));
}

/** The weight of each track on its line, typed over there. */
export function TrackFigures(
  props: LinesProps & {
    edits: ZoneEdits;
    /** The first column's. */
    weightInput: RefObject<HTMLInputElement | null>;
  },
) {
  const { drawn, view, edits, weightInput } = props;
  const above = props.hasTab ? ABOVE.tab : ABOVE.bare;
  const frame = onSheet(view, drawn.area);
  const sumOf = (axis: Axis) =>
    drawn.measured.reduce((sum, each) => sum + (each.axis === axis ? each.weight : 0), 0);
  return drawn.measured.map(({ axis, track, weight, measure }) => {
    const isColumn = axis === 'x';
    const middle = ((measure.from + measure.to) / 2) * view.scale + (isColumn ? view.x : view.y);
    const length = (measure.to - measure.from) * view.scale;
    // A track too short for its figure has it in the inspector alone.
    if (length < 30) return null;
    return (
      <Box
        key={`${axis}${track}`}
        position="absolute"
        px="3px"
        bg="sheet"
        lineHeight="20px"
        style={{
          left: isColumn ? middle : frame.x - BESIDE,
          top: isColumn ? frame.y - above : middle,
          transform: 'translate(-50%, -50%)',
        }}
      >
        <Figure
          label={`Weight of ${isColumn ? 'column' : 'row'} ${track}`}
          value={weight}
          least={0.001}
          most={1e6}
          step={0.1}
          decimals={3}
          room={Math.max(2, String(Number(weight.toFixed(3))).length)}
          {...(isColumn && track === 1 && { inputRef: weightInput })}
          marked
          read={(typed) => readWeight(typed, sumOf(axis) - weight)}
          onChange={(next) => edits.setWeight(axis, track, next)}
        />
        {isColumn && length >= ROOM_FOR_PERCENT && (
          <chakra.span fontFamily="mono" fontSize="11px" fontStretch="88%" color="slate" ml="4px">
            {shareText(weight / sumOf(axis))}
          </chakra.span>
        )}
      </Box>
    );
  });
}
