import { homedir } from 'node:os';
import { dirname, resolve, sep } from 'node:path';
import { formatOf, includedIn, parseFile, type FileFault, type FileText } from '@sorn/core/files';
import { isWithin, readDisk, realPath, type DiskTrouble } from './disk.ts';

/** The files of a profile as they are on the disk. */
export type Gathered =
  | { files: readonly (FileText & { path: string })[] }
  | { faults: readonly FileFault[] }
  | { trouble: DiskTrouble };

/** Where a file is included. */
type Origin = Omit<FileFault, 'message'>;

/** A path as it is told: that of the person's own folder as ~. */
export function shownPath(path: string): string {
  const home = homedir();
  return path.startsWith(home + sep) ? `~${path.slice(home.length)}` : path;
}

/**
 * Reads a profile's file and what it includes, also through those. What is included lies in the folder of the file
 * that is named, or in one that was named for that; links are followed before that is looked at.
 *
 * @param nameOf what a file is called where it is told of
 */
export function gatherFiles(
  path: string,
  folders: readonly string[],
  nameOf: (path: string) => string = shownPath,
): Gathered {
  const allowed = [dirname(realPath(path)), ...folders];
  const files: (FileText & { path: string })[] = [];
  const faults: FileFault[] = [];
  const places = new Map<string, string>();
  let trouble: DiskTrouble | null = null;

  function take(at: string, from: Origin | null, above: readonly string[]): void {
    const place = from ? `${from.file}:${from.line}:${from.column}` : '';
    const tell = (message: string) =>
      faults.push({
        ...(from ?? { file: nameOf(at), line: 1, column: 1, excerpt: '' }),
        message,
      });
    const known = places.get(realPath(at));
    if (known !== undefined) {
      const isLoop = above.includes(realPath(at));
      const first = known === '' ? 'it is the file that is named' : `${known} includes it`;
      tell(
        isLoop
          ? `${nameOf(at)} includes what includes it: ${first}; expected no loop`
          : `${nameOf(at)} is included twice: ${first}; expected it once`,
      );
      return;
    }
    if (from && !allowed.some((folder) => isWithin(at, folder))) {
      tell(
        `${nameOf(at)} is outside; expected a file in ${allowed.map(nameOf).join(', ')}, or its folder named by --folder`,
      );
      return;
    }
    const read = readDisk(at);
    if (!('text' in read)) {
      if (from) tell(`${nameOf(at)}: ${read.because}`);
      else trouble = read;
      return;
    }
    places.set(realPath(at), place);
    const file = {
      path: at,
      name: nameOf(at),
      format: formatOf(at) ?? parseFile(at, read.text).format,
      text: read.text,
    };
    files.push(file);
    const included = includedIn(file);
    if (!Array.isArray(included)) {
      faults.push(included);
      return;
    }
    for (const { name, ...place } of included) {
      const inner = resolve(dirname(at), name.replace(/^~(?=\/)/, homedir()));
      if (formatOf(inner) === null)
        faults.push({
          file: file.name,
          ...place,
          message: `${name} is included; expected the name of a .yaml, .toml or .json file`,
        });
      else take(inner, { file: file.name, ...place }, [...above, realPath(at)]);
    }
  }
  take(path, null, []);
  if (trouble) return { trouble };
  return faults.length > 0 ? { faults } : { files };
}
