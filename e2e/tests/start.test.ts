import { spawn, spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { visit } from '../desk/browser.ts';
import { fixture } from '../desk/fixture.ts';
import { startServer } from '../desk/server.ts';
import { drawnWindows, figuresOf, keyWorks, saved } from '../desk/sheet.ts';

const ROOT = fileURLToPath(new URL('../../', import.meta.url));
const running = fixture({ file: 'deep/er/own.db' });

const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });

describe('an empty database', () => {
  it('asks three things, and opens Rehearse on what is made of the answers, by keys alone', async () => {
    const { page, context, said } = await visit(running.browser, running.server.url);
    await page.getByRole('heading', { name: 'Which monitors?' }).waitFor();
    await page.keyboard.press('n');
    await page.keyboard.type('Hut table');
    await page.keyboard.press('Enter');
    await page.keyboard.press('4');
    await page.locator('[data-card=laptop-below][aria-checked=true]').waitFor();
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'How are windows arranged?' }).waitFor();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await page.locator('[data-card=columns][aria-checked=true]').waitFor();
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Which hand moves?' }).waitFor();
    // Back and on again: the answers are still there.
    await page.keyboard.press('Backspace');
    await page.locator('[data-card=columns][aria-checked=true]').waitFor();
    await page.keyboard.press('Enter');
    await page.keyboard.press('3');
    await page.locator('[data-card=inverted-t-left][aria-checked=true]').waitFor();
    // What the letter A and the keys of the left hand took the place of is told.
    const letters = await page.locator('[data-letters]').innerText();
    for (const command of ['previous-layout', 'float', 'stay-above', 'next-layout', 'split-down'])
      expect(letters).toContain(command);
    await page.keyboard.press('Enter');
    await page.getByRole('main', { name: 'Rehearse' }).waitFor();
    expect(page.url()).toBe(`${running.server.url}/hut-table/rehearse`);
    expect(await drawnWindows(page)).toEqual([]);
    await keyWorks(page, 'give the keyboard to the sheet');
    // Two apps opened by their keys stand in two columns; the left hand moves the focus.
    await page.keyboard.press('Enter');
    for (const app of ['P', 'B']) await page.keyboard.press(`Meta+Alt+Key${app}`);
    await poll(async () => (await drawnWindows(page)).length).toBe(2);
    // 2560 wide, outer gaps of 6, an inner one of 10.
    const column = Math.floor((2560 - 12 - 10) / 2);
    const sizes = (await drawnWindows(page)).map(({ size }) => size);
    expect(sizes).toEqual([`${column} × ${1440 - 12}`, `${column} × ${1440 - 12}`]);
    const focused = async () => (await drawnWindows(page)).find((window) => window.focused)?.app;
    expect(await focused()).toBe('bulletin');
    await page.keyboard.press('Meta+KeyS');
    await poll(focused).toBe('post');
    await page.keyboard.press('F9');
    await saved(page);
    expect(said).toEqual([]);
    await context.close();
  });

  it('offers the demo, and deletes only after asking', async () => {
    const { page, context, said } = await visit(running.browser, `${running.server.url}/profiles`);
    await page.getByRole('button', { name: 'Hut table', exact: true }).waitFor();
    await page.keyboard.press('d');
    await poll(async () => (await drawnWindows(page)).length).toBe(8);
    await saved(page);
    await page.keyboard.press('9');
    await page.getByRole('button', { name: 'Delete Hut table' }).click();
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    await page
      .getByRole('button', { name: 'Hut table', exact: true })
      .waitFor({ state: 'detached' });
    await page.keyboard.press('1');
    await poll(async () => (await figuresOf(page, 'pitreader'))['pitreader']).toBe('1982 × 1400');
    expect(said).toEqual([]);
    await context.close();
  });

  it('takes a whole profile from a file, and tells why another cannot be one', async () => {
    const { page, context, said } = await visit(running.browser, `${running.server.url}/profiles`);
    page.on('filechooser', () => undefined);
    await keyWorks(page, 'from a file');
    const choose = async (name: string, content: string) => {
      const file = `${running.folder}/${name}`;
      writeFileSync(file, content);
      const chooser = page.waitForEvent('filechooser');
      await page.keyboard.press('f');
      await (await chooser).setFiles(file);
    };
    await choose('rules.yaml', 'version: 4\nrules: []\n');
    await page.getByRole('alert').getByText('it has no monitors').waitFor();
    await choose(
      'hut.toml',
      'name = "Carried"\n[[monitors]]\nid = "m"\nwidth = 1600\nheight = 900\n',
    );
    await page.getByRole('heading', { name: 'Carried' }).waitFor();
    await page.getByText('1600×900').waitFor();
    expect(page.url()).toContain('/carried/');
    expect(said).toEqual([]);
    await context.close();
  });

  it('says so when a profile is not there', async () => {
    const { page, context } = await visit(running.browser, `${running.server.url}/no-such`);
    await page.getByRole('alert').getByText('No profile is called no-such.').waitFor();
    await page.getByRole('button', { name: 'Choose another profile' }).click();
    await page.getByRole('button', { name: 'Bulletin desk', exact: true }).waitFor();
    await context.close();
  });
});

