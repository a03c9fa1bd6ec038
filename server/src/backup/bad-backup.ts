/** A file that is no backup, or a broken one: what is wrong, a line a fault. */
export class BadBackup extends Error {
  readonly lines: readonly string[];

  constructor(...lines: string[]) {
    super(lines.join('\n'));
    this.lines = lines;
  }
}
