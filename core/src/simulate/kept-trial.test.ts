import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { eventOfKey, keyContext } from '../engine/press.ts';
import { openSession } from '../engine/open.ts';
import { computePlacements } from '../engine/placements.ts';
import { reduce, type SessionEvent } from '../engine/reduce.ts';
import { resolveKey } from '../keys/resolve.ts';
import { IDLE, nextTime, type KeyInput } from '../keys/state.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { sessionSchema, type Session } from '../model/session.ts';
import type { Modifier } from '../values/modifiers.ts';
import { keptSteps, offeredExpectations, pressesIn, type Recorded } from './kept-trial.ts';
import { play } from './script.ts';
import { withNewTrial } from './trial-edits.ts';
import { allTries } from './trial-result.ts';

const demo = profileSchema.parse(
  JSON.parse(
    readFileSync(new URL('../../../demo/bulletin-desk.profile.json', import.meta.url), 'utf8'),
  ),
);
const begun = reduce(
  openSession(sessionSchema.parse({ desk: 'office' }), demo).session,
  { type: 'command', command: { command: 'open-start' } },
  demo,
).session;

/** A desk that is used as the page does it: keys go to the resolver with the time, and what comes of them to the reducer. */
function usedDesk(profile: Profile = demo) {
  let session: Session = begun;
  let keys = IDLE;
  let at = 1_000;
  const recorded: Recorded[] = [];
  const happen = (event: SessionEvent) => {
    session = reduce(session, event, profile).session;
  };
  const input = (given: KeyInput) => {
    // What only time decides is asked for when it has passed.
    const due = nextTime(keys);
    if (given.type !== 'wait' && due !== null && due <= given.at) input({ type: 'wait', at: due });
    recorded.push({ input: given });
    const { state, out } = resolveKey(keys, given, keyContext(session, profile));
    keys = state;
    for (const each of out) {
      const event = eventOfKey(each);
      if (event) happen(event);
    }
  };
  return {
    recorded,
    session: () => session,
    press(modifiers: readonly Modifier[], code: string, ms = 70) {
      const held = modifiers.map((name) => `${name === 'Ctrl' ? 'Control' : name}Left`);
      for (const each of held) input({ type: 'down', at: (at += 30), code: each, modifiers: [] });
      input({ type: 'down', at: (at += 30), code, modifiers });
      input({ type: 'up', at: (at += ms), code });
      for (const each of held) input({ type: 'up', at: (at += 20), code: each });
      at += 400;
    },
    /** The keyboard goes elsewhere while a key is down, and comes back. */
    lose(code: string) {
      input({ type: 'down', at: (at += 30), code: 'MetaLeft', modifiers: [] });
      input({ type: 'down', at: (at += 30), code, modifiers: ['Meta'] });
      input({ type: 'blur', at: (at += 40) });
      at += 400;
    },
    event(event: SessionEvent) {
      recorded.push({ event });
      happen(event);
    },
  };
}

const anyPress = fc.tuple(
  fc
    .subarray(['Ctrl', 'Alt', 'Shift'] as Modifier[])
    .map((others): Modifier[] => ['Meta', ...others]),
  fc.constantFrom(
    ...['KeyB', 'KeyM', 'KeyS', 'KeyU', 'KeyI', 'Enter', 'BracketLeft', 'BracketRight'],
    ...[
      'ArrowLeft',
      'ArrowRight',
      'ArrowUp',
      'ArrowDown',
      'Digit1',
      'Digit2',
      'KeyT',
      'F6',
      'KeyW',
    ],
  ),
);

