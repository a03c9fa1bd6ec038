// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { draw } from '../testing/view.tsx';
import { readShare } from '@sorn/core/values';
import { Figure, type FigureProps } from './Figure.tsx';
import { Select } from './Select.tsx';
import { TextField } from './TextField.tsx';

function drawFigure(props: Partial<FigureProps> = {}) {
  const taken: number[] = [];
  function Here() {
    const [value, setValue] = useState(10);
    const onChange = (next: number) => {
      taken.push(next);
      setValue(next);
    };
    return (
      <Figure
        label="Gap"
        least={0}
        most={40}
        step={1}
        {...props}
        value={value}
        onChange={onChange}
      />
    );
  }
  const user = draw(<Here />);
  const field = screen.getByLabelText<HTMLInputElement>('Gap');
  field.focus();
  return { user, field, taken };
}

describe('a figure', () => {
  it('is taken by Enter, and gives the keyboard back', async () => {
    const { user, field, taken } = drawFigure();
    await user.keyboard('12,5{Enter}');
    expect(taken).toEqual([12.5]);
    expect(document.activeElement).toBe(document.body);
    expect(field.value).toBe('13');
  });

  it('is taken when it is left, once', async () => {
    const { user, taken } = drawFigure();
    await user.keyboard('7');
    await user.tab();
    expect(taken).toEqual([7]);
  });

  it('is put back by Escape', async () => {
    const { user, field, taken } = drawFigure();
    await user.keyboard('7{Escape}');
    expect([taken, field.value, document.activeElement]).toEqual([[], '10', document.body]);
  });

  it.each(['41', '-1', 'none', ' '])(
    'that is %j says what it could be, and is not taken',
    async (text) => {
      const { user, field, taken } = drawFigure();
      await user.keyboard(`${text}{Enter}`);
      expect(screen.getByRole('alert').textContent).toContain('from 0 to 40');
      expect(field.getAttribute('aria-invalid')).toBe('true');
      expect(document.activeElement).toBe(field);
      await user.tab();
      expect([taken, field.value]).toEqual([[], '10']);
    },
  );

  it('goes by steps with the arrow keys, ten with Shift, and no further than it may', async () => {
    const { user, taken } = drawFigure();
    await user.keyboard('{ArrowUp}{Shift>}{ArrowUp}{ArrowUp}{ArrowUp}{/Shift}{ArrowDown}');
    expect(taken).toEqual([11, 21, 31, 40, 39]);
  });

  it('reads what was typed as its place does', async () => {
    const { user, taken } = drawFigure({ most: 1, read: (typed) => readShare(typed, 200) });
    await user.keyboard('50 px');
    expect(screen.getByRole('status').textContent).toBe('25 % · 50 px');
    await user.keyboard('{Enter}');
    expect([taken, screen.queryByRole('status')]).toEqual([[0.25], null]);
  });

  it('says why what it reads is none, or too much', async () => {
    const { user } = drawFigure({ most: 0.5, read: (typed) => readShare(typed, null) });
    await user.keyboard('50 px');
    expect(screen.getByRole('alert').textContent).toContain('expected a share such as');
    await user.clear(screen.getByLabelText('Gap'));
    await user.keyboard('60 %');
    expect(screen.getByRole('alert').textContent).toBe('from 0 to 0.5');
  });
});

describe('a text', () => {
  function drawText(props: { isNeeded?: boolean; faultOf?: (text: string) => string | null } = {}) {
    const taken: string[] = [];
    const user = draw(
      <TextField label="Name" value="Main" {...props} onChange={(text) => taken.push(text)} />,
    );
    const field = screen.getByLabelText<HTMLInputElement>('Name');
    field.focus();
    return { user, field, taken };
  }

  it('is taken without the spaces around it, and not where it is as it was', async () => {
    const { user, field, taken } = drawText();
    await user.keyboard('  Left {Enter}');
    field.focus();
    await user.keyboard('Main{Enter}');
    expect(taken).toEqual(['Left']);
  });

  it('that is needed is put back where it is empty', async () => {
    const { user, field, taken } = drawText({ isNeeded: true });
    await user.clear(field);
    await user.keyboard('{Enter}');
    expect([taken, field.value]).toEqual([[], 'Main']);
  });

  it('that cannot be taken says why and stays', async () => {
    const faultOf = (text: string) => (text === 'Left' ? 'another is called Left' : null);
    const { user, field, taken } = drawText({ faultOf });
    await user.keyboard('Left{Enter}');
    expect(screen.getByRole('alert').textContent).toBe('another is called Left');
    expect(document.activeElement).toBe(field);
    await user.keyboard('s{Enter}');
    expect(taken).toEqual(['Lefts']);
  });
});

describe('a choice', () => {
  it('gives the keyboard back by Enter or Escape', async () => {
    const taken: string[] = [];
    const options = ['x', 'y'].map((value) => ({ value, text: value }));
    const user = draw(
      <Select label="Axis" value="x" options={options} onChange={(value) => taken.push(value)} />,
    );
    const select = screen.getByLabelText('Axis');
    await user.selectOptions(select, 'y');
    expect(taken).toEqual(['y']);
    for (const key of ['{Enter}', '{Escape}']) {
      select.focus();
      await user.keyboard(key);
      expect(document.activeElement).toBe(document.body);
    }
  });
});
