import { describe, expect, it } from 'vitest';
import type { Session } from '@sorn/core/model';
import { withMoment, type Moment } from './moments.ts';

const session = (focusMonitor: string) => ({ focusMonitor }) as Session;

describe('the moments of a visit', () => {
  it('are those at which the desk changed, each with what happened', () => {
    const [a, b] = [session('a'), session('b')];
    const one = withMoment([], a, 'opened');
    expect(withMoment(one, a, 'nothing')).toBe(one);
    const two = withMoment(one, b, 'focus-left');
    expect(two.map(({ text }) => text)).toEqual(['opened', 'focus-left']);
    // Back at a former state is a moment of its own.
    expect(withMoment(two, a, 'undo')).toHaveLength(3);
  });

  it('are the newest five hundred', () => {
    let moments: readonly Moment[] = [];
    for (let i = 0; i < 620; i++) moments = withMoment(moments, session(`m${i}`), `step ${i}`);
    expect(moments).toHaveLength(500);
    expect(moments[0]!.text).toBe('step 120');
  });
});
