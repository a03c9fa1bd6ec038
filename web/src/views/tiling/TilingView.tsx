import { useRef, useState } from 'react';
import { measure, type Reach } from '@sorn/core';
import { BenchLayout } from '../../app/Bench.tsx';
import { usePlacedDesk } from '../../data/bench-context.ts';
import { Sheet } from '../../sheet/Sheet.tsx';
import { GapCallouts, GapFigures } from './GapCallouts.tsx';
import { GapSettings } from './GapSettings.tsx';
import { LayoutSettings } from './LayoutSettings.tsx';
import { LayoutParameters } from './LayoutParameters.tsx';
import { ReachChoice } from './ReachChoice.tsx';
import { ShareFigures, ShareLines } from './ShareDimensions.tsx';
import { TooSmallSettings } from './TooSmallSettings.tsx';
import { useTilingEdits } from './edits.ts';
import { useTilingKeys } from './tiling-keys.ts';

/** Layout, shares and gaps of the workspace that has the focus, drawn and as figures. */
export function TilingView() {
  const placed = usePlacedDesk();
  const [reach, setReach] = useState<Reach>('profile');
  const edits = useTilingEdits(placed, reach);
  const innerGap = useRef<HTMLInputElement>(null);
  const outerGap = useRef<HTMLInputElement>(null);
  const countInput = useRef<HTMLInputElement>(null);
  const [count, setCount] = useState<number | null>(null);
  useTilingKeys({ placed, edits, innerGap, outerGap, countInput, reach, setReach });
  const measures = measure(placed.focused);

  return (
    <BenchLayout
      name="Tiling"
      inspector={
        <>
          <LayoutSettings
            placed={placed}
            edits={edits}
            count={count}
            onCount={setCount}
            countInput={countInput}
          />
          <ReachChoice placed={placed} reach={reach} onReach={setReach} />
          <LayoutParameters edits={edits} />
          <GapSettings edits={edits} innerGap={innerGap} outerGap={outerGap} />
          <TooSmallSettings edits={edits} />
        </>
      }
    >
      <Sheet
        placed={placed}
        marks={(view) => (
          <>
            <ShareLines measures={measures} placed={placed} view={view} />
            <GapCallouts measures={measures} view={view} />
          </>
        )}
        notes={(view) => (
          <>
            <ShareFigures measures={measures} placed={placed} view={view} edits={edits} />
            <GapFigures measures={measures} view={view} edits={edits} />
          </>
        )}
      />
    </BenchLayout>
  );
}
