import { Box, chakra } from '@chakra-ui/react';
import type { GapMark, Measures } from '@sorn/core/engine';
import { readLength, type LengthScale } from '@sorn/core/values';
import { Figure } from '../../ui/Figure.tsx';
import type { Viewport } from '../../sheet/viewport.ts';
import type { TilingEdits } from './edits.ts';

/** So small that it stays clear of the marks and texts of the windows beside. */
const RADIUS = 8;
/** From the middle of the circle to the nearer end of the figure's box. */
const LEADER = { x: 46, y: 30 };

interface Point {
  x: number;
  y: number;
}

/** A gap's mark on the sheet, and where its figure's box begins: inside the first tile, off its corners. */
function callout(
  view: Viewport,
  { x, y, into }: GapMark,
): { at: Point; box: Point; grows: 1 | -1 } {
  const at = { x: x * view.scale + view.x, y: y * view.scale + view.y };
  const grows = into === 'right' ? 1 : -1;
  // At its left a tile has texts above and below: the leader stays near the middle between them.
  const down = into === 'up' ? -LEADER.y : into === 'right' ? LEADER.y / 2 : LEADER.y;
  return { at, box: { x: at.x + grows * LEADER.x, y: at.y + down }, grows };
}

/** Circles around an inner and an outer gap, with a leader to their figures: at true scale a gap is a hair. */
export function GapCallouts({ measures, view }: { measures: Measures; view: Viewport }) {
  const marks = [measures.innerGap, measures.outerGap].filter((mark) => mark !== null);
  return marks.map((mark, i) => {
    const { at, box, grows } = callout(view, mark);
    const edge = RADIUS * Math.SQRT1_2;
    const down = Math.sign(box.y - at.y);
    return (
      <g key={i} aria-hidden>
        <circle cx={at.x} cy={at.y} r={RADIUS} className="line" />
        <path
          className="line"
          d={`M${at.x + grows * edge} ${at.y + down * edge}L${box.x - grows * 12} ${box.y}H${box.x}`}
        />
      </g>
    );
  });
}

/** The figures of the gaps, typed over on the sheet. */
export function GapFigures(props: {
  measures: Measures;
  view: Viewport;
  edits: TilingEdits;
  scale: LengthScale;
}) {
  const { measures, view, edits, scale } = props;
  const { inner, outer } = edits.tiling.gaps;
  return (
    <>
      {measures.innerGap && (
        <GapFigure
          label="inner"
          mark={measures.innerGap}
          view={view}
          scale={scale}
          value={inner.x}
          onChange={(value) => edits.setGap('inner', value)}
        />
      )}
      <GapFigure
        label="outer"
        mark={measures.outerGap}
        view={view}
        scale={scale}
        value={outer.left}
        onChange={(value) => edits.setGap('outer', value)}
      />
    </>
  );
}

function GapFigure(props: {
  label: string;
  mark: GapMark;
  view: Viewport;
  scale: LengthScale;
  value: number;
  onChange: (value: number) => void;
}) {
  const { box, grows } = callout(props.view, props.mark);
  return (
    <Box
      position="absolute"
      display="flex"
      alignItems="baseline"
      gap="5px"
      px="6px"
      border="1px solid"
      borderColor="slate"
      bg="sheet"
      lineHeight="20px"
      style={{
        left: box.x,
        top: box.y,
        transform: `translate(${grows < 0 ? '-100%' : '0'}, -50%)`,
      }}
    >
      <chakra.span fontSize="12px" fontStretch="94%">
        {props.label}
      </chakra.span>
      <Figure
        label={`${props.label} gap on the sheet`}
        value={props.value}
        least={0}
        most={10_000}
        step={1}
        decimals={2}
        room={4}
        read={(typed) => readLength(typed, props.scale)}
        onChange={props.onChange}
      />
    </Box>
  );
}
