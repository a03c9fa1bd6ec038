import type { Profile } from '../../model/profile.ts';
import { buttonOf } from '../../values/codes.ts';
import { DIRECTIONS, type Direction } from '../../values/direction.ts';
import { keyboardOf } from '../devices.ts';

/** The order of directions in a row: from the left hand side to the right. */
const ROW: readonly Direction[] = ['left', 'down', 'up', 'right'];

/** The key of each direction, by its code. */
export type Shape = Partial<Record<Direction, string>>;

/** Every shape that keys of some directions can have: a row of neighbours, or for four a cross with up above down. */
export function shapesOf(
  profile: Profile,
  codes: readonly string[],
  directions: ReadonlySet<Direction>,
): Shape[] {
  const needed = ROW.filter((direction) => directions.has(direction));
  return [...rowsOf(profile, codes, needed), ...crossesOf(profile, needed)];
}

/** Runs of neighbours on the board, and of buttons that follow each other. */
export function neighbourRows(profile: Profile, codes: readonly string[]): string[][] {
  const buttons = [...new Set(codes)]
    .filter((code) => buttonOf(code) !== null)
    .sort((a, b) => buttonOf(a)! - buttonOf(b)!);
  return [...rowsOfBoard(profile), runs(buttons)].flat();
}

function rowsOf(profile: Profile, codes: readonly string[], needed: readonly Direction[]): Shape[] {
  const rows = neighbourRows(profile, codes);
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
