import fc from 'fast-check';
import type { ZoneBoard } from '../model/zone-board.ts';

const weights = fc.array(fc.double({ min: 0.05, max: 9, noNaN: true }), {
  minLength: 1,
  maxLength: 6,
});

const range = (count: number) =>
  fc
    .tuple(fc.integer({ min: 1, max: count }), fc.integer({ min: 1, max: count }))
    .map(([a, b]): [number, number] => [Math.min(a, b), Math.max(a, b)]);

/** Any board of up to six columns and rows, with up to eight zones that may overlap. */
export const anyBoard: fc.Arbitrary<ZoneBoard> = fc
  .record({ columns: weights, rows: weights })
  .chain(({ columns, rows }) =>
    fc
      .array(fc.record({ columns: range(columns.length), rows: range(rows.length) }), {
        minLength: 1,
        maxLength: 8,
      })
      .map((zones) => ({
        id: 'any',
        columns,
        rows,
        zones: zones.map((zone, i) => ({ name: `z${i + 1}`, ...zone })),
        for: {},
      })),
  );
