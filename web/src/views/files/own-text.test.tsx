// @vitest-environment jsdom
import { act } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { drawView } from '../../testing/view.tsx';
import { useOwnText } from './own-text.ts';

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  return () => vi.useRealTimers();
});

function drawText() {
  let held = null as unknown as ReturnType<typeof useOwnText>;
  function Here() {
    held = useOwnText();
    return null;
  }
  const view = drawView(<Here />, {
    profile: { name: 'Desk', monitors: [{ id: 'main', width: 1920, height: 1080 }] },
  });
  return {
    ...view,
    text: () => held,
    type(from: string, to: string) {
      act(() => held.setText(held.text.replace(from, to)));
    },
    pass(ms: number) {
      act(() => {
        vi.advanceTimersByTime(ms);
      });
    },
  };
}

describe('the profile as text', () => {
  it('is applied when the typing rests, with its comments kept', () => {
    const { text, type, pass, profile } = drawText();
    type('name: Desk', 'name: Den # mine');
    pass(299);
    expect([profile().name, text().isUnapplied]).toEqual(['Desk', true]);
    pass(1);
    expect([profile().name, text().isUnapplied]).toEqual(['Den', false]);
    expect(text().text).toContain('# mine');
  });

  it('that is wrong tells where, changes nothing, and can be dropped', () => {
    const { text, type, pass, profile } = drawText();
    const before = text().text;
    type('width: 1920', 'width: none');
    pass(1_000);
    expect(profile().monitors[0]!.width).toBe(1920);
    const { text: typed, faults } = text();
    expect(faults.map(({ line }) => typed.split('\n')[line - 1])).toEqual([
      expect.stringContaining('width: none'),
    ]);
    act(() => text().drop());
    expect([text().text, text().faults]).toEqual([before, []]);
  });

  it('keeps what was changed elsewhere while it was typed', () => {
    const { type, pass, profile, store } = drawText();
    type('name: Desk', 'name: Mine');
    act(() =>
      store.getState().edit((now) => ({ ...now, tiling: { ...now.tiling, growStep: 55 } })),
    );
    pass(300);
    expect([profile().name, profile().tiling.growStep]).toEqual(['Mine', 55]);
  });

  it('is seen in another form, and what is not right yet stays in its own', () => {
    const { text, type } = drawText();
    act(() => text().setFormat('json'));
    expect(JSON.parse(text().text)).toMatchObject({ name: 'Desk' });
    type('"Desk"', '');
    act(() => text().setFormat('yaml'));
    expect([text().format, text().isUnapplied]).toEqual(['json', true]);
  });
});
