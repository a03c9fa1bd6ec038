import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { Choice } from './SettingRow.tsx';
import { tableStyle } from './table-style.ts';

type DecisionSide = 'mine' | 'theirs';

/** Something that two sides have otherwise, in words. */
export interface DecisionRow {
  id: string;
  what: string;
  mine: string;
  theirs: string;
}

/** What is chosen of two sides, row by row, and the keys for it. */
export interface DecisionState {
  sides: readonly DecisionSide[];
  at: number;
  choose: (row: number, side: DecisionSide) => void;
  /** To the row above or below. */
  move: (by: 1 | -1) => void;
  /** By the id of the row. */
  decided: () => ReadonlyMap<string, DecisionSide>;
}

/** Begins with what is mine in every row. */
export function useDecisions(rows: readonly DecisionRow[]): DecisionState {
  const [chosen, setChosen] = useState<Readonly<Record<string, DecisionSide>>>({});
  const [place, setPlace] = useState(0);
  const sides = rows.map(({ id }) => chosen[id] ?? 'mine');
  const at = Math.min(place, Math.max(0, rows.length - 1));
  return {
    sides,
    at,
    choose(row, side) {
      const here = rows[row];
      if (here) setChosen({ ...chosen, [here.id]: side });
    },
    move: (by) => setPlace(Math.min(rows.length - 1, Math.max(0, at + by))),
    decided: () => new Map(rows.map(({ id }, i) => [id, sides[i]!])),
  };
}

/** A row for everything that is to be decided; a row shows what each side has. */
export function DecisionTable(props: {
  rows: readonly DecisionRow[];
  state: DecisionState;
  /** What the sides are called: in the head of the table, and in a choice. */
  mine: { head: string; text: string };
  theirs: { head: string; text: string };
}) {
  const { rows, state, mine, theirs } = props;
  const options = [
    { value: 'mine', text: mine.text },
    { value: 'theirs', text: theirs.text },
  ] as const;
  return (
    <Box maxH="50vh" overflowY="auto" tabIndex={0} role="region" aria-label="What conflicts">
      <chakra.table width="100%" fontSize="12.5px" css={tableStyle}>
        <thead>
          <tr>
            <th>What</th>
            <th>{mine.head}</th>
            <th>{theirs.head}</th>
            <th>Keep that of</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={row.id} data-conflict={row.id} data-selected={i === state.at}>
              <td>{row.what}</td>
              <td>{row.mine}</td>
              <td>{row.theirs}</td>
              <td>
                <Choice
                  label={`Keep ${row.what} of`}
                  value={state.sides[i]!}
                  options={options}
                  onChange={(side) => state.choose(i, side)}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}
