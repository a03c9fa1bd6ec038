import type { Profile } from '../../model/profile.ts';
import { type Direction } from '../../values/direction.ts';
import { directedOf } from '../ways-back.ts';
import { shapesOf } from './shapes.ts';
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

/**
 * The places that a group can have among free keys, the cheapest first: a row of neighbours, or for four a
 * cross with up above down.
 */
export function placesFor(
  profile: Profile,
  { members }: Group,
  slots: readonly KeySlot[],
): GroupPlace[] {
  const bySet = new Map<string, Map<string, KeySlot>>();
  for (const slot of slots) {
    const set = slot.modifiers.join('+');
    const codes = bySet.get(set) ?? new Map<string, KeySlot>();
    bySet.set(set, codes.set(slot.code, slot));
  }
  const codes = [...new Set(slots.map(({ code }) => code))];
  const shapes = shapesOf(profile, codes, new Set(members.keys()));
  const places = [...bySet.values()].flatMap((codes) =>
    shapes.flatMap((shape): GroupPlace[] => {
      const at = new Map<Direction, KeySlot>();
      for (const direction of members.keys()) {
        const slot = codes.get(shape[direction] ?? '');
        if (slot) at.set(direction, slot);
      }
      if (at.size < members.size) return [];
      const cost = [...at].reduce(
        (sum, [direction, slot]) => sum + slot.reach * members.get(direction)!.uses,
        0,
      );
      return [{ slots: at, cost }];
    }),
  );
  return places.sort((a, b) => a.cost - b.cost);
}