describe('npm run demo', () => {
  it('serves the demo desk, and says where it and its data are', async () => {
    const file = `${running.folder}/by-command.db`;
    const args = ['run', '-s', 'demo', '--', '--port', '0', '--data', file];
    const command = spawn('npm', args, { cwd: ROOT, detached: true });
    try {
      let said = '';
      command.stdout.on('data', (data) => (said += String(data)));
      await poll(() => Promise.resolve(said)).toContain(`Its data is in ${file}`);
      const url = /http:\/\/\S+/.exec(said)![0];
      const { page, context } = await visit(running.browser, url);
      await poll(async () => (await drawnWindows(page)).length).toBe(8);
      await context.close();
    } finally {
      process.kill(-command.pid!, 'SIGTERM');
    }
  });
});

describe('the command line', () => {
  const sorn = (args: string[], input = '') =>
    spawnSync('npm', ['run', '-s', 'sorn', '--', ...args], { cwd: ROOT, input, encoding: 'utf8' });
  const PROFILE =
    '{"monitors":[{"id":"wide","width":3440,"height":1440,"reserved":{"top":28}}],"tiling":{"gaps":{"inner":10,"outer":6,"dropWhenAlone":false},"layout":{"kind":"lead","leadShare":0.58}}}';

  it('prints placements of a session on standard input, relative to where the person stands', () => {
    const { status, stdout } = sorn(['arrange', '-', 'demo/bulletin-desk.session.json'], PROFILE);
    expect(status).toBe(0);
    const { placements } = JSON.parse(stdout) as { placements: { id: string; width: number }[] };
    expect(placements).toHaveLength(8);
  });

  it('agrees with the page about the demo', async () => {
    const { stdout } = sorn([
      'arrange',
      'demo/bulletin-desk.profile.json',
      'demo/bulletin-desk.session.json',
    ]);
    const { placements } = JSON.parse(stdout) as {
      placements: { id: string; x: number; y: number; tile: { width: number; height: number } }[];
    };
    const fresh = await startServer(`${running.folder}/demo.db`, { demo: true });
    const { page, context } = await visit(running.browser, fresh.url);
    await poll(async () => (await drawnWindows(page)).length).toBe(8);
    const drawn = await drawnWindows(page);
    for (const { id, x, y, tile } of placements) {
      const window = drawn.find((candidate) => candidate.id === id)!;
      expect([window.at, window.size]).toEqual([`${x},${y}`, `${tile.width} × ${tile.height}`]);
    }
    await context.close();
    await fresh.stop();
  });

  it('ends with 2 and a line per fault', () => {
    const bad = sorn(
      ['arrange', '-', 'demo/bulletin-desk.session.json'],
      '{"monitors":[{"id":"m"}]}',
    );
    expect([bad.status, bad.stdout]).toEqual([2, '']);
    expect(bad.stderr.trim().split('\n')).toEqual([
      '-: monitors[0].width: nothing; expected a whole number from 1 to 100000',
      '-: monitors[0].height: nothing; expected a whole number from 1 to 100000',
    ]);
    expect(sorn(['arange']).status).toBe(2);
  });
});
