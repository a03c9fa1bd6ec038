import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const ROOT = new URL('../../../', import.meta.url);
const DOCUMENTS = ['docs/architecture.md', 'docs/file-format.md', 'docs/promises.md'];
/** Where a path of a document may begin. */
const FOLDERS = ['', 'core/src/', 'web/src/', 'server/src/', 'cli/src/', 'docs/'];
/** Files of a backup, and names that stand for one of many. */
const OTHERS = /^(backup|revisions|sessions)[./]|NOUN|KIND|NAME/;

const files = ['core/src', 'web/src', 'server/src', 'cli/src', 'api/src'].flatMap((folder) =>
  readdirSync(new URL(folder, ROOT), { recursive: true }).map((file) => String(file)),
);

describe('files that documents name are there', () => {
  it.each(DOCUMENTS)('%s', (name) => {
    const text = readFileSync(new URL(name, ROOT), 'utf8');
    const named = [...text.matchAll(/`([\w@/.-]+\.(?:tsx?|mjs|json))`/g)].map(([, path]) => path!);
    const missing = named.filter((path) => {
      if (OTHERS.test(path)) return false;
      // One that was named with its folder before is called by its name alone.
      const isNameAlone = !path.includes('/');
      return isNameAlone
        ? !files.some((file) => file === path || file.endsWith(`/${path}`)) &&
            !existsSync(new URL(path, ROOT))
        : !FOLDERS.some((folder) => existsSync(new URL(`${folder}${path}`, ROOT)));
    });
    expect(named.length).toBeGreaterThan(0);
    expect(missing).toEqual([]);
  });
});
