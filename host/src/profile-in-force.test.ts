import { expect, describe, it } from 'vitest';
import { profileSchema, type Profile } from '@sorn/core/model';
import type { Clock } from './clock.ts';
import { ProfileInForce } from './profile-in-force.ts';
import { PROFILE } from './testing/live.ts';

/** Time that a test lets pass. */
function handClock() {
  let now = 0;
  const timers = new Set<{ at: number; run: () => void }>();
  const clock: Clock = {
    now: () => now,
    after(ms, run) {
      const timer = { at: now + ms, run };
      timers.add(timer);
      return () => void timers.delete(timer);
    },
  };
  return {
    clock,
    pass(ms: number) {
      now += ms;
      for (const timer of [...timers]) if (timer.at <= now && timers.delete(timer)) timer.run();
    },
  };
}

function begun() {
  const { clock, pass } = handClock();
  const applied: Profile[] = [];
  const back: Profile[] = [];
  const refused: (string | null)[] = [];
  const edits = new ProfileInForce(PROFILE, clock, {
    apply: (profile) => applied.push(profile),
    refused: (because) => refused.push(because),
    takenBack: (profile) => back.push(profile),
    changed: () => undefined,
  });
  return { edits, pass, applied, back, refused };
}

const named = (profile: Profile, name: string): Profile => ({ ...profile, name });
const withMain = (profile: Profile, main: 'Alt' | 'Ctrl'): Profile => ({
  ...profile,
  keys: { ...profile.keys, main },
});
const withScale = (profile: Profile, scale: number): Profile => ({
  ...profile,
  monitors: profile.monitors.map((monitor) => ({ ...monitor, scale })),
});

describe('the profile in force', () => {
  it('asks about an edit of keys, desks or monitors made in a page, and about no other', () => {
    const { edits } = begun();
    edits.save(named(PROFILE, 'Other'), true);
    expect(edits.question).toBeNull();
    edits.save(withMain(edits.now, 'Alt'), false);
    expect(edits.question).toBeNull();
    edits.save(withScale(edits.now, 2), true);
    expect(edits.question).toEqual({ parts: ['monitors'], left: 15_000 });
  });

  it('takes back what nobody keeps in time, and what was edited meanwhile stays', () => {
    const { edits, pass, applied, back } = begun();
    edits.save(withMain(PROFILE, 'Alt'), true);
    pass(9_000);
    edits.save(named(edits.now, 'Meanwhile'), true);
    // Another edit of such parts is asked about together with the first.
    edits.save(withScale(edits.now, 2), true);
    expect(edits.question?.parts).toEqual(['keys', 'monitors']);
    pass(14_000);
    expect(back).toEqual([]);
    pass(1_000);
    expect(edits.now).toEqual(named(PROFILE, 'Meanwhile'));
    expect(back).toEqual([edits.now]);
    expect(applied.at(-1)).toEqual(edits.now);
    expect(edits.question).toBeNull();
    pass(60_000);
    expect(back).toHaveLength(1);
  });

  it('asks again about what an earlier run asked, and takes it back all the same', () => {
    const { clock, pass } = handClock();
    const back: Profile[] = [];
    const after = withMain(PROFILE, 'Alt');
    const ways = {
      apply: () => undefined,
      refused: () => undefined,
      takenBack: (profile: Profile) => back.push(profile),
      changed: () => undefined,
    };
    const edits = new ProfileInForce(after, clock, ways, [{ before: PROFILE, after }]);
    expect(edits.question?.parts).toEqual(['keys']);
    pass(15_000);
    expect(back).toEqual([PROFILE]);
    expect(edits.asked).toEqual([]);
  });

  it('leaves what somebody else made of the same since', () => {
    const { edits, pass } = begun();
    edits.save(withMain(PROFILE, 'Alt'), true);
    edits.save(withMain(edits.now, 'Ctrl'), false);
    pass(15_000);
    expect(edits.now.keys.main).toBe('Ctrl');
  });

  it('keeps what is kept, and asks nothing of an edit that is undone', () => {
    const { edits, pass, back } = begun();
    edits.save(withMain(PROFILE, 'Alt'), true);
    edits.keep();
    pass(20_000);
    expect(edits.now.keys.main).toBe('Alt');
    edits.save(withScale(edits.now, 2), true);
    edits.save(withScale(edits.now, PROFILE.monitors[0]!.scale), true);
    expect(edits.question).toBeNull();
    pass(20_000);
    expect(back).toEqual([]);
  });

  it('shows what is typed until it is saved, dropped, or nobody types any more', () => {
    const { edits, pass, applied } = begun();
    edits.show(named(PROFILE, 'typ'));
    expect(edits.now.name).toBe('typ');
    edits.show(null);
    expect(edits.now).toBe(PROFILE);
    edits.show(named(PROFILE, 'type'));
    pass(15_000);
    expect(edits.now).toBe(PROFILE);
    edits.show(named(PROFILE, 'typed'));
    edits.save(named(PROFILE, 'saved'), true);
    expect(applied.map(({ name }) => name)).toEqual([
      'typ',
      'Live',
      'type',
      'Live',
      'typed',
      'saved',
    ]);
    pass(15_000);
    expect(edits.now.name).toBe('saved');
  });

  it('waits with edits while the desk is rehearsed, and applies them or drops them', () => {
    const { edits, applied } = begun();
    edits.hold(true);
    expect(edits.held).toBe('nothing');
    edits.show(named(PROFILE, 'typed'));
    edits.save(withMain(PROFILE, 'Alt'), true);
    expect(edits.held).toBe('edits');
    expect([applied, edits.now]).toEqual([[], PROFILE]);
    edits.hold(false);
    expect(edits.now.keys.main).toBe('Alt');
    // What could cost the keyboard is asked about then.
    expect(edits.question?.parts).toEqual(['keys']);
    edits.keep();
    edits.hold(true);
    edits.save(named(edits.now, 'tried'), true);
    expect(edits.dropHeld().name).toBe('Live');
    expect([edits.held, edits.now.name]).toEqual([null, 'Live']);
  });

  it('takes over no profile without a key that pauses', () => {
    const { edits, refused } = begun();
    const mute = profileSchema.parse({ ...PROFILE, keys: { from: 'none' } });
    expect(edits.save(mute, true)).toContain('no key pauses');
    expect(edits.show(mute)).toContain('no key pauses');
    expect(edits.now).toBe(PROFILE);
    expect(refused).toHaveLength(2);
  });
});
