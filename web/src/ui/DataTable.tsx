import { Box, chakra } from '@chakra-ui/react';
import {
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type Header,
  type Row,
  type SortingState,
} from '@tanstack/react-table';
import { memo, useMemo, useState, type ReactNode } from 'react';
import { useScrollIntoView } from './scroll-into-view.ts';
import { useScreen } from './screen.ts';
import { tableStyle } from './table-style.ts';
import { useVirtualRows } from './virtual-rows.ts';

/** A column: what stands in its head, and in its cells. */
export type Column<R> = ColumnDef<R> & {
  id: string;
  /** Minor ones are left out where the page is narrow: what they say is in the inspector too. */
  meta?: { isFigure?: boolean; isMinor?: boolean };
};
type Data = Readonly<Record<`data-${string}`, string | number | boolean>>;

// As long as they are not measured.
const ROW_HEIGHT = 31;
const HEADING_HEIGHT = 30;
const HEAD_HEIGHT = 26;

/** A table that scrolls by itself, one row of which is selected. Of a long one only what is in sight is drawn. */
export function DataTable<R extends object>(props: {
  label: string;
  rows: readonly R[];
  columns: readonly Column<R>[];
  idOf: (row: R) => string;
  selected: string | null;
  onRow: (id: string) => void;
  /** What a row is found by: `data-binding="id"`. */
  dataOf: (row: R) => Data;
  /** Rows with the same heading after each other stand under it. */
  headingOf?: (row: R) => string | null;
  /** A press on a head orders the rows by it. */
  isSortable?: boolean;
  /** Below the table, where there are no rows. */
  empty: ReactNode;
}) {
  const { label, rows: data, idOf, selected, onRow, dataOf, headingOf } = props;
  const isNarrow = useScreen((screen) => screen.isNarrow);
  const columns = useMemo(
    () => (isNarrow ? props.columns.filter(({ meta }) => !meta?.isMinor) : props.columns),
    [isNarrow, props.columns],
  );
  const [sorting, setSorting] = useState<SortingState>([]);
  // eslint-disable-next-line react-hooks/incompatible-library -- its functions stay in this component
  const table = useReactTable({
    data: data as R[],
    columns: columns as ColumnDef<R>[],
    state: { sorting },
    onSortingChange: setSorting,
    enableSorting: props.isSortable === true,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getRowId: idOf,
  });
  const lines = withHeadings(table.getRowModel().rows, headingOf);
  const { scroller, shown, before, after, measure } = useVirtualRows<HTMLDivElement>({
    count: lines.length,
    at: lines.findIndex((line) => typeof line !== 'string' && line.id === selected),
    heightOf: (place) => (typeof lines[place] === 'string' ? HEADING_HEIGHT : ROW_HEIGHT),
    headHeight: HEAD_HEIGHT,
  });
  const isPart = shown.length < lines.length;
  return (
    <Box ref={scroller} overflow="auto" minH="0" tabIndex={0} role="region" aria-label={label}>
      <chakra.table
        width="100%"
        fontSize="12.5px"
        css={tableStyle}
        aria-rowcount={isPart ? lines.length + 1 : undefined}
      >
        <thead>
          {table.getHeaderGroups().map(({ id, headers }) => (
            <tr key={id}>
              {headers.map((header) => (
                <Head key={header.id} header={header} />
              ))}
            </tr>
          ))}
        </thead>
        <tbody>
          <Room height={before} />
          {shown.map((place) => {
            const line = lines[place]!;
            if (typeof line === 'string') {
              return (
                <tr
                  key={`heading ${line}`}
                  ref={isPart ? measure : undefined}
                  data-index={place}
                  className="task"
                >
                  <th colSpan={columns.length} scope="colgroup">
                    {line}
                  </th>
                </tr>
              );
            }
            return (
              <Line
                key={line.id}
                row={line}
                of={line.original}
                columns={columns}
                place={isPart ? place : undefined}
                measure={measure}
                data={dataOf(line.original)}
                isSelected={line.id === selected}
                onRow={onRow}
              />
            );
          })}
          <Room height={after} />
        </tbody>
      </chakra.table>
      {lines.length === 0 && (
        <chakra.p fontSize="13px" color="slate" py="10px">
          {props.empty}
        </chakra.p>
      )}
    </Box>
  );
}

