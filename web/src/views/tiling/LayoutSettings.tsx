import { chakra, Grid } from '@chakra-ui/react';
import type { Size } from '@sorn/core/geometry';
import type { ZoneBoard } from '@sorn/core/model';
import { LAYOUTS, sampleTiles } from '@sorn/core/tiling';
import { LAYOUT_KINDS, type Layout } from '@sorn/core/values';
import { zoneBoardMeant } from '@sorn/core/zones';
import type { RefObject } from 'react';
import { Figure } from '../../ui/Figure.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { SettingRow } from '../../ui/SettingRow.tsx';
import type { DeskLayout } from '../../state/profile-context.ts';
import type { TilingEdits } from './edits.ts';

/** The kinds of layout, each drawn by the engine with the number of windows asked for. */
export function LayoutSettings(props: {
  deskLayout: DeskLayout;
  edits: TilingEdits;
  /** Windows in the drawings; as many as there are here, from three to twelve, when null. */
  count: number | null;
  onCount: (count: number) => void;
  countInput: RefObject<HTMLInputElement | null>;
}) {
  const { deskLayout, edits } = props;
  const { workspace, monitor, tiled, area, boards } = deskLayout.focused;
  const boardOf = (of: Layout) =>
    of.kind === 'board' ? zoneBoardMeant(of, boards.all, boards.fitting) : null;
  const { layout } = edits.tiling;
  // One or two windows would show little of a layout, and so would many in so small a drawing.
  const count = props.count ?? Math.min(12, Math.max(3, tiled.length));
  return (
    <Section title="Layout" note={`workspace ${workspace} on ${monitor.name}`}>
      <Grid
        role="radiogroup"
        aria-label="Layout"
        templateColumns="repeat(4, 1fr)"
        gap="4px"
        css={cellStyle}
      >
        {LAYOUT_KINDS.map((kind) => (
          <LayoutCell
            key={kind}
            layout={kind === layout.kind ? layout : LAYOUTS[kind].defaults}
            count={count}
            shape={area}
            board={boardOf(kind === layout.kind ? layout : LAYOUTS[kind].defaults)}
            isChosen={kind === layout.kind}
            onChoose={() => edits.setKind(kind)}
          />
        ))}
      </Grid>
      <SettingRow label="Drawn with" caps={['N']}>
        <Figure
          label="Windows in the small drawings"
          value={count}
          least={1}
          most={99}
          step={1}
          unit={count === 1 ? 'window' : 'windows'}
          inputRef={props.countInput}
          room={3}
          isForLater
          onChange={(next) => props.onCount(Math.round(next))}
        />
      </SettingRow>
      {tiled.length === 0 && (
        <chakra.p fontSize="12px" color="slate">
          No window is tiled here. Open some in Rehearse <KeyCap>6</KeyCap>.
        </chakra.p>
      )}
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
        {abilitiesText(LAYOUTS[layout.kind])}.
      </chakra.p>
    </Section>
  );
}

/** What keys can do in a layout, in words. */
function abilitiesText({ can }: (typeof LAYOUTS)[keyof typeof LAYOUTS]): string {
  const words: [boolean, string][] = [
    [can.lead, 'a lead'],
    [can.leadCount, 'a lead count'],
    [can.leadShare, 'a lead share'],
    [can.turn, 'turning'],
    [can.grow, 'growing'],
    [can.strips, 'strips'],
    [can.order, 'order'],
    [can.zones, 'zones'],
    [!can.order && !can.zones, 'floating alone'],
  ];
  const has = words.filter(([isSo]) => isSo).map(([, word]) => word);
  return `By key in Rehearse: ${has.join(', ')}`;
}

const DRAWING = { width: 60, height: 30 };
/** Gap between tiles at this size: what is left visible of one. */
const GAP = { x: 2, y: 2 };
/** Pixels of the drawing for one logical pixel: what makes strips and steps visible. */
const SCALE = 0.14;

function LayoutCell(props: {
  layout: Layout;
  count: number;
  /** The area that is really divided: it decides how a grid or a halving falls out. */
  shape: Size;
  board: ZoneBoard | null;
  isChosen: boolean;
  onChoose: () => void;
}) {
  const { layout, count, isChosen } = props;
  const { title, tree } = LAYOUTS[layout.kind];
  const tiles = sampleTiles(
    layout,
    count,
    props.shape,
    { x: 0, y: 0, ...DRAWING },
    GAP,
    SCALE,
    props.board,
  );
  return (
    <button
      type="button"
      role="radio"
      aria-checked={isChosen}
      data-layout={layout.kind}
      title={abilitiesText(LAYOUTS[layout.kind])}
      onClick={props.onChoose}
    >
      <svg
        {...DRAWING}
        className={layout.kind === 'free' ? 'is-free' : tree ? 'is-tree' : ''}
        aria-hidden
      >
        {tiles.map((tile, i) => (
          <rect key={i} {...tile} />
        ))}
      </svg>
      {title}
    </button>
  );
}

/** Once for all cells. */
const cellStyle = {
  '& button': {
    pt: '6px',
    pb: '2px',
    minW: 0,
    border: '1px solid transparent',
    cursor: 'pointer',
    fontSize: '12px',
    fontStretch: '88%',
    whiteSpace: 'nowrap',
  },
  '& button[aria-checked=true]': {
    borderColor: 'petrol',
    bg: 'petrol.wash',
    fontWeight: 650,
  },
  '& svg': { mx: 'auto', mb: '3px', display: 'block', overflow: 'visible' },
  '& rect': { stroke: 'petrol', fill: 'sheet', strokeWidth: 1 },
  '& rect:first-of-type': { fill: 'petrol.wash' },
  '& .is-tree rect': { fill: 'petrol.wash' },
  '& .is-tree rect:first-of-type': { fill: 'petrol.deep' },
  '& .is-free rect, & .is-free rect:first-of-type': {
    stroke: 'ochre',
    fill: 'sheet',
    strokeDasharray: '3 2',
  },
};
