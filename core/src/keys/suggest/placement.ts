import { leastAssignment, type Assignment, type Costs } from './assignment.ts';
import type { Bond } from './bonds.ts';

/** A place for every binding, and whether no other placement costs less. */
export interface Placement {
  /** The place of each binding. */
  placeOf: Int32Array;
  total: number;
  isProven: boolean;
}

interface Node {
  /** No placement of this branch costs less. */
  bound: number;
  forced: Int32Array;
}

/** Totals that differ by less, in reach a day, are alike. */
const ALIKE = 0.02;

/**
 * Gives every binding a place of its own at the least cost, with what belongs together kept so: branch and bound
 * over the places of what belongs together. Its bounds are assignments in which all go their own ways, and for a
 * branch not yet looked at the same with the reduced costs of what it fixes. A. H. Land and A. G. Doig, "An automatic
 * method of solving discrete programming problems", Econometrica 28, 1960.
 *
 * @param most how many branches are looked at before the best one found so far is taken
 */
export function leastPlacement(
  costs: Costs,
  homes: Int32Array,
  together: readonly Bond[],
  most: number,
): Placement {
  const allowed = together.map(({ places }) => new Set(places.map((place) => place.join())));
  const tornIn = ({ columns }: Assignment) =>
    together.findIndex(
      ({ members }, i) => !allowed[i]!.has(members.map((member) => columns[member]!).join()),
    );
  const free = new Int32Array(costs.rows).fill(-1);
  const open: Node[] = [{ bound: -Infinity, forced: free }];
  let best: Placement = {
    placeOf: homes,
    total: homes.reduce((sum, home, row) => sum + costs.at[row * costs.columns + home]!, 0),
    isProven: false,
  };
  let looked = 0;
  while (open.length > 0) {
    let node: Node | undefined = takeLeast(open);
    if (node.bound >= best.total - ALIKE) break;
    // Down to a whole placement by the best branch each time: a good one found early cuts most others.
    while (node) {
      if (looked++ >= most) return best;
      const found = leastAssignment(costs, node.forced);
      if (found.total >= best.total - ALIKE) break;
      const torn = tornIn(found);
      if (torn < 0) {
        best = { placeOf: found.columns, total: found.total, isProven: false };
        break;
      }
      const { members, places } = together[torn]!;
      const branches: Node[] = [];
      for (const place of places) {
        const bound = found.total + boundOf(costs, found, members, place);
        if (bound >= best.total - ALIKE) continue;
        const forced = node.forced.slice();
        members.forEach((member, i) => (forced[member] = place[i]!));
        if (isLegal(forced)) branches.push({ bound, forced });
      }
      node = branches.length > 0 ? takeLeast(branches) : undefined;
      open.push(...branches);
    }
  }
  return { ...best, isProven: true };
}

/** By how much an assignment costs more at the least, where some bindings have these places. */
function boundOf(
  { at, columns }: Costs,
  { rowPotential, columnPotential }: Assignment,
  members: readonly number[],
  place: readonly number[],
): number {
  return members.reduce((sum, row, i) => {
    const column = place[i]!;
    const reduced = at[row * columns + column]! - rowPotential[row]! - columnPotential[column]!;
    return sum + Math.max(0, reduced);
  }, 0);
}

function isLegal(forced: Int32Array): boolean {
  const taken = new Set<number>();
  for (const column of forced) {
    if (column < 0) continue;
    if (taken.has(column)) return false;
    taken.add(column);
  }
  return true;
}

/** The node of the least bound, taken out. */
function takeLeast(open: Node[]): Node {
  let least = 0;
  open.forEach(({ bound }, i) => {
    if (bound < open[least]!.bound) least = i;
  });
  const [node] = open.splice(least, 1);
  return node!;
}
