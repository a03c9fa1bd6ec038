import Papa from 'papaparse';

/** A row of a table, and the line of the text in which it begins, counted from 1. */
export interface CsvRow {
  line: number;
  cells: readonly string[];
}

/** What is wrong with a text as a table, by line. */
export interface CsvFault {
  line: number;
  text: string;
}

/**
 * The rows of comma-separated values (RFC 4180; also with semicolons or tabs); empty lines are left out. A row
 * whose quote stays open is a fault: what follows it is no row that was meant.
 *
 * @param most more rows than these are not read, which is a fault
 */
export function csvRows(text: string, most = Infinity): { rows: CsvRow[]; faults: CsvFault[] } {
  const rows: CsvRow[] = [];
  const faults: CsvFault[] = [];
  const body = text.replace(/^\uFEFF/, '');
  let from = 0;
  let line = 1;
  Papa.parse<string[]>(body, {
    delimiter: delimiterOf(body),
    step({ data, errors, meta }, parser) {
      const isOpen = errors.some(({ code }) => code === 'MissingQuotes');
      if (isOpen) faults.push({ line, text: 'a quote that is opened here is never closed' });
      for (const { code, message } of errors) {
        if (code !== 'MissingQuotes') faults.push({ line, text: message });
      }
      if (!isOpen && data.some((cell) => cell.trim() !== '')) rows.push({ line, cells: data });
      line += (body.slice(from, meta.cursor).match(/\n|\r(?!\n)/g) ?? []).length;
      from = meta.cursor;
      if (rows.length > most) {
        faults.push({ line, text: `more than ${most} rows; the rest is not read` });
        parser.abort();
      }
    },
  });
  return { rows, faults };
}

/** What stands most often between the names of the columns; cells of the rows may be full of the others. */
function delimiterOf(text: string): string {
  const [head = ''] = /^.*\S.*$/m.exec(text) ?? [];
  const bare = head.replace(/"[^"]*"/g, '');
  const count = (delimiter: string) => bare.split(delimiter).length;
  return [',', ';', '\t'].reduce((most, each) => (count(each) > count(most) ? each : most));
}

/** Something in a line of a file that could not be used; lines are counted from 1. */
export interface LineFault {
  line: number;
  text: string;
}
