import { chakra, Grid } from '@chakra-ui/react';
import {
  LAYOUT_KINDS,
  LAYOUTS,
  layoutTree,
  solve,
  type Layout,
  type LayoutKind,
  type Size,
} from '@sorn/core';
import { KeyCap } from '../../app/KeyCap.tsx';
import { Section } from '../../app/Section.tsx';
import { SettingRow } from '../../app/SettingRow.tsx';
import type { PlacedDesk } from '../../data/bench-context.ts';
import type { TilingEdits } from './edits.ts';

/** The kinds of layout, each drawn by the engine with as many windows as there are here. */
export function LayoutSettings({ placed, edits }: { placed: PlacedDesk; edits: TilingEdits }) {
  const { workspace, monitor, tiled, area } = placed.focused;
  const { layout } = edits.tiling;
  const count = tiled.length > 0 ? tiled.length : 3;
  return (
    <Section title="Layout" note={`workspace ${workspace} on ${monitor.name}`}>
      <Grid
        role="radiogroup"
        aria-label="Layout"
        templateColumns="repeat(3, 1fr)"
        gap="8px"
        mb="6px"
      >
        {LAYOUT_KINDS.map((kind) => (
          <LayoutCell
            key={kind}
            kind={kind}
            layout={kind === layout.kind ? layout : LAYOUTS[kind].defaults}
            count={count}
            shape={area}
            isChosen={kind === layout.kind}
            onChoose={() => edits.setKind(kind)}
          />
        ))}
      </Grid>
      <SettingRow
        label="Kind"
        caps={['L']}
        origin={edits.originOf('kind')}
        onSetBack={edits.setBack('kind')}
      >
        <chakra.span fontFamily="mono" fontSize="12px" fontStretch="88%" fontWeight={600}>
          {LAYOUTS[layout.kind].title}
        </chakra.span>
      </SettingRow>
      {tiled.length === 0 && (
        <chakra.p fontSize="12px" color="slate">
          No window is tiled here; drawn with {count}. Open some in Rehearse <KeyCap>6</KeyCap>.
        </chakra.p>
      )}
    </Section>
  );
}

const DRAWING = { width: 76, height: 36 };
/** Gap between tiles at this size: what is left visible of one. */
const GAP = { x: 3, y: 3 };

function LayoutCell(props: {
  kind: LayoutKind;
  layout: Layout;
  count: number;
  /** The area that is really divided: it decides how a grid or a halving falls out. */
  shape: Size;
  isChosen: boolean;
  onChoose: () => void;
}) {
  const { layout, isChosen } = props;
  // More than a few windows would be a grey field at this size.
  const count = Math.min(props.count, 12);
  const tree = layoutTree(layout, count, props.shape);
  const tiles = solve(tree, { x: 0, y: 0, ...DRAWING }, GAP, []);
  return (
    <chakra.button
      type="button"
      role="radio"
      aria-checked={isChosen}
      onClick={props.onChoose}
      pt="7px"
      pb="3px"
      border="1px solid"
      borderColor={isChosen ? 'petrol' : 'hairline'}
      bg={isChosen ? 'petrol.wash' : 'transparent'}
      cursor="pointer"
      fontSize="12px"
      fontWeight={isChosen ? 650 : 400}
    >
      <chakra.svg
        width={`${DRAWING.width}px`}
        height={`${DRAWING.height}px`}
        mx="auto"
        mb="4px"
        display="block"
        overflow="visible"
        aria-hidden
        css={{
          '& rect': { stroke: 'petrol', fill: 'petrol.wash', strokeWidth: 1 },
          '& rect:first-of-type': { fill: 'petrol.deep' },
        }}
      >
        {tiles.map((tile, i) => (
          <rect key={i} {...tile} />
        ))}
      </chakra.svg>
      {LAYOUTS[props.kind].title}
    </chakra.button>
  );
}
