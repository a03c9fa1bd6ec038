import { defineConfig, mergeConfig } from 'vitest/config';
import shared from '../vitest.config.ts';

/** Only the tests of core, without the made-up runs: those find faults, and are no test of one place. */
export default mergeConfig(
  shared,
  defineConfig({ test: { exclude: ['core/src/testing/fuzz/**'] } }),
);
