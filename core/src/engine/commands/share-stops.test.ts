import { describe, expect, it } from 'vitest';
import { OFFICE, testDesk } from '../../testing/desk.ts';

const MAP = { id: 'm', min: { width: 800, height: 600 } };
const desk = (layout: object, ...more: object[]) =>
  testDesk(
    { ...OFFICE, tiling: { gaps: { inner: 10, outer: 6 }, layout } },
    { windows: [{ id: 'p' }, MAP, ...more], focus: 'p' },
  );
const shareIn = ({ session }: ReturnType<typeof desk>, kind: 'lead' | 'middle') =>
  session.arrangements['B/wide']!.adjusted?.[kind]?.leadShare;
const times = (
  now: ReturnType<typeof desk>,
  count: number,
  id: 'lead-share-more' | 'lead-share-less',
) => Array.from({ length: count }).reduce<typeof now>((made) => made.run(id), now);

describe('the lead share by key', () => {
  // 3428 less one gap of 10 is shared: 800 for the map leave 2618, which is 0.766 of it.
  it('stops where the edge stops, says so, and goes back from there at once', () => {
    const most = times(desk({ kind: 'lead', leadShare: 0.7 }), 20, 'lead-share-more');
    expect(most.shapes()['p']).toBe('6,34 2618×1400');
    expect(shareIn(most, 'lead')).toBeCloseTo(2618 / 3418, 5);
    expect(most.run('lead-share-more').trace[0]).toEqual({
      decided: 'nothing to do',
      because: 'the edge stops at 0.766: no minimum lets it go further',
    });
    const back = most.run('lead-share-less');
    expect(shareIn(back, 'lead')).toBeCloseTo(2618 / 3418 - 0.02, 5);
    expect(back.shapes()['p']).toBe(`6,34 ${Math.round((2618 / 3418 - 0.02) * 3418)}×1400`);
  });

  it('goes on from the edge as it stands, where the profile says a share that no minimum lets hold', () => {
    const far = desk({ kind: 'lead', leadShare: 0.95 });
    expect(far.shapes()['p']).toBe('6,34 2618×1400');
    expect(far.run('lead-share-more').trace[0]!.because).toMatch(/^the edge stops at 0.766/);
    expect(far.run('lead-share-less').shapes()['p']).toBe('6,34 2550×1400');
  });

  it('is as exact as before where nothing is in the way, on every side and in the middle', () => {
    for (const side of ['left', 'right', 'top', 'bottom'])
      expect(shareIn(desk({ kind: 'lead', side }).run('lead-share-more'), 'lead')).toBe(0.52);
    const middle = desk({ kind: 'middle', leadShare: 0.4 }, { id: 'x' }).run('lead-share-more');
    expect(shareIn(middle, 'middle')).toBe(0.42);
    // Three parts: less two gaps 3408, of which the map keeps 800 on its side, the others share alike.
    const most = times(middle, 30, 'lead-share-more');
    expect(most.at('m').tile!.width).toBe(800);
    expect(most.run('lead-share-more').session).toBe(most.session);
  });

  it('of a lead alone has no edge, and is only remembered', () => {
    const alone = testDesk(OFFICE, { windows: [{ id: 'p' }], focus: 'p' });
    expect(shareIn(alone.run('lead-share-more'), 'lead')).toBe(0.6);
  });
});
