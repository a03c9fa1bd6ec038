import { Box, chakra } from '@chakra-ui/react';
import {
  MEASURE_NAMES,
  MEASURES,
  measureText,
  type Compared,
  type MeasureName,
} from '@sorn/core/simulate';
import { useScrollIntoView } from '../../ui/scroll-into-view.ts';
import { tableStyle } from '../../ui/table-style.ts';

/** Step by step and in total: each measure on the left and on the right. */
export function CompareTable(props: {
  compared: Compared;
  step: number;
  measure: MeasureName;
  onStep: (at: number) => void;
}) {
  const { compared, step, measure, onStep } = props;
  const [one, other] = compared.runs;
  const rows = Math.max(one.steps.length, other.steps.length) - 1;
  return (
    <Box
      flex="0 1 auto"
      maxH="212px"
      minH="90px"
      overflow="auto"
      role="region"
      aria-label="Figures of each step"
      tabIndex={0}
    >
      <chakra.table width="100%" fontSize="12px" css={{ ...tableStyle, ...TOTAL_STAYS }}>
        <thead>
          <tr>
            <th>Step</th>
            {MEASURE_NAMES.map((name) => (
              <th
                key={name}
                style={{ textAlign: 'right' }}
                title={`${MEASURES[name].title} (${MEASURES[name].unit})`}
              >
                {SHORT[name]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr data-total>
            <chakra.td fontWeight={650}>Total</chakra.td>
            {MEASURE_NAMES.map((name) => (
              <Pair
                key={name}
                name={name}
                pair={[one.total[name], other.total[name]]}
                isChosen={name === measure}
                isTotal
              />
            ))}
          </tr>
          {Array.from({ length: rows }, (_, i) => (
            <Row
              key={i}
              number={i + 1}
              compared={compared}
              measure={measure}
              isHere={i + 1 === step}
              onStep={onStep}
            />
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}

/** The total stays in sight beneath the head. */
const TOTAL_STAYS = {
  '& tr[data-total] td': { position: 'sticky', top: '26px', zIndex: 1, bg: 'sheet' },
};

const SHORT: Record<MeasureName, string> = {
  presses: 'Presses',
  reach: 'Reach',
  seconds: 'Time, s',
  moved: 'Moved, px',
  underMinimum: 'Under min., px',
  underWanted: 'Under wanted, px',
  wasted: 'Empty, Mpx',
  findings: 'Findings',
};

function Row(props: {
  number: number;
  compared: Compared;
  measure: MeasureName;
  isHere: boolean;
  onStep: (at: number) => void;
}) {
  const { number, compared, measure, isHere, onStep } = props;
  const [one, other] = compared.runs.map(({ steps }) => steps[number]);
  const inSight = useScrollIntoView<HTMLTableRowElement>(isHere);
  return (
    <chakra.tr
      ref={inSight}
      cursor="pointer"
      data-selected={isHere}
      data-step={number}
      onClick={() => onStep(number)}
    >
      <chakra.td whiteSpace="nowrap" maxW="190px" truncate>
        {number} {(one ?? other)!.text}
      </chakra.td>
      {MEASURE_NAMES.map((name) => (
        <Pair
          key={name}
          name={name}
          pair={[one?.measures[name], other?.measures[name]]}
          isChosen={name === measure}
        />
      ))}
    </chakra.tr>
  );
}

function Pair(props: {
  name: MeasureName;
  pair: readonly [number | undefined, number | undefined];
  isChosen: boolean;
  isTotal?: boolean;
}) {
  const { name, pair, isChosen, isTotal = false } = props;
  const [one, other] = pair.map((value) => (value === undefined ? '—' : measureText(name, value)));
  const isSame = one === other;
  return (
    <chakra.td
      className="figure"
      whiteSpace="nowrap"
      fontWeight={isTotal || isChosen ? 650 : 400}
      color={isSame ? 'slate' : 'ink'}
      data-measure={name}
      data-pair={`${one} ${other}`}
    >
      {isSame ? one : `${one} | ${other}`}
    </chakra.td>
  );
}
