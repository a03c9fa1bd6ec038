import axe from 'axe-core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contrast } from '../ui/contrast.ts';
import { frameWarning, typedColour } from './frame-colour.ts';

const anyColour = fc
  .integer({ min: 0, max: 0xffffff })
  .map((number) => `#${number.toString(16).padStart(6, '0')}`);

/** The ratio as the checker of accessibility works it out. */
function byAxe(one: string, other: string): number {
  const { color } = axe.commons as unknown as {
    color: {
      Color: new () => { parseString: (text: string) => void };
      getContrast: (back: object, front: object) => number;
    };
  };
  const [back, front] = [one, other].map((text) => {
    const made = new color.Color();
    made.parseString(text);
    return made;
  });
  return color.getContrast(back!, front!);
}

describe('the colour of the focus frame', () => {
  it('is as far from another as the checker of accessibility says', () => {
    fc.assert(
      fc.property(anyColour, anyColour, (one, other) => {
        expect(contrast(one, other)).toBeCloseTo(byAxe(one, other), 1);
        expect(contrast(one, other)).toBe(contrast(other, one));
      }),
    );
  });

  it('is warned about where it is hard to see, by day, by night or both', () => {
    expect(frameWarning('#9d6cc0')).toBeNull();
    expect(frameWarning('#ffffff')).toBe('Hard to see: 1 : 1 by day. A frame needs 3 : 1.');
    expect(frameWarning('#101820')).toMatch(/^Hard to see: 1(\.\d)? : 1 by night\. /);
  });

  it('is warned about just where the checker of accessibility would', () => {
    fc.assert(
      fc.property(anyColour, (colour) => {
        // The fills of a focused window, tiled and floating, as the page shows them.
        const faint = (fills: string[]) => fills.some((fill) => byAxe(colour, fill) < 3);
        const isFaint = [faint(['#DAE8E3', '#FBFAF6']), faint(['#213A3A', '#152323'])];
        const said = frameWarning(colour) ?? '';
        expect([said.includes('by day'), said.includes('by night')]).toEqual(isFaint);
      }),
    );
  });

  it('is read as people write it', () => {
    expect(['#c39', 'C39', 'cc3399', '#CC3399'].map(typedColour)).toEqual(
      Array.from({ length: 4 }, () => '#cc3399'),
    );
    expect(['', 'red', '#12', '#12345', '#1234567'].map(typedColour)).toEqual(
      Array.from({ length: 5 }, () => null),
    );
  });
});
