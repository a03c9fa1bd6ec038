import { openSession, reduce, type SessionEvent } from '@sorn/core/engine';
import { profileSchema, sessionSchema } from '@sorn/core/model';
import { describe, expect, it } from 'vitest';
import { commandOf, doesSomething } from './command-effect.ts';

const profile = profileSchema.parse({ monitors: [{ id: 'm', width: 1920, height: 1080 }] });
const input = sessionSchema.parse({ windows: [{ id: 'a' }, { id: 'b' }], focus: 'a' });
const { session } = openSession(input, profile);
const hold: SessionEvent = { type: 'key-pressed', command: { command: 'place-left' } };
const release = (taken: boolean): SessionEvent => ({ type: 'key-released', taken });

describe('what an event has done', () => {
  it('is nothing while a key only outlines or opens a choice', () => {
    const outlined = reduce(session, hold, profile).session;
    expect(doesSomething(session, outlined)).toBe(false);
    expect(doesSomething(outlined, reduce(outlined, release(true), profile).session)).toBe(true);
    const open: SessionEvent = { type: 'command', command: { command: 'corner-pick' } };
    const grid = reduce(session, open, profile).session;
    expect(grid.interaction).toBeDefined();
    expect(doesSomething(session, grid)).toBe(false);
  });

  it('is the command of the key that is let go, where it is taken', () => {
    const outlined = reduce(session, hold, profile).session;
    expect(commandOf(hold, session)).toBe('place-left');
    expect(commandOf(release(true), outlined)).toBe('place-left');
    expect(commandOf(release(false), outlined)).toBeNull();
    expect(commandOf(release(true), session)).toBeNull();
  });
});
