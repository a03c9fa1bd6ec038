import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** Those that take longest begin first: at the end no core waits for another. */
const LONGEST = [
  'agents/desk-stand-in/src/agent-check',
  'agents/x11/src/agent-check',
  'agents/x11/src/keys',
  'core/src/keys/suggest/changes',
  'host/src/trouble',
  'web/src/shell/action-index',
  'web/src/shell/setting-index',
  'web/src/views/tiling/tiling-view',
  'server/src/profile-files/profile-files',
  'core/src/files/keep-comments',
  'server/src/main',
  'cli/src/run',
  'core/src/files/round-trip',
  'core/src/testing/fuzz/faults',
  'core/src/checkup/caching',
];
class LongestFirst extends BaseSequencer {
  override sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const place = ({ moduleId }: TestSpecification) => {
      const at = LONGEST.findIndex((each) => moduleId.includes(`/${each}.test.`));
      return at < 0 ? LONGEST.length : at;
    };
    return Promise.resolve([...files].sort((a, b) => place(a) - place(b)));
  }
}

const shared = {
  setupFiles: ['core/src/testing/seed.ts'],
  // Tests take a few seconds; a machine with much else to do has four times as long.
  testTimeout: 90_000,
};

export default defineConfig({
  resolve: { conditions: ['sorn-source'] },
  ssr: { resolve: { conditions: ['sorn-source'] } },
  test: {
    sequence: { sequencer: LongestFirst },
    // One more than there are cores: while one waits, the others work.
    maxWorkers: availableParallelism() + 1,
    projects: [
      {
        extends: true,
        test: {
          ...shared,
          name: 'core',
          include: ['{core,link}/src/**/*.test.ts'],
          // Nothing is kept between two files: what one loaded serves the next. No helper of theirs hooks into a test.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          ...shared,
          name: 'programs',
          include: ['{host,agents/*,cli,server}/src/**/*.test.ts'],
          // They start real programs: on a busy machine one is now and then slower than a test waits.
          retry: 1,
        },
      },
      {
        extends: true,
        test: { ...shared, name: 'page', include: ['web/src/**/*.test.{ts,tsx}'] },
      },
    ],
  },
});
