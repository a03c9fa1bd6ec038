import { describe, expect, it } from 'vitest';
import { tilingInForce } from '../arrange.ts';
import { profileSchema } from '../../model/profile.ts';
import { testDesk, windows, type TestDesk } from '../../testing/desk.ts';

const profileWith = (gaps: object) =>
  profileSchema.parse({
    monitors: [{ id: 'm', width: 1000, height: 600 }],
    tiling: { layout: { kind: 'columns' }, gaps },
  });
const desk = testDesk(profileWith({ inner: 10, outer: 6 }), { ...windows('a', 'b'), focus: 'a' });
/** Left edge of the first window, and the gap between the two, as drawn. */
const drawn = (now: TestDesk) => {
  const [a, b] = [now.at('a'), now.at('b')];
  return { outer: a.x, inner: b.x - a.x - a.width };
};
const because = ({ trace }: TestDesk) => trace.at(-1)?.because;

describe('gaps by key', () => {
  it('go by two pixels, and back', () => {
    expect(drawn(desk)).toEqual({ outer: 6, inner: 10 });
    const more = desk.run('inner-gap-more', 'inner-gap-more', 'outer-gap-less');
    expect(drawn(more)).toEqual({ outer: 4, inner: 14 });
    const back = more.run('inner-gap-less', 'inner-gap-less', 'outer-gap-more');
    expect(back.session.arrangements).toEqual(desk.session.arrangements);
    expect(drawn(more.run('undo', 'undo', 'undo'))).toEqual(drawn(desk));
  });

  it('stop at none, and say so', () => {
    const none = desk.run('outer-gap-less', 'outer-gap-less', 'outer-gap-less');
    expect(drawn(none).outer).toBe(0);
    const still = none.run('outer-gap-less');
    expect(because(still)).toBe('there is no outer gap here');
    expect(still.session.arrangements).toEqual(none.session.arrangements);
  });

  it('say that they come of keys, each for itself', () => {
    const origin = ({ profile, session }: TestDesk) => {
      const { inner, outer } = tilingInForce(profile, session, '1', 'm').from;
      return [inner, outer];
    };
    expect(origin(desk)).toEqual(['profile', 'profile']);
    expect(origin(desk.run('inner-gap-more'))).toEqual(['session', 'profile']);
    expect(origin(desk.run('outer-gap-more'))).toEqual(['profile', 'session']);
    expect(origin(desk.run('gaps-off'))).toEqual(['session', 'session']);
  });

  it('keep sides that differ apart', () => {
    const sides = { top: 30, right: 4, bottom: 0, left: 12 };
    const apart = testDesk(profileWith({ outer: sides }), windows('a')).run('outer-gap-more');
    const { x, y, width, height } = apart.at('a');
    expect([y, 1000 - x - width, 600 - y - height, x]).toEqual([32, 6, 2, 14]);
  });

  it('are off and back as they were', () => {
    const more = desk.run('inner-gap-more');
    const off = more.run('gaps-off');
    expect(drawn(off)).toEqual({ outer: 0, inner: 0 });
    expect(because(off.run('inner-gap-more'))).toBe('the gaps are off; gaps-off brings them back');
    expect(drawn(off.run('gaps-off'))).toEqual(drawn(more));
    const none = testDesk(profileWith({}), windows('a')).run('gaps-off');
    expect(because(none)).toBe('there is no gap here');
  });

  it('are as set after reset-layout, and after an edit of that very gap', () => {
    const more = desk.run('inner-gap-more', 'outer-gap-more');
    expect(drawn(more.run('reset-layout'))).toEqual(drawn(desk));
    const edited = more.edited(profileWith({ inner: 20, outer: 6 }));
    expect(drawn(edited)).toEqual({ outer: 8, inner: 20 });
  });
});
