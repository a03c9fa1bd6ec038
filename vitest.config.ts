import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { conditions: ['sorn-source'] },
  ssr: { resolve: { conditions: ['sorn-source'] } },
  test: {
    include: ['{core,link,host,agents/*,cli,server,web}/src/**/*.test.{ts,tsx}'],
    setupFiles: ['core/src/testing/seed.ts'],
    // Tests take a few seconds; a machine with much else to do has four times as long.
    testTimeout: 90_000,
    // One a core; one is left out otherwise.
    maxWorkers: '100%',
  },
});
