import { describe, expect, it } from 'vitest';
import { changed, legendsOf } from './national.ts';

const layout = (...rows: string[]) => ({ layout: { default: rows } });

describe('what is printed on keys', () => {
  it('is told for the keys that differ from a US keyboard, by where they are', () => {
    const german = layout(
      '^ 1 2 3 4 5 6 7 8 9 0 ß ´ {bksp}',
      '{tab} q w e r t z u i o p ü +',
      '{lock} a s d f g h j k l ö ä # {enter}',
      '{shift} < y x c v b n m , . - {shift}',
      '.com @ {space}',
    );
    expect(legendsOf(german)).toEqual({
      Backquote: '^',
      // What becomes two letters as a capital stays small.
      Minus: 'ß',
      Equal: '´',
      KeyY: 'Z',
      BracketLeft: 'Ü',
      BracketRight: '+',
      Semicolon: 'Ö',
      Quote: 'Ä',
      Backslash: '#',
      KeyZ: 'Y',
      Slash: '-',
    });
  });

  it('is nothing for a US keyboard, whose last row has a key less', () => {
    const us = layout(
      '` 1 2 3 4 5 6 7 8 9 0 - = {bksp}',
      '{tab} q w e r t y u i o p [ ] \\',
      "{lock} a s d f g h j k l ; ' {enter}",
      '{shift} z x c v b n m , . / {shift}',
      '.com @ {space}',
    );
    expect(legendsOf(us)).toEqual({});
  });

  it('leaves out what no cap could have', () => {
    expect(changed({ Space: ' ', KeyA: 'a', KeyQ: 'й' })).toEqual({ KeyQ: 'Й' });
  });
});
