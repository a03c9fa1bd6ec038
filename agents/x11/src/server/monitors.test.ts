import { describe, expect, it } from 'vitest';
import { readMonitors, turnOf } from './monitors.ts';

/** A reply to GetMonitors (RandR 1.5, 7.2) as a server writes it, from its ninth byte on. */
const RECORDED = Buffer.from(
  [
    // Its time, two monitors, two outputs, and what is left free.
    '01000000 02000000 02000000 000000000000000000000000',
    // 440: primary, found by itself, one output; 3440 × 1440 at the origin, 800 × 335 mm.
    'b8010000 01 01 0100 0000 0000 700d a005 20030000 4f010000 41000000',
    // 441: one output; 1080 × 1920 to the right of it, and 240 higher.
    'b9010000 00 01 0100 700d 10ff 3804 8007 2c010000 13020000 42000000',
  ]
    .join('')
    .replaceAll(' ', ''),
  'hex',
);

describe('monitors by RandR', () => {
  it('are read from what a server replies', () => {
    expect(readMonitors(RECORDED)).toEqual([
      {
        name: 440,
        primary: true,
        ...{ x: 0, y: 0, width: 3_440, height: 1_440 },
        ...{ widthMm: 800, heightMm: 335 },
        outputs: [0x41],
      },
      {
        name: 441,
        primary: false,
        ...{ x: 3_440, y: -240, width: 1_080, height: 1_920 },
        ...{ widthMm: 300, heightMm: 531 },
        outputs: [0x42],
      },
    ]);
  });

  it('are turned clockwise, where RandR counts the other way', () => {
    // Rotate_0, Rotate_90, Rotate_180, Rotate_270; mirrored ones are turned as well.
    expect([1, 2, 4, 8, 1 | 16, 2 | 32].map(turnOf)).toEqual([0, 270, 180, 90, 0, 270]);
  });
});
