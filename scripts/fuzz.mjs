// npm run fuzz -- --seconds N --seed S: runs made-up events on made-up desks, and tells the first fault as its shortest case.
// With --faults, faults are planted into the engine one at a time: each is to be caught.
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { install, needNode, root, runShown } from './steps.mjs';

const { values } = parseArgs({
  options: {
    seconds: { type: 'string', default: '60' },
    seed: { type: 'string' },
    faults: { type: 'boolean' },
  },
});
needNode();
install();
const tests = values.faults
  ? ['fuzz/faults']
  : ['fuzz/fuzz', 'fuzz/returns', 'fuzz/files', 'paper/paper-desk'];
const runs = tests.map((name) => `core/src/testing/${name}.test.ts`);
const { status } = await runShown(
  process.execPath,
  [join(root, 'node_modules/vitest/vitest.mjs'), 'run', ...runs],
  {
    ...(values.faults && { FUZZ_FAULTS: 'all' }),
    FUZZ_SECONDS: values.seconds,
    FUZZ_SEED: values.seed ?? String(Date.now() % 1_000_000),
  },
);
process.exit(status);
