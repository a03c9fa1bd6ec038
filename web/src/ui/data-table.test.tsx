// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { draw } from '../testing/view.tsx';
import { DataTable, type Column } from './DataTable.tsx';

interface Row {
  id: string;
  name: string;
  uses: number;
}

const ROWS: Row[] = [
  { id: 'a', name: 'Maps', uses: 3 },
  { id: 'b', name: 'Notes', uses: 20 },
  { id: 'c', name: 'Post', uses: 1 },
];
const COLUMNS: Column<Row>[] = [
  { id: 'name', header: 'Name', accessorKey: 'name', cell: ({ row }) => row.original.name },
  {
    id: 'uses',
    header: 'Uses',
    accessorKey: 'uses',
    cell: ({ row }) => row.original.uses,
    meta: { isFigure: true },
  },
];

function drawTable(rows: readonly Row[], headingOf?: (row: Row) => string) {
  const chosen: string[] = [];
  const user = draw(
    <DataTable
      label="Apps"
      rows={rows}
      columns={COLUMNS}
      idOf={({ id }) => id}
      selected="b"
      onRow={(id) => chosen.push(id)}
      dataOf={({ id }) => ({ 'data-app': id })}
      isSortable
      empty="No apps."
      {...(headingOf && { headingOf })}
    />,
  );
  const lines = () =>
    screen
      .getAllByRole('row')
      .slice(1)
      .map((row) => row.textContent);
  return { user, chosen, lines };
}

describe('a table', () => {
  it('shows its rows in their order, marks the selected one, and tells which one is pressed', async () => {
    const { user, chosen, lines } = drawTable(ROWS);
    expect(lines()).toEqual(['Maps3', 'Notes20', 'Post1']);
    const marked = document.querySelectorAll('[data-selected=true]');
    expect([...marked].map((row) => row.getAttribute('data-app'))).toEqual(['b']);
    await user.click(screen.getByText('Post'));
    expect(chosen).toEqual(['c']);
  });

  it('is ordered by a column, the other way by the next press, and as it was by a third', async () => {
    const { user, lines } = drawTable(ROWS);
    const press = () => user.click(screen.getByRole('button', { name: /Name/ }));
    await press();
    expect(lines()).toEqual(['Maps3', 'Notes20', 'Post1']);
    await press();
    expect(lines()).toEqual(['Post1', 'Notes20', 'Maps3']);
    const head = screen.getByRole('columnheader', { name: /Name/ });
    expect(head.getAttribute('aria-sort')).toBe('descending');
    await press();
    expect(lines()).toEqual(['Maps3', 'Notes20', 'Post1']);
  });

  it('has a heading before the first of each group only', () => {
    const { lines } = drawTable(ROWS, ({ uses }) => (uses > 2 ? 'Used' : 'Hardly used'));
    expect(lines()).toEqual(['Used', 'Maps3', 'Notes20', 'Hardly used', 'Post1']);
  });

  it('of a long list tells how long it is, and draws a part', () => {
    const many = Array.from({ length: 301 }, (_, i) => ({ id: `${i}`, name: `App ${i}`, uses: i }));
    const { lines } = drawTable(many);
    // The head is a row as well.
    expect(screen.getByRole('table').getAttribute('aria-rowcount')).toBe('302');
    expect(lines().length).toBeLessThan(100);
  });

  it('says what stands in the place of no rows', () => {
    drawTable([]);
    expect(screen.getByText('No apps.')).toBeTruthy();
  });
});
