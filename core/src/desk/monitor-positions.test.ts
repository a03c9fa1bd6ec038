import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DIRECTIONS } from '../values/direction.ts';
import {
  besideOf,
  droppedAt,
  linedUp,
  offsetMm,
  sideAxis,
  steppedTo,
  ANCHORS,
} from './monitor-positions.ts';

const wide = { x: 0, y: 0, width: 3440, height: 1440 };
const tall = { x: 3440, y: -560, width: 1440, height: 2560 };
const lap = { x: 300, y: 1500, width: 2880, height: 1800 };
const WIDE_MM = { width: 800, height: 335 };

describe('a monitor moved by arrow keys', () => {
  it('stops where edges meet, are in line or have one middle, then goes on', () => {
    expect(steppedTo(lap, 'up', 40, [wide], 20)).toEqual({ x: 300, y: 1440 });
    expect(steppedTo(lap, 'up', 20, [wide], 10)).toEqual({ x: 300, y: 1480 });
    expect(steppedTo(lap, 'left', 40, [wide], 20)).toEqual({ x: 280, y: 1500 });
    expect(steppedTo({ ...lap, x: 280 }, 'left', 40, [wide], 20)).toEqual({ x: 240, y: 1500 });
    expect(steppedTo(lap, 'up', 1, [wide], 0)).toEqual({ x: 300, y: 1499 });
    expect(steppedTo(lap, 'down', 40, [], 20)).toEqual({ x: 300, y: 1540 });
  });

  it('always moves that way, by no more than the step and what is near', () => {
    const box = fc.record({
      x: fc.integer({ min: -200, max: 200 }),
      y: fc.integer({ min: -200, max: 200 }),
      width: fc.integer({ min: 1, max: 150 }),
      height: fc.integer({ min: 1, max: 150 }),
    });
    fc.assert(
      fc.property(
        box,
        fc.array(box, { maxLength: 4 }),
        fc.constantFrom(...DIRECTIONS),
        (own, others, direction) => {
          const to = steppedTo(own, direction, 40, others, 20);
          const by = {
            left: own.x - to.x,
            right: to.x - own.x,
            up: own.y - to.y,
            down: to.y - own.y,
          }[direction];
          expect(by).toBeGreaterThan(0);
          expect(by).toBeLessThanOrEqual(60);
          expect(Math.abs(to.x - own.x) + Math.abs(to.y - own.y)).toBe(by);
        },
      ),
    );
  });
});

it('a monitor that is dropped meets the nearest lines, in each axis', () => {
  expect(droppedAt(lap, { x: 290, y: 1465 }, [wide], 30)).toEqual({ x: 280, y: 1440 });
  expect(droppedAt(lap, { x: 400, y: 1465 }, [wide], 30)).toEqual({ x: 400, y: 1440 });
  expect(droppedAt(lap, { x: 400, y: 1600 }, [wide], 30)).toEqual({ x: 400, y: 1600 });
});

describe('monitors lined up in millimetres', () => {
  it('stand off each other as measured beside the other one', () => {
    expect([sideAxis(tall, wide), sideAxis(lap, wide)]).toEqual(['y', 'x']);
    // Corner to corner, with as much room between them both ways, they count as beside each other.
    const cornerwise = {
      x: wide.x + wide.width + 10,
      y: wide.y + wide.height + 10,
      width: 100,
      height: 100,
    };
    expect(sideAxis(cornerwise, wide)).toBe('y');
    // 560 px of 1440 px in 335 mm.
    expect(offsetMm(tall, wide, WIDE_MM, 'start')).toBeCloseTo(-130.28, 2);
    expect(linedUp(tall, wide, WIDE_MM, 'start', -130)).toEqual({ x: 3440, y: -559 });
    expect(linedUp(tall, wide, WIDE_MM, 'middle', 0)).toEqual({ x: 3440, y: -560 });
    expect(linedUp(lap, wide, WIDE_MM, 'end', 0)).toEqual({ x: 560, y: 1500 });
  });

  it('stay where they are when nothing changes', () => {
    for (const anchor of ANCHORS) {
      for (const own of [tall, lap]) {
        const { x, y } = own;
        const mm = offsetMm(own, wide, WIDE_MM, anchor);
        expect(linedUp(own, wide, WIDE_MM, anchor, mm)).toEqual({ x, y });
      }
    }
  });
});

describe('a monitor put to a side of another', () => {
  const laptop = { x: 0, y: 0, width: 1440, height: 900 };
  const own = { x: 5000, y: 300, width: 2560, height: 1440 };

  it.each([
    ['up', { x: -560, y: -1440 }],
    ['down', { x: -560, y: 900 }],
    ['left', { x: -2560, y: -270 }],
    ['right', { x: 1440, y: -270 }],
  ] as const)('%s: edge to edge, middle to middle', (side, to) => {
    expect(besideOf(own, laptop, side, [laptop])).toEqual(to);
  });

  it('gives way along the side to a third that is there', () => {
    const left = { x: -1000, y: -900, width: 1000, height: 900 };
    expect(besideOf(own, laptop, 'up', [laptop, left])).toEqual({ x: 0, y: -1440 });
    const right = { x: 1440, y: -900, width: 1000, height: 900 };
    expect(besideOf(own, laptop, 'up', [laptop, right])).toEqual({ x: -1120, y: -1440 });
    // With both there is no room: it is told as a finding where it stands.
    expect(besideOf(own, laptop, 'up', [laptop, left, right])).toEqual({ x: -560, y: -1440 });
  });
});
