// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import { checkup } from '@sorn/core/checkup';
import { describe, expect, it } from 'vitest';
import { useProposal } from '../../state/proposal.ts';
import { drawView } from '../../testing/view.tsx';
import { DeskView } from './DeskView.tsx';

function drawDesk(workspaces: unknown[] = []) {
  const view = drawView(<DeskView />, {
    profile: {
      name: 'Desk',
      monitors: [
        { id: 'main', width: 1920, height: 1080 },
        { id: 'side', x: 1920, width: 1280, height: 1024 },
      ],
      workspaces,
      desks: [
        {
          id: 'home',
          monitors: [
            { monitor: 'main', x: 0, y: 0 },
            { monitor: 'side', x: 1920, y: 0 },
          ],
        },
      ],
    },
    session: { windows: [{ id: 'a' }] },
  });
  /** Where monitors stand on the desk that was written down. */
  const stands = () =>
    Object.fromEntries(
      view.profile().desks[0]!.monitors.map(({ monitor, x, y }) => [monitor, [x, y]]),
    );
  return { ...view, stands, keys: (text: string) => view.user.keyboard(text) };
}

describe('monitors by keys', () => {
  it('are moved, and by one pixel; the next one after the key of the next', async () => {
    const { keys, stands } = drawDesk();
    await keys(']{Control>}{ArrowRight}{ArrowDown}{/Control}');
    expect(stands()).toEqual({ main: [0, 0], side: [1921, 1] });
    // By a step, an edge that is near is met.
    await keys('{ArrowLeft}');
    expect(stands().side?.[0]).toBe(1920);
  });

  it('are turned by a quarter, all round', async () => {
    const { keys, profile } = drawDesk();
    const turned = () => profile().desks[0]!.monitors[0]!.turn ?? 0;
    const seen = [];
    for (let i = 0; i < 4; i++) {
      await keys('t');
      seen.push(turned());
    }
    expect(seen).toEqual([90, 180, 270, 0]);
  });

  it('are the primary one by a key', async () => {
    const { keys, profile } = drawDesk();
    await keys(']p');
    expect(profile().desks[0]!.primary).toBe('side');
  });

  it('are put to a side of the nearest one by one press', async () => {
    const { keys, stands } = drawDesk();
    await keys(']{Shift>}{ArrowUp}{/Shift}');
    // 1920 and 1280 wide: the middles meet, and the lower edge is at the upper one.
    expect(stands().side).toEqual([320, -1024]);
  });

  it('are taken off when that was seen and said, and the last one never', async () => {
    const { keys, store, profile } = drawDesk();
    await keys(']{Delete}');
    expect(profile().desks[0]!.monitors.length).toBe(2);
    const proposals = useProposal.of(store);
    expect(proposals.getState().proposal?.title).toContain('side');
    proposals.getState().take();
    expect(profile().desks[0]!.monitors.map(({ monitor }) => monitor)).toEqual(['main']);
    await keys('{Delete}');
    expect(proposals.getState().proposal).toBeNull();
  });

  it('are added as people buy them: edge to edge, selected, with a workspace, and nothing wrong', async () => {
    const { keys, profile, stands, store } = drawDesk([{ id: 'B', monitor: 'main' }]);
    await keys('a');
    await screen.findByRole('dialog', { name: 'Add a monitor' });
    await keys('4');
    const added = profile().monitors.at(-1)!;
    expect(added).toMatchObject({
      width: 2560,
      height: 1440,
      millimetres: { width: 598, height: 336 },
    });
    expect(stands()[added.id]).toEqual([3200, 0]);
    expect(profile().workspaces.map(({ id, monitor }) => [id, monitor])).toEqual([
      ['B', 'main'],
      ['1', added.id],
    ]);
    expect(screen.getByLabelText<HTMLInputElement>('Name of the monitor').value).toBe(added.name);
    expect(checkup(profile(), store.getState().session)).toEqual([]);
  });

  it('stand on one more desk, which is gone to', async () => {
    const { keys, store, profile } = drawDesk();
    await keys('n');
    const [, added] = profile().desks;
    expect(added?.monitors.map(({ monitor }) => monitor)).toEqual(['main', 'side']);
    expect(store.getState().session.desk).toBe(added?.id);
  });
});
