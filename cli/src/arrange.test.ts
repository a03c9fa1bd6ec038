import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { arrangeFiles } from './arrange.ts';
import { BadInput } from './input.ts';

const folder = mkdtempSync(join(tmpdir(), 'sorn-cli-'));
afterAll(() => rmSync(folder, { recursive: true }));

function file(name: string, text: string | Uint8Array): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

function faultsOf(profile: string, session: string): string[] {
  try {
    arrangeFiles(profile, session);
  } catch (error) {
    if (error instanceof BadInput) return error.lines.map((line) => line.replace(`${folder}/`, ''));
    throw error;
  }
  return [];
}

const session = file('s.json', '{"windows":[{"id":"a"},{"id":"b"}]}');

describe('sorn arrange', () => {
  it('goes by what is otherwise on this machine, or on the one that is named', () => {
    const profile = (host: string) =>
      file(
        `${host}.yaml`,
        `monitors: [{ id: m, width: 800, height: 600 }]\nmachines: [{ host: ${JSON.stringify(host)}, monitors: [{ monitor: m, width: 1000 }] }]\n`,
      );
    const one = file('one.json', '{"windows":[{"id":"a"}]}');
    const width = (of: string, machine?: string) =>
      JSON.parse(arrangeFiles(of, one, machine)).placements[0].width;
    expect(width(profile('hut'))).toBe(800);
    expect(width(profile('hut'), 'HUT')).toBe(1000);
    expect(width(profile(hostname()))).toBe(1000);
    expect(width(profile(hostname()), 'hut')).toBe(800);
  });

  it('reads JSON, YAML and TOML to the same placements', () => {
    const json = file(
      'p.json',
      '{"monitors":[{"id":"m","width":800,"height":600}],"tiling":{"layout":{"kind":"columns"}}}',
    );
    const yaml = file(
      'p.yaml',
      'monitors:\n  - { id: m, width: 800, height: 600 }\ntiling:\n  layout: { kind: columns }\n',
    );
    const toml = file(
      'p.toml',
      '[[monitors]]\nid = "m"\nwidth = 800\nheight = 600\n[tiling.layout]\nkind = "columns"\n',
    );
    const bare = file('p', '[[monitors]]\nid = "m"\nwidth = 800\nheight = 600\n');
    const first = JSON.parse(arrangeFiles(json, session));
    expect(first.placements[1]).toEqual({
      id: 'b',
      monitor: 'm',
      workspace: '1',
      held: 'tiled',
      shown: true,
      tile: { x: 400, y: 0, width: 400, height: 600 },
      x: 400,
      y: 0,
      width: 400,
      height: 600,
    });
    expect(JSON.parse(arrangeFiles(yaml, session))).toEqual(first);
    expect(JSON.parse(arrangeFiles(toml, session))).toEqual(first);
    expect(JSON.parse(arrangeFiles(bare, session)).placements).toHaveLength(2);
  });

  it('gives the worked examples to the pixel', () => {
    const wide = { id: 'wide', width: 3440, height: 1440, reserved: { top: 28 } };
    const lap = {
      id: 'lap',
      width: 2880,
      height: 1800,
      scale: 2,
      reserved: { top: 24, bottom: 40 },
    };
    const gaps = { inner: 10, outer: 6 };
    const lead = (leadShare: number) => ({ kind: 'lead', leadShare });
    const arranged = (monitor: object, tiling: object, windows: object[]) => {
      const profile = file('worked.json', JSON.stringify({ monitors: [monitor], tiling }));
      const { placements } = JSON.parse(
        arrangeFiles(profile, file('worked-session.json', JSON.stringify({ windows }))),
      ) as { placements: { id: string; x: number; y: number; width: number; height: number }[] };
      return placements.map(({ id, x, y, width, height }) => `${id} ${x},${y} ${width}×${height}`);
    };
    const three = [{ id: 'pitreader' }, { id: 'bulletin' }, { id: 'stations' }];
    expect(arranged(wide, { gaps, layout: lead(0.58) }, three)).toEqual([
      'pitreader 6,34 1982×1400',
      'bulletin 1998,34 1436×695',
      'stations 1998,739 1436×695',
    ]);
    const alone = { gaps: { ...gaps, dropWhenAlone: true }, layout: lead(0.58) };
    expect(arranged(wide, alone, [{ id: 'pitreader' }])).toEqual(['pitreader 0,28 3440×1412']);
    const map = { id: 'areamap', min: { width: 800, height: 600 } };
    expect(arranged(wide, { gaps, layout: lead(0.8) }, [{ id: 'pitreader' }, map])).toEqual([
      'pitreader 6,34 2618×1400',
      'areamap 2634,34 800×1400',
    ]);
    const four = [...'abcd'].map((id) => ({ id }));
    const middle = { gaps, layout: { kind: 'middle', leadShare: 0.4 } };
    expect(arranged(wide, middle, four)).toEqual([
      'a 1038,34 1364×1400',
      'b 2412,34 1022×695',
      'c 6,34 1022×1400',
      'd 2412,739 1022×695',
    ]);
    const five = [...'abcde'].map((id) => ({ id }));
    expect(arranged(wide, { gaps, layout: { kind: 'halving', turn: 'inward' } }, five)).toEqual([
      'a 6,34 1709×1400',
      'b 1725,34 1709×695',
      'c 2585,739 849×695',
      'd 1725,1092 850×342',
      'e 1725,739 850×343',
    ]);
    const seven = [...'abcdefg'].map((id) => ({ id }));
    expect(arranged(lap, { gaps, layout: { kind: 'columns' } }, seven)).toEqual([
      'a 12,60 391×1648',
      'b 423,60 391×1648',
      'c 834,60 391×1648',
      'd 1245,60 390×1648',
      'e 1655,60 391×1648',
      'f 2066,60 391×1648',
      'g 2477,60 391×1648',
    ]);
  });

  it('gives every other layout as it is defined, to the pixel', () => {
    const wide = { id: 'wide', width: 3440, height: 1440, reserved: { top: 28 } };
    const lap = { ...wide, width: 2880, height: 1800, scale: 2, reserved: { top: 24, bottom: 40 } };
    const arranged = (layout: object, n: number, monitor: object = wide) => {
      const tiling = { gaps: { inner: 10, outer: 6 }, layout };
      const windows = [...'abcdefg'.slice(0, n)].map((id) => ({ id }));
      const profile = file('each.json', JSON.stringify({ monitors: [monitor], tiling }));
      const { placements } = JSON.parse(
        arrangeFiles(profile, file('each-session.json', JSON.stringify({ windows }))),
      ) as { placements: (Record<'x' | 'y' | 'width' | 'height', number> & { held: string })[] };
      expect(new Set(placements.map(({ held }) => held)).size).toBe(1);
      return placements.map(({ x, y, width, height }) => `${x},${y} ${width}×${height}`);
    };
    expect(arranged({ kind: 'rows', weights: [2, 1, 1] }, 3)).toEqual([
      '6,34 3428×690',
      '6,734 3428×345',
      '6,1089 3428×345',
    ]);
    // Three columns: cells of 1142.7 × 700 come nearest to 1.6.
    expect(arranged({ kind: 'grid' }, 5)).toEqual([
      '6,34 1136×695',
      '1152,34 1136×695',
      '2298,34 1136×695',
      '6,739 1709×695',
      '1725,739 1709×695',
    ]);
    expect(arranged({ kind: 'halving', share: 0.6, firstAxis: 'y' }, 3)).toEqual([
      '6,34 3428×834',
      '6,878 2051×556',
      '2067,878 1367×556',
    ]);
    // Nobody said how: each window halves the longer side of the one before.
    expect(arranged({ kind: 'split' }, 3)).toEqual([
      '6,34 1709×1400',
      '1725,34 850×1400',
      '2585,34 849×1400',
    ]);
    expect(arranged({ kind: 'single', strip: 'tabs' }, 2)[1]).toBe('6,62 3428×1372');
    expect(arranged({ kind: 'single', strip: 'list' }, 3, lap)[2]).toBe('12,228 2856×1480');
    expect(arranged({ kind: 'single', strip: 'list' }, 1)).toEqual(['6,34 3428×1400']);
    expect(arranged({ kind: 'cascade' }, 3)).toEqual([
      '6,34 2400×980',
      '38,66 2400×980',
      '70,98 2400×980',
    ]);
    expect(arranged({ kind: 'cascade', share: 0.9, step: 100 }, 5, lap)[4]).toBe(
      '296,224 2570×1483',
    );
    expect(arranged({ kind: 'free' }, 2)).toEqual(['860,381 1720×706', '860,381 1720×706']);
  });

  it('tells every fault with its file and path', () => {
    const bad = file(
      'bad.yaml',
      'monitors:\n  - { id: m, width: 800 }\ntiling: { gaps: { iner: 3 } }\n',
    );
    expect(faultsOf(bad, session)).toEqual([
      'bad.yaml:2:5: monitors[0].height is nothing; expected a whole number from 1 to 100000',
      'bad.yaml:3:19: tiling.gaps.iner is 3; expected a known field; the nearest is inner',
    ]);
  });

  it('tells what cannot be read at all', () => {
    expect(faultsOf(join(folder, 'none.json'), session)[0]).toContain('none.json: no such file');
    expect(faultsOf(file('cut.json', '{"monitors":'), session)[0]).toContain(
      'cut.json:1:13: not JSON: ',
    );
    expect(faultsOf(file('tab.yaml', 'a:\n\t- b'), session)[0]).toContain(
      'tab.yaml:2:1: not YAML: ',
    );
    expect(faultsOf(file('half.toml', '[monitors'), session)[0]).toContain(
      'half.toml:1:2: not TOML: ',
    );
    expect(faultsOf(file('latin', new Uint8Array([0xe9, 0xff])), session)[0]).toContain(
      'not UTF-8',
    );
    expect(faultsOf(folder, session)).toHaveLength(1);
    expect(faultsOf('-', '-')[0]).toContain('not both');
    const bomb = `a: &a [x,x,x,x,x,x,x,x,x]\n${'bcdefghi'
      .split('')
      .map((c, i) => `${c}: &${c} [${Array(9).fill(`*${'abcdefgh'[i]}`).join(',')}]`)
      .join('\n')}\n`;
    expect(faultsOf(file('bomb.yaml', bomb), session)[0]).toMatch(
      /bomb\.yaml:1:1: not YAML: .*alias/i,
    );
  });
});
