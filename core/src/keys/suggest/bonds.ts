import { commandText } from '../../commands/command.ts';
import type { Profile } from '../../model/profile.ts';
import type { Direction } from '../../values/direction.ts';
import { directedOf, wayBack } from '../ways-back.ts';
import { namedTargetsOf } from './binding-candidates.ts';
import type { Movable, Place } from './movable.ts';
import { neighbourRows, shapesOf } from './shapes.ts';

/** Bindings that only make sense together, and all the places that they can have as such. */
export interface Bond {
  /** Their positions among the movable bindings. */
  members: readonly number[];
  /** A place for each member, in their order; the first is where they are now. */
  places: readonly (readonly number[])[];
}

/**
 * What belongs together: the directions of a command with the same modifiers, a command and the one that leads back
 * where they share a key or are neighbours, and what concerns one workspace, app or zone where it shares a key.
 */
export function bondsOf(
  profile: Profile,
  movable: readonly Movable[],
  places: readonly Place[],
): Bond[] {
  const rows = neighbourRows(
    profile,
    places.map(({ code }) => code),
  );
  const sets = joined(movable, places, rows);
  return sets.flatMap((members): Bond[] => {
    const found = placesTogether(profile, members, movable, places, rows);
    return found.length > 1 ? [{ members, places: found }] : [];
  });
}

/** Sets of two and more bindings that belong together. */
function joined(
  movable: readonly Movable[],
  places: readonly Place[],
  rows: readonly (readonly string[])[],
): number[][] {
  const parents = movable.map((_, i) => i);
  const rootOf = (i: number): number => (parents[i] === i ? i : rootOf(parents[i]!));
  const first = new Map<string, number>();
  const joinBy = (key: string, i: number) => {
    const other = first.get(key);
    if (other === undefined) first.set(key, i);
    else parents[rootOf(i)] = rootOf(other);
  };
  const at = (i: number) => places[movable[i]!.home]!;
  const commands = movable.map(({ binding }) => binding.command!);
  const byText = new Map<string, number[]>();
  commands.forEach((command, i) => {
    const text = commandText(command);
    byText.set(text, [...(byText.get(text) ?? []), i]);
  });
  commands.forEach((command, i) => {
    const { code, modifiers } = at(i);
    const directed = directedOf(command);
    // Keys for the same direction a second time are another cross.
    const copies = byText.get(commandText(command))!;
    const copy = copies.filter((j) => at(j).modifiers.join() === modifiers.join()).indexOf(i);
    if (directed) joinBy(`way ${directed.family} ${modifiers.join('+')} ${copy}`, i);
    for (const target of namedTargetsOf(command)) joinBy(`of ${target} ${code}`, i);
    const back = wayBack(command);
    for (const j of (back && byText.get(commandText(back))) ?? []) {
      const isNear = rows.some(
        (row) =>
          Math.abs(row.indexOf(code) - row.indexOf(at(j).code)) === 1 &&
          row.includes(code) &&
          row.includes(at(j).code),
      );
      const isSameSet = at(j).modifiers.join() === modifiers.join();
      if (at(j).code === code || (isNear && isSameSet)) {
        const [a, b] = [Math.min(i, j), Math.max(i, j)];
        parents[rootOf(b)] = rootOf(a);
      }
    }
  });
  const sets = new Map<number, number[]>();
  movable.forEach((_, i) => sets.set(rootOf(i), [...(sets.get(rootOf(i)) ?? []), i]));
  return [...sets.values()].filter((members) => members.length > 1);
}

/** Where some bindings can be together: with the shape of their keys kept, or another one for directions. */
function placesTogether(
  profile: Profile,
  members: readonly number[],
  movable: readonly Movable[],
  places: readonly Place[],
  rows: readonly (readonly string[])[],
): number[][] {
  const now = members.map((i) => places[movable[i]!.home]!);
  const codes = [...new Set(now.map(({ code }) => code))];
  const byKeys = new Map(
    places.map(({ modifiers, code }, i) => [`${modifiers.join('+')} ${code}`, i]),
  );
  const all = [...new Set(places.map(({ code }) => code))];
  const sets = new Map(places.map(({ modifiers }) => [modifiers.join('+'), modifiers]));
  const isOneSet = new Set(now.map(({ modifiers }) => modifiers.join('+'))).size === 1;
  const others = isOneSet ? [...sets.keys()] : [null];
  const moves = movesOf(
    profile,
    members,
    movable,
    now.map(({ code }) => code),
    codes,
    all,
    rows,
  );
  const home = members.map((i) => movable[i]!.home);
  const found = new Map([[home.join(), home]]);
  for (const move of moves) {
    for (const set of others) {
      const there = now.map(({ modifiers, code }) =>
        byKeys.get(`${set ?? modifiers.join('+')} ${move.get(code) ?? ''}`),
      );
      const isWhole = there.every(
        (place, j) => place !== undefined && (!places[place]!.isHeld || place === home[j]),
      );
      if (isWhole) found.set(there.join(), there as number[]);
    }
  }
  return [...found.values()];
}

/** Which key takes the place of each key of theirs, in every way that keeps the shape. */
function movesOf(
  profile: Profile,
  members: readonly number[],
  movable: readonly Movable[],
  codeOf: readonly string[],
  codes: readonly string[],
  all: readonly string[],
  rows: readonly (readonly string[])[],
): Map<string, string>[] {
  if (codes.length === 1) return all.map((code) => new Map([[codes[0]!, code]]));
  const ways = new Map<Direction, string>();
  members.forEach((i, j) => {
    const directed = directedOf(movable[i]!.binding.command!);
    if (directed) ways.set(directed.direction, codeOf[j]!);
  });
  if (ways.size === codes.length && new Set(ways.values()).size === codes.length) {
    return shapesOf(profile, all, new Set(ways.keys())).map(
      (shape) => new Map([...ways].map(([way, code]) => [code, shape[way]!])),
    );
  }
  // Neighbours stay neighbours, in their order.
  const row = rows.find((each) => codes.every((code) => each.includes(code)));
  if (!row) return [];
  const inOrder = [...codes].sort((a, b) => row.indexOf(a) - row.indexOf(b));
  return rows.flatMap((each) =>
    each
      .slice(0, each.length - inOrder.length + 1)
      .map((_, i) => new Map(inOrder.map((code, j) => [code, each[i + j]!]))),
  );
}
