import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { inUrl, readOptions } from './options.ts';

const read = (...args: string[]) => readOptions(args, { XDG_DATA_HOME: '/share' }, '/sorn/');

describe('the server’s options', () => {
  it('keep the demo apart from the person’s own data, on this machine alone', () => {
    expect(read()).toMatchObject({ file: '/share/sorn/sorn.db', host: '127.0.0.1', port: 4680 });
    expect(read('--demo')).toMatchObject({ file: '/sorn/data/demo.db', demo: true, fresh: false });
    expect(read('--data', '/x.db', '--port', '0')).toMatchObject({ file: '/x.db', port: 0 });
  });

  it('open it to others only where people log in, under the names given', () => {
    for (const host of ['0.0.0.0', '::', '192.0.2.7', 'desk.example', '[2001:db8::1]'])
      expect(() => read('--host', host)).toThrow('--token-file FILE');
    for (const host of ['127.0.0.1', '127.5.5.5', '::1', '[::1]', 'localhost', 'LOCALHOST'])
      expect(read('--host', host)).toMatchObject({ host });
    expect(
      read('--host', '::', '--token-file', '/t', '--name', 'Desk.example', '--name', 'hut'),
    ).toMatchObject({ host: '::', tokenFile: '/t', names: ['desk.example', 'hut'] });
    expect(() => read('--name', 'http://hut')).toThrow('a host name without a port');
    expect(() => read('--token-file', '')).toThrow('--token-file is empty');
  });

  it('take a file alone as the place of the data', () => {
    for (const data of ['', ' ', ':memory:', 'file:x.db', 'FILE:x'])
      expect(() => read('--data', data)).toThrow('expected a file');
    expect(read('--data', 'c:x.db').file).toMatch(/\/c:x\.db$/);
  });

  it('take a store that several servers share, with its token out of a file', () => {
    const folder = mkdtempSync(join(tmpdir(), 'sorn-options-'));
    const file = join(folder, 'token');
    writeFileSync(file, 'let-me-in\n');
    expect(read('--data', 'libsql://x.example', '--data-token-file', file)).toMatchObject({
      shared: { url: 'libsql://x.example', token: 'let-me-in' },
      file: '/share/sorn/shared/x.example/here',
    });
    expect(read('--data', 'http://127.0.0.1:8080').shared).toEqual({
      url: 'http://127.0.0.1:8080',
    });
    expect(read().shared).toBeUndefined();
    writeFileSync(file, '\n');
    expect(() => read('--data', 'https://x', '--data-token-file', file)).toThrow(
      'expected a token',
    );
    expect(() => read('--data', 'https://x', '--data-token-file', `${file}-2`)).toThrow(
      'expected a file that can be read',
    );
    expect(() => read('--data-token-file', file)).toThrow('is for a shared store');
    expect(() => read('--data', 'https://')).toThrow('expected an address');
    rmSync(folder, { recursive: true });
  });

  it('take this machine’s host name, or the one that is given', () => {
    expect(read().machine).toBe(hostname());
    expect(read('--machine', 'hut').machine).toBe('hut');
    expect(() => read('--machine', ' ')).toThrow('--machine is empty; expected a host name');
  });

  it('print an address as it stands in a URL', () => {
    expect([inUrl('::1'), inUrl('127.0.0.1'), inUrl('hut')]).toEqual(['[::1]', '127.0.0.1', 'hut']);
  });

  it('are refused with what was expected', () => {
    expect(() => read('--port', '4680x')).toThrow('a whole number from 0 to 65535');
    expect(() => read('--fresh')).toThrow('for the demo alone');
    expect(() => read('--prot', '1')).toThrow('--prot');
  });
});
