import { type Task, TASK_TITLES } from '@sorn/core/commands';
import { chakra, Flex } from '@chakra-ui/react';

import { memo } from 'react';
import { useInSight } from '../../ui/in-sight.ts';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { tableStyle } from '../../ui/table-style.ts';
import type { KeyRow } from './rows.ts';

/** Every binding: its keys, what it does, how often it did something, its reach, and what was found. */
export const KeyTable = memo(function KeyTable(props: {
  rows: readonly KeyRow[];
  inHand: string | null;
  /** Nothing is shown, because of what. */
  empty: string;
  onRow: (id: string) => void;
}) {
  const { rows, inHand, onRow } = props;
  let task: Task | null = null;
  return (
    <>
      <chakra.table width="100%" fontSize="12.5px" css={tableStyle} aria-label="Bindings">
        <thead>
          <tr>
            <th>Keys</th>
            <th>Command</th>
            <th>Layer</th>
            <th style={{ textAlign: 'right' }}>Used</th>
            <th style={{ textAlign: 'right' }}>Reach</th>
            <th>Finding</th>
          </tr>
        </thead>
        <tbody>
          {rows.flatMap((row) => {
            const isFirst = row.task !== task;
            ({ task } = row);
            const line = <Row key={row.id} row={row} isInHand={row.id === inHand} onRow={onRow} />;
            if (!isFirst) return [line];
            return [
              <tr key={row.task} className="task">
                <th colSpan={6} scope="colgroup">
                  {TASK_TITLES[row.task]}
                </th>
              </tr>,
              line,
            ];
          })}
        </tbody>
      </chakra.table>
      {rows.length === 0 && (
        <chakra.p fontSize="13px" color="slate" py="10px">
          {props.empty}
        </chakra.p>
      )}
    </>
  );
});

const Row = memo(function Row(props: {
  row: KeyRow;
  isInHand: boolean;
  onRow: (id: string) => void;
}) {
  const { row, isInHand } = props;
  const element = useInSight<HTMLTableRowElement>(isInHand);
  const found = row.found[0];
  return (
    <tr
      ref={element}
      data-binding={row.id}
      data-in-hand={isInHand}
      style={{ cursor: 'pointer' }}
      onClick={() => props.onRow(row.id)}
    >
      <td>
        <Flex gap="3px" align="center">
          {row.caps.map((step, i) => (
            <Flex key={i} gap="3px" align="center">
              {i > 0 && <span>then</span>}
              <KeyCaps caps={step} />
            </Flex>
          ))}
        </Flex>
      </td>
      <td data-command>
        {row.command}
        {row.from === 'own' && <chakra.span color="slate"> · yours</chakra.span>}
      </td>
      <td>{row.app ? `${row.layer}, ${row.app}` : row.layer}</td>
      <td className="figure" data-used>
        {row.uses}
      </td>
      <td className="figure" data-reach>
        {row.reach.toFixed(1)}
      </td>
      <td data-found={found?.kind ?? ''}>
        {found && (
          <chakra.span color="vermilion" title={row.found.map(({ text }) => text).join('\n')}>
            ▲ {found.title}
          </chakra.span>
        )}
      </td>
    </tr>
  );
});
