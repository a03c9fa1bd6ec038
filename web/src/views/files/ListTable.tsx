import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { useScreen } from '../../ui/screen.ts';
import { tableStyle } from '../../ui/table-style.ts';

/** What does not fit into a cell is cut. */
export const CUT = { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' } as const;

/** Of its width a column keeps this much where the page is narrow. */
const NARROW_SHARE = 0.6;

/** A list that scrolls by itself, as a table; what is drawn below it keeps half of the height. */
export function ListTable(props: {
  label: string;
  /** A column without a width, in pixels, has what is left. */
  columns: readonly { name: string; width?: number; isHidden?: boolean }[];
  /** Lines. */
  children: ReactNode;
  /** Below the last line. */
  foot?: ReactNode;
}) {
  const { label, columns, children, foot } = props;
  const share = useScreen((screen) => screen.isNarrow) ? NARROW_SHARE : 1;
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
              <chakra.th
                key={name}
                width={width === undefined ? undefined : `${width * share}px`}
                aria-label={isHidden ? name : undefined}
              >
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
