import { chakra } from '@chakra-ui/react';
import { binsOf, expectationText, expectationsOf } from '@sorn/core/simulate';
import { lazy, useMemo } from 'react';
import type { WatchedTrial } from '../../state/trial-watch.ts';
import { ChartPlace } from '../../ui/ChartPlace.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';

const BarChart = lazy(() => import('../../ui/BarChart.tsx'));

/** In how many tries each expectation held, and what the tries cost. */
export function FiguresSection({ watched }: { watched: WatchedTrial }) {
  const { trial, result } = watched;
  const expectations = useMemo(() => expectationsOf(trial).map(expectationText), [trial]);
  const bars = useMemo(
    () =>
      result && {
        held: expectations.map((name, i) => ({
          name,
          value: result.tries - (result.missed[i]?.length ?? 0),
          isMarked: (result.missed[i]?.length ?? 0) > 0,
        })),
        presses: barsOf(result.presses),
        moved: barsOf(result.moved),
      },
    [expectations, result],
  );
  if (!result || !bars || result.tries < 2) return null;
  return (
    <ChartPlace>
      <Section title="In how many tries it held" note={`of ${result.tries.toLocaleString('en')}`}>
        <BarChart label="In how many tries each expectation held" bars={bars.held} isAcross />
      </Section>
      {bars.presses.length > 1 && (
        <Section title="Key presses" note="how many tries took so many">
          <BarChart label="Tries by key presses" bars={bars.presses} />
        </Section>
      )}
      <Section title="How far windows moved" note="tries by physical pixels">
        {bars.moved.length > 0 ? (
          <BarChart label="Tries by pixels moved" bars={bars.moved} />
        ) : (
          <chakra.p fontSize="12.5px" color="slate">
            <KeyCap>R</KeyCap> does all tries and measures it.
          </chakra.p>
        )}
      </Section>
    </ChartPlace>
  );
}

function barsOf(counts: Readonly<Record<number, number>>) {
  return binsOf(counts).map(({ from, to, tries }) => ({
    name: from === to ? from.toLocaleString('en') : `${from} to ${to}`,
    value: tries,
  }));
}
