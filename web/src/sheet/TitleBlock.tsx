import { Box, chakra, Grid } from '@chakra-ui/react';
import { memo } from 'react';
import { innerGapText, layoutText, outerGapText } from './words.ts';
import { findingCount, useFindings } from '../state/findings.ts';
import { useProfileStore, type DeskLayout } from '../state/profile-context.ts';
import { TITLE_BLOCK } from './viewport.ts';

/** The title block of the drawing: what is drawn, and what is in force where the focus is. */
export function TitleBlock({ deskLayout, scale }: { deskLayout: DeskLayout; scale: number }) {
  const name = useProfileStore((state) => state.profile.name);
  const revision = useProfileStore((state) => state.saves.profile.revision);
  const findings = useFindings();
  const count = findings && findingCount(findings);
  const { desk, placements, focused } = deskLayout;
  const { layout, gaps } = focused.tiling;
  const cells = [
    ['Layout', layoutText(layout)],
    ['Gaps', `${innerGapText(gaps)} / ${outerGapText(gaps)}`],
    ['Scale', `1 : ${Number((1 / scale).toFixed(1))}`],
    ['Monitors', String(desk.monitors.length)],
    ['Windows', String(placements.length)],
    ['Findings', count === null ? '…' : String(count)],
  ] as const;
  return (
    <Box
      position="absolute"
      right="0"
      bottom="0"
      width={`${TITLE_BLOCK.width}px`}
      height={`${TITLE_BLOCK.height}px`}
      border="1.5px solid"
      borderColor="ink"
      bg="sheet"
      pointerEvents="none"
      role="group"
      aria-label="Title block"
    >
      <Box display="flex" justifyContent="space-between" alignItems="center" height="26px" px="9px">
        <chakra.span fontSize="12px" fontWeight={650} fontStretch="94%" truncate>
          {name} — {desk.desk === null ? 'as connected' : desk.name}
        </chakra.span>
        <chakra.span
          fontFamily="mono"
          fontSize="11px"
          fontStretch="88%"
          color="slate"
          flexShrink="0"
        >
          rev {revision}
        </chakra.span>
      </Box>
      <Grid templateColumns="5fr 4fr 4fr" as="dl">
        {cells.map(([term, value], i) => (
          <Cell
            key={term}
            term={term}
            value={value}
            isFirst={i % 3 === 0}
            isMarked={term === 'Findings' && count !== null && count > 0}
          />
        ))}
      </Grid>
    </Box>
  );
}

/** One figure: drawn again only when it changes. */
const Cell = memo(function Cell(props: {
  term: string;
  value: string;
  isFirst: boolean;
  isMarked: boolean;
}) {
  return (
    <Box
      height="38px"
      px="9px"
      pt="3px"
      borderTop="1px solid"
      borderLeft={props.isFirst ? 'none' : '1px solid'}
      borderColor="ink"
    >
      <chakra.dt fontSize="11px" color="slate" fontStretch="94%" lineHeight="15px">
        {props.term}
      </chakra.dt>
      <chakra.dd
        fontFamily="mono"
        fontSize="12px"
        fontStretch="88%"
        fontWeight={600}
        lineHeight="16px"
        truncate
        color={props.isMarked ? 'vermilion' : 'ink'}
      >
        {props.value}
      </chakra.dd>
    </Box>
  );
});
