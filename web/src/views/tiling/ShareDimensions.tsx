import { Box, chakra } from '@chakra-ui/react';
import type { Measures } from '@sorn/core/engine';
import type { Measure } from '@sorn/core/geometry';
import { readShare, shareText } from '@sorn/core/values';
import { Figure } from '../../ui/Figure.tsx';
import type { DeskLayout } from '../../state/profile-context.ts';
import { DimensionLine } from '../../sheet/DimensionLine.tsx';
import { tabEdge, TAB_HEIGHT } from '../../sheet/tabs.ts';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import type { TilingEdits } from './edits.ts';

interface Props {
  measures: Measures;
  deskLayout: DeskLayout;
  view: Viewport;
}

/**
 * Where the lines of lead and rest lie: outside the monitor, past its tab; beside it for a division in y.
 * `toward` is how far their feet reach back: short of the tab, whose text they would cross.
 */
function lineAt({ measures, deskLayout, view }: Props): { at: number; toward: number } {
  const { monitor } = deskLayout.focused;
  const frame = onSheet(view, monitor);
  const right = frame.x + frame.width;
  if (measures.shares?.axis === 'y') {
    const blocked = deskLayout.desk.monitors.some(
      (other) =>
        other.x >= monitor.x + monitor.width &&
        other.x * view.scale + view.x < right + 40 &&
        other.y < monitor.y + monitor.height &&
        other.y + other.height > monitor.y,
    );
    return blocked
      ? { at: frame.x - 26, toward: frame.x - 14 }
      : { at: right + 26, toward: right + 14 };
  }
  const bottom = frame.y + frame.height;
  return tabEdge(monitor, deskLayout.desk, view) === 'top'
    ? { at: frame.y - TAB_HEIGHT - 10, toward: frame.y - TAB_HEIGHT + 2 }
    : { at: bottom + TAB_HEIGHT + 12, toward: bottom + TAB_HEIGHT };
}

/** Dimension lines over lead and rest. */
export function ShareLines(props: Props) {
  const { shares } = props.measures;
  if (!shares) return null;
  const { at, toward } = lineAt(props);
  return (
    <>
      {shares.parts.map((part) => (
        <DimensionLine
          key={part.from}
          measure={part}
          view={props.view}
          at={at}
          toward={toward}
          marked={part.isLead}
        />
      ))}
    </>
  );
}

/** The figures on those lines: typed over with a share, or with pixels as they stand beside it. */
export function ShareFigures(props: Props & { edits: TilingEdits }) {
  const { shares } = props.measures;
  const { layout } = props.edits.tiling;
  if (!shares || !('leadShare' in layout)) return null;
  const { leadShare } = layout;
  const { at } = lineAt(props);
  const pixels = (part: Measure) => part.to - part.from;
  const restParts = shares.parts.length - 1;
  const read = (typed: string) => readShare(typed, props.measures.shareLength);
  return shares.parts.map((part, i) => (
    <LineFigure
      key={i}
      view={props.view}
      measure={part}
      at={at}
      pixels={pixels(part)}
      marked={part.isLead}
    >
      <Figure
        label={part.isLead ? 'Lead share on the sheet' : 'Rest share on the sheet'}
        value={part.isLead ? leadShare : (1 - leadShare) / restParts}
        least={0}
        most={part.isLead ? 1 : 1 / restParts}
        step={0.01}
        decimals={3}
        room={5}
        marked={part.isLead}
        read={read}
        {...(!part.isLead && { range: `expected at most ${shareText(1 / restParts)}` })}
        onChange={(share) =>
          props.edits.setLayout(
            'leadShare',
            Number((part.isLead ? share : 1 - restParts * share).toFixed(6)),
          )
        }
      />
    </LineFigure>
  ));
}

function LineFigure(props: {
  view: Viewport;
  measure: Measure;
  at: number;
  pixels: number;
  marked?: boolean;
  children: React.ReactNode;
}) {
  const { view, measure, at } = props;
  const isX = measure.axis === 'x';
  const middle = ((measure.from + measure.to) / 2) * view.scale + (isX ? view.x : view.y);
  return (
    <Box
      position="absolute"
      display="flex"
      alignItems="baseline"
      gap="5px"
      px="5px"
      bg="sheet"
      lineHeight="20px"
      style={{
        left: isX ? middle : at,
        top: isX ? at : middle,
        transform: `translate(-50%, -50%)${isX ? '' : ' rotate(-90deg)'}`,
      }}
    >
      {props.children}
      <chakra.span
        fontFamily="mono"
        fontSize="12px"
        fontStretch="88%"
        color={props.marked ? 'vermilion' : 'slate'}
        whiteSpace="nowrap"
      >
        · <span data-figure={props.marked ? 'lead-pixels' : 'rest-pixels'}>{props.pixels}</span>
      </chakra.span>
    </Box>
  );
}
