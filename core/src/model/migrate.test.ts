import { describe, expect, it } from 'vitest';
import { readFile } from '../files/sections.ts';
import { scriptSchema } from '../simulate/script.ts';
import { migratedScript } from './migrate.ts';
import { profileSchema } from './profile.ts';
import { sessionSchema } from './session.ts';

const monitors = [{ id: 'm', width: 1920, height: 1080 }];

describe('a file from before version 4', () => {
  it('has its commands, starters and corner pick by their present names', () => {
    const old = {
      monitors,
      placing: { cornerPick: { columns: 8, stays: true } },
      keys: {
        from: 'home-row',
        bindings: [
          { keys: 'Main+F5', command: { command: 'peek-desktop' } },
          { keys: 'Main+F6', release: { command: 'corner-stays' } },
          { keys: 'Main+F7', command: { command: 'close' } },
        ],
        marks: [{ command: { command: 'peek-desktop' }, mark: 'needed' }],
      },
    };
    for (const version of [1, 2, 3, undefined]) {
      const { placing, keys } = profileSchema.parse({ ...old, ...(version && { version }) });
      expect(placing.cornerPick).toEqual({ columns: 8, goOn: true });
      expect(keys.from).toBe('inverted-t');
      expect(keys.bindings.map(({ command, release }) => (command ?? release)!.command)).toEqual([
        'clear-while-pressed',
        'corner-go-on',
        'close',
      ]);
      expect(keys.marks[0]!.command.command).toBe('clear-while-pressed');
    }
    const from = (id: string) => profileSchema.parse({ monitors, keys: { from: id } }).keys.from;
    expect(['under-fingers', 'left-hand', 'whole'].map(from)).toEqual([
      'block',
      'inverted-t-left',
      'whole',
    ]);
  });

  it('keeps the whole length for the opposite key where it does not say; one without a version has it as it is now', () => {
    const opposite = (more: object) =>
      profileSchema.parse({ monitors, ...more }).placing.onOpposite;
    expect(opposite({ version: 3 })).toBe('full');
    expect(opposite({ version: 2, placing: { gaps: false } })).toBe('full');
    expect(opposite({ version: 3, placing: { onOpposite: 'other-side' } })).toBe('other-side');
    expect(opposite({})).toBe('other-side');
    expect(opposite({ version: 4 })).toBe('other-side');
  });

  it('in sections says nothing that it did not say', () => {
    const rules = readFile({ version: 3, rules: [] });
    expect(rules.ok && rules.value.says).toEqual([['rules']]);
    const layouts = readFile({ version: 3, placing: {} });
    expect(layouts.ok && layouts.value.profile.placing.onOpposite).toBe('full');
  });

  it('leaves no keys of a starter out that are other commands now', () => {
    const without = (keys: object) =>
      profileSchema.parse({ version: 3, monitors, keys: { ...keys, without: ['Main+Numpad5'] } })
        .keys.without;
    expect(without({})).toEqual([]);
    expect(without({ from: 'home-row' })).toEqual([]);
    expect(without({ from: 'number-pad' })).toEqual(['Main+Numpad5']);
  });

  it('that is a session or a script is read, too', () => {
    const session = sessionSchema.parse({
      picking: { by: 'corner', typed: '', stays: true },
      desktop: { focus: 'mail-1', whileHeld: false },
      uses: [{ keys: 'Main+KeyU', command: 'peek-desktop', times: 3 }],
    });
    const adjusted = { columns: { weights: { columns: [2, 1] } }, lead: { leadShare: 0.4 } };
    const arrangements = { 'B/m': { order: [], adjusted, left: true } };
    const step = { command: 'grow-right', windows: {}, arrangements, shown: {}, focusMonitor: 'm' };
    const former = sessionSchema.parse({ arrangements, past: [step] });
    const present = { columns: { moved: { columns: [2, 1] } }, lead: { leadShare: 0.4 } };
    expect(former.arrangements['B/m']?.adjusted).toEqual(present);
    expect(former.past[0]?.arrangements['B/m']).toEqual({
      order: [],
      adjusted: present,
      detached: true,
    });
    const bare = { kind: 'bare-desktop', focus: 'mail-1', whilePressed: false };
    expect(session.interaction).toEqual(bare);
    const pressed = sessionSchema.parse({ desktop: { whileHeld: true }, putAway: 'mail-1' });
    expect(pressed.interaction).toBeUndefined();
    expect(session.uses![0]!.command).toBe('clear-while-pressed');
    const { steps } = scriptSchema.parse({
      steps: ['peek-desktop', { command: 'corner-stays' }, { hold: 'peek-desktop' }, 'float'],
    });
    expect(steps).toEqual([
      { command: 'clear-while-pressed' },
      { command: 'corner-go-on' },
      { hold: { command: 'clear-while-pressed' } },
      { command: 'float' },
    ]);
  });
});

it('a script that is a list alone has its commands by their present names, too', () => {
  const [former, present] = ['peek-desktop', 'clear-while-pressed'];
  const steps = [former, { command: former }, { hold: { command: former } }, { wait: 3 }, 'float'];
  const now = [present, { command: present }, { hold: { command: present } }, { wait: 3 }, 'float'];
  expect(migratedScript(steps)).toEqual(now);
  expect(migratedScript({ steps })).toEqual({ steps: now });
  expect(migratedScript('none')).toBe('none');
});
