// @vitest-environment jsdom
import { act, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { draw } from '../testing/view.tsx';
import { useKeyRegister, usePageKeys } from '../ui/page-keys.ts';
import { useMomentBack } from './moment-back.ts';

const said: string[] = [];
beforeEach(() => {
  said.length = 0;
  useKeyRegister.getState().give(false);
});

/** A frame whose digit changes something, over a view in which Backspace deletes. */
function Page() {
  const takeBack = useMomentBack();
  usePageKeys('View', [{ keys: ['Backspace'], label: 'delete', run: () => said.push('deleted') }]);
  usePageKeys('frame', [
    {
      keys: ['4'],
      label: 'rules',
      run: () => {
        said.push('gone');
        takeBack(() => said.push('back'));
      },
    },
  ]);
  return <input aria-label="Name" />;
}

describe('a stray key of the frame', () => {
  it('is taken back by Backspace, which is nothing else then', async () => {
    const user = draw(<Page />);
    await user.keyboard('4{Backspace}');
    expect(said).toEqual(['gone', 'back']);
    await user.keyboard('{Backspace}');
    expect(said).toEqual(['gone', 'back', 'deleted']);
  });

  it('is taken back for a moment alone, and not once another key was pressed', async () => {
    const user = draw(<Page />);
    await user.keyboard('4x{Backspace}');
    expect(said).toEqual(['gone', 'deleted']);
    vi.useFakeTimers({ shouldAdvanceTime: true });
    await user.keyboard('4');
    act(() => void vi.advanceTimersByTime(4_100));
    await user.keyboard('{Backspace}');
    vi.useRealTimers();
    expect(said).toEqual(['gone', 'deleted', 'gone', 'deleted']);
  });

  it('stays where something is typed', async () => {
    const user = draw(<Page />);
    await user.keyboard('4');
    await user.type(screen.getByLabelText('Name'), 'ab{Backspace}');
    expect(said).toEqual(['gone']);
    expect(screen.getByLabelText('Name')).toHaveProperty('value', 'a');
  });
});
