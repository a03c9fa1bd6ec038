import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deskFindings } from '../checkup/desk.ts';
import { checkProfile } from '../checkup/profile.ts';
import { testDesk } from '../testing/desk.ts';
import { anyMonitors, placedOn } from '../testing/monitors.ts';
import { DIRECTIONS, type Direction } from '../values/direction.ts';
import { monitorTowards, neighbourOf } from './neighbours.ts';
import type { DeskMonitor } from './monitors.ts';

/** Every pixel's distance is looked at from the definition alone, without the code under test. */
function bruteNeighbour(from: DeskMonitor, direction: Direction, all: readonly DeskMonitor[]) {
  const horizontal = direction === 'left' || direction === 'right';
  const sign = direction === 'right' || direction === 'down' ? 1 : -1;
  const lo = (m: DeskMonitor) => (horizontal ? m.x : m.y);
  const hi = (m: DeskMonitor) => (horizontal ? m.x + m.width : m.y + m.height);
  const acrossLo = (m: DeskMonitor) => (horizontal ? m.y : m.x);
  const acrossHi = (m: DeskMonitor) => (horizontal ? m.y + m.height : m.x + m.width);
  const gap = (m: DeskMonitor) => (sign > 0 ? lo(m) - hi(from) : lo(from) - hi(m));
  const shared = (m: DeskMonitor) => {
    let count = 0;
    for (let p = acrossLo(m); p < acrossHi(m); p++) {
      if (p >= acrossLo(from) && p < acrossHi(from)) count++;
    }
    return count;
  };
  const aside = (m: DeskMonitor) =>
    Math.max(0, acrossLo(m) - acrossHi(from), acrossLo(from) - acrossHi(m));
  const beyond = all.filter((m) => m.id !== from.id && gap(m) >= 0);
  const inLine = beyond.filter((m) => shared(m) > 0);
  const best = (list: DeskMonitor[], ...costs: ((m: DeskMonitor) => number)[]) =>
    costs.reduce((left, cost) => {
      const least = Math.min(...left.map(cost));
      return left.filter((m) => cost(m) === least);
    }, list);
  const found =
    inLine.length > 0
      ? best(inLine, gap, (m) => -shared(m))
      : best(beyond, (m) => gap(m) + aside(m), gap);
  // Of several quite alike the first in the list.
  return found[0]?.id ?? null;
}

/** All that direction keys lead to from the primary, by trying every way. */
function bruteReached(all: readonly DeskMonitor[]): Set<string> {
  const reached = new Set<string>();
  const walk = (from: DeskMonitor) => {
    for (const direction of DIRECTIONS) {
      const id = bruteNeighbour(from, direction, all);
      if (id === null || reached.has(id)) continue;
      reached.add(id);
      walk(all.find((m) => m.id === id)!);
    }
  };
  walk(all[0]!);
  return reached;
}

