import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { OFFICE, testDesk, type TestDesk } from '../testing/desk.ts';
import { inDrawingOrder } from './drawing-order.ts';

const focus = (text: string) => ({ command: 'find-window', text }) as const;
const save = (text: string) => ({ command: 'save-lineup', text }) as const;
const opened = (now: TestDesk, id: string) =>
  now.event({ type: 'window-opened', window: { id, title: id } as never });

/** Map and log in halves of the wide monitor, a lineup; a note that was opened later lies over both. */
function pairUnderNote(together?: 'never' | 'lineups' | 'last-too', name = 'pair'): TestDesk {
  const windows = ['map', 'log'].map((id) => ({ id, title: id }));
  const placing = together && { together };
  const desk = testDesk({ ...OFFICE, ...(placing && { placing }) }, { windows, focus: 'map' });
  const placed = desk.run('place-left', focus('log'), 'place-right');
  const saved = name === '' ? placed : placed.run(save(name));
  return opened(saved, 'note').run({ command: 'place-middle' });
}

/** Their ids, the lowest first. */
function drawn({ session, profile, placed }: TestDesk): string[] {
  return inDrawingOrder(placed().placements, { session, profile }).map(({ id }) => id);
}

describe('windows placed together', () => {
  it('come up together when one has the focus, and the one focused before stays that', () => {
    const desk = pairUnderNote();
    expect(drawn(desk)).toEqual(['map', 'log', 'note']);
    const map = desk.run(focus('map'));
    expect(drawn(map)).toEqual(['note', 'log', 'map']);
    // Log was not looked at: back is the note.
    expect(map.run('focus-last').session.focus).toBe('note');
    expect(map.session.recent).toEqual(['map', 'note', 'log']);
  });

  it('come up alone where it is set so', () => {
    expect(drawn(pairUnderNote('never').run(focus('map')))).toEqual(['log', 'note', 'map']);
  });

  it('need a lineup with a name, unless those placed last count too', () => {
    // A maximised window lies among those that are placed, and is none of them.
    const nameless = (setting: 'lineups' | 'last-too') => {
      const pair = pairUnderNote(setting, '').run(focus('note'), 'put-back', 'maximise');
      return drawn(pair.run(focus('map'), 'place-left', focus('note'), focus('map')));
    };
    expect(nameless('lineups')).toEqual(['log', 'note', 'map']);
    expect(nameless('last-too')).toEqual(['note', 'log', 'map']);
  });

  it('are no longer together once one stands elsewhere', () => {
    const apart = pairUnderNote().run(focus('log'), 'place-up', focus('note'), focus('map'));
    expect(drawn(apart)).toEqual(['log', 'note', 'map']);
    const away = pairUnderNote().run(focus('log'), { command: 'put-on-workspace', which: '1' });
    expect(drawn(away.run(focus('note'), focus('map')))).not.toContain('log');
  });

  it('are no longer together once one is held otherwise', () => {
    const windows = ['map', 'log'].map((id) => ({ id, title: id }));
    const pair = testDesk(OFFICE, { windows, focus: 'map' }).run('float', save('pair'));
    const desk = opened(pair, 'note');
    const afloat = desk.run(focus('log'), 'float', focus('note'), 'float', focus('map'));
    expect(drawn(afloat)).toEqual(['log', 'note', 'map']);
  });

  it('stay together when the edge between them is moved', () => {
    const moved = pairUnderNote().run(focus('map'), 'grow-right', focus('note'));
    expect(moved.at('map').width).not.toBe(pairUnderNote().at('map').width);
    expect(drawn(moved.run(focus('log')))).toEqual(['note', 'map', 'log']);
  });

  it('come up when one is restored; those that are minimised stay so, as minimising one takes it alone', () => {
    const hidden = pairUnderNote().run(focus('map'), 'minimise', focus('note'));
    expect(drawn(hidden)).toEqual(['log', 'note']);
    expect(drawn(hidden.run('restore-last'))).toEqual(['note', 'log', 'map']);
    const both = hidden.run(focus('log'), 'minimise', 'restore-last');
    expect(both.session.minimised).toEqual(['map']);
  });

  it('come up in the zones of a board, over what lies there with it', () => {
    const board = {
      id: 'duo',
      columns: [1, 1],
      rows: [1],
      zones: [
        { name: 'one', columns: [1, 1], rows: [1, 1] },
        { name: 'two', columns: [2, 2], rows: [1, 1] },
      ],
    };
    const windows = ['map', 'log'].map((id) => ({ id, title: id }));
    const layout = { kind: 'board', board: 'duo', whenFull: 'stack' };
    const desk = testDesk(
      { ...OFFICE, boards: [board], tiling: { layout } },
      { windows, focus: 'map' },
    ).run(save('pair'));
    const seen = (now: TestDesk) =>
      now
        .placed()
        .placements.filter(({ shown }) => shown)
        .map(({ id }) => id);
    // The board is full: what opens next lies over the last zone.
    const three = opened(desk, 'note');
    expect(seen(three)).toEqual(['map', 'note']);
    expect(seen(three.run(focus('map')))).toEqual(['map', 'log']);
    const never = { ...three.profile, placing: { ...three.profile.placing, together: 'never' } };
    expect(seen(three.edited(never as never).run(focus('map')))).toEqual(['map', 'note']);
    // In each other's zones they are not where the lineup has them.
    const exchanged = three.run(focus('log'), { command: 'place-in-zone', zone: 'one' });
    expect(exchanged.at('log').zones).toEqual(['one']);
    expect(exchanged.at('map').zones).toEqual(['two']);
    expect(seen(exchanged.run(focus('note'), focus('log')))).toEqual(['log', 'note']);
  });

  it('lie right beneath the one that has the focus, whatever was focused in which order', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('map', 'log', 'note'), { maxLength: 12 }), (ids) => {
        const desk = pairUnderNote().run(...ids.map(focus));
        const order = drawn(desk);
        // Map and log are beside each other in the order; of the two the one focused later is above.
        expect(Math.abs(order.indexOf('map') - order.indexOf('log'))).toBe(1);
        expect(order.at(-1)).toBe(ids.at(-1) ?? 'note');
        const [later] = desk.session.recent.filter((id) => id !== 'note');
        expect(order.filter((id) => id !== 'note').at(-1)).toBe(later);
      }),
    );
  });
});
