// @vitest-environment jsdom
import { act, fireEvent, screen } from '@testing-library/react';
import { commandText } from '@sorn/core/commands';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { drawView } from '../../testing/view.tsx';
import { KeysView } from './KeysView.tsx';
import { useRecorder } from './recorder.ts';

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  return () => vi.useRealTimers();
});

function drawKeys(bindings: unknown[] = [], more: object = {}) {
  const view = drawView(<KeysView />, {
    profile: {
      name: 'Desk',
      monitors: [{ id: 'main', width: 1920, height: 1080 }],
      keys: { bindings, ...more },
    },
    session: { windows: [{ id: 'a' }] },
  });
  const bound = () =>
    view
      .profile()
      .keys.bindings.map(({ keys, command }) => `${keys} ${command ? commandText(command) : ''}`);
  const down = (code: string, more: object = {}) =>
    fireEvent.keyDown(document.body, { code, key: code, ...more });
  return { ...view, bound, down };
}

function pass(ms: number) {
  act(() => {
    vi.advanceTimersByTime(ms);
  });
}

describe('what is recorded', () => {
  function recording(more: object = {}) {
    const view = drawKeys([], more);
    const taken: string[] = [];
    const ask = () =>
      act(() =>
        useRecorder
          .of(view.store)
          .getState()
          .record('Keys', (keys) => taken.push(keys)),
      );
    ask();
    return { ...view, taken, ask };
  }
  const shown = () => screen.queryByRole('status', { name: 'Recording' })?.textContent ?? '';

  it('is one press, at once; what is typed right after it goes nowhere', () => {
    const { down, taken } = recording();
    down('ShiftLeft', { shiftKey: true });
    expect(taken).toEqual([]);
    down('KeyX', { ctrlKey: true, shiftKey: true });
    expect(taken).toEqual(['Ctrl+Shift+KeyX']);
    // "c" would open the chart.
    pass(300);
    down('KeyC', { key: 'c' });
    pass(300);
    expect(shown()).toContain('goes nowhere');
    pass(100);
    expect([taken.length, shown()]).toEqual([1, '']);
    expect(screen.getByRole('radio', { name: 'Map' }).getAttribute('aria-checked')).toBe('true');
    down('KeyC', { key: 'c' });
    expect(screen.getByRole('radio', { name: 'Chart' }).getAttribute('aria-checked')).toBe('true');
  });

  it('is a sequence where one is waited for and the next press comes, with a ring that runs down', () => {
    const { down, taken } = recording({ recordMs: 800 });
    down('KeyG', { ctrlKey: true });
    pass(700);
    expect(document.querySelector('[data-wait="800"]')).not.toBeNull();
    down('KeyG', { ctrlKey: true, repeat: true });
    down('KeyM');
    pass(700);
    expect(taken).toEqual([]);
    pass(100);
    expect(taken).toEqual(['Ctrl+KeyG KeyM']);
  });

  it('is dropped by Escape alone, and Escape with Control is keys as any', () => {
    const { down, taken, ask } = recording();
    down('Escape');
    pass(2_000);
    expect(taken).toEqual([]);
    ask();
    down('Escape', { ctrlKey: true });
    expect(taken).toEqual(['Ctrl+Escape']);
  });

  it('can be a button of the mouse: those that point with modifiers alone; the browser goes nowhere', () => {
    const { taken, ask } = recording();
    const mouse = (type: 'mouseDown' | 'mouseUp' | 'contextMenu', init: object) =>
      fireEvent[type](document.body, { cancelable: true, ...init });
    expect(mouse('mouseDown', { button: 0 })).toBe(true);
    expect(mouse('contextMenu', { button: 2 })).toBe(true);
    expect(mouse('mouseDown', { button: 3, ctrlKey: true })).toBe(false);
    expect(mouse('mouseUp', { button: 3, ctrlKey: true })).toBe(false);
    expect(taken).toEqual(['Ctrl+Button4']);
    pass(1_000);
    ask();
    expect(mouse('mouseDown', { button: 2, metaKey: true })).toBe(false);
    expect(mouse('contextMenu', { button: 2, metaKey: true })).toBe(false);
    expect(taken).toEqual(['Ctrl+Button4', 'Main+Button3']);
  });

  it('can be typed as words after Enter, and Escape leaves that', () => {
    const { down, taken, ask } = recording();
    down('Enter', { key: 'Enter' });
    const field = screen.getByLabelText('Keys as words');
    fireEvent.change(field, { target: { value: 'meta shift lefft' } });
    expect(shown()).toContain('nearest to lefft is left');
    fireEvent.change(field, { target: { value: 'meta shift left then s' } });
    fireEvent.keyDown(field, { key: 'Enter', code: 'Enter' });
    expect(taken).toEqual(['Main+Shift+ArrowLeft KeyS']);
    pass(1_000);
    ask();
    down('Enter', { key: 'Enter' });
    fireEvent.keyDown(screen.getByLabelText('Keys as words'), { key: 'Escape', code: 'Escape' });
    expect([taken.length, shown()]).toEqual([1, '']);
  });
});
