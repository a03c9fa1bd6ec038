import { Box, chakra } from '@chakra-ui/react';
import type { Measures } from '@sorn/core';
import { Figure } from '../../app/Figure.tsx';
import type { Viewport } from '../../sheet/viewport.ts';
import type { TilingEdits } from './edits.ts';

const RADIUS = 13;
/** From the middle of the circle to the nearer end of the figure's box, sideways and down. */
const LEADER = { x: 46, y: 30 };

/** The inner gap's figure stands left of it, over the lead, where there is room; the outer gap's right of it. */
type Toward = -1 | 1;

interface Point {
  x: number;
  y: number;
}

function onScreen(view: Viewport, point: Point): Point {
  return { x: point.x * view.scale + view.x, y: point.y * view.scale + view.y };
}

/** Circles around an inner and an outer gap, with a leader to their figures: at true scale a gap is a hair. */
export function GapCallouts({ measures, view }: { measures: Measures; view: Viewport }) {
  return (
    <>
      {measures.innerGap && <Callout at={onScreen(view, measures.innerGap)} toward={-1} />}
      <Callout at={onScreen(view, measures.outerGap)} toward={1} />
    </>
  );
}

function Callout({ at, toward }: { at: Point; toward: Toward }) {
  const edge = RADIUS * Math.SQRT1_2;
  return (
    <g aria-hidden transform={`translate(${at.x} ${at.y})`}>
      <circle r={RADIUS} className="line" />
      <path
        className="line"
        d={`M${toward * edge} ${edge}L${toward * (LEADER.x - 12)} ${LEADER.y}H${toward * LEADER.x}`}
      />
    </g>
  );
}

/** The figures of the gaps, typed over on the sheet. */
export function GapFigures(props: { measures: Measures; view: Viewport; edits: TilingEdits }) {
  const { measures, view, edits } = props;
  const { inner, outer } = edits.tiling.gaps;
  return (
    <>
      {measures.innerGap && (
        <GapFigure
          label="inner"
          toward={-1}
          at={onScreen(view, measures.innerGap)}
          value={inner.x}
          onChange={(value) => edits.setGap('inner', value)}
        />
      )}
      <GapFigure
        label="outer"
        toward={1}
        at={onScreen(view, measures.outerGap)}
        value={outer.left}
        onChange={(value) => edits.setGap('outer', value)}
      />
    </>
  );
}

function GapFigure(props: {
  label: string;
  at: Point;
  toward: Toward;
  value: number;
  onChange: (value: number) => void;
}) {
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
        left: props.at.x + props.toward * LEADER.x,
        top: props.at.y + LEADER.y,
        transform: `translate(${props.toward < 0 ? '-100%' : '0'}, -50%)`,
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
        onChange={props.onChange}
      />
    </Box>
  );
}
