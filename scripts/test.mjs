// npm test: sets up what the tests need, runs every check, and ends with one line of counts.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from './chromium.mjs';
import { x11Programs } from './x11.mjs';
import { install, needNode, root, runShown, say } from './steps.mjs';

needNode();
install();
const browser = chromium();
x11Programs();
const results = mkdtempSync(join(tmpdir(), 'sorn-test-'));
let passed = 0;
/** What failed, by name: the end of a long run tells it once more. */
const failures = [];

/** A check that passes or fails as a whole. */
async function check(name, args) {
  say(name);
  const { status } = await runShown(process.execPath, args);
  if (status === 0) passed++;
  else failures.push(name);
}

/** A suite of tests, counted one by one. A suite that ends without results counts as one failure. */
async function suite(name, config, env = {}) {
  say(name);
  const file = join(results, `${config.replaceAll('/', '-')}.json`);
  const vitest = join(root, 'node_modules/vitest/vitest.mjs');
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${file}`];
  const { status } = await runShown(
    process.execPath,
    [vitest, 'run', '--config', config, ...reporters],
    env,
  );
  try {
    const report = JSON.parse(readFileSync(file, 'utf8'));
    passed += report.numPassedTests;
    const tests = report.testResults.flatMap(({ assertionResults }) => assertionResults);
    const names = tests.flatMap((test) => (test.status === 'failed' ? [test.fullName] : []));
    failures.push(...names);
    if (status !== 0 && names.length === 0) failures.push(name);
  } catch {
    failures.push(name);
  }
}

const bin = (path) => join(root, 'node_modules', path);
// Each of these keeps one core busy for up to a minute.
await Promise.all([
  check('Lint', [bin('eslint/bin/eslint.js'), '--max-warnings', '0', '.']),
  check('Types', [bin('typescript/bin/tsc'), '-b']),
  check('Format', [bin('prettier/bin/prettier.cjs'), '--check', '.']),
  check('What imports what', [join(root, 'scripts/layers.mjs')]),
  check('What nothing uses', [bin('knip/bin/knip.js')]),
]);
await suite('Unit tests', 'vitest.config.ts');
await check('Build', [join(root, 'scripts/build.mjs')]);
await suite('End-to-end tests', 'e2e/vitest.config.ts', { CHROMIUM: browser });

rmSync(results, { recursive: true });
for (const name of failures) process.stdout.write(`\nfailed: ${name}`);
process.stdout.write(`\n${passed} passed, ${failures.length} failed\n`);
process.exit(failures.length === 0 ? 0 : 1);
