// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { useProposal } from '../../state/proposal.ts';
import { drawView } from '../../testing/view.tsx';
import { DeskView } from './DeskView.tsx';

async function drawPage(workspaces: unknown[] = [{ id: '1', monitor: 'main' }, { id: 'B' }]) {
  const view = drawView(<DeskView />, {
    profile: {
      name: 'Desk',
      monitors: [
        { id: 'main', name: 'Main', width: 1920, height: 1080 },
        { id: 'side', x: 1920, width: 1280, height: 1024 },
      ],
      workspaces,
    },
    session: { windows: [{ id: 'a', workspace: 'B' }] },
  });
  const keys = (text: string) => view.user.keyboard(text);
  await keys('w');
  const list = () => view.profile().workspaces;
  return { ...view, keys, list };
}
const region = () => within(screen.getByRole('region', { name: 'Workspaces' }));
/** What is told of what is typed for a new one. */
const told = () => region().getAllByRole('status').at(-1)!.textContent;
const lines = () =>
  region()
    .getAllByRole('listitem')
    .map((line) => line.dataset['workspaceLine']);

describe('workspaces by keys', () => {
  it('are named, and called by another letter with which their windows stay', async () => {
    const { keys, list, store } = await drawPage();
    await keys('{ArrowDown}{Enter}Front desk{Enter}');
    await keys('lk{Enter}');
    expect(list()).toEqual([
      { id: '1', monitor: 'main' },
      { id: 'K', name: 'Front desk' },
    ]);
    expect(store.getState().session.windows[0]?.workspace).toBe('K');
  });

  it('refuse a letter that another has, and say so while it is typed', async () => {
    const { keys, list } = await drawPage();
    const before = list();
    await keys('lb');
    expect(screen.getByText('another is called B')).toBeTruthy();
    await keys('{Enter}{Escape}{ArrowDown}l1');
    expect(screen.getByText('another is called 1')).toBeTruthy();
    await keys('{Enter}{Escape}');
    expect(list()).toEqual(before);
  });

  it('are added by a letter or a name, behind the selected one and at home with it', async () => {
    const { keys, list } = await drawPage();
    await keys('nMail');
    expect(told()).toBe('Enter makes workspace M, called Mail');
    await keys('{Enter}');
    expect(list().map(({ id }) => id)).toEqual(['1', 'M', 'B']);
    expect(list()[1]).toEqual({ id: 'M', name: 'Mail', monitor: 'main' });
    await keys('nb');
    expect(told()).toBe('B is taken');
    await keys('{Enter}{Escape}n{Enter}');
    // 2 fills the other monitor.
    expect(list().map(({ id }) => id)).toEqual(['1', 'M', '3', 'B']);
  });

  it('are put in order, and the moved one stays selected', async () => {
    const { keys, list } = await drawPage();
    await keys('{ArrowDown}{Alt>}{ArrowUp}{/Alt}{Enter}First{Enter}');
    expect(list()).toEqual([
      { id: 'B', name: 'First' },
      { id: '1', monitor: 'main' },
    ]);
  });

  it('have a home and a layout', async () => {
    const { keys, user, profile } = await drawPage();
    await keys('{ArrowDown}');
    await user.selectOptions(screen.getByLabelText('Home of the workspace'), 'side');
    await user.selectOptions(screen.getByLabelText('Layout of the workspace'), 'rows');
    expect(profile().workspaces[1]).toEqual({ id: 'B', monitor: 'side' });
    expect(profile().tiling.places).toEqual([{ workspace: 'B', layout: { kind: 'rows' } }]);
    await user.selectOptions(screen.getByLabelText('Layout of the workspace'), '');
    expect(profile().tiling.places).toEqual([]);
  });

  it('are removed: an empty one at once, one with windows when that was seen', async () => {
    const { keys, list, store } = await drawPage([{ id: '1' }, { id: 'B' }, { id: '3' }]);
    await keys('{ArrowDown}{ArrowDown}{Delete}');
    expect(list().map(({ id }) => id)).toEqual(['1', 'B']);
    await keys('{Delete}');
    expect(list().map(({ id }) => id)).toEqual(['1', 'B']);
    // Until that is taken it is the selected one.
    expect(screen.getByLabelText<HTMLInputElement>('Letter of the workspace').value).toBe('B');
    useProposal.of(store).getState().take();
    expect(list().map(({ id }) => id)).toEqual(['1']);
    // Its window is on one that is there.
    expect(store.getState().session.windows[0]?.workspace).toBe('1');
  });

  it('that were only there are kept by a name', async () => {
    const { keys, list } = await drawPage([]);
    expect(lines()).toEqual(['1', '2']);
    await keys('{Enter}Front{Enter}');
    expect(list()).toEqual([{ id: '1', name: 'Front', monitor: 'main' }]);
  });
});
