import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { checkFile } from './check.ts';

const folder = mkdtempSync(join(tmpdir(), 'sorn-check-'));
const demo = fileURLToPath(new URL('../../demo/bulletin-desk.profile.json', import.meta.url));

function checked(profile: unknown): string[] {
  const file = join(folder, 'profile.json');
  writeFileSync(file, JSON.stringify(profile));
  const { text, isSound } = checkFile(file, true);
  expect(isSound).toBe(text === 'Nothing found.\n');
  return text.trimEnd().split('\n');
}

const monitors = [
  { id: 'wide', name: 'Wide', width: 3440, height: 1440 },
  { id: 'tall', width: 1440, height: 2560 },
  { id: 'lap', width: 2880, height: 1800 },
];
const desk = (id: string, ...standing: [string, number, number][]) => ({
  id,
  monitors: standing.map(([monitor, x, y]) => ({ monitor, x, y })),
});

describe('sorn check', () => {
  it('finds nothing in the demo', () => {
    expect(checkFile(demo).text).toBe('{\n  "findings": []\n}\n');
  });

  it('finds names that match nothing, with the nearest that exists', () => {
    expect(
      checked({
        monitors: [{ ...monitors[0], fallback: 'lpa' }, monitors[1], monitors[2]],
        desks: [desk('office', ['wide', 0, 0], ['tal', 3440, 0])],
        workspaces: [
          { id: 'B', monitor: 'wdie' },
          { id: 'S', monitor: 'Wid*' },
          { id: 'R', monitor: 'turned' },
        ],
      }),
    ).toEqual([
      'monitors[0].fallback names lpa, which does not exist. The nearest is lap.',
      'desks[0].monitors[1].monitor names tal, which does not exist. The nearest is tall.',
      'workspaces[0].monitor names wdie, which does not exist. The nearest is wide.',
      'Workspace R is at home on turned, which is on no desk.',
    ]);
  });

  it('finds boards that are for no monitor, and names in them that match nothing', () => {
    expect(
      checked({
        monitors: [monitors[0]],
        boards: [
          { id: 'high', name: 'High', for: { turned: true } },
          { id: 'named', for: { monitor: 'wdie' } },
          { id: 'sound', zones: [{ name: 'All', columns: [1, 1], rows: [1, 1] }] },
        ],
        apps: [{ id: 'a' }],
        rules: [{ id: 'r', when: { all: [{ of: 'app', is: 'a' }] }, then: { zone: 'Al' } }],
        tiling: { layout: { kind: 'board', board: 'hihg' } },
      }),
    ).toEqual([
      'rules[0].then.zone names Al, which does not exist. The nearest is All.',
      'tiling.layout.board names hihg, which does not exist. The nearest is high.',
      'boards[1].for.monitor names wdie, which does not exist. The nearest is wide.',
      'The board High is for no monitor of any desk: it is at least as wide as high.',
    ]);
  });

  it('finds what is wrong with rules, each told with its number', () => {
    expect(
      checked({
        monitors: [monitors[0]],
        apps: [
          { id: 'areamap', name: 'Area Map' },
          { id: 'hazarddial', name: 'Hazard Dial', kind: 'dialog' },
        ],
        rules: [
          { id: 'first', name: 'All', then: { workspace: '1', focus: true } },
          { id: 'second', when: { all: [{ of: 'app', is: 'areamap' }] }, then: { focus: false } },
        ],
      }),
    ).toEqual([
      'Rule 2 never decides anything: rule 1 All comes first and says all of it.',
      'Hazard Dial is a dialog, and no rule says how it is held: it is tiled.',
    ]);
  });

  it('finds on every desk what overlaps, stands apart, and what no direction reaches', () => {
    expect(
      checked({
        monitors,
        desks: [
          desk('sound', ['wide', 0, 0], ['tall', 3440, 0]),
          desk('over', ['wide', 0, 0], ['tall', 3400, 0]),
          desk('apart', ['wide', 0, 0], ['lap', 4000, 2000]),
        ],
      }),
    ).toEqual([
      'Wide and tall overlap by 40 × 1440 px on the desk over.',
      'No direction key leads to Wide on the desk over; go-monitor next does.',
      'No direction key leads to tall on the desk over; go-monitor next does.',
      'lap touches none of the others on the desk apart: a pointer does not get there.',
    ]);
  });

  it('gives programs the kind and the text of each', () => {
    const file = join(folder, 'two.json');
    writeFileSync(
      file,
      JSON.stringify({
        monitors,
        workspaces: [
          { id: 'B', monitor: 'from-left-4' },
          { id: 'C', monitor: 'lab' },
        ],
      }),
    );
    const { findings } = JSON.parse(checkFile(file).text) as { findings: { kind: string }[] };
    expect(findings.map(({ kind }) => kind)).toEqual(['unknown-name', 'homed-nowhere']);
  });
});
