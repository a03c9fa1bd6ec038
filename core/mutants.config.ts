import { defineConfig, mergeConfig } from 'vitest/config';
import shared from '../vitest.config.ts';

/** Each of these takes more than 5 seconds: they are asked only about changes that no other test notices. */
const SLOW = [
  '{host,agents}/**',
  'core/src/{checkup,engine}/caching.test.ts',
  'core/src/checkup/quick-fixes.test.ts',
  'core/src/desk/neighbours.test.ts',
  'core/src/engine/relocation.test.ts',
  'core/src/files/{apply-difference,awkward-names,keep-comments,merge,merge-loss,round-trip,slip,unified-difference}.test.ts',
  'core/src/files/text-edits/edited-text.test.ts',
  'core/src/keys/starters/starters.test.ts',
  'core/src/keys/suggest/changes.test.ts',
  'core/src/simulate/{planted-mistakes,trial}.test.ts',
  'core/src/starters/begin.test.ts',
  'core/src/testing/layers.test.ts',
];

/** All unit tests but those that plant faults themselves, and those that are slow and notice no change of core alone. */
export default mergeConfig(
  shared,
  defineConfig({
    test: {
      exclude: [
        'core/src/testing/fuzz/fa*.test.ts',
        '{cli,server,web}/**',
        ...(process.env.SLOW_TESTS === 'no' ? SLOW : []),
      ],
      bail: 1,
      env: { FUZZ_FEW: '25' },
    },
  }),
);
