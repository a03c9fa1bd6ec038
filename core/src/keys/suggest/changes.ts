import { commandText } from '../../commands/command.ts';
import type { InputDevice } from '../../model/keys.ts';
import type { Profile } from '../../model/profile.ts';
import { withBinding, asOwn } from '../edit.ts';
import { keyMap, meaning, type KeyBinding } from '../map.ts';
import { NEVER, type Costs } from './assignment.ts';
import {
  movableOf,
  standsForName,
  withoutBindings,
  type Movable,
  type Place,
  type UsesADay,
} from './movable.ts';
import { leastPlacement, type Placement } from './placement.ts';
import { bondsOf, type Bond } from './bonds.ts';

/** How much it counts that a key stays which stands for the name of what it does. */
export const LETTERS = ['not at all', 'a little', 'much', 'a lot'] as const;
export type LettersMatter = (typeof LETTERS)[number];
/** What the loss of such a letter counts, in reach for each use. */
const LETTER_WORTH: Record<LettersMatter, number> = {
  'not at all': 0,
  'a little': 0.5,
  much: 1.5,
  'a lot': 4,
};
/** Letters of what is hardly used count as if it were used so often a day. */
const LEAST_USE_OF_LETTERS = 0.5;
/** What is never used still prefers near places, after everything else. */
const LEAST_USE = 1e-3;

/** What to suggest changes for. */
export interface ChangesFor {
  device: InputDevice;
  /** Only these inputs get anything new; all that are free to have bindings where left out. */
  codes?: readonly string[];
  /** Null: as estimated. */
  counted: UsesADay | null;
  /** What belongs together stays so. */
  together: boolean;
  letters: LettersMatter;
}

/** One binding that gets other keys. */
export interface KeyMove {
  binding: KeyBinding;
  to: string;
  /** Uses a day. */
  uses: number;
  /** Reach a day that is spared; less than 0 where it makes room for others. */
  spares: number;
}

/** Bindings that can only move together: some take the places of others, or belong together. */
export interface KeyChange {
  id: string;
  /** What spares the most first. */
  moves: readonly KeyMove[];
  /** Reach a day. */
  spares: number;
}

/** The best changes of so many keys. */
export interface KeyChanges {
  /** Bindings that get other keys. */
  keys: number;
  /** Reach a day. */
  spares: number;
  /** Whether no changes of as many keys spare more, or only none were found. */
  is: 'proven' | 'best found';
  changes: readonly KeyChange[];
}

/** The best changes for each number of keys. */
export interface ChangesFound {
  /** Bindings that may move. */
  keys: number;
  /** Reach a day of all that may move, as it is. */
  before: number;
  /** By the number of keys, from 0 on; one that spares no more than fewer keys is left out. */
  points: readonly KeyChanges[];
  /** The position of the one after which every further key spares less than on average. */
  knee: number;
}

/** How far a search is. */
export interface ChangesProgress {
  tried: number;
  /** How many more there may be. */
  of: number;
}

/** More keys than this at once nobody learns. */
export const MOST_KEYS = 40;
/** Branches that are looked at for one placement. */
const MOST_BRANCHES = 150;
/** A key more has to spare so much reach a day at the least. */
const LEAST_WORTH = 0.05;

interface Solution extends Placement {
  keys: number;
  spares: number;
  /** What is spared, with what is lost in letters. */
  worth: number;
}

/**
 * Searches the changes that spare the most reach for each number of keys that change. A cost for every key that
 * changes is lowered step by step (Lagrange): what is best at some cost is best for its number of keys too, and proven
 * where the placement is. What lies between is put together from single changes of these.
 * H. Everett, "Generalized Lagrange multiplier method for solving problems of optimum allocation of resources",
 * Operations Research 11, 1963; the corners are found as in M. J. Eisner and D. G. Severance, "Mathematical techniques
 * for efficient record segmentation in large shared databases", Journal of the ACM 23, 1976.
 */
