import { profileSchema, sessionSchema } from '@sorn/core/model';
import { describe, expect, it } from 'vitest';
import { recordOf } from './desk-record.ts';
import { createProfileStore } from './profile-store.ts';

function opened() {
  const profile = profileSchema.parse({
    monitors: [{ id: 'm', width: 800, height: 600 }],
    apps: [{ id: 'a' }, { id: 'b' }],
  });
  const store = createProfileStore(
    { id: 'desk', revision: 1, savedAt: '2026-03-02T08:00:00Z', profile },
    { revision: 1, session: sessionSchema.parse({}) },
    'here',
  );
  const record = recordOf(store)!;
  const open = (app: string) => store.getState().run({ command: 'open-app', app }, []);
  const moment = (at: number) => store.getState().moments[at]!.session;
  return { store, record, open, moment };
}

describe('what happened on a desk', () => {
  it('is told since a moment of the time line', () => {
    const { record, open, moment } = opened();
    open('a');
    open('b');
    const events = (at: number) =>
      record.since(moment(at))!.map((each) => ('event' in each ? each.event : each.input));
    expect(events(0)).toEqual([
      { type: 'command', command: { command: 'open-app', app: 'a' } },
      { type: 'command', command: { command: 'open-app', app: 'b' } },
    ]);
    expect(events(1)).toHaveLength(1);
    expect(events(2)).toEqual([]);
  });

  it('by keys is the keys alone, not once more what they do', () => {
    const { record, open, moment } = opened();
    const input = { type: 'down', at: 5, code: 'KeyA', modifiers: [] } as const;
    record.press(input, () => open('a'));
    expect(record.since(moment(0))).toEqual([{ input }]);
    open('b');
    expect(record.since(moment(0))).toHaveLength(2);
    expect(record.since(moment(1))).toHaveLength(1);
  });

  it('before the time line was gone back on is no part of what comes after', () => {
    const { store, record, open, moment } = opened();
    open('a');
    open('b');
    store.getState().lookAt(1);
    store.getState().goOnFromHere();
    open('b');
    expect([0, 1, 2].map((at) => record.since(moment(at)))).toEqual([null, null, null]);
    expect(record.since(moment(3))).toHaveLength(1);
  });

  it('too long ago is not known any more', () => {
    const { store, record, moment } = opened();
    const first = moment(0);
    for (let i = 0; i < 3_001; i++) record.press({ type: 'wait', at: i }, () => undefined);
    expect(record.since(first)).toBeNull();
    store.getState().run({ command: 'open-app', app: 'a' }, []);
    expect(record.since(store.getState().moments.at(-1)!.session)).toEqual([]);
  });
});
