import { describe, expect, it } from 'vitest';
import { readCsv, valueColumn, writeCsv } from './csv.ts';

const columns = [
  valueColumn<unknown>('called', ['name'], 'text'),
  valueColumn<unknown>('counted', ['of', 'count'], 'json'),
];

describe('things as comma-separated values', () => {
  it('have a line each below the names of the columns', () => {
    const things = [{ name: 'one, two', of: { count: 3 } }, { name: 'three' }];
    expect(writeCsv(columns, things)).toBe('called,counted\n"one, two",3\nthree,\n');
    expect(readCsv(writeCsv(columns, things), columns)).toMatchObject({
      ok: true,
      value: { items: things },
    });
  });

  it('a word is a word, and JSON is what it says', () => {
    const thing = { name: '3', of: { count: '3' } };
    expect(writeCsv(columns, [thing])).toBe('called,counted\n3,"""3"""\n');
    const read = readCsv('counted,called\n"""3""",3\n', columns);
    expect(read).toMatchObject({ value: { items: [thing] } });
  });

  it('a column that is not one is told with those that are', () => {
    expect(readCsv('called,times\nx,1\n', columns)).toEqual({
      ok: false,
      faults: [{ path: 'line 1', found: 'times', expected: 'columns named called, counted' }],
    });
    expect(readCsv('', columns)).toMatchObject({ faults: [{ found: 'the file is empty' }] });
    expect(readCsv('called,counted\nx,{\n', columns)).toMatchObject({ ok: false });
  });
});
