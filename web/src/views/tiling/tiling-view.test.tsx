// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { drawView } from '../../testing/view.tsx';
import { TilingView } from './TilingView.tsx';

function drawTiling(tiling: unknown = {}) {
  const view = drawView(<TilingView />, {
    profile: {
      name: 'Desk',
      monitors: [{ id: 'main', width: 2000, height: 1000 }],
      workspaces: [{ id: '1' }, { id: '2' }],
      tiling,
    },
    session: { windows: [{ id: 'a' }, { id: 'b' }, { id: 'c' }], focus: 'b' },
  });
  return {
    ...view,
    keys: (text: string) => view.user.keyboard(text),
    tiling: () => view.profile().tiling,
    session: () => view.store.getState().session,
  };
}

describe('settings of tiling by keys', () => {
  it('are the share of the lead, in small and large steps, and not beyond all of it', async () => {
    const { keys, tiling } = drawTiling({ layout: { kind: 'lead', leadShare: 0.5 } });
    await keys(']]');
    expect(tiling().layout).toMatchObject({ leadShare: 0.52 });
    await keys('{{');
    expect(tiling().layout).toMatchObject({ leadShare: 0.47 });
    await keys('}'.repeat(12));
    expect(tiling().layout).toMatchObject({ leadShare: 1 });
  });

  it('are the count of leads, one at least', async () => {
    const { keys, tiling } = drawTiling({ layout: { kind: 'lead' } });
    await keys("''");
    expect(tiling().layout).toMatchObject({ leadCount: 3 });
    await keys(';;;;');
    expect(tiling().layout).toMatchObject({ leadCount: 1 });
  });

  it('go through the sides of the lead by turning, and come round', async () => {
    const { keys, tiling } = drawTiling({ layout: { kind: 'lead', side: 'left' } });
    const sides = new Set<unknown>();
    for (let i = 0; i < 4; i++) {
      await keys('t');
      sides.add((tiling().layout as { side?: string }).side);
    }
    expect([...sides].sort()).toEqual(['bottom', 'left', 'right', 'top']);
    expect(tiling().layout).toMatchObject({ side: 'left' });
  });

  it('turn columns into rows and back', async () => {
    const { keys, tiling } = drawTiling({ layout: { kind: 'columns' } });
    await keys('t');
    expect(tiling().layout).toMatchObject({ kind: 'rows' });
    await keys('t');
    expect(tiling().layout).toMatchObject({ kind: 'columns' });
  });

  it('are gaps, typed into the field that a key goes to', async () => {
    const { keys, tiling } = drawTiling();
    await keys('g24{Enter}');
    expect(tiling().gaps).toMatchObject({ inner: 24 });
    await keys('o6{Enter}');
    expect(tiling().gaps).toMatchObject({ outer: 6 });
    await keys('a');
    expect(tiling().gaps?.dropWhenAlone).toBe(true);
  });

  it('are another layout, with what the former one had kept for its return', async () => {
    const { keys, tiling } = drawTiling({ layout: { kind: 'lead', leadShare: 0.7 } });
    await keys('l');
    expect(tiling().layout?.kind).not.toBe('lead');
    for (let i = 0; i < 30 && tiling().layout?.kind !== 'lead'; i++) await keys('l');
    expect(tiling().layout).toMatchObject({ kind: 'lead', leadShare: 0.7 });
  });
});

describe('how far an edit reaches', () => {
  it('is chosen by key, and only there it is set', async () => {
    const { keys, tiling, user } = drawTiling({ gaps: { inner: 10 } });
    await user.click(screen.getByRole('radio', { name: 'Only here' }));
    await user.click(document.body);
    await keys('g30{Enter}');
    expect(tiling().gaps).toMatchObject({ inner: 10 });
    expect(tiling().places).toEqual([{ workspace: '1', monitor: 'main', gaps: { inner: 30 } }]);
    await user.click(screen.getByRole('button', { name: 'Set inner back' }));
    expect(tiling().places.flatMap(({ gaps }) => Object.entries(gaps ?? {}))).toEqual([]);
  });
});

describe('the desk by keys', () => {
  it('moves the focus by arrows, and goes to the next workspace and round', async () => {
    const { keys, session } = drawTiling();
    await keys('{ArrowLeft}');
    expect(session().focus).toBe('a');
    await keys('w');
    expect(session().shown).toEqual({ main: '2' });
    await keys('w');
    expect(session().shown).toEqual({ main: '1' });
  });
});

describe('a figure of the inspector', () => {
  it('that cannot be is told and not taken', async () => {
    const { user, tiling } = drawTiling({ layout: { kind: 'lead' } });
    const before = tiling();
    const figure = screen.getByLabelText<HTMLInputElement>('Lead count');
    await user.click(figure);
    await user.keyboard('none{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('from 1 to 1000');
    await user.keyboard('{Escape}');
    expect([figure.value, tiling()]).toEqual(['1', before]);
  });
});
