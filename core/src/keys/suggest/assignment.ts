/** What each row costs in each column, row after row. */
export interface Costs {
  rows: number;
  columns: number;
  /** Of row r and column c at r · columns + c. */
  at: Float64Array;
}

/** A cost that stands for "never": beside it every other cost is small. */
export const NEVER = 1e9;

/** An assignment of least cost, with what proves it: no pair costs less than both its potentials together. */
export interface Assignment {
  /** The column of each row. */
  columns: Int32Array;
  total: number;
  rowPotential: Float64Array;
  columnPotential: Float64Array;
}

/**
 * Gives each row a column of its own so that the sum of the costs is the least there is: the Hungarian method
 * with potentials. Rows whose cheapest column is free take it at once, which keeps their potentials right; the
 * others are added one by one, each in O(rows · columns). H. W. Kuhn, "The Hungarian method for the assignment
 * problem", Naval Research Logistics Quarterly 2, 1955; J. Munkres, "Algorithms for the assignment and
 * transportation problems", 1957.
 *
 * @param costs not more rows than columns
 * @param forced the column that a row has to have, −1 where it is free; no column twice
 */
export function leastAssignment(costs: Costs, forced?: Int32Array): Assignment {
  const { rows, columns, at } = costs;
  if (rows > columns) throw new Error(`${rows} rows have no room in ${columns} columns`);
  const rowPotential = new Float64Array(rows);
  const columnPotential = new Float64Array(columns);
  const rowOf = new Int32Array(columns).fill(-1);
  const onlyOf = (row: number) => (forced ? forced[row]! : -1);
  const waiting: number[] = [];
  for (let row = 0; row < rows; row++) {
    const only = onlyOf(row);
    if (only < 0) continue;
    rowPotential[row] = at[row * columns + only]!;
    rowOf[only] = row;
  }
  for (let row = 0; row < rows; row++) {
    if (onlyOf(row) >= 0) continue;
    const start = row * columns;
    let cheapest = 0;
    for (let column = 1; column < columns; column++) {
      if (at[start + column]! < at[start + cheapest]!) cheapest = column;
    }
    rowPotential[row] = at[start + cheapest]!;
    if (rowOf[cheapest]! < 0) rowOf[cheapest] = row;
    else waiting.push(row);
  }
  const least = new Float64Array(columns);
  const before = new Int32Array(columns);
  const isDone = new Uint8Array(columns);
  /** The columns on the way, in their order: only theirs and their rows' potentials change. */
  const done: number[] = [];
  for (const row of waiting) {
    least.fill(Infinity);
    isDone.fill(0);
    done.length = 0;
    let [here, from, end, way] = [row, -1, -1, 0];
    const farAt: number[] = [];
    while (end < 0) {
      // A row with one column only has no other way on.
      if (onlyOf(here) < 0) {
        const start = here * columns;
        const less = way - rowPotential[here]!;
        for (let column = 0; column < columns; column++) {
          if (isDone[column]) continue;
          const far = at[start + column]! - columnPotential[column]! + less;
          if (far < least[column]!) {
            least[column] = far;
            before[column] = from;
          }
        }
      }
      let next = -1;
      way = Infinity;
      for (let column = 0; column < columns; column++) {
        if (!isDone[column] && least[column]! < way) {
          way = least[column]!;
          next = column;
        }
      }
      if (next < 0) throw new Error('no assignment has all that is forced');
      isDone[next] = 1;
      done.push(next);
      farAt.push(way);
      from = next;
      if (rowOf[next]! < 0) end = next;
      else here = rowOf[next]!;
    }
    rowPotential[row] = rowPotential[row]! + way;
    done.forEach((column, i) => {
      const by = way - farAt[i]!;
      columnPotential[column] = columnPotential[column]! - by;
      const owner = rowOf[column]!;
      if (owner >= 0) rowPotential[owner] = rowPotential[owner]! + by;
    });
    for (let column = end; column >= 0;) {
      const former = before[column]!;
      rowOf[column] = former < 0 ? row : rowOf[former]!;
      column = former;
    }
  }
  const found = new Int32Array(rows).fill(-1);
  let total = 0;
  for (let column = 0; column < columns; column++) {
    const row = rowOf[column]!;
    if (row < 0) continue;
    found[row] = column;
    total += at[row * columns + column]!;
  }
  return { columns: found, total, rowPotential, columnPotential };
}

/** The same for a table of costs: the column of each row. */
export function assign(costs: readonly (readonly number[])[]): number[] {
  const rows = costs.length;
  const columns = costs[0]?.length ?? 0;
  return [...leastAssignment({ rows, columns, at: Float64Array.from(costs.flat()) }).columns];
}

/** The sum of the costs of an assignment. */
export function costOf(costs: readonly (readonly number[])[], columns: readonly number[]): number {
  return columns.reduce((sum, column, row) => sum + costs[row]![column]!, 0);
}