export function* searchChanges(
  profile: Profile,
  { device, codes, counted, together, letters }: ChangesFor,
): Generator<ChangesProgress, ChangesFound> {
  const { movable, places } = movableOf(profile, device, counted, codes);
  const groups = together ? bondsOf(profile, movable, places) : [];
  const base = costsOf(profile, movable, places, LETTER_WORTH[letters]);
  const homes = Int32Array.from(movable.map(({ home }) => home));
  const spared = (placeOf: Int32Array) =>
    movable.reduce(
      (sum, { uses }, i) => sum + uses * (places[homes[i]!]!.reach - places[placeOf[i]!]!.reach),
      0,
    );
  const baseTotal = totalOf(base, homes);
  const solve = (costOfKey: number): Solution => {
    const found = leastPlacement(
      withCostOfKey(base, homes, costOfKey),
      homes,
      groups,
      MOST_BRANCHES,
    );
    const keys = found.placeOf.reduce((sum, place, i) => sum + Number(place !== homes[i]), 0);
    return {
      ...found,
      keys,
      spares: spared(found.placeOf),
      worth: baseTotal - totalOf(base, found.placeOf),
    };
  };
  const none: Solution = { placeOf: homes, total: 0, isProven: true, keys: 0, spares: 0, worth: 0 };
  const corners = new Map([[0, none]]);
  let tried = 0;
  const progress = (more: number): ChangesProgress => ({ tried, of: tried + more });
  // Costs at which more and more keys change, down to where it is enough.
  let costOfKey = mostSpared(movable, places);
  let last = none;
  const found = [none];
  for (; costOfKey > LEAST_WORTH && last.keys < MOST_KEYS; costOfKey *= 0.7) {
    last = solve(costOfKey);
    tried++;
    found.push(last);
    yield progress(2 * MOST_KEYS);
  }
  const gaps = found.slice(1).map((solution, i): [Solution, Solution] => [found[i]!, solution]);
  for (const solution of found) keepBest(corners, solution);
  while (gaps.length > 0) {
    const [low, high] = gaps.pop()!;
    if (high.keys - low.keys < 2 || low.keys >= MOST_KEYS) continue;
    const slope = (high.worth - low.worth) / (high.keys - low.keys);
    if (slope < LEAST_WORTH) continue;
    const between = solve(slope);
    tried++;
    keepBest(corners, between);
    yield progress(gaps.length * 2);
    const gain = between.worth - slope * between.keys - (low.worth - slope * low.keys);
    if (gain <= 1e-6 || between.keys <= low.keys || between.keys >= high.keys) continue;
    gaps.push([low, between], [between, high]);
  }
  const points = withBetween([...corners.values()], movable, places, homes, groups);
  return {
    keys: movable.length,
    before: movable.reduce((sum, { uses, home }) => sum + uses * places[home]!.reach, 0),
    points,
    knee: kneeOf(points),
  };
}

function keepBest(corners: Map<number, Solution>, solution: Solution): void {
  const known = corners.get(solution.keys);
  if (!known || solution.worth > known.worth) corners.set(solution.keys, solution);
}

/** What every binding costs in every place, as long as moving costs nothing. */
function costsOf(
  profile: Profile,
  movable: readonly Movable[],
  places: readonly Place[],
  letterWorth: number,
): Costs {
  const columns = places.length;
  const at = new Float64Array(movable.length * columns);
  movable.forEach(({ binding, uses, home }, row) => {
    const { command } = binding;
    const isNamed = standsForName(profile, command!, places[home]!.code);
    const lost = isNamed ? letterWorth * Math.max(uses, LEAST_USE_OF_LETTERS) : 0;
    places.forEach(({ reach, code, isHeld }, column) => {
      const loses = lost > 0 && !standsForName(profile, command!, code);
      at[row * columns + column] =
        isHeld && column !== home ? NEVER : Math.max(uses, LEAST_USE) * reach + (loses ? lost : 0);
    });
  });
  return { rows: movable.length, columns, at };
}

function withCostOfKey({ rows, columns, at }: Costs, homes: Int32Array, costOfKey: number): Costs {
  const dearer = at.map((cost) => cost + costOfKey);
  homes.forEach((home, row) => (dearer[row * columns + home] = at[row * columns + home]!));
  return { rows, columns, at: dearer };
}

function totalOf({ columns, at }: Costs, placeOf: Int32Array): number {
  return placeOf.reduce((sum, place, row) => sum + at[row * columns + place]!, 0);
}

/** The most that one binding can spare. */
function mostSpared(movable: readonly Movable[], places: readonly Place[]): number {
  const nearest = Math.min(...places.map(({ reach }) => reach));
  return Math.max(0, ...movable.map(({ uses, home }) => uses * (places[home]!.reach - nearest)));
}

/**
 * The best of every number of keys: the corners, and between them what can be put together from the changes of one
 * (a knapsack of whole changes).
 */