describe('monitors, placed at random', () => {
  it('have the neighbours that a search of every pixel finds', () => {
    fc.assert(
      fc.property(anyMonitors(1, 6), fc.constantFrom(...DIRECTIONS), (monitors, direction) => {
        const placed = placedOn(monitors);
        for (const from of placed) {
          expect(neighbourOf(from, direction, placed)?.id ?? null).toBe(
            bruteNeighbour(from, direction, placed),
          );
        }
      }),
      { numRuns: 300 },
    );
  });

  it('are all reached by go-monitor next, and by previous in the opposite order', () => {
    fc.assert(
      fc.property(anyMonitors(2, 6), (monitors) => {
        let desk = testDesk({ monitors });
        const order: string[] = [desk.session.focusMonitor];
        for (let i = 1; i < monitors.length; i++) {
          desk = desk.run({ command: 'go-monitor', which: 'next' });
          order.push(desk.session.focusMonitor);
        }
        expect(new Set(order).size).toBe(monitors.length);
        desk = desk.run({ command: 'go-monitor', which: 'next' });
        expect(desk.session.focusMonitor).toBe(order[0]);
        for (const id of [...order].reverse()) {
          desk = desk.run({ command: 'go-monitor', which: 'previous' });
          expect(desk.session.focusMonitor).toBe(id);
        }
      }),
    );
  });

  it('that directions do not reach are exactly those reported', () => {
    let unreached = 0;
    fc.assert(
      fc.property(anyMonitors(2, 6), (monitors) => {
        const desk = testDesk({ monitors });
        const placed = placedOn(monitors);
        const reached = bruteReached(placed);
        const wrong = placed.filter(({ id }) => !reached.has(id)).map(({ id }) => id);
        unreached += wrong.length;
        const reported = (kind: string, findings: readonly { kind: string }[]) =>
          findings.flatMap((finding) =>
            finding.kind === kind ? [(finding as unknown as { monitor: string }).monitor] : [],
          );
        expect(reported('unreached', checkProfile(desk.profile))).toEqual(wrong);
      }),
      { numRuns: 300 },
    );
    expect(unreached).toBeGreaterThan(0);
  });

  it('overlap, or stand apart, exactly where a search of every pixel says so', () => {
    fc.assert(
      fc.property(anyMonitors(2, 5), (monitors) => {
        const placed = placedOn(monitors);
        const covers = (m: DeskMonitor, x: number, y: number) =>
          x >= m.x && x < m.x + m.width && y >= m.y && y < m.y + m.height;
        const pixelsOf = (m: DeskMonitor) =>
          Array.from({ length: m.width * m.height }, (_, i) => [
            m.x + (i % m.width),
            m.y + Math.floor(i / m.width),
          ]);
        const overlaps: string[] = [];
        const joined = (a: DeskMonitor, b: DeskMonitor) =>
          pixelsOf(a).some(([x = 0, y = 0]) =>
            [
              [0, 0],
              [1, 0],
              [-1, 0],
              [0, 1],
              [0, -1],
            ].some(([dx = 0, dy = 0]) => covers(b, x + dx, y + dy)),
          );
        placed.forEach((a, i) =>
          placed.slice(i + 1).forEach((b) => {
            const both = pixelsOf(a).filter(([x = 0, y = 0]) => covers(b, x, y)).length;
            if (both > 0) overlaps.push(`${a.id} ${b.id} ${both}`);
          }),
        );
        const group = new Set([placed[0]!]);
        for (const from of group) {
          for (const to of placed) if (joined(from, to)) group.add(to);
        }
        const findings = deskFindings(testDesk({ monitors }).desk);
        expect(
          findings.flatMap((f) =>
            f.kind === 'overlap' ? [`${f.monitor} ${f.other} ${f.width * f.height}`] : [],
          ),
        ).toEqual(overlaps);
        expect(findings.flatMap((f) => (f.kind === 'apart' ? [f.monitor] : []))).toEqual(
          placed.filter((m) => !group.has(m)).map(({ id }) => id),
        );
      }),
    );
  });
});

describe('a direction past the last monitor', () => {
  const row = ['a', 'b', 'c'].map((id, i) => ({ id, x: i * 100, y: 0, width: 100, height: 80 }));
  const below = { id: 'd', x: 100, y: 80, width: 100, height: 80 };
  const monitors = [...row, below];
  const go = (wraps: boolean, from: string, which: string) =>
    testDesk({ monitors, tiling: { pastLastMonitor: wraps ? 'wrap' : 'stop' } }).run(
      { command: 'go-monitor', which: from },
      { command: 'go-monitor', which },
    ).session.focusMonitor;

  it('stops, or comes in again at the far end of the row', () => {
    expect([go(false, 'c', 'right'), go(true, 'c', 'right')]).toEqual(['c', 'a']);
    expect([go(false, 'a', 'left'), go(true, 'a', 'left')]).toEqual(['a', 'c']);
    expect([go(true, 'd', 'down'), go(true, 'b', 'up')]).toEqual(['b', 'd']);
  });

  it('takes windows along: focus and move go the same way', () => {
    const desk = testDesk(
      { monitors: row, tiling: { pastLastMonitor: 'wrap' } },
      {
        windows: [
          { id: 'w', monitor: 'c' },
          { id: 'v', monitor: 'a' },
        ],
        focus: 'w',
      },
    );
    expect(desk.run('focus-right').session.focus).toBe('v');
    expect(desk.run('move-right').at('w').monitor).toBe('a');
  });

  it('comes in where it left off, on one monitor too', () => {
    const tiling = { layout: { kind: 'grid' }, pastLastMonitor: 'wrap' };
    const four = ['nw', 'ne', 'sw', 'se'].map((id) => ({ id }));
    const grid = testDesk({ monitors: row.slice(0, 1), tiling }, { windows: four, focus: 'se' });
    expect(grid.run('focus-right').session.focus).toBe('sw');
    expect(grid.run('focus-down').session.focus).toBe('ne');
    const alone = testDesk({ monitors: row.slice(0, 1), tiling }, { windows: [{ id: 'w' }] });
    expect(alone.run('focus-right').trace[0]!.because).toBe('nothing lies right of here');
  });

  it('never leads back to where it began', () => {
    fc.assert(
      fc.property(anyMonitors(1, 6), fc.constantFrom(...DIRECTIONS), (boxes, direction) => {
        const placed = placedOn(boxes);
        for (const from of placed) {
          const to = monitorTowards({ monitors: placed, wraps: true }, from, direction);
          expect(to?.id).not.toBe(from.id);
          const plain = neighbourOf(from, direction, placed);
          if (plain) expect(to).toBe(plain);
        }
      }),
    );
  });
});
