import { readdirSync } from 'node:fs';
import { join, relative } from 'node:path';
import { defineConfig, mergeConfig } from 'vitest/config';
import shared from '../vitest.config.ts';

/** Each of these takes more than 5 seconds: they are asked only about changes that no other test notices. */
const SLOW = [
  /^host\//,
  /^core\/src\/(checkup|engine)\/caching\./,
  /^core\/src\/checkup\/quick-fixes\./,
  /^core\/src\/desk\/neighbours\./,
  /^core\/src\/engine\/relocation\./,
  /^core\/src\/engine\/commands\/floating-edges\./,
  /^core\/src\/files\/(keep-comments|merge|merge-loss|round-trip|slip|unified-difference)\./,
  /^core\/src\/files\/text-edits\/edited-text\./,
  /^core\/src\/keys\/(faces|listen|next-keys)\./,
  /^core\/src\/keys\/suggest\/changes\./,
  /^core\/src\/simulate\/(planted-mistakes|trial)\./,
  /^core\/src\/starters\/begin\./,
];

const root = join(import.meta.dirname, '..');
const files = ['core', 'host', 'link'].flatMap((folder) =>
  readdirSync(join(root, folder, 'src'), { recursive: true, withFileTypes: true })
    .filter(({ name }) => name.endsWith('.test.ts'))
    .map(({ parentPath, name }) => relative(root, join(parentPath, name))),
);
const isSlow = (file: string) => SLOW.some((each) => each.test(file));

/**
 * The unit tests of one kind: those that are slow, or all others. Left out are those that plant faults themselves, and
 * those that notice no change of core alone: other programs that they start have a core of their own.
 */
export default mergeConfig(
  shared,
  defineConfig({
    test: {
      exclude: [
        'core/src/testing/fuzz/fa*.test.ts',
        'core/src/testing/layers.test.ts',
        '{agents,cli,server,web}/**',
        ...files.filter((file) => isSlow(file) !== (process.env.SLOW_TESTS === 'yes')),
      ],
      bail: 1,
      env: { FUZZ_FEW: '25' },
    },
  }),
);