describe('what was done is kept', () => {
  test('with the keyboard that went elsewhere while a key was down', () => {
    const desk = usedDesk();
    desk.lose('KeyM');
    desk.press(['Meta'], 'KeyU');
    const { steps, session, differences } = keptSteps(demo, begun, desk.recorded, desk.session());
    expect(JSON.stringify(steps[0])).toContain('"leave":true');
    expect(differences).toEqual([]);
    const played = play(demo, { session: sessionSchema.parse(session), steps });
    expect(played.at(-1)!.placements).toEqual(computePlacements(desk.session(), demo).placements);
  });

  test('and done again by itself it ends as it did, from the middle of a session', () => {
    fc.assert(
      fc.property(
        fc.array(anyPress, { minLength: 1, maxLength: 6 }),
        fc.array(anyPress, { minLength: 1, maxLength: 8 }),
        (before, then) => {
          const desk = usedDesk();
          for (const [modifiers, code] of before) desk.press(modifiers, code);
          const from = desk.session();
          // A layer or a sequence that was begun before is not known to what is kept.
          fc.pre(from.interaction === undefined);
          const length = desk.recorded.length;
          for (const [modifiers, code] of then) desk.press(modifiers, code);
          const kept = keptSteps(demo, from, desk.recorded.slice(length), desk.session());
          fc.pre(kept.differences.length === 0 || desk.session().interaction === undefined);
          expect(kept.differences).toEqual([]);
          // By the script player, which has nothing of it.
          const played = play(demo, {
            session: sessionSchema.parse(kept.session),
            steps: kept.steps,
          });
          expect(played.at(-1)!.placements).toEqual(
            computePlacements(desk.session(), demo).placements,
          );
        },
      ),
      { numRuns: 60 },
    );
  });

  test('keys as a profile writes them, events as what they are', () => {
    const desk = usedDesk();
    desk.press(['Meta'], 'KeyM');
    desk.event({ type: 'command', command: { command: 'open-app', app: 'notes' } });
    desk.event({ type: 'monitors-changed', connected: ['wide', 'lap'], byHand: true });
    desk.press(['Meta', 'Ctrl', 'Alt'], 'KeyT');
    const { steps, differences } = keptSteps(demo, begun, desk.recorded, desk.session());
    expect(steps).toEqual([
      { press: 'Main+KeyM' },
      { command: 'open-app', app: 'notes' },
      { plugged: ['wide', 'lap'] },
      { press: 'Main+Ctrl+Alt+KeyT' },
    ]);
    expect(differences).toEqual([]);
    expect(pressesIn(desk.recorded)).toBe(2);
  });

  test('a key that is held for long is kept with its times, as pressing it shortly does something else', () => {
    const profile = profileSchema.parse({
      ...demo,
      keys: {
        ...demo.keys,
        bindings: [
          ...demo.keys.bindings,
          { keys: 'tap F7', command: { command: 'go-workspace', which: 'M' } },
          { keys: 'hold F7', command: { command: 'open-app', app: 'notes' } },
        ],
      },
    });
    const long = usedDesk(profile);
    long.press([], 'F7', 400);
    const kept = keptSteps(profile, begun, long.recorded, long.session());
    expect(kept.differences).toEqual([]);
    expect(kept.steps).toEqual([{ press: [{ down: 'F7' }, { wait: 400 }, { up: 'F7' }] }]);
    const short = usedDesk(profile);
    short.press([], 'F7', 60);
    expect(keptSteps(profile, begun, short.recorded, short.session()).steps).toEqual([
      { press: 'F7' },
    ]);
    expect(long.session().windows.length).toBe(short.session().windows.length + 1);
  });

  test('another end is told', () => {
    const desk = usedDesk();
    desk.press(['Meta'], 'KeyM');
    const elsewhere = reduce(
      desk.session(),
      { type: 'command', command: { command: 'open-app', app: 'notes' } },
      demo,
    ).session;
    expect(keptSteps(demo, begun, desk.recorded, elsewhere).differences.length).toBeGreaterThan(0);
  });
});

test('all that is offered holds, and of what was opened the workspace and the focus are ticked', () => {
  const desk = usedDesk();
  desk.press(['Meta'], 'Digit1');
  desk.press(['Meta', 'Ctrl', 'Alt'], 'KeyN');
  const ended = desk.session();
  const offered = offeredExpectations(demo, begun, ended, 2);
  expect(offered.length).toBeGreaterThan(15);
  const { session, steps } = keptSteps(demo, begun, desk.recorded, ended);
  const expected = offered.map(({ expects }) => ({ expect: expects }));
  const { profile, id } = withNewTrial(demo, {
    name: 'Kept',
    session,
    steps: [...steps, ...expected],
  });
  const trial = profile.trials.find((each) => each.id === id)!;
  expect(allTries(profile, trial).missed.filter(({ length }) => length > 0)).toEqual([]);
  const likely = offered.filter(({ isLikely }) => isLikely).map(({ expects }) => expects);
  expect(likely).toEqual(
    expect.arrayContaining([
      { window: 'notes', workspace: '1' },
      { window: 'notes', is: 'focused' },
      { monitor: 'wide', shows: '1' },
    ]),
  );
});

test('a window is named by its app and which of it, or by a title that no other has', () => {
  const opened = openSession(
    sessionSchema.parse({
      windows: [
        { id: 'w1', app: 'notes', workspace: 'B' },
        { id: 'w2', app: 'notes', workspace: 'B' },
        { id: 'w3', title: 'Ridge', workspace: 'B' },
        { id: 'w4', title: 'Twice', workspace: 'B' },
        { id: 'w5', title: 'Twice', workspace: 'B' },
        { id: 'w6', title: 'What?', workspace: 'B' },
        { id: 'w7', title: '', workspace: 'B' },
        { id: 'w8', workspace: 'B' },
      ],
    }),
    demo,
  ).session;
  const named = offeredExpectations(demo, { ...opened, windows: [] }, opened, 0).flatMap(
    ({ expects }) => ('window' in expects ? [JSON.stringify(expects.window)] : []),
  );
  expect([...new Set(named)].sort()).toEqual(
    ['"notes"', '{"app":"notes","nth":2}', '{"title":"Ridge"}'].sort(),
  );
});
