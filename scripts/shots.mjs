// npm run shots [-- NAME ...]: takes the pictures of the main views in docs/screenshots, or those named, from the demo data.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from './chromium.mjs';
import { x11Programs } from './x11.mjs';
import { buildEngine, buildPage, install, needNode, root, say } from './steps.mjs';

const SHOTS = [
  { name: 'tiling-day', path: '/bulletin-desk/tiling' },
  {
    name: 'rehearse-night',
    path: '/bulletin-desk/rehearse',
    night: true,
    keys: ['Enter', 'Meta+Alt+KeyM', 'Meta+KeyW', 'Meta+ArrowLeft', 'Meta+BracketRight'],
  },
  {
    name: 'live-day',
    path: '/bulletin-desk/rehearse',
    keys: [
      'Shift+L',
      'wait:600',
      'Control+k',
      'wait:300',
      ...'swap with lead',
      'wait:300',
      'Enter',
      'wait:600',
    ],
  },
  {
    name: 'live-panel-night',
    path: '/bulletin-desk/desk',
    night: true,
    keys: ['Shift+L', 'w', 'w', 'wait:600', 'ArrowDown', 'wait:700'],
  },
  { name: 'desk-day', path: '/bulletin-desk/desk', keys: [']', ']'] },
  {
    name: 'workspaces-day',
    path: '/bulletin-desk/desk',
    keys: ['w', 'ArrowDown', 'n', ...'Mail'],
  },
  { name: 'desk-cable-night', path: '/bulletin-desk/desk', night: true, keys: ['x', '2'] },
  {
    name: 'zones-day',
    path: '/bulletin-desk/zones',
    keys: [']', 'n', 'ArrowRight', 'Shift+ArrowRight', 'Control+ArrowLeft', 'Control+ArrowLeft'],
  },
  { name: 'rules-day', path: '/bulletin-desk/rules', keys: ['ArrowDown', 'ArrowDown'] },
  { name: 'apps-day', path: '/bulletin-desk/rules', keys: ['p', 'ArrowDown', 'ArrowDown'] },
  { name: 'keys-suggest-day', path: '/bulletin-desk/keys', keys: ['s', 'w', 'wait:4000'] },
  {
    name: 'keys-day',
    path: '/bulletin-desk/keys',
    keys: ['/', ...'turn-layout', 'Enter', 'r', 'Meta+KeyB', 'wait:1200', 'ArrowDown', 'ArrowUp'],
  },
  {
    // The chart itself, in the pixels of the briefing wall, as the page saves it.
    name: 'key-chart-night',
    path: '/bulletin-desk/keys',
    night: true,
    keys: ['c', 'n', 'w', 'w', 'w', 'wait:900'],
    saves: 'i',
  },
  {
    name: 'files-day',
    path: '/bulletin-desk/tiling',
    keys: [
      'g',
      '6',
      'Enter',
      'Escape',
      'wait:900',
      'l',
      'wait:1500',
      '8',
      'wait:900',
      'ArrowDown',
      'wait:600',
    ],
  },
  {
    name: 'files-text-night',
    path: '/bulletin-desk/files',
    night: true,
    keys: [
      't',
      'wait:600',
      'Enter',
      'Control+End',
      ...'look:',
      'Enter',
      ' ',
      ' ',
      ...'motionMs: fast',
      'wait:900',
    ],
  },
  { name: 'trials-day', path: '/bulletin-desk/trials', keys: ['wait:6000'] },
  {
    name: 'compare-night',
    path: '/bulletin-desk/tiling',
    night: true,
    keys: [
      'g',
      ...'24',
      'Enter',
      'Escape',
      'wait:1500',
      '7',
      'wait:3000',
      'm',
      'wait:2500',
      'ArrowDown',
      'w',
      'wait:2500',
      'ArrowDown',
      'wait:900',
      ...Array.from({ length: 9 }, () => 'ArrowRight'),
      'm',
      'm',
      'm',
      'wait:1500',
    ],
  },
  { name: 'begin-day', path: '/begin', keys: ['4', 'Enter', 'wait:200', '5'] },
  { name: 'x11-day', isDisplay: true },
];

