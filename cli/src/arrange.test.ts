import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
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

  it('tells every fault with its file and path', () => {
    const bad = file(
      'bad.yaml',
      'monitors:\n  - { id: m, width: 800 }\ntiling: { gaps: { iner: 3 } }\n',
    );
    expect(faultsOf(bad, session)).toEqual([
      'bad.yaml: monitors[0].height: nothing; right would be a whole number from 1 to 100000',
      'bad.yaml: tiling.gaps.iner: 3; right would be no such field; the nearest is inner',
    ]);
  });

  it('tells what cannot be read at all', () => {
    expect(faultsOf(join(folder, 'none.json'), session)[0]).toContain('none.json: no such file');
    expect(faultsOf(file('cut.json', '{"monitors":'), session)[0]).toContain('cut.json: not JSON');
    expect(faultsOf(file('tab.yaml', 'a:\n\t- b'), session)[0]).toContain('tab.yaml: not YAML');
    expect(faultsOf(file('half.toml', '[monitors'), session)[0]).toContain('half.toml: not TOML');
    expect(faultsOf(file('latin', new Uint8Array([0xe9, 0xff])), session)[0]).toContain(
      'not UTF-8',
    );
    expect(faultsOf(folder, session)).toHaveLength(1);
    expect(faultsOf('-', '-')[0]).toContain('not both');
    const bomb = `a: &a [x,x,x,x,x,x,x,x,x]\n${'bcdefghi'
      .split('')
      .map((c, i) => `${c}: &${c} [${Array(9).fill(`*${'abcdefgh'[i]}`).join(',')}]`)
      .join('\n')}\n`;
    expect(faultsOf(file('bomb.yaml', bomb), session)[0]).toMatch(/bomb\.yaml: not YAML: .*alias/i);
  });
});