function withBetween(
  corners: readonly Solution[],
  movable: readonly Movable[],
  places: readonly Place[],
  homes: Int32Array,
  groups: readonly Bond[],
): KeyChanges[] {
  const best = new Map<number, KeyChanges>();
  const keep = (point: KeyChanges) => {
    const known = best.get(point.keys);
    if (!known || point.spares > known.spares + 1e-9) best.set(point.keys, point);
  };
  const sorted = [...corners].sort((a, b) => a.keys - b.keys);
  for (const { placeOf, keys, isProven } of sorted) {
    const changes = changesOf(placeOf, movable, places, homes, groups);
    if (keys <= MOST_KEYS) {
      keep({ keys, spares: sparedBy(changes), is: isProven ? 'proven' : 'best found', changes });
    }
    for (const some of combinations(changes)) {
      const count = some.reduce((sum, { moves }) => sum + moves.length, 0);
      if (count < keys && count <= MOST_KEYS) {
        keep({ keys: count, spares: sparedBy(some), is: 'best found', changes: some });
      }
    }
  }
  const points: KeyChanges[] = [];
  for (const point of [...best.values()].sort((a, b) => a.keys - b.keys)) {
    const last = points.at(-1);
    if (!last || point.spares > last.spares + 1e-9) points.push(point);
  }
  return points;
}

const sparedBy = (changes: readonly KeyChange[]) =>
  changes.reduce((sum, { spares }) => sum + spares, 0);

/** For every number of keys the changes that spare the most together. */
function combinations(changes: readonly KeyChange[]): KeyChange[][] {
  let table = new Map<number, { spares: number; of: KeyChange[] }>([[0, { spares: 0, of: [] }]]);
  for (const change of changes) {
    const next = new Map(table);
    for (const [keys, { spares, of }] of table) {
      const more = keys + change.moves.length;
      if (more > MOST_KEYS) continue;
      const known = next.get(more);
      if (!known || spares + change.spares > known.spares) {
        next.set(more, { spares: spares + change.spares, of: [...of, change] });
      }
    }
    table = next;
  }
  return [...table.values()].map(({ of }) => of);
}

/** The moves of a placement, those together that can only be taken together. */
function changesOf(
  placeOf: Int32Array,
  movable: readonly Movable[],
  places: readonly Place[],
  homes: Int32Array,
  groups: readonly Bond[],
): KeyChange[] {
  const moved = movable.flatMap((_, i) => (placeOf[i] === homes[i] ? [] : [i]));
  const ownerOf = new Map(movable.map(({ home }, i) => [home, i]));
  const parents = new Map(moved.map((i) => [i, i]));
  const rootOf = (i: number): number => (parents.get(i) === i ? i : rootOf(parents.get(i)!));
  const join = (i: number, j: number) => parents.set(rootOf(i), rootOf(j));
  for (const i of moved) {
    const owner = ownerOf.get(placeOf[i]!);
    if (owner !== undefined) join(i, owner);
  }
  for (const { members } of groups) {
    const [first, ...others] = members.filter((i) => parents.has(i));
    for (const other of others) join(first!, other);
  }
  const sets = new Map<number, number[]>();
  for (const i of moved) sets.set(rootOf(i), [...(sets.get(rootOf(i)) ?? []), i]);
  return [...sets.values()]
    .map((set): KeyChange => {
      const moves = set
        .map((i): KeyMove => {
          const { binding, uses } = movable[i]!;
          const [from, to] = [places[homes[i]!]!, places[placeOf[i]!]!];
          return { binding, to: to.keys, uses, spares: uses * (from.reach - to.reach) };
        })
        .sort((a, b) => b.spares - a.spares || b.uses - a.uses);
      const id = moves
        .map(({ binding, to }) => `${commandText(binding.command!)} ${to}`)
        .join(', ');
      return { id, moves, spares: moves.reduce((sum, { spares }) => sum + spares, 0) };
    })
    .sort((a, b) => b.spares / b.moves.length - a.spares / a.moves.length);
}

/**
 * Where a curve bends the most: the point farthest above the straight line from its first point to its last. V. Satopää,
 * J. Albrecht, D. Irwin and B. Raghavan, "Finding a ‘kneedle’ in a haystack", ICDCS Workshops 2011.
 */
function kneeOf(points: readonly KeyChanges[]): number {
  const last = points.at(-1)!;
  const above = points.map(
    ({ keys, spares }) => spares / (last.spares || 1) - keys / (last.keys || 1),
  );
  return above.indexOf(Math.max(...above));
}

/** The profile with some changes taken, each binding with what it has besides its keys. */
export function withChanges(profile: Profile, changes: readonly KeyChange[]): Profile {
  const moves = changes.flatMap(({ moves: each }) => each);
  const there = new Map(keyMap(profile).map((binding) => [meaning(binding), binding]));
  // What is gone since, or was changed, stays as it is.
  const found = moves.flatMap(({ binding, to }) => {
    const now = there.get(meaning(binding));
    return now ? [{ binding: now, to }] : [];
  });
  const cleared = withoutBindings(
    profile,
    found.map(({ binding }) => binding),
  );
  return [...found]
    .reverse()
    .reduce((now, { binding, to }) => withBinding(now, { ...asOwn(binding), keys: to }), cleared);
}
