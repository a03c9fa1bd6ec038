import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterEach, describe, expect, it } from 'vitest';

const SCRIPT = fileURLToPath(new URL('../../../scripts/layers.mjs', import.meta.url));
const folders: string[] = [];
afterEach(() => folders.splice(0).forEach((folder) => rmSync(folder, { recursive: true })));

/** Checks a small repository of the given files. */
function checked(files: Record<string, string>) {
  const folder = mkdtempSync(join(tmpdir(), 'sorn-layers-'));
  folders.push(folder);
  for (const [name, text] of Object.entries(files)) {
    const file = join(
      folder,
      /^(core|web|host|link|agents|server)\//.test(name) ? name : `core/src/${name}`,
    );
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, text);
  }
  const { status, stdout } = spawnSync(process.execPath, [SCRIPT, folder], { encoding: 'utf8' });
  return { status, text: stdout };
}

const SOUND = {
  'values/size.ts': 'export type Size = number;\n',
  'engine/reduce.ts':
    "import type { Size } from '../values/size.ts';\nexport const one: Size = 1;\n",
};

describe('what may import what', () => {
  it('passes where each layer imports only those before it, and says how much it saw', () => {
    const { status, text } = checked(SOUND);
    expect(text).toContain('no dependency violations found (2 modules, 1 dependencies cruised)');
    expect(status).toBe(0);
  });

  /** By the rule that finds it: files with a violation, each with names of its own. */
  const PLANTED: readonly (readonly [rule: string, files: Record<string, string>])[] = [
    [
      'values-imports-no-layer-below',
      { 'values/read.ts': "export { one } from '../engine/reduce.ts';\n" },
    ],
    [
      'values-imports-no-layer-below',
      {
        'values/faults.ts':
          "import type { one } from '../engine/reduce.ts';\nexport type O = typeof one;\n",
      },
    ],
    ['every-file-of-core-is-in-a-layer', { 'misc/all.ts': "export * from '../values/size.ts';\n" }],
    [
      'what-is-for-tests-stays-in-tests',
      {
        'testing/desk.ts': 'export const desk = 1;\n',
        'engine/place.ts': "export { desk } from '../testing/desk.ts';\n",
      },
    ],
    [
      'the-host-imports-engine-and-link-alone',
      {
        'host/src/desk.ts': "export { app } from '../../server/src/app.ts';\n",
        'server/src/app.ts': 'export const app = 1;\n',
      },
    ],
    [
      'the-link-imports-no-package-of-ours',
      {
        'link/src/lines.ts': "export { one } from '../../core/src/engine/reduce.ts';\n",
      },
    ],
    [
      'an-agent-imports-the-link-alone',
      {
        'agents/one/src/main.ts': "export { one } from '../../../core/src/engine/reduce.ts';\n",
      },
    ],
    [
      'no-cycle-of-files',
      {
        'engine/a.ts': "import { b } from './b.ts';\nexport const a = b;\n",
        'engine/b.ts': "import type { a } from './a.ts';\nexport const b: typeof a = 1;\n",
      },
    ],
    [
      'no-cycle-of-folders',
      {
        'keys/chart/drawing.ts': "export { map } from '../map/map.ts';\n",
        'keys/map/map.ts': 'export const map = 1;\n',
        'keys/map/text.ts': "export { row } from '../chart/rows.ts';\n",
        'keys/chart/rows.ts': 'export const row = 1;\n',
      },
    ],
    [
      'sheet-imports-no-layer-below',
      {
        'web/src/sheet/Sheet.tsx': "export { name } from '../views/desk/name.ts';\n",
        'web/src/views/desk/name.ts': 'export const name = 1;\n',
      },
    ],
    [
      'every-file-of-the-page-is-in-a-layer',
      {
        'web/src/helpers/all.ts': 'export const all = 1;\n',
        'web/src/ui/KeyCap.tsx': "export { all } from '../helpers/all.ts';\n",
      },
    ],
    [
      'a-view-imports-no-other',
      {
        'web/src/views/keys/KeysView.tsx': "export { name } from '../desk/name.ts';\n",
        'web/src/views/desk/name.ts': 'export const name = 1;\n',
      },
    ],
    [
      'ui-knows-nothing-of-the-desk',
      { 'web/src/ui/Figure.tsx': "export { one } from '../../../core/src/engine/reduce.ts';\n" },
    ],
    ['every-import-is-found', { 'engine/lost.ts': "export { b } from './nowhere.ts';\n" }],
  ];

  it('finds each violation that is planted, by its rule and where it is', () => {
    const files = Object.assign(
      {},
      SOUND,
      ...PLANTED.map(([, planted]) => planted),
    ) as typeof SOUND;
    const { status, text } = checked(files);
    expect(status).not.toBe(0);
    const lines = text.split('\n').filter((line) => line.includes('error '));
    for (const [rule, planted] of PLANTED) {
      const names = Object.keys(planted);
      const found = lines.find(
        (line) => line.includes(`error ${rule}: `) && names.some((name) => line.includes(name)),
      );
      // A cycle of folders is told by the folders.
      expect(rule.endsWith('folders') ? text.includes(rule) : found !== undefined, rule).toBe(true);
    }
  });
});
