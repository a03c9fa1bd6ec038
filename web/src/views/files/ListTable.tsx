import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { tableStyle } from '../../ui/table-style.ts';

/** What does not fit into a cell is cut. */
export const CUT = { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' } as const;

/** A list that scrolls by itself, as a table; what is drawn below it keeps half of the height. */
export function ListTable(props: {
  label: string;
  /** A column without a width has what is left. */
  columns: readonly { name: string; width?: string; isHidden?: boolean }[];
  /** Lines. */
  children: ReactNode;
  /** Below the last line. */
  foot?: ReactNode;
}) {
  const { label, columns, children, foot } = props;
  return (
    <Box
      flex="0 1 auto"
      minH="96px"
      maxH="46%"
      overflow="auto"
      tabIndex={0}
      role="region"
      aria-label={label}
    >
      <chakra.table width="100%" fontSize="12.5px" css={{ ...tableStyle, tableLayout: 'fixed' }}>
        <thead>
          <tr>
            {columns.map(({ name, width, isHidden }) => (
              <chakra.th key={name} width={width} aria-label={isHidden ? name : undefined}>
                {isHidden ? null : name}
              </chakra.th>
            ))}
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </chakra.table>
      {foot}
    </Box>
  );
}
