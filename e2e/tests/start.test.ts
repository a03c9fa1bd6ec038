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
  it('asks a few things, and opens Rehearse on what is made of the answers, by keys alone', async () => {
    const { page, context, said } = await visit(running.browser, running.server.url);
    await page.getByRole('heading', { name: 'Which monitors?' }).waitFor();
    await page.getByText('sets up a desk on which windows arrange themselves').waitFor();
    await page.keyboard.press('n');
    await page.keyboard.type('Hut table');
    await page.keyboard.press('Enter');
    let presses = 0;
    const press = async (...keys: string[]) => {
      presses += keys.length;
      for (const key of keys) await page.keyboard.press(key);
    };
    const isChosen = (card: string) =>
      page.locator(`[data-card=${card}][aria-checked=true]`).waitFor();
    // A laptop, and above it a monitor of 27 inches.
    await press('4');
    await isChosen('laptop-below');
    const sizes = await page.locator('[data-sizes]').innerText();
    expect(sizes.replaceAll(/\s+/g, ' ')).toContain('27 inch 2560 × 1440');
    await press('Enter');
    // Browser, mail, terminal and editor are taken already.
    await page.getByRole('heading', { name: 'Which programs?' }).waitFor();
    await press('3', '8', '2');
    await page.locator('[data-card=mail][aria-checked=false]').waitFor();
    await press('Enter');
    await page.getByRole('heading', { name: 'How are windows arranged?' }).waitFor();
    await press('ArrowRight', 'ArrowRight');
    await isChosen('columns');
    await press('Enter');
    await page.getByRole('heading', { name: 'Which hand moves?' }).waitFor();
    await press('2');
    await isChosen('inverted-t');
    // What the hand gives is told: I above J K L, and what stood there before.
    const gives = (await page.locator('[data-gives]').innerText()).replaceAll(/\s+/g, ' ');
    expect(gives).toContain('Meta JILK Go to the window there');
    expect(await page.locator('[data-letters]').innerText()).toContain('nudge-down');
    await press('Enter');
    expect(presses).toBeLessThanOrEqual(12);
    await page.getByRole('main', { name: 'Rehearse' }).waitFor();
    expect(page.url()).toBe(`${running.server.url}/hut-table/rehearse`);
    expect(await drawnWindows(page)).toEqual([]);
    await keyWorks(page, 'give the keyboard to the sheet');

    // The first steps are done by doing them, with the keys they name.
    const steps = page.getByRole('list', { name: 'First steps' }).getByRole('listitem');
    const done = () => steps.and(page.locator('[data-done=true]')).count();
    const keysOf = async (step: number) => {
      const caps = await steps.nth(step).locator('kbd').allInnerTexts();
      const codes: Record<string, string> = { Ctrl: 'Control', '-': 'Minus' };
      const code = (cap: string) => codes[cap] ?? (/^[A-Z]$/.test(cap) ? `Key${cap}` : cap);
      return caps.map(code).join('+');
    };
    expect(await done()).toBe(0);
    await page.keyboard.press(await keysOf(0));
    await poll(done).toBe(1);
    const open = await keysOf(1);
    await page.keyboard.press(open);
    await page.keyboard.press(open.replace('KeyB', 'KeyC'));
    // The chat goes to the laptop by its rule, and leaves the focus: another browser shares the room.
    await page.keyboard.press(open);
    await poll(async () => (await drawnWindows(page)).length).toBe(3);
    await poll(done).toBe(2);
    const before = await drawnWindows(page);
    const column = Math.floor((2560 - 12 - 10) / 2);
    const onMain = before.filter(({ app }) => app === 'browser').map(({ size }) => size);
    expect(onMain).toEqual([`${column} × ${1440 - 12}`, `${column} × ${1440 - 12}`]);
    const focused = async () => (await drawnWindows(page)).find(({ focused: is }) => is)?.id;
    expect(await focused()).toBe('browser-2');
    await page.keyboard.press(await keysOf(2));
    await poll(focused).toBe('browser-1');
    await page.keyboard.press(await keysOf(3));
    await poll(done).toBe(4);
    expect(await drawnWindows(page)).not.toEqual(before);
    await page.keyboard.press(await keysOf(4));
    await poll(done).toBe(5);
    // What was done stays done, and is put away for good.
    await page.keyboard.press('F9');
    await saved(page);
    await page.reload();
    await poll(done).toBe(5);
    await keyWorks(page, 'give the keyboard to the sheet');
    await page.keyboard.press('Delete');
    await steps.first().waitFor({ state: 'detached' });
    await saved(page);
    await page.reload();
    await page.getByRole('main', { name: 'Rehearse' }).waitFor();
    await poll(async () => (await drawnWindows(page)).length).toBe(3);
    expect(await steps.count()).toBe(0);
    expect(said).toEqual([]);
    await context.close();
  });

  it('goes on by Enter after a click, keeps the answers on the way back, and has any size', async () => {
    const { page, context, said } = await visit(running.browser, `${running.server.url}/begin`);
    await page.locator('[data-card=laptop]').click();
    await page.keyboard.press('+');
    await page.locator('[data-sizes]').getByText('16 inch laptop').waitFor();
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Which programs?' }).waitFor();
    // Along the cards by arrows, taken by the space bar.
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press(' ');
    await page.locator('[data-card=mail][aria-checked=false]').waitFor();
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'How are windows arranged?' }).waitFor();
    await page.keyboard.press('Backspace');
    await page.locator('[data-card=mail][aria-checked=false]').waitFor();
    await page.keyboard.press('Backspace');
    await page.locator('[data-card=laptop][aria-checked=true]').waitFor();
    await page.locator('[data-sizes]').getByText('2880 × 1800 at 2').waitFor();
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
    await page.getByRole('link', { name: 'Carried' }).waitFor();
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
  it('serves the demo desk beside a stand-in desktop, and says where it and its data are', async () => {
    const file = `${running.folder}/by-command.db`;
    const args = ['run', '-s', 'demo', '--', '--port', '0', '--data', file];
    // The stand-in desktop and the way to it lie in folders of the person's own: here in the test's.
    const env = {
      ...process.env,
      TMPDIR: running.folder,
      SORN_CONTROL: `${running.folder}/c/live`,
    };
    const command = spawn('npm', args, { cwd: ROOT, detached: true, env });
    try {
      let said = '';
      command.stdout.on('data', (data) => (said += String(data)));
      await poll(() => Promise.resolve(said)).toContain(`Its data is in ${file}`);
      const url = /http:\/\/\S+/.exec(said)![0];
      const { page, context } = await visit(running.browser, url);
      await poll(async () => (await drawnWindows(page)).length).toBe(8);
      await page.locator('[data-live-state=running]').waitFor();
      await page.keyboard.press('Shift+L');
      await page.getByText('Live · stand-in desktop').waitFor();
      await poll(async () => (await drawnWindows(page)).length).toBe(9);
      await context.close();
    } finally {
      process.kill(-command.pid!, 'SIGTERM');
      // It outlives its agent for a while.
      spawnSync('pkill', ['-f', `desktop --socket ${running.folder}`]);
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
