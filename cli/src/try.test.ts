import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { execFileSync, spawnSync } from 'node:child_process';
import { XMLParser } from 'fast-xml-parser';
import { afterAll, describe, expect, it } from 'vitest';
import { BadInput } from './input.ts';
import { tryFile } from './try.ts';

const MAIN = join(import.meta.dirname, '../dist/main.js');
const DEMO = join(import.meta.dirname, '../../demo/bulletin-desk.profile.json');
const folder = mkdtempSync(join(tmpdir(), 'sorn-try-'));
afterAll(() => rmSync(folder, { recursive: true }));

interface Told {
  trials: { id: string; tries: number; held: number; failure: { steps: string[] } | null }[];
}
const told = (text: string) => (JSON.parse(text) as Told).trials;

const run = (...args: string[]) =>
  spawnSync(process.execPath, [MAIN, 'try', ...args], { encoding: 'utf8' });

/** The demo with something else in it. */
function changed(change: (demo: { trials: object[]; rules: object[] }) => void): string {
  const demo = JSON.parse(readFileSync(DEMO, 'utf8')) as Parameters<typeof change>[0];
  change(demo);
  const file = join(folder, 'changed.json');
  writeFileSync(file, JSON.stringify(demo));
  return file;
}

describe('sorn try', () => {
  it('tells which trials of the demo hold, and why one does not', async () => {
    const { text, hasHeld } = await tryFile(DEMO, []);
    expect(hasHeld).toBe(false);
    expect(text.split('\n').filter((line) => /^(held|failed)/.test(line))).toEqual([
      'failed  The morning’s call (2 of 6 tries)',
      'held    A shell for a data pull, and the bulletin is out',
      'held    Slope Cams fill the upper part (2 of 2 tries)',
      'held    What pops up stays out of the way (3 of 3 tries)',
      'held    The cable of the tall monitor (8 of 8 tries)',
      'held    The map goes to the wall',
      'held    No window is ever out of reach (125 of 125 tries)',
      'held    No window ends on a monitor other than its own (125 of 125 tries)',
      'held    No window of the start ends under its minimum',
    ]);
    expect(text).toContain(
      'holds only with call-app pitreader before call-app stations, and call-app pitreader before call-app bulletin (fails in 4 of 6 orders)',
    );
    expect(text).toContain(
      'quick fix: a rule before all others: When a window’s app is pitreader, let it join as lead. Then 6 of 6 tries hold.',
    );
    // What the reason says mends it: a window that joins as the lead does not have to come first.
    const mended = changed(({ rules }) =>
      rules.unshift({
        id: 'lead',
        when: { all: [{ of: 'app', is: 'pitreader' }] },
        then: { join: 'lead' },
      }),
    );
    expect((await tryFile(mended, [])).hasHeld).toBe(true);
  });

  it('exits 1 where one fails, 0 where all hold, and 2 for a name that no trial has', () => {
    expect(run(DEMO, 'morning-call').status).toBe(1);
    expect(run(DEMO, 'cable', 'The map goes to the wall').status).toBe(0);
    const bad = run(DEMO, 'cabel');
    expect([bad.status, bad.stderr]).toEqual([
      2,
      'no trial is called cabel; expected the nearest is cable\n',
    ]);
  });

  it('writes JUnit XML that its readers take, whatever names there are', async () => {
    const file = changed(({ trials }) =>
      trials.push({
        id: 'odd',
        name: '<"&\u0001>',
        steps: [{ expect: { window: 'a<b', is: 'lead' } }],
      }),
    );
    const { text } = await tryFile(file, [], { as: 'junit' });
    const parser = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '' });
    const { testsuites } = parser.parse(text, true) as {
      testsuites: {
        tests: string;
        failures: string;
        testsuite: { testcase: { name: string; failure?: { message: string } }[] };
      };
    };
    expect([testsuites.tests, testsuites.failures]).toEqual(['10', '2']);
    const failed = testsuites.testsuite.testcase.filter(({ failure }) => failure);
    expect(failed.map(({ name }) => name)).toEqual(['The morning’s call', '<"&\ufffd>']);
    expect(failed[1]!.failure!.message).toBe('a<b is the lead: a<b is not open');
  });

  it('takes trials of a file beside it, and tries many in threads', () => {
    const beside = join(folder, 'beside.yaml');
    const apps = ['pitreader', 'bulletin', 'stations', 'slopecams', 'radiolog', 'areamap'];
    writeFileSync(
      beside,
      [
        'trials:',
        '  - id: all-six',
        '    session: { desk: office }',
        '    steps:',
        `      - anyOrder: [${apps.map((app) => `{ command: open-app, app: ${app} }`).join(', ')}]`,
        '      - expect: { window: pitreader, is: lead }',
      ].join('\n'),
    );
    const [all] = told(run(DEMO, 'all-six', '--trials', beside, '--as', 'json').stdout);
    expect(all!.tries).toBe(720);
    // Pit Reader leads where it opens before all others.
    expect(all!.held).toBe(720 / 6);
    expect(all!.failure!.steps).toHaveLength(2);
  });

  it('tries the same orders for the same seed', () => {
    const file = changed(({ trials }) =>
      trials.push({
        id: 'many',
        steps: [
          {
            anyOrder: Array.from({ length: 9 }, (_, i) => ({
              open: { id: `w${i}`, app: `a${i}` },
            })),
          },
          { expect: { window: 'a3', is: 'lead' } },
        ],
      }),
    );
    const held = (seed: string) =>
      told(run(file, 'many', '--orders', '300', '--seed', seed, '--as', 'json').stdout)[0]!.held;
    const [one, again, other] = [held('1'), held('1'), held('2')];
    expect(again).toBe(one);
    expect(other).not.toBe(one);
  });

  it.each([
    [{ as: 'yaml' }, '--as: yaml; expected one of text, json, junit'],
    [{ orders: '0' }, '--orders: 0; expected a whole number from 1 to 999999999'],
    [{ seed: 'x' }, '--seed: x; expected a whole number from 0 to 999999999'],
  ])('refuses %j', async (options, message) => {
    await expect(tryFile(DEMO, [], options)).rejects.toEqual(new BadInput([message]));
  });
});

it('is told of by --help', () => {
  expect(execFileSync(process.execPath, [MAIN, 'try', '--help'], { encoding: 'utf8' })).toContain(
    'junit',
  );
});
