// @vitest-environment jsdom
import { computePlacements } from '@sorn/core/engine';
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

describe('a figure that is typed', () => {
  const LEAD = { layout: { kind: 'lead', leadShare: 0.5 }, gaps: { inner: 10, outer: 5 } };
  const share = (view: ReturnType<typeof drawTiling>) =>
    (view.tiling().layout as { leadShare?: number }).leadShare;

  it('shows at once, and is one step of undo when it is taken', async () => {
    const view = drawTiling(LEAD);
    await view.user.click(screen.getByRole('textbox', { name: 'Lead share' }));
    await view.keys('6');
    expect(share(view)).toBe(0.06);
    await view.keys('2 %');
    expect(share(view)).toBe(0.62);
    await view.keys('{Enter}');
    expect([share(view), view.store.getState().past.length]).toEqual([0.62, 1]);
    view.store.getState().undoEdit();
    expect(share(view)).toBe(0.5);
  });

  it('and is dropped leaves profile, desk and steps of undo as they were', async () => {
    const view = drawTiling(LEAD);
    const { profile, session, past, moments } = view.store.getState();
    await view.user.click(screen.getByRole('textbox', { name: 'Lead share' }));
    await view.keys('5/8');
    expect(share(view)).toBe(0.625);
    await view.keys('{Escape}');
    const now = view.store.getState();
    expect([now.profile, now.session, now.past, now.moments]).toEqual([
      profile,
      session,
      past,
      moments,
    ]);
    expect(now.session).toBe(session);
  });

  it('shows what was there while it is none', async () => {
    const view = drawTiling(LEAD);
    await view.keys('g24');
    expect(view.tiling().gaps?.inner).toBe(24);
    await view.keys('x');
    expect(view.tiling().gaps?.inner).toBe(10);
    await view.user.tab();
    expect(view.tiling().gaps?.inner).toBe(10);
  });

  it('over a dimension in pixels gives them', async () => {
    const view = drawTiling(LEAD);
    await view.user.click(screen.getByLabelText('Lead share on the sheet'));
    await view.keys('1234 px{Enter}');
    const { profile, session } = view.store.getState();
    const { placements } = computePlacements(session, profile);
    expect(placements.find(({ id }) => id === 'a')?.width).toBe(1234);
  });

  it('tells at once of a share that windows cannot have, and which are in the way', async () => {
    const view = drawView(<TilingView />, {
      profile: {
        name: 'Desk',
        monitors: [{ id: 'main', width: 2000, height: 1000 }],
        tiling: LEAD,
      },
      session: {
        windows: [{ id: 'a' }, { id: 'b', title: 'Plan', min: { width: 900, height: 10 } }],
        focus: 'a',
      },
    });
    await view.user.click(screen.getByRole('textbox', { name: 'Lead share' }));
    await view.user.keyboard('90');
    expect(screen.getByText(/Drawn at/).textContent).toBe(
      'Drawn at 54.55 %: Plan can be no smaller.',
    );
    await view.user.keyboard('{Escape}');
    expect(screen.queryByText(/Drawn at/)).toBeNull();
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
