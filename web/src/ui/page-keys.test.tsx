// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import { useLayoutEffect, useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { draw } from '../testing/view.tsx';
import { ANSWERS, useKeyRegister, usePageKeys } from './page-keys.ts';

const said: string[] = [];
beforeEach(() => {
  said.length = 0;
  useKeyRegister.getState().give(false);
});

function Keys({ group, keys }: { group: string; keys: Record<string, string> }) {
  usePageKeys(
    group,
    Object.entries(keys).map(([key, says]) => ({
      keys: [key],
      label: says,
      run: () => said.push(says),
    })),
  );
  return null;
}

describe('keys of the page', () => {
  it('do what the picture that is drawn tells of them, and not what the former one told', () => {
    const press = (key: string) => dispatchEvent(new KeyboardEvent('keydown', { key }));
    function View() {
      const [step, setStep] = useState(1);
      // The first key of the list becomes another one: what stands at its place must not run for it.
      const keys = step === 1 ? { a: 'one' } : { b: 'other', a: `step ${step}` };
      useLayoutEffect(() => {
        press('a');
        // eslint-disable-next-line react-hooks/set-state-in-effect -- pressed as soon as it is drawn
        if (step < 3) setStep(step + 1);
      }, [step]);
      return <Keys group="View" keys={keys as unknown as Record<string, string>} />;
    }
    draw(<View />);
    // Nobody listens yet while the page is drawn for the first time.
    expect(said).toEqual(['step 2', 'step 3']);
  });

  it('pass a slider but for its own', async () => {
    const user = draw(
      <>
        <Keys group="View" keys={{ a: 'a', ArrowRight: 'right', End: 'end' }} />
        <div role="slider" tabIndex={0} aria-label="Share" aria-valuenow={1} />
      </>,
    );
    screen.getByLabelText('Share').focus();
    await user.keyboard('{ArrowRight}{End}a');
    expect(said).toEqual(['a']);
  });

  it('rest while something is typed, and while the sheet has the keyboard', async () => {
    const user = draw(
      <>
        <Keys group="View" keys={{ a: 'a' }} />
        <input aria-label="Name" />
        <input type="checkbox" aria-label="On" />
      </>,
    );
    await user.click(screen.getByLabelText('Name'));
    await user.keyboard('a');
    expect(said).toEqual([]);
    await user.click(screen.getByLabelText('On'));
    await user.keyboard('a');
    expect(said).toEqual(['a']);
    useKeyRegister.getState().give(true);
    await user.keyboard('a');
    expect(said).toEqual(['a']);
  });

  it('leave Enter and the space bar to the button that has the focus', async () => {
    const user = draw(
      <>
        <Keys group="View" keys={{ Enter: 'name it', ' ': 'go on' }} />
        <button onClick={() => said.push('button')}>Do</button>
      </>,
    );
    await user.keyboard('{Enter}');
    expect(said).toEqual(['name it']);
    screen.getByRole('button').focus();
    await user.keyboard('{Enter} ');
    expect(said).toEqual(['name it', 'button', 'button']);
  });

  it('wait while a question waits for its answer', async () => {
    const user = draw(
      <>
        <Keys group="View" keys={{ a: 'a', Enter: 'name it' }} />
        <Keys group={ANSWERS} keys={{ Enter: 'yes' }} />
      </>,
    );
    await user.keyboard('a{Enter}');
    expect(said).toEqual(['yes']);
  });

  it('are gone with what they belong to', async () => {
    function View() {
      const [isThere, setThere] = useState(true);
      return (
        <>
          {isThere && <Keys group="Panel" keys={{ a: 'a' }} />}
          <button onClick={() => setThere(false)}>Away</button>
        </>
      );
    }
    const user = draw(<View />);
    await user.keyboard('a');
    await user.click(screen.getByRole('button'));
    await user.keyboard('a');
    expect(said).toEqual(['a']);
  });
});
