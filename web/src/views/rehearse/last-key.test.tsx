// @vitest-environment jsdom
import { act, screen } from '@testing-library/react';
import type { Command } from '@sorn/core/commands';
import { describe, expect, it } from 'vitest';
import { drawView } from '../../testing/view.tsx';
import { LastKey } from './LastKey.tsx';

function drawLast() {
  const { store } = drawView(<LastKey />, {
    profile: { name: 'Desk', monitors: [{ id: 'main', width: 1920, height: 1080 }] },
    session: {
      windows: [
        { id: 'a', title: 'Maps' },
        { id: 'b', title: 'Notes' },
      ],
      focus: 'a',
    },
  });
  const press = (command: Command) => act(() => store.getState().run(command, ['Meta', 'K']));
  const status = screen.getByRole('status');
  const said = () => [status.textContent, status.getAttribute('data-last-reason')];
  return { press, said };
}

describe('the key pressed last', () => {
  it('says nothing before there is one', () => {
    expect(drawLast().said()).toEqual(['', 'done']);
  });

  it('says what was done, with its command for those who hear it', () => {
    const { press, said } = drawLast();
    press({ command: 'move-right' });
    expect(said()).toEqual(['move-right: exchanged with Notes: it is next right', 'done']);
  });

  it('says why nothing was done, marked as a refusal', () => {
    const { press, said } = drawLast();
    press({ command: 'promote' });
    expect(said()).toEqual(['promote: Maps is the lead already', 'refusal']);
    press({ command: 'move-right' });
    expect(said()[1]).toBe('done');
  });
});
