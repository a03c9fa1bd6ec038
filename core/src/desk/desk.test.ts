import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DIRECTIONS, type Direction } from '../geometry/direction.ts';
import { profileSchema } from '../profile/schema.ts';
import { OFFICE } from '../testing/desk.ts';
import { deskInForce, type PlacedMonitor } from './desk.ts';
import { neighbourOf } from './neighbours.ts';

const edges = { top: 0, right: 0, bottom: 0, left: 0 };
const office = deskInForce(profileSchema.parse(OFFICE), {}).monitors;
const named = (id: string) => office.find((monitor) => monitor.id === id)!;

describe('neighbours', () => {
  it('come from where monitors stand on the Office desk', () => {
    const next = (id: string, direction: Direction) =>
      neighbourOf(named(id), direction, office)?.id ?? null;
    expect(DIRECTIONS.map((direction) => next('wide', direction))).toEqual([
      null,
      'tall',
      null,
      'lap',
    ]);
    expect(DIRECTIONS.map((direction) => next('tall', direction))).toEqual([
      'wide',
      null,
      null,
      null,
    ]);
    expect(DIRECTIONS.map((direction) => next('lap', direction))).toEqual([
      null,
      'tall',
      'wide',
      null,
    ]);
  });

  it('agree with a brute force over any placing', () => {
    const box = fc.record({
      x: fc.integer({ min: 0, max: 30 }),
      y: fc.integer({ min: 0, max: 30 }),
      width: fc.integer({ min: 1, max: 12 }),
      height: fc.integer({ min: 1, max: 12 }),
    });
    fc.assert(
      fc.property(
        fc.array(box, { minLength: 2, maxLength: 6 }),
        fc.constantFrom(...DIRECTIONS),
        (boxes, direction) => {
          const monitors: PlacedMonitor[] = boxes.map((rect, i) => ({
            ...rect,
            id: `m${i}`,
            name: `m${i}`,
            scale: 1,
            reserved: edges,
          }));
          const from = monitors[0]!;
          // Turned so that the direction is always "right".
          const turned = monitors.map((m) => turnToRight(m, direction));
          const me = turned[0]!;
          const right = turned.slice(1).filter((m) => m.x >= me.x + me.width);
          const shared = (m: Box) =>
            Math.min(m.y + m.height, me.y + me.height) - Math.max(m.y, me.y);
          const gap = (m: Box) => m.x - me.x - me.width;
          const inLine = right.filter((m) => shared(m) > 0);
          const found = neighbourOf(from, direction, monitors);
          if (right.length === 0) {
            expect(found).toBeNull();
            return;
          }
          const it_ = turned[monitors.indexOf(found!)]!;
          if (inLine.length > 0) {
            expect(shared(it_)).toBeGreaterThan(0);
            const least = Math.min(...inLine.map(gap));
            expect(gap(it_)).toBe(least);
            expect(shared(it_)).toBe(
              Math.max(...inLine.filter((m) => gap(m) === least).map(shared)),
            );
          } else {
            const away = (m: Box) => gap(m) - shared(m);
            expect(away(it_)).toBe(Math.min(...right.map(away)));
          }
        },
      ),
    );
  });
});

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

function turnToRight({ x, y, width, height }: Box, direction: Direction): Box {
  switch (direction) {
    case 'right':
      return { x, y, width, height };
    case 'left':
      return { x: -x - width, y, width, height };
    case 'down':
      return { x: y, y: x, width: height, height: width };
    case 'up':
      return { x: -y - height, y: x, width: height, height: width };
  }
}

describe('the desk in force', () => {
  const profile = profileSchema.parse({
    monitors: [
      { id: 'a', width: 100, height: 80 },
      { id: 'b', width: 200, height: 80, x: 999 },
      { id: 'c', width: 300, height: 80 },
    ],
    desks: [
      {
        id: 'both',
        monitors: [
          { monitor: 'a', x: 0, y: 0 },
          { monitor: 'b', x: 100, y: 7, scale: 2 },
        ],
      },
      { id: 'alone', monitors: [{ monitor: 'c', x: 0, y: 0 }] },
    ],
  });
  const ids = (connection: object) => {
    const desk = deskInForce(profile, connection);
    return [desk.desk, ...desk.monitors.map(({ id }) => id)];
  };

  it('is the one named, or the one whose monitors are connected, or the nearest to it', () => {
    expect(ids({ desk: 'alone' })).toEqual(['alone', 'c']);
    expect(ids({ connected: ['b', 'a'] })).toEqual(['both', 'a', 'b']);
    expect(ids({ connected: ['b'] })).toEqual(['both', 'b']);
    expect(ids({ connected: ['a', 'b', 'c'] })).toEqual(['both', 'a', 'b', 'c']);
  });

  it('overrides a monitor field by field, and puts one it does not know to the right', () => {
    const desk = deskInForce(profile, { connected: ['a', 'b', 'c'] });
    expect(desk.monitors.map(({ x, y, width, scale }) => [x, y, width, scale])).toEqual([
      [0, 0, 100, 1],
      [100, 7, 200, 2],
      [300, 0, 300, 1],
    ]);
  });

  it('stands left to right without desks or positions, a workspace each, named by number', () => {
    const bare = profileSchema.parse({
      monitors: [
        { id: 'a', width: 100, height: 80 },
        { id: 'b', width: 200, height: 80 },
      ],
      workspaces: [{ id: '1', monitor: 'b' }],
    });
    const desk = deskInForce(bare, {});
    expect(desk.monitors.map(({ x }) => x)).toEqual([0, 100]);
    expect(desk.workspaces).toEqual([
      { id: '1', name: '1', monitor: 'b' },
      { id: '2', name: '2', monitor: 'a' },
    ]);
  });
});
