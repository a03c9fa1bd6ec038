/**
 * Gives each row a column of its own so that the sum of the costs is the least there is: the Hungarian method
 * with potentials, in O(rows² · columns). H. W. Kuhn, "The Hungarian method for the assignment problem", Naval
 * Research Logistics Quarterly 2, 1955; J. Munkres, "Algorithms for the assignment and transportation problems",
 * 1957.
 *
 * @param costs a finite cost for each row and column; not more rows than columns
 * @returns the column of each row
 */
export function assign(costs: readonly (readonly number[])[]): number[] {
  const rows = costs.length;
  const columns = costs[0]?.length ?? 0;
  if (rows > columns) throw new Error(`${rows} rows have no room in ${columns} columns`);
  // Counted from 1: row and column 0 stand for "none".
  const rowPotential = new Float64Array(rows + 1);
  const columnPotential = new Float64Array(columns + 1);
  const rowOf = new Int32Array(columns + 1);
  const before = new Int32Array(columns + 1);
  for (let row = 1; row <= rows; row++) {
    rowOf[0] = row;
    let column = 0;
    const least = new Float64Array(columns + 1).fill(Infinity);
    const isDone = new Uint8Array(columns + 1);
    do {
      isDone[column] = 1;
      const at = rowOf[column]!;
      let delta = Infinity;
      let next = 0;
      for (let j = 1; j <= columns; j++) {
        if (isDone[j]) continue;
        const reduced = costs[at - 1]![j - 1]! - rowPotential[at]! - columnPotential[j]!;
        if (reduced < least[j]!) {
          least[j] = reduced;
          before[j] = column;
        }
        if (least[j]! < delta) {
          delta = least[j]!;
          next = j;
        }
      }
      for (let j = 0; j <= columns; j++) {
        if (isDone[j]) {
          rowPotential[rowOf[j]!]! += delta;
          columnPotential[j]! -= delta;
        } else least[j]! -= delta;
      }
      column = next;
    } while (rowOf[column] !== 0);
    while (column !== 0) {
      const from = before[column]!;
      rowOf[column] = rowOf[from]!;
      column = from;
    }
  }
  const found = new Array<number>(rows).fill(-1);
  for (let j = 1; j <= columns; j++) if (rowOf[j]! > 0) found[rowOf[j]! - 1] = j - 1;
  return found;
}

/** The sum of the costs of an assignment. */
export function costOf(costs: readonly (readonly number[])[], columns: readonly number[]): number {
  return columns.reduce((sum, column, row) => sum + costs[row]![column]!, 0);
}
