import { describe, expect, it } from 'vitest';
import { openSession } from '../engine/open.ts';
import { profileSchema } from '../model/profile.ts';
import { sessionSchema } from '../model/session.ts';
import { OFFICE } from '../testing/desk.ts';
import { read } from '../values/faults.ts';
import { applyStep, beginning, play, scriptSchema } from './script.ts';

const profile = profileSchema.parse(OFFICE);
const played = (script: unknown) => play(profile, scriptSchema.parse(script));

describe('a script', () => {
  it('opens, asks, points, retitles, closes and lets keys go, each with its reasons', () => {
    const steps = played([
      { open: { id: 'a' } },
      { open: { id: 'f', held: 'floating', preferred: { width: 400, height: 300 } } },
      { ask: 'f', rect: { x: 40, width: 500 } },
      { retitle: 'f', title: 'Ridge tour' },
      { point: 'a' },
      'switch-window',
      { release: 'taken' },
      { close: 'f' },
    ]);
    expect(steps.map(({ step }) => step)).toEqual([
      'begin',
      'open a',
      'open f',
      'ask f',
      'retitle f',
      'point a',
      'switch-window',
      'release taken',
      'close f',
    ]);
    expect(steps[3]!.placements[1]).toMatchObject({ x: 40, width: 500, held: 'floating' });
    expect(steps[4]!.reasons[0]!.decided).toBe('titled Ridge tour');
    expect(steps[7]!.reasons[0]!.because).toBe('chosen, and released');
    expect(steps[8]!.placements.map(({ id }) => id)).toEqual(['a']);
  });

  it('points at a window, which has the focus by that', () => {
    const { session } = openSession(
      sessionSchema.parse({ windows: [{ id: 'a' }, { id: 'b' }], focus: 'b' }),
      profile,
    );
    const { desk } = applyStep(beginning(session, profile), { point: 'a' });
    expect(desk.session.focus).toBe('a');
  });

  it('says what was plugged in, by name or by what a device tells of itself', () => {
    const steps = played([
      { plugged: ['wide', { maker: 'KRV', model: 'Korvane 34' }] },
      { plugged: [] },
    ]);
    expect(steps[1]!.step).toBe('plugged wide, KRV Korvane 34');
    expect(steps[2]!.step).toBe('plugged nothing');
  });

  it('begins from a session, with the findings of its opening', () => {
    const [begin] = played({
      session: { windows: [{ id: 'a', workspace: 'Bb' }] },
      steps: [],
    });
    expect(begin!.findings).toEqual([
      expect.objectContaining({ kind: 'unknown-name', value: 'Bb', nearest: 'B' }),
    ]);
    expect(begin!.placements).toHaveLength(1);
  });

  it('compares placements, orders and how windows are held with a mark', () => {
    const same = (...between: unknown[]) =>
      played([
        { open: { id: 'a' } },
        { open: { id: 'b' } },
        { mark: 'm' },
        ...between,
        { same: 'm' },
      ]).at(-1)!.differences;
    expect(same('float', 'float')).toBeUndefined();
    expect(same('float')?.[0]).toMatch(/^window a: .*; it was /);
    expect(same({ open: { id: 'c' } })).toEqual(
      expect.arrayContaining([expect.stringMatching(/^window c: .*; it was not there$/)]),
    );
    expect(same('focus-left')).toBeUndefined();
    expect(played([{ same: 'nothing' }]).at(-1)!.differences).toEqual([
      'no mark is called nothing',
    ]);
  });

  it('tells what is no step, and what a command needs said with it', () => {
    const faults = (script: unknown) => {
      const result = read(scriptSchema, script);
      return result.ok ? [] : result.faults.map(({ path, expected }) => `${path}: ${expected}`);
    };
    expect(faults(['go-workspace'])).toEqual([
      '[0]: {"command": "go-workspace", …} with what it needs',
    ]);
    expect(faults([7])[0]).toContain('[0]: a command, or an object with one of open, close');
    expect(faults({ steps: [{ release: 'now' }] })).toEqual([
      'steps[0].release: one of taken, dropped',
    ]);
    expect(faults({ stebs: [] })).toContainEqual('stebs: a known field; the nearest is steps');
  });
});
