import { describe, expect, it } from 'vitest';
import { csvRows } from './csv-rows.ts';
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

describe('cells are apart by', () => {
  const apart = (text: string) => {
    const { rows } = csvRows(text, 100);
    return rows.map(({ cells }) => cells);
  };
  it('what is most often between the names of the columns, a comma where as many are', () => {
    expect(apart('a;b;c\n1,5;2;3\n')).toEqual([
      ['a', 'b', 'c'],
      ['1,5', '2', '3'],
    ]);
    expect(apart('a\tb\n1\t2,3,4\n')[1]).toEqual(['1', '2,3,4']);
    expect(apart('a,b;c\n1,2;3\n')).toEqual([
      ['a', 'b;c'],
      ['1', '2;3'],
    ]);
    expect(apart('"x;y;z",b\n1,2\n')[1]).toEqual(['1', '2']);
  });
});
