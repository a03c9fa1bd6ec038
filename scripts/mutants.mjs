// npm run mutants -- --count N --seed S: changes N lines of core, one place at a time, and tells which changes no test notices.
// With --in core/src/tiling the lines are of that folder or file alone.
// What runs once when a module is loaded needs all tests for each change, 2 minutes: it is changed with --loaded alone.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { parseArgs } from 'node:util';
import { install, needNode, root, say } from './steps.mjs';

const { values } = parseArgs({
  options: {
    count: { type: 'string', default: '100' },
    seed: { type: 'string', default: '1' },
    in: { type: 'string', default: 'core/src' },
    loaded: { type: 'boolean', default: false },
  },
});
needNode();
install();

/** Numbers from 0 to 1 from a seed (mulberry32). */
function randomFrom(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** Lines on which something is decided or computed; tables of words are left out. */
function linesToChange() {
  const files = readdirSync(join(root, 'core/src'), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && entry.name.endsWith('.ts'))
    .map((entry) => relative(root, join(entry.parentPath, entry.name)))
    .filter((file) => file.startsWith(values.in))
    .filter((file) => !/\.test\.ts$|\/testing\/|index\.ts$|help\.ts$/.test(file));
  return files.flatMap((file) =>
    readFileSync(join(root, file), 'utf8')
      .split('\n')
      .flatMap((line, i) =>
        /[<>+*/-] |[!=]==|&&|\|\||\?\?|\? |return |if \(/.test(line) &&
        !/^\s*(\/\/|\/?\*|import |export type|type |interface )/.test(line)
          ? [`${file}:${i + 1}-${i + 1}`]
          : [],
      ),
  );
}

const random = randomFrom(Number(values.seed));
const lines = linesToChange();
const count = Math.min(Number(values.count), lines.length);
const chosen = Array.from({ length: count }, () =>
  lines.splice(Math.floor(random() * lines.length), 1),
).flat();
const folder = mkdtempSync(join(tmpdir(), 'sorn-mutants-'));
process.on('exit', () => rmSync(folder, { recursive: true, force: true }));

/** Changes what is named, runs the tests that reach it, and gives each change with what came of it. */
function changed(mutate, slowTests) {
  const report = join(folder, `report-${slowTests}.json`);
  const config = join(folder, `config-${slowTests}.json`);
  writeFileSync(
    config,
    JSON.stringify({
      testRunner: 'vitest',
      vitest: { configFile: 'core/mutants.config.ts', related: true },
      coverageAnalysis: 'perTest',
      ignoreStatic: !values.loaded,
      mutate,
      // A text of a reason can be any text.
      mutator: { excludedMutations: ['StringLiteral'] },
      reporters: ['progress-append-only', 'json'],
      jsonReporter: { fileName: report },
      tempDirName: join(folder, 'work'),
      concurrency: 2,
      timeoutMS: 60_000,
      dryRunTimeoutMinutes: 20,
    }),
  );
  const { status } = spawnSync(
    process.execPath,
    [join(root, 'node_modules/@stryker-mutator/core/bin/stryker.js'), 'run', config],
    {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, SLOW_TESTS: slowTests },
    },
  );
  if (status !== 0) process.exit(status ?? 1);
  const { files } = JSON.parse(readFileSync(report, 'utf8'));
  return Object.entries(files).flatMap(([file, { source, mutants }]) =>
    mutants
      .filter((each) => each.status !== 'Ignored')
      .map(({ status: came, location, replacement }) => {
        const { start, end } = location;
        const range = `${start.line}:${start.column - 1}-${end.line}:${end.column - 1}`;
        const line = source.split('\n')[start.line - 1].trim();
        const isNoticed = came === 'Killed' || came === 'Timeout';
        return { place: `${file}:${range}`, replacement, line, isNoticed };
      }),
  );
}

const nameOf = ({ place, replacement }) => `${place} ${replacement}`;

say(`${count} lines of core are changed, seed ${values.seed}`);
const all = changed(chosen, 'no');
const left = all.filter((each) => !each.isNoticed);
say(`${left.length} of ${all.length} changes are left for the slow tests`);
const again = left.length > 0 ? changed([...new Set(left.map(({ place }) => place))], 'yes') : [];
const late = new Set(again.filter((each) => each.isNoticed).map(nameOf));
const unnoticed = left.filter((each) => !late.has(nameOf(each)));
for (const { place, line, replacement } of unnoticed)
  process.stdout.write(`\n${place}\n  ${line}\n  → ${replacement.replace(/\s+/g, ' ')}\n`);
const noticed = all.length - unnoticed.length;
process.stdout.write(
  `\nmutants: seed ${values.seed}, ${noticed} of ${all.length} changes noticed (${((100 * noticed) / all.length).toFixed(1)} %)\n`,
);
