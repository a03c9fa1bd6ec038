import {
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { readDisk, tidyBeside, writeDisk } from './disk.ts';

let folder: string;
const path = () => join(folder, 'desk.yaml');
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'sorn-disk-'))));
afterEach(() => rmSync(folder, { recursive: true }));

test('a file that says something else than it is thought to say is not written', () => {
  writeFileSync(path(), 'name: Shed\n');
  const { ino } = statSync(path());
  expect(writeDisk(path(), 'name: Barn\n', 'name: Hut\n')).toBe(false);
  expect(readFileSync(path(), 'utf8')).toBe('name: Shed\n');
  expect(statSync(path()).ino).toBe(ino);
  expect(readdirSync(folder)).toEqual(['desk.yaml']);
});

test('a write puts another file in its place, so that whoever reads has the whole of one', () => {
  writeFileSync(path(), 'name: Hut\n', { mode: 0o604 });
  const { ino } = statSync(path());
  expect(writeDisk(path(), 'name: Barn\n', 'name: Hut\n')).toBe(true);
  expect(readFileSync(path(), 'utf8')).toBe('name: Barn\n');
  expect(statSync(path()).ino).not.toBe(ino);
  expect(statSync(path()).mode & 0o777).toBe(0o604);
});

test('a new file takes no other one’s place', () => {
  expect(writeDisk(path(), 'name: Hut\n', null)).toBe(true);
  expect(() => writeDisk(path(), 'name: Barn\n', null)).toThrow(/EEXIST/);
  expect(readFileSync(path(), 'utf8')).toBe('name: Hut\n');
});

test('what a write that was cut off left beside it is taken away, and nothing else', () => {
  writeFileSync(path(), 'name: Hut\n');
  writeFileSync(join(folder, '.desk.yaml.sorn-write-7'), 'name');
  writeFileSync(join(folder, '.desk.yaml.swp'), 'editor');
  tidyBeside(path());
  expect(readdirSync(folder).sort()).toEqual(['.desk.yaml.swp', 'desk.yaml']);
});

test('what cannot be read says why', () => {
  expect(readDisk(path())).toEqual({ state: 'gone', because: 'there is no such file' });
  expect(readDisk(folder)).toMatchObject({ state: 'unreadable' });
  writeFileSync(path(), Buffer.from([0xff, 0xfe, 0x41, 0]));
  expect(readDisk(path())).toMatchObject({
    state: 'unreadable',
    because: expect.stringContaining('UTF-16') as string,
  });
  expect(existsSync(path())).toBe(true);
});
