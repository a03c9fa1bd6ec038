import type { Profile } from '../model/profile.ts';
import { buttonOf } from '../values/codes.ts';
import { DIRECTIONS, type Direction } from '../values/direction.ts';
import { keyboardOf } from './devices.ts';
import { directedOf } from './ways-back.ts';
import type { KeySlot, BindingCandidate } from './binding-candidates.ts';

/** Commands that lead in several directions and stay together on the keys. */
export interface Group {
  family: string;
  members: ReadonlyMap<Direction, BindingCandidate>;
}

/** A place for a group: the keys of its members, and what they cost. */
export interface GroupPlace {
  slots: ReadonlyMap<Direction, KeySlot>;
  cost: number;
}

/** The families of directions among candidates that are not pinned. */
export function groupsOf(candidates: readonly BindingCandidate[]): Group[] {
  const families = new Map<string, Map<Direction, BindingCandidate>>();
  for (const candidate of candidates) {
    const directed = candidate.pinned === null ? directedOf(candidate.command) : null;
    if (!directed) continue;
    const family = families.get(directed.family) ?? new Map<Direction, BindingCandidate>();
    families.set(directed.family, family.set(directed.direction, candidate));
  }
  return [...families]
    .filter(([, members]) => members.size > 1)
    .map(([family, members]) => ({ family, members }))
    .sort((a, b) => usesOf(b) - usesOf(a));
}

function usesOf({ members }: Group): number {
  return [...members.values()].reduce((sum, { uses }) => sum + uses, 0);
}

/** The order of directions in a row: from the left hand side to the right. */
const ROW: readonly Direction[] = ['left', 'down', 'up', 'right'];

/**
 * The places that a group can have among free keys, the cheapest first: a row of neighbours, or for four a
 * cross with up above down.
 */
export function placesFor(
  profile: Profile,
  { members }: Group,
  slots: readonly KeySlot[],
): GroupPlace[] {
  const needed = ROW.filter((direction) => members.has(direction));
  const bySet = new Map<string, Map<string, KeySlot>>();
  for (const slot of slots) {
    const set = slot.modifiers.join('+');
    const codes = bySet.get(set) ?? new Map<string, KeySlot>();
    bySet.set(set, codes.set(slot.code, slot));
  }
  const shapes = [...rowsOf(profile, slots, needed), ...crossesOf(profile, needed)];
  const places = [...bySet.values()].flatMap((codes) =>
    shapes.flatMap((shape): GroupPlace[] => {
      const at = new Map<Direction, KeySlot>();
      for (const direction of needed) {
        const slot = codes.get(shape[direction] ?? '');
        if (slot) at.set(direction, slot);
      }
      if (at.size < needed.length) return [];
      const cost = [...at].reduce(
        (sum, [direction, slot]) => sum + slot.reach * members.get(direction)!.uses,
        0,
      );
      return [{ slots: at, cost }];
    }),
  );
  return places.sort((a, b) => a.cost - b.cost);
}

type Shape = Partial<Record<Direction, string>>;

/** Runs of neighbours on the board, and of buttons that follow each other. */
function rowsOf(
  profile: Profile,
  slots: readonly KeySlot[],
  needed: readonly Direction[],
): Shape[] {
  const buttons = [...new Set(slots.map(({ code }) => code))]
    .filter((code) => buttonOf(code) !== null)
    .sort((a, b) => buttonOf(a)! - buttonOf(b)!);
  const rows = [...rowsOfBoard(profile), runs(buttons)].flat();
  return rows.flatMap((row) =>
    row.slice(0, row.length - needed.length + 1).map((_, i) => {
      const shape: Shape = {};
      needed.forEach((direction, j) => (shape[direction] = row[i + j]!));
      return shape;
    }),
  );
}

function runs(buttons: readonly string[]): string[][] {
  const all: string[][] = [];
  for (const code of buttons) {
    const last = all.at(-1);
    if (last && buttonOf(last.at(-1)!)! + 1 === buttonOf(code)) last.push(code);
    else all.push([code]);
  }
  return all;
}

/** The keys of each row of the board that touch their neighbours, from the left. */
function rowsOfBoard(profile: Profile): string[][][] {
  const byRow = new Map<number, { code: string; x: number; end: number }[]>();
  for (const { code, x, y, width } of keyboardOf(profile).keys) {
    const row = Math.round(y);
    byRow.set(row, [...(byRow.get(row) ?? []), { code, x, end: x + width }]);
  }
  return [...byRow.values()].map((row) => {
    const touching: string[][] = [];
    let end = -1;
    for (const key of [...row].sort((a, b) => a.x - b.x)) {
      if (Math.abs(key.x - end) < 0.01) touching.at(-1)!.push(key.code);
      else touching.push([key.code]);
      ({ end } = key);
    }
    return touching;
  });
}

/** How far up may stand aside of down. */
const ASIDE = 0.6;

/** Three neighbours, and a key above the middle one. */
function crossesOf(profile: Profile, needed: readonly Direction[]): Shape[] {
  if (needed.length < DIRECTIONS.length) return [];
  const { keys } = keyboardOf(profile);
  return rowsOfBoard(profile)
    .flat()
    .flatMap((row) =>
      row.slice(0, row.length - 2).flatMap((left, i): Shape[] => {
        const [down, right] = [row[i + 1]!, row[i + 2]!];
        const middle = keys.find(({ code }) => code === down)!;
        const up = keys
          .filter(({ y }) => Math.abs(middle.y - 1 - y) < 0.5)
          .map((key) => ({
            key,
            aside: Math.abs(key.x + key.width / 2 - middle.x - middle.width / 2),
          }))
          .filter(({ aside }) => aside <= ASIDE)
          .sort((a, b) => a.aside - b.aside)[0]?.key.code;
        return up === undefined ? [] : [{ left, down, right, up }];
      }),
    );
}
