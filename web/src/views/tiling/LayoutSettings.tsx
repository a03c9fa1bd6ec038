import { chakra, Flex } from '@chakra-ui/react';
import { LAYOUT_KINDS, LAYOUTS, layoutTree, solve, type Layout, type LayoutKind } from '@sorn/core';
import { KeyCap } from '../../app/KeyCap.tsx';
import { Section } from '../../app/Section.tsx';
import { SettingRow } from '../../app/SettingRow.tsx';
import type { PlacedDesk } from '../../data/bench-context.ts';
import type { TilingEdits } from './edits.ts';

/** The kinds of layout, each drawn by the engine with as many windows as there are here. */
export function LayoutSettings({ placed, edits }: { placed: PlacedDesk; edits: TilingEdits }) {
  const { workspace, monitor, tiled } = placed.focused;
  const { layout } = edits.tiling;
  const count = tiled.length > 0 ? tiled.length : 3;
  return (
    <Section title="Layout" note={`workspace ${workspace} on ${monitor.name}`}>
      <Flex role="radiogroup" aria-label="Layout" gap="8px" mb="6px">
        {LAYOUT_KINDS.map((kind) => (
          <LayoutCell
            key={kind}
            kind={kind}
            layout={kind === layout.kind ? layout : LAYOUTS[kind].defaults}
            count={count}
            isChosen={kind === layout.kind}
            onChoose={() => edits.setKind(kind)}
          />
        ))}
      </Flex>
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
      <chakra.p fontSize="12px" color="slate">
        Drawn with {count} {count === 1 ? 'window' : 'windows'}
        {tiled.length === 0 && (
          <>
            ; none is tiled here. Open some in Rehearse <KeyCap>6</KeyCap>
          </>
        )}
        .
      </chakra.p>
    </Section>
  );
}

const DRAWING = { width: 76, height: 44 };

function LayoutCell(props: {
  kind: LayoutKind;
  layout: Layout;
  count: number;
  isChosen: boolean;
  onChoose: () => void;
}) {
  const { layout, isChosen } = props;
  // More than a few windows would be a grey field at this size.
  const count = Math.min(props.count, 12);
  const area = { x: 0, y: 0, ...DRAWING };
  const tiles = solve(layoutTree(layout, count), area, { x: 3, y: 3 }, []);
  return (
    <chakra.button
      type="button"
      role="radio"
      aria-checked={isChosen}
      onClick={props.onChoose}
      width="92px"
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