needNode();
install();
const executablePath = chromium();
x11Programs();
buildEngine();
buildPage();
const { chromium: driver } = await import('playwright-core');
const folder = mkdtempSync(join(tmpdir(), 'sorn-shots-'));
const into = join(root, 'docs/screenshots');
mkdirSync(into, { recursive: true });
const browser = await driver.launch({
  executablePath,
  args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
});
const named = process.argv.slice(2);
const wanted = SHOTS.filter(({ name }) => named.length === 0 || named.includes(name));
for (const { name, path, night = false, keys = [], saves, isDisplay } of wanted) {
  say(`docs/screenshots/${name}.png`);
  if (isDisplay) {
    await pictureOfDisplay(join(into, `${name}.png`));
    continue;
  }
  const { server, url } = await serve(join(folder, `${name}.db`));
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: night ? 'dark' : 'light',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(url + path);
  const isBench = !['/profiles', '/begin'].includes(path);
  if (isBench) await page.getByText('Bulletin desk').first().waitFor();
  // Some views load when they are needed.
  await page.locator('main').first().waitFor();
  await page.waitForTimeout(500);
  for (const key of keys) {
    const wait = /^wait:(\d+)$/.exec(key)?.[1];
    if (wait) await page.waitForTimeout(Number(wait));
    else await page.keyboard.press(key);
    await page.waitForTimeout(60);
  }
  if (isBench) await page.locator('[data-save-state=saved]').waitFor();
  // What closes fades out first.
  await page.waitForTimeout(400);
  const picture = join(into, `${name}.png`);
  if (saves) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.keyboard.press(saves),
    ]);
    await download.saveAs(picture);
  } else await page.screenshot({ path: picture });
  await context.close();
  server.kill();
}
await browser.close();
// Stand-in desktops outlive their agents for a while.
spawnSync('pkill', ['-f', `desktop --socket ${folder}`]);
rmSync(folder, { recursive: true, force: true });

function serve(file) {
  // With a stand-in desktop of its own for each picture, as npm run demo has one.
  const own = `${file}.d`;
  mkdirSync(own);
  const main = join(root, 'server/dist/main.js');
  // The machine's own name is nobody's business.
  const named = ['--machine', 'tower'];
  const args = [main, '--demo', ...named, '--agent', 'stand-in', '--data', file, '--port', '0'];
  const server = spawn(process.execPath, args, {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, TMPDIR: own, SORN_CONTROL: join(own, 'live.sock') },
  });
  return new Promise((resolve) => {
    server.stdout.on('data', (data) => {
      const url = /http:\/\/\S+/.exec(String(data))?.[0];
      if (url) resolve({ server, url });
    });
  });
}

/** The real display of npm run demo:x11, a fifth as large or so. */
async function pictureOfDisplay(picture) {
  const { DISPLAY: _own, ...env } = process.env;
  const own = join(folder, 'display');
  mkdirSync(own);
  const demo = spawn(
    process.execPath,
    [join(root, 'scripts/demo-x11.mjs'), '--data', join(own, 'x.db'), '--port', '0'],
    { stdio: ['ignore', 'ignore', 'pipe'], env: { ...env, SORN_CONTROL: join(own, 'live.sock') } },
  );
  const display = await new Promise((resolve) => {
    demo.stderr.on('data', (data) => {
      const name = /is display (:\d+)/.exec(String(data))?.[1];
      if (name) resolve(name);
    });
  });
  // Until all its windows are there.
  await new Promise((resolve) => setTimeout(resolve, 9_000));
  // To the workspace of the morning's bulletin: Meta and B.
  const steps = [
    ['MetaLeft', true],
    ['KeyB', true],
    ['KeyB', false],
    ['MetaLeft', false],
  ].map(([code, down]) => JSON.stringify({ do: 'key', code, down }));
  spawnSync(
    process.execPath,
    [join(root, 'agents/x11/dist/main.js'), 'stimulus', '--display', display],
    { input: `${steps.join('\n')}\n`, timeout: 3_000 },
  );
  await new Promise((resolve) => setTimeout(resolve, 1_000));
  const { default: x11 } = await import('x11');
  const { client: x, screen } = await new Promise((resolve, reject) => {
    x11.createClient({ display, shm: 'off' }, (error, connected) =>
      error ? reject(error) : resolve(connected),
    );
  });
  const [{ root: whole, pixel_width: width, pixel_height: height }] = screen;
  const { data } = await new Promise((resolve, reject) => {
    x.GetImage(2, whole, 0, 0, width, height, 0xffffffff, (error, image) =>
      error ? reject(error) : resolve(image),
    );
  });
  const { PNG } = await import('pngjs');
  const small = Math.ceil(width / 1_280);
  const png = new PNG({ width: Math.floor(width / small), height: Math.floor(height / small) });
  // Each pixel is the mean of those that it stands for.
  for (let row = 0; row < png.height; row++)
    for (let column = 0; column < png.width; column++)
      for (const [to, from] of [
        [0, 2],
        [1, 1],
        [2, 0],
      ]) {
        let sum = 0;
        for (let y = row * small; y < (row + 1) * small; y++)
          for (let at = column * small; at < (column + 1) * small; at++)
            sum += data[(y * width + at) * 4 + from];
        png.data[(row * png.width + column) * 4 + to] = Math.round(sum / small ** 2);
        png.data[(row * png.width + column) * 4 + 3] = 255;
      }
  writeFileSync(picture, PNG.sync.write(png));
  x.terminate();
  const isOver = new Promise((resolve) => demo.once('exit', resolve));
  demo.kill('SIGTERM');
  await isOver;
}
