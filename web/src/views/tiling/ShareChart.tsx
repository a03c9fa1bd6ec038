import { chakra, Flex } from '@chakra-ui/react';
import { windowName } from '@sorn/core/engine';
import { sweep, SWEEP, type Lever } from '@sorn/core/simulate';
import type { Axis } from '@sorn/core/values';
import { lazy, useMemo, useState } from 'react';
import { ChartPlace } from '../../ui/ChartPlace.tsx';
import { Section } from '../../ui/Section.tsx';
import { Choice } from '../../ui/SettingRow.tsx';
import { useWhenIdle } from '../../ui/when-idle.ts';
import { useProfileStore, type DeskLayout } from '../../state/profile-context.ts';
import { BestShare } from './BestShare.tsx';
import type { TilingEdits } from './edits.ts';

const ChartDrawing = lazy(() => import('./ChartDrawing.tsx'));

const STEP = 0.01;

function within(share: number): number {
  return Number(Math.min(SWEEP.to, Math.max(SWEEP.from, share)).toFixed(3));
}

/**
 * Every window's width or height at every share, with the present one marked: a click takes another,
 * so do arrow keys. There is none where nothing is shared: it takes two tiled windows, and a layout with a share or
 * edges that grow.
 */
export function ShareChart(props: {
  deskLayout: DeskLayout;
  edits: TilingEdits;
  lever: Lever | null;
}) {
  const { lever, edits } = props;
  const [asked, setAsked] = useState<Axis | null>(null);
  if (!lever) return null;
  const axis = lever.axis ?? asked ?? 'x';
  const take = (share: number) => edits.takeLever(lever, within(share));
  const name = 'field' in lever.of ? 'share' : `${lever.of.edge} edge of the focused window`;
  return (
    <Section title={`${axis === 'x' ? 'Width' : 'Height'} against share`} note={name}>
      {lever.axis === null && (
        <Choice
          label="Lengths along"
          value={axis}
          options={[
            { value: 'x', text: 'widths' },
            { value: 'y', text: 'heights' },
          ]}
          onChange={setAsked}
        />
      )}
      <chakra.div
        role="slider"
        tabIndex={0}
        aria-label={`Share, with each window’s ${axis === 'x' ? 'width' : 'height'}`}
        aria-valuemin={SWEEP.from}
        aria-valuemax={SWEEP.to}
        aria-valuenow={Number(lever.present.toFixed(3))}
        data-chart
        height="148px"
        _focusVisible={{ outline: '2px solid', outlineColor: 'vermilion' }}
        onKeyDown={(event) => {
          const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          take(lever.present + by * STEP * (event.shiftKey ? 5 : 1));
        }}
      >
        <ChartPlace without="Arrow keys still move the share. ">
          <Swept lever={lever} axis={axis} onTake={take} />
        </ChartPlace>
      </chakra.div>
      <chakra.p fontSize="12px" color="slate">
        Shaded: a window gets less than it wants; red: less than it needs.
      </chakra.p>
      <Flex align="center" gap="8px" minH="28px" wrap="wrap">
        <BestShare
          key={`${props.deskLayout.focused.workspace} ${props.deskLayout.focused.monitor.id}`}
          deskLayout={props.deskLayout}
          onTake={(share) => edits.takeLever(lever, share)}
        />
      </Flex>
    </Section>
  );
}

/** The curves come a moment later than the sheet: they never hold a key up. */
function Swept(props: { lever: Lever; axis: Axis; onTake: (share: number) => void }) {
  const lever = useWhenIdle(props.lever);
  const profile = useProfileStore((state) => state.profile);
  const swept = useMemo(() => sweep(lever, props.axis), [lever, props.axis]);
  const apps = swept.windows.map(({ window }) => profile.apps.find(({ id }) => id === window.app));
  const names = swept.windows.map(({ window }) => windowName(profile, window));
  return (
    <ChartDrawing
      sweep={swept}
      present={lever.present}
      names={names}
      balloons={names.map((name, i) => apps[i]?.balloon ?? name.slice(0, 2))}
      hues={apps.map((app) => app?.hue ?? 200)}
      onTake={props.onTake}
    />
  );
}
