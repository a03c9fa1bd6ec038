import { describe, expect, it } from 'vitest';
import { readOptions } from './options.ts';

const read = (...args: string[]) => readOptions(args, { XDG_DATA_HOME: '/share' }, '/sorn/');

describe('the server’s options', () => {
  it('keep the demo apart from the person’s own data, on this machine alone', () => {
    expect(read()).toMatchObject({ file: '/share/sorn/sorn.db', host: '127.0.0.1', port: 4680 });
    expect(read('--demo')).toMatchObject({ file: '/sorn/data/demo.db', demo: true, fresh: false });
    expect(read('--data', '/x.db', '--port', '0')).toMatchObject({ file: '/x.db', port: 0 });
  });

  it('are refused with what would be right', () => {
    expect(() => read('--port', '4680x')).toThrow('a whole number from 0 to 65535');
    expect(() => read('--fresh')).toThrow('for the demo alone');
    expect(() => read('--prot', '1')).toThrow('--prot');
  });
});
