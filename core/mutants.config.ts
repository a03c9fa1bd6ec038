import { defineConfig, mergeConfig } from 'vitest/config';
import shared from '../vitest.config.ts';

/** All unit tests but those that plant faults themselves, and those that are slow and notice no change of core alone. */
export default mergeConfig(
  shared,
  defineConfig({
    test: {
      exclude: ['core/src/testing/fuzz/fa*.test.ts', '{cli,server,web}/**'],
      bail: 1,
      env: { FUZZ_FEW: '25' },
    },
  }),
);
