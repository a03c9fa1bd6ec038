// npm run fuzz -- --seconds N --seed S: runs made-up events on made-up desks, and tells the first fault as its shortest case.
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { install, needNode, root, runShown } from './steps.mjs';

const { values } = parseArgs({
  options: { seconds: { type: 'string', default: '60' }, seed: { type: 'string' } },
});
needNode();
install();
const { status } = await runShown(
  process.execPath,
  [join(root, 'node_modules/vitest/vitest.mjs'), 'run', 'core/src/testing/fuzz'],
  {
    FUZZ_SECONDS: values.seconds,
    FUZZ_SEED: values.seed ?? String(Date.now() % 1_000_000),
  },
);
process.exit(status);
