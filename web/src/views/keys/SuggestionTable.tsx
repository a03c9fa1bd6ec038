import { chakra } from '@chakra-ui/react';
import type { Suggestion } from '@sorn/core/keys';
import type { ReactNode } from 'react';
import { useInSight } from '../../ui/in-sight.ts';
import { tableStyle } from '../../ui/table-style.ts';

/** What would have which keys, and after it what would have none. */
export function SuggestionTable(props: {
  found: Suggestion;
  capsOf: (keys: string) => ReactNode;
  inHand: string | null;
  onRow: (text: string) => void;
}) {
  const { found, capsOf, inHand, onRow } = props;
  return (
    <chakra.table width="100%" fontSize="12.5px" css={tableStyle}>
      <thead>
        <tr>
          <th>Keys</th>
          <th>Command</th>
          <th style={{ textAlign: 'right' }}>Used</th>
          <th style={{ textAlign: 'right' }}>Reach</th>
          <th>Had</th>
          <th>Is</th>
        </tr>
      </thead>
      <tbody>
        {found.given.map(({ keys, wish, reach, was }) => (
          <Row key={wish.text} text={wish.text} isInHand={wish.text === inHand} onRow={onRow}>
            <td data-keys={keys}>{capsOf(keys)}</td>
            <td>{wish.text}</td>
            <td className="figure">{Math.round(wish.uses)}</td>
            <td className="figure">{reach.toFixed(1)}</td>
            <td>{was === null ? '—' : was === keys ? 'the same' : capsOf(was)}</td>
            <td>{wish.pinned === null ? wish.mark : `${wish.mark}, stays`}</td>
          </Row>
        ))}
        {found.leftOut.length > 0 && (
          <tr className="task">
            <th colSpan={6} scope="colgroup">
              Left out
            </th>
          </tr>
        )}
        {found.leftOut.map(({ text, uses, mark, because }) => (
          <Row key={text} text={text} isInHand={text === inHand} onRow={onRow}>
            <td>—</td>
            <td data-left-out={text}>{text}</td>
            <td className="figure">{Math.round(uses)}</td>
            <td />
            <td>{because}</td>
            <td>{mark}</td>
          </Row>
        ))}
      </tbody>
    </chakra.table>
  );
}

function Row(props: {
  text: string;
  isInHand: boolean;
  onRow: (text: string) => void;
  children: ReactNode;
}) {
  const element = useInSight<HTMLTableRowElement>(props.isInHand);
  return (
    <chakra.tr
      ref={element}
      data-in-hand={props.isInHand}
      cursor="pointer"
      onClick={() => props.onRow(props.text)}
    >
      {props.children}
    </chakra.tr>
  );
}
