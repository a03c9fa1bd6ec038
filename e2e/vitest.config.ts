import { basename } from 'node:path';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

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
  'in-a-file',
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

/** Those that take longest begin first: at the end no core waits for another. */
const LONGEST = [
  'access',
  'find',
  'access-desk',
  'sizes',
  'tiling',
  'commands',
  'crash',
  'key-pages',
];
class LongestFirst extends BaseSequencer {
  override sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const place = ({ moduleId }: TestSpecification) => {
      const at = LONGEST.indexOf(basename(moduleId, '.test.ts'));
      return at < 0 ? LONGEST.length : at;
    };
    return Promise.resolve([...files].sort((a, b) => place(a) - place(b)));
  }
}

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
    sequence: { sequencer: LongestFirst },
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