/** The rows, before the first of each group its heading. */
function withHeadings<R extends object>(
  rows: readonly Row<R>[],
  headingOf: ((row: R) => string | null) | undefined,
): readonly (Row<R> | string)[] {
  if (!headingOf) return rows;
  let last: string | null = null;
  return rows.flatMap((row) => {
    const heading = headingOf(row.original);
    const isFirst = heading !== null && heading !== last;
    last = heading;
    return isFirst ? [heading, row] : [row];
  });
}

function Head<R extends object>({ header }: { header: Header<R, unknown> }) {
  const { column } = header;
  const title = flexRender(column.columnDef.header, header.getContext());
  const sorted = column.getIsSorted();
  const align = isFigure(column.columnDef) ? ({ textAlign: 'right' } as const) : undefined;
  if (!column.getCanSort()) return <th style={align}>{title}</th>;
  return (
    <th aria-sort={sorted ? `${sorted}ending` : 'none'} style={align}>
      <chakra.button
        type="button"
        fontWeight={600}
        color="slate"
        cursor="pointer"
        onClick={column.getToggleSortingHandler()}
      >
        {title}
        {sorted && (sorted === 'asc' ? ' ↑' : ' ↓')}
      </chakra.button>
    </th>
  );
}

const isFigure = (definition: { meta?: unknown }) =>
  (definition.meta as { isFigure?: boolean } | undefined)?.isFigure === true;

interface LineProps<R extends object> {
  row: Row<R>;
  /** What the row shows: another one is drawn anew. */
  of: R;
  columns: readonly Column<R>[];
  /** Among all lines, where not all are drawn. */
  place: number | undefined;
  measure: (row: Element | null) => void;
  data: Data;
  isSelected: boolean;
  onRow: (id: string) => void;
}

function isSameLine<R extends object>(a: LineProps<R>, b: LineProps<R>): boolean {
  const isSameData = Object.entries(a.data).every(
    ([name, value]) => b.data[name as keyof Data] === value,
  );
  const isSame = a.of === b.of && a.isSelected === b.isSelected && a.place === b.place;
  return isSame && isSameData && a.columns === b.columns && a.onRow === b.onRow;
}

const Line = memo(function Line<R extends object>(props: LineProps<R>) {
  const { row, isSelected } = props;
  // Where only a part is drawn, the list is scrolled by itself.
  const element = useScrollIntoView<HTMLTableRowElement>(
    isSelected && props.place === undefined,
    row.index,
  );
  return (
    <tr
      ref={props.place === undefined ? element : props.measure}
      data-index={props.place}
      data-selected={isSelected}
      {...props.data}
      // The head is the first.
      aria-rowindex={props.place === undefined ? undefined : props.place + 2}
      style={{ cursor: 'pointer' }}
      onClick={() => props.onRow(row.id)}
    >
      {row.getVisibleCells().map((cell) => (
        <td
          key={cell.id}
          data-column={cell.column.id}
          className={isFigure(cell.column.columnDef) ? 'figure' : undefined}
        >
          {flexRender(cell.column.columnDef.cell, cell.getContext())}
        </td>
      ))}
    </tr>
  );
}, isSameLine) as <R extends object>(props: LineProps<R>) => ReactNode;

/** The room of rows that are not drawn. */
function Room({ height }: { height: number }) {
  if (height <= 0) return null;
  return (
    <tr aria-hidden>
      <td style={{ height, border: 0, padding: 0 }} />
    </tr>
  );
}
