import { defineConfig } from 'vitest/config';

/** What does not depend on how fast keys follow each other: two files at a time, one a core. */
const STURDY = [
  'access',
  'access-desk',
  'backup',
  'chains',
  'commands',
  'crash',
  'demo',
  'desk',
  'faults',
  'files',
  'find',
  'key-pages',
  'login',
  'long-lists',
  'no-room',
  'numbers',
  'outside',
  'rehearse',
  'rules',
  'saving',
  'sizes',
  'start',
  'tiling',
  'two-pages',
  'wishes',
  'zones',
].map((name) => `tests/${name}.test.ts`);

const shared = {
  testTimeout: 120_000,
  hookTimeout: 120_000,
  // On a busy machine the browser is now and then slower than a test waits; the report says "retry x1".
  retry: 1,
};

export default defineConfig({
  root: import.meta.dirname,
  resolve: { conditions: ['sorn-source'] },
  ssr: { resolve: { conditions: ['sorn-source'] } },
  test: {
    projects: [
      {
        extends: true,
        test: {
          ...shared,
          name: 'sturdy',
          include: STURDY,
          maxWorkers: 2,
          sequence: { groupOrder: 0 },
        },
      },
      {
        extends: true,
        test: {
          ...shared,
          name: 'by keys',
          include: ['tests/**/*.test.ts'],
          exclude: STURDY,
          // Two cores: one for the browser, one for the server and the test.
          fileParallelism: false,
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
