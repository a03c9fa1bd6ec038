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

function drawKeys(bindings: unknown[] = []) {
  const view = drawView(<KeysView />, {
    profile: {
      name: 'Desk',
      monitors: [{ id: 'main', width: 1920, height: 1080 }],
      keys: { bindings },
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
  function recording() {
    const view = drawKeys();
    const taken: string[] = [];
    act(() =>
      useRecorder
        .of(view.store)
        .getState()
        .record('Keys', (keys) => taken.push(keys)),
    );
    return { ...view, taken };
  }

  it('is one press, once nothing follows', () => {
    const { down, taken } = recording();
    down('ShiftLeft', { shiftKey: true });
    down('KeyX', { ctrlKey: true, shiftKey: true });
    expect(taken).toEqual([]);
    pass(800);
    expect(taken).toEqual(['Ctrl+Shift+KeyX']);
  });

  it('is a sequence where the next press follows soon, and no repeat of a key that is held', () => {
    const { down, taken } = recording();
    down('KeyG', { ctrlKey: true });
    pass(700);
    down('KeyG', { ctrlKey: true, repeat: true });
    down('KeyM');
    pass(800);
    expect(taken).toEqual(['Ctrl+KeyG KeyM']);
  });

  it('is dropped by Escape alone, and Escape with Control is keys as any', () => {
    const { down, taken, store } = recording();
    down('Escape');
    pass(2_000);
    expect(taken).toEqual([]);
    act(() =>
      useRecorder
        .of(store)
        .getState()
        .record('Keys', (keys) => taken.push(keys)),
    );
    down('Escape', { ctrlKey: true });
    pass(800);
    expect(taken).toEqual(['Ctrl+Escape']);
  });

  it('is nothing that the page does meanwhile', () => {
    const { down, taken } = recording();
    down('KeyC', { key: 'c' });
    expect(screen.getByRole('radio', { name: 'Map' }).getAttribute('aria-checked')).toBe('true');
    pass(800);
    expect(taken).toEqual(['KeyC']);
  });

  it('can be a button of the mouse that does not point', () => {
    const { taken } = recording();
    fireEvent.mouseDown(document.body, { button: 0 });
    fireEvent.mouseDown(document.body, { button: 3, ctrlKey: true });
    pass(800);
    expect(taken).toEqual(['Ctrl+Button4']);
  });
});
