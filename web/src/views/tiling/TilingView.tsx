import { Box } from '@chakra-ui/react';
import { useMemo, useRef, useState } from 'react';
import { measure } from '@sorn/core/engine';
import { layoutSlip } from '@sorn/core/files';
import { leverOf } from '@sorn/core/simulate';
import type { Reach } from '@sorn/core/tiling';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import {
  useDeskLayout,
  useLengthScale,
  useProfileStore,
  type DeskLayout,
} from '../../state/profile-context.ts';
import { layoutText } from '../../sheet/words.ts';
import { Sheet } from '../../sheet/Sheet.tsx';
import type { Viewport } from '../../sheet/viewport.ts';
import { useCopied } from '../../state/slip-here.ts';
import { Dividers } from './Dividers.tsx';
import { GapCallouts, GapFigures } from './GapCallouts.tsx';
import { GapSettings } from './GapSettings.tsx';
import { LayoutSettings } from './LayoutSettings.tsx';
import { LayoutParameters } from './LayoutParameters.tsx';
import { CycleSettings, NewWindowSettings } from './NewWindowSettings.tsx';
import { PlacesTable } from './PlacesTable.tsx';
import { ReachChoice } from './ReachChoice.tsx';
import { ShareChart } from './ShareChart.tsx';
import { ShareFigures, ShareLines } from './ShareDimensions.tsx';
import { TooSmallSettings } from './TooSmallSettings.tsx';
import { useTilingEdits } from './edits.ts';
import { useTilingKeys } from './tiling-keys.ts';

/** Layout, shares and gaps of the workspace that has the focus, drawn and as figures. */
export function TilingView() {
  const deskLayout = useDeskLayout();
  const [reach, setReach] = useState<Reach>('profile');
  const edits = useTilingEdits(deskLayout, reach);
  const innerGap = useRef<HTMLInputElement>(null);
  const outerGap = useRef<HTMLInputElement>(null);
  const countInput = useRef<HTMLInputElement>(null);
  const mainInput = useRef<HTMLInputElement>(null);
  const [count, setCount] = useState<number | null>(null);
  const session = useProfileStore((state) => state.session);
  const lever = useMemo(() => leverOf(session, deskLayout.focused), [session, deskLayout.focused]);
  const [hasTable, setTable] = useState(false);
  useTilingKeys({
    onTable: () => setTable((shown) => !shown),
    deskLayout,
    edits,
    innerGap,
    outerGap,
    countInput,
    mainInput,
    reach,
    setReach,
  });
  const boards = useProfileStore((state) => state.profile);
  const { layout } = deskLayout.focused.tiling;
  useCopied(`layout ${layoutText(layout)}`, layoutSlip(boards, layout));
  const measures = measure(deskLayout.focused);
  const scale = useLengthScale(deskLayout.focused.monitor);

  return (
    <ViewLayout
      name="Tiling"
      inspector={
        <>
          <LayoutSettings
            deskLayout={deskLayout}
            edits={edits}
            count={count}
            onCount={setCount}
            countInput={countInput}
          />
          <ReachChoice deskLayout={deskLayout} reach={reach} onReach={setReach} />
          <ShareChart deskLayout={deskLayout} edits={edits} lever={lever} />
          <LayoutParameters edits={edits} measures={measures} scale={scale} mainInput={mainInput} />
          <GapSettings edits={edits} scale={scale} innerGap={innerGap} outerGap={outerGap} />
          <NewWindowSettings edits={edits} />
          <TooSmallSettings edits={edits} />
          <CycleSettings edits={edits} />
        </>
      }
    >
      <Box display="flex" flexDirection="column" height="100%">
        <Box flex="1" minH="0">
          <Sheet
            deskLayout={deskLayout}
            marks={(view) => (
              <>
                <ShareLines measures={measures} deskLayout={deskLayout} view={view} />
                {hasRoom(deskLayout, view) && <GapCallouts measures={measures} view={view} />}
                <Dividers deskLayout={deskLayout} view={view} />
              </>
            )}
            notes={(view) => (
              <>
                <ShareFigures
                  measures={measures}
                  deskLayout={deskLayout}
                  view={view}
                  edits={edits}
                />
                {hasRoom(deskLayout, view) && (
                  <GapFigures measures={measures} view={view} edits={edits} scale={scale} />
                )}
              </>
            )}
          />
        </Box>
        {hasTable && <PlacesTable deskLayout={deskLayout} />}
      </Box>
    </ViewLayout>
  );
}

/** Callouts of gaps lie in the first tile: drawn too small, they would lie over its texts and each other. */
function hasRoom({ focused }: DeskLayout, view: Viewport): boolean {
  const { height } = focused.tiles?.[0] ?? focused.area;
  return height * view.scale >= 165;
}
