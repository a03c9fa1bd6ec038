/** Characters that a backslash stands before within quotes, by the Desktop Entry Specification 1.5. */
const ESCAPED = /\\(["`$\\])/g;

/**
 * The program and its arguments in the Exec line of an app, by the Desktop Entry Specification 1.5: quoted arguments
 * are one, field codes are left out, %% is a percent sign. No shell reads them.
 *
 * @returns null where the line has no program or a quote without its end
 */
export function commandOf(exec: string): string[] | null {
  const parts: string[] = [];
  const part = /\s*(?:"((?:[^"\\]|\\.)*)"|([^\s"]+))/y;
  const line = exec.trim();
  while (part.lastIndex < line.length) {
    const from = part.lastIndex;
    const found = part.exec(line);
    if (!found) return null;
    if (found[1] !== undefined) parts.push(found[1].replace(ESCAPED, '$1'));
    else if (!/^%[a-zA-Z]$/.test(found[2]!))
      parts.push(
        found[2]!.replace(/%([a-zA-Z%])/g, (_, code: string) => (code === '%' ? '%' : '')),
      );
    if (part.lastIndex === from) return null;
  }
  const [program] = parts;
  return program ? parts : null;
}
