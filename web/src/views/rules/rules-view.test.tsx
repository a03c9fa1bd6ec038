// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import { drawView } from '../../testing/view.tsx';
import { RulesView } from './RulesView.tsx';

const RULES = ['Chat floats', 'Maps right', 'Notes above'].map((name, i) => ({
  id: `r${i}`,
  name,
  when: { all: [{ of: 'app', is: ['chat', 'maps', 'notes'][i] }] },
  then: { held: 'floating' },
}));

function drawRules(rules: unknown[] = RULES) {
  const view = drawView(<RulesView />, {
    profile: {
      name: 'Desk',
      monitors: [{ id: 'main', width: 1920, height: 1080 }],
      apps: [{ id: 'chat' }, { id: 'maps' }, { id: 'notes' }],
      rules,
    },
    session: { windows: [{ id: 'a', app: 'maps' }] },
  });
  const names = () => view.profile().rules.map(({ name, id }) => name ?? id);
  const selected = () =>
    document.querySelector('[data-rule][data-selected=true]')?.getAttribute('data-rule');
  return { ...view, names, selected, keys: (text: string) => view.user.keyboard(text) };
}

describe('rules by keys', () => {
  it('move one in the order; the one that was moved stays selected, and stops at the ends', async () => {
    const { keys, names } = drawRules();
    await keys('{Alt>}{ArrowDown}{ArrowDown}{ArrowDown}{/Alt}');
    expect(names()).toEqual(['Maps right', 'Notes above', 'Chat floats']);
    await keys('{Alt>}{ArrowUp}{/Alt}');
    expect(names()).toEqual(['Maps right', 'Chat floats', 'Notes above']);
  });

  it('turn one off and on, name it, and take the name away', async () => {
    const { keys, profile, names } = drawRules();
    await keys('{ArrowDown}o');
    expect(profile().rules.map(({ on }) => on)).toEqual([true, false, true]);
    await keys('o{Enter}Maps{Enter}');
    expect(profile().rules[1]).toMatchObject({ on: true, name: 'Maps' });
    await keys('{Enter}{Backspace}{Enter}');
    expect(names()[1]).toBe('r1');
  });

  it('duplicate one beside it and delete it', async () => {
    const { keys, profile, names } = drawRules();
    await keys('u');
    expect(profile().rules.length).toBe(4);
    expect(profile().rules[1]!.when).toEqual(profile().rules[0]!.when);
    await keys('{Delete}');
    expect(names()).toEqual(['Chat floats', 'Maps right', 'Notes above']);
  });

  it('add one, and one from the window that is looked at', async () => {
    const { keys, profile } = drawRules();
    await keys('r');
    expect(profile().rules.length).toBe(4);
    expect(profile().rules.find(({ id }) => !/^r\d/.test(id))?.when.all).toEqual([
      // The first of the windows that are known.
      { of: 'app', is: 'chat' },
    ]);
    await keys('n');
    expect(profile().rules.length).toBe(5);
  });

  it('make a rule of a window that answers to the filter', async () => {
    const { keys, profile } = drawRules();
    await keys('/maps{Enter}r');
    const made = profile().rules.find(({ id }) => !/^r\d/.test(id));
    expect(made?.when.all).toEqual([{ of: 'app', is: 'maps' }]);
  });

  it('have all open windows follow them, and undo takes that back', async () => {
    const { keys, store } = drawRules([{ ...RULES[1], on: false }]);
    const held = () => store.getState().session.windows[0]!.held;
    await keys('o');
    expect(held()).toBe('tiled');
    await keys('w');
    expect(held()).toBe('floating');
    store.getState().undoEdit();
    expect(held()).toBe('tiled');
  });

  it('begin where there are none', async () => {
    const { keys, profile } = drawRules([]);
    await keys('{ArrowDown}{Delete}o{Alt>}{ArrowUp}{/Alt}n');
    expect(profile().rules.length).toBe(1);
  });
});

it('apps open at the start in an order that keys change', async () => {
  const { keys, profile } = drawRules();
  const start = () => profile().start.map(({ app }) => app);
  await keys('pb{ArrowDown}b{ArrowDown}b');
  expect(start()).toEqual(['chat', 'maps', 'notes']);
  await keys('ee');
  expect(start()).toEqual(['notes', 'chat', 'maps']);
  await keys('el');
  expect(start()).toEqual(['chat', 'notes', 'maps']);
});
