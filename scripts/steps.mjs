// What every script needs done first: packages installed, workspaces built. Plain Node, no packages.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, gzipSync } from 'node:zlib';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
/** The packages that run without the page. */
const ENGINE = [
  'core',
  'link',
  'host',
  'agents/desk-stand-in',
  'agents/x11',
  'api',
  'cli',
  'server',
];
const stamps = join(root, '.sorn');

let quiet = false;

/** Says nothing from now on but what went wrong. */
export function beQuiet() {
  quiet = true;
}

/** Says what is being done, on stderr: stdout belongs to what a command prints. */
export function say(text) {
  if (!quiet) process.stderr.write(`• ${text}\n`);
}

export function fail(text) {
  process.stderr.write(`✗ ${text}\n`);
  process.exit(1);
}

export function needNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  fail(`Sorn needs Node 20.19 or newer; this is ${process.versions.node}.`);
}

/** Runs a command in the repository; its output is shown only when it fails, unless asked for. */
export function run(command, args, { show = false, env = {} } = {}) {
  const result = spawnSync(command, args, {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: ['ignore', show ? 'inherit' : 'pipe', show ? 'inherit' : 'pipe'],
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  });
  if (!show && result.status !== 0) process.stderr.write(`${result.stdout}${result.stderr}`);
  return result;
}

/** Runs a command with its output shown and also returned. */
export function runShown(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) {
      stream.on('data', (data) => {
        output += data;
        process.stdout.write(data);
      });
    }
    child.on('error', (error) => resolve({ status: 1, output: String(error) }));
    child.on('close', (status) => resolve({ status: status ?? 1, output }));
  });
}

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true })
    .filter(({ name }) => !['node_modules', 'dist', '.git', '.sorn'].includes(name))
    .flatMap((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? filesBelow(path) : [path];
    });
}

function digest(paths) {
  const hash = createHash('sha256');
  for (const path of paths.sort()) hash.update(path).update(readFileSync(path));
  return hash.digest('hex');
}

/** Does a piece of work unless its inputs are those of the last time and its results are there. */
function unlessDone(name, inputs, results, work) {
  const stamp = join(stamps, name);
  const now = digest(inputs);
  const before = existsSync(stamp) ? readFileSync(stamp, 'utf8') : '';
  if (before === now && results.every((path) => existsSync(join(root, path)))) return;
  work();
  mkdirSync(stamps, { recursive: true });
  writeFileSync(stamp, now);
}

export function install() {
  const packages = [...ENGINE, 'web', 'e2e', 'bench'].map((name) =>
    join(root, name, 'package.json'),
  );
  const inputs = [join(root, 'package.json'), join(root, 'package-lock.json'), ...packages];
  unlessDone('installed', inputs, ['node_modules/.package-lock.json'], () => {
    say('Installing packages from the lock file');
    const { status } = run('npm', ['ci', '--no-audit', '--no-fund', '--include=dev']);
    if (status !== 0) fail('npm ci did not succeed; its output is above.');
  });
}

/** Runs a tool out of node_modules. */
export function tool(name, args, options) {
  return run(process.execPath, [join(root, 'node_modules', name), ...args], options);
}

export function buildEngine() {
  const folders = ENGINE;
  const inputs = [
    ...folders.flatMap((name) => filesBelow(join(root, name))),
    join(root, 'tsconfig.base.json'),
  ];
  const results = [
    'core/dist/index.js',
    'link/dist/index.js',
    'host/dist/index.js',
    'agents/desk-stand-in/dist/main.js',
    'agents/x11/dist/main.js',
    'api/dist/index.js',
    'cli/dist/main.js',
    'server/dist/main.js',
  ];
  unlessDone('engine', inputs, results, () => {
    say('Building engine, command line and server');
    if (tool('typescript/bin/tsc', ['-b', ...folders]).status !== 0) fail('The build failed.');
  });
}

export function buildPage() {
  const inputs = ['core/src', 'api/src', 'web', 'demo'].flatMap((name) =>
    filesBelow(join(root, name)),
  );
  unlessDone('page', inputs, ['web/dist/index.html'], () => {
    say('Building the page');
    // Whatever it is built from, such as a test, the page is the one for people.
    const env = { NODE_ENV: 'production' };
    if (tool('vite/bin/vite.js', ['build', 'web', '--logLevel', 'warn'], { env }).status !== 0) {
      fail('The build of the page failed.');
    }
    compress(join(root, 'web/dist/assets'));
  });
}

/** Puts a smaller form of each script and style beside it, so that no request waits for that. */
function compress(folder) {
  for (const name of readdirSync(folder).filter((each) => /\.(js|css)$/.test(each))) {
    const content = readFileSync(join(folder, name));
    writeFileSync(join(folder, `${name}.br`), brotliCompressSync(content));
    writeFileSync(join(folder, `${name}.gz`), gzipSync(content, { level: 9 }));
  }
}
