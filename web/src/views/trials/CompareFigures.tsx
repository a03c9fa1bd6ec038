import { chakra } from '@chakra-ui/react';
import {
  lessMeasures,
  MEASURES,
  measureText,
  type ChangeShare,
  type Compared,
  type MeasureName,
  type Shares,
} from '@sorn/core/simulate';
import { countText } from '@sorn/core/values';
import { lazy, useMemo } from 'react';
import { ChartPlace } from '../../ui/ChartPlace.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';

const BarChart = lazy(() => import('../../ui/BarChart.tsx'));
const LinePair = lazy(() => import('../../ui/LinePair.tsx'));

/** One measure over the steps, and its totals. */
export function MeasureSection(props: {
  compared: Compared;
  measure: MeasureName;
  step: number;
  onStep: (at: number) => void;
}) {
  const { compared, measure, step, onStep } = props;
  const { title, unit } = MEASURES[measure];
  const lines = useMemo(
    () =>
      compared.runs.map(({ steps }, i) => ({
        name: compared.names[i]!,
        values: steps.map(({ measures }) => measures[measure]),
      })),
    [compared, measure],
  );
  const totals = useMemo(
    () =>
      compared.runs.map(({ total }, i) => ({
        name: compared.names[i]!,
        value: Number(measureText(measure, total[measure])),
        isMarked: i === 1,
      })),
    [compared, measure],
  );
  return (
    <Section
      title={title}
      note={
        <>
          {unit} by step <KeyCap>M</KeyCap>
        </>
      }
    >
      <ChartPlace>
        <LinePair lines={lines} at={step} onPick={onStep} />
        <BarChart label={`${title} in total`} bars={totals} isAcross />
      </ChartPlace>
    </Section>
  );
}

/** The most changes that are listed. */
const MOST = 30;

/** What makes the difference of a measure: the changes, each with its own share, the largest first. */
export function DifferenceSection(props: {
  compared: Compared;
  measure: MeasureName;
  shares: Shares | null;
  /** How many things differ. */
  changes: number;
}) {
  const { compared, measure, shares, changes } = props;
  const [one, other] = compared.runs;
  const all = lessMeasures(other.total, one.total)[measure];
  const counted = (shares?.changes ?? []).filter(
    (change) => Number(measureText(measure, change.shares[measure])) !== 0,
  );
  const sorted = counted.toSorted(
    (a, b) => Math.abs(b.shares[measure]) - Math.abs(a.shares[measure]),
  );
  const without = (shares?.changes.length ?? 0) - counted.length;
  return (
    <Section title="What makes the difference" note={signed(measure, all)}>
      {changes === 0 ? (
        <chakra.p fontSize="12.5px" color="slate">
          Nothing differs between the two.
        </chakra.p>
      ) : shares === null ? (
        <chakra.p fontSize="12.5px" color="slate" role="status">
          Trying each of {countText(changes, 'change')} alone …
        </chakra.p>
      ) : (
        <chakra.ul fontSize="12.5px" aria-label="What makes the difference">
          {sorted.slice(0, MOST).map((change, i) => (
            <ShareLine key={`${change.text} ${i}`} measure={measure} change={change} />
          ))}
          <ShareLine
            measure={measure}
            change={{ text: 'only several of them together', shares: shares.together }}
          />
          {without > 0 && (
            <chakra.li listStyleType="none" color="slate" py="3px" data-without={without}>
              {countText(without, 'change')} {without === 1 ? 'makes' : 'make'} no difference to
              this.
            </chakra.li>
          )}
        </chakra.ul>
      )}
    </Section>
  );
}

const signed = (measure: MeasureName, value: number) => {
  const text = measureText(measure, value);
  return value > 0 && Number(text) !== 0 ? `+${text}` : text.replace('-', '−');
};

function ShareLine({ measure, change }: { measure: MeasureName; change: ChangeShare }) {
  return (
    <chakra.li
      listStyleType="none"
      display="flex"
      gap="10px"
      alignItems="baseline"
      py="3px"
      borderBottom="1px solid"
      borderColor="hairline"
      data-share={change.text}
      data-value={measureText(measure, change.shares[measure])}
    >
      <chakra.span flex="1" minW="0" overflowWrap="anywhere">
        {change.text}
      </chakra.span>
      <chakra.span fontFamily="mono" fontSize="12px" fontStretch="88%" fontWeight={600}>
        {signed(measure, change.shares[measure])}
      </chakra.span>
    </chakra.li>
  );
}
