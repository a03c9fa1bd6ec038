import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiError } from './api.ts';
import { autosaver, type SaveState } from './autosave.ts';

/** A server that keeps one value, and can be told to fail. */
class FakeServer {
  revision = 1;
  value: unknown = { a: 0 };
  saves: unknown[] = [];
  failing: 'never' | 'before' | 'after' = 'never';

  save = (value: unknown, base: number) => {
    if (this.failing === 'before') throw new ApiError(0, 'The server does not answer.');
    if (base !== this.revision) throw new ApiError(412, 'stale');
    this.revision++;
    this.value = value;
    this.saves.push(value);
    if (this.failing === 'after') throw new ApiError(0, 'The server does not answer.');
    return { revision: this.revision, savedAt: '' };
  };
}

let server: FakeServer;
let states: SaveState[];
const begin = () =>
  autosaver<unknown>(
    { base: server.revision },
    async (value, base) => server.save(value, base),
    async () => ({ revision: server.revision, value: server.value }),
    (state) => states.push(state),
  );
const last = () => states.at(-1)!;

beforeEach(() => {
  vi.useFakeTimers();
  server = new FakeServer();
  states = [];
});
afterEach(() => {
  vi.useRealTimers();
});

describe('the autosaver', () => {
  it('saves the newest value once, a moment after the last change', async () => {
    const saver = begin();
    for (let a = 1; a <= 5; a++) saver.offer({ a });
    await vi.advanceTimersByTimeAsync(1000);
    expect(server.saves).toEqual([{ a: 5 }]);
    expect(last()).toEqual({ kind: 'saved', revision: 2 });
    expect(saver.pending()).toBeNull();
  });

  it('keeps a value that could not be saved, and tries again, later each time', async () => {
    const saver = begin();
    server.failing = 'before';
    saver.offer({ a: 1 });
    await vi.advanceTimersByTimeAsync(4000);
    const waits = states.flatMap((state) => (state.kind === 'failed' ? [state.retryInMs] : []));
    expect(waits).toEqual([1000, 2000, 4000]);
    saver.offer({ a: 2 });
    // The first one may have arrived: whoever keeps what is unsaved keeps that with it.
    expect(saver.pending()).toEqual({ value: { a: 2 }, base: 1, sent: [{ a: 1 }] });
    server.failing = 'never';
    await vi.advanceTimersByTimeAsync(60_000);
    expect(server.saves).toEqual([{ a: 2 }]);
    expect(last()).toEqual({ kind: 'saved', revision: 2 });
  });

  it('waits for a decision when somebody else saved, and then saves over that', async () => {
    const saver = begin();
    server.save({ theirs: true }, 1);
    saver.offer({ a: 1 });
    await vi.advanceTimersByTimeAsync(60_000);
    expect(last()).toEqual({ kind: 'stale', revision: 1, present: 2 });
    expect(server.value).toEqual({ theirs: true });
    saver.rebase(2);
    await vi.advanceTimersByTimeAsync(1000);
    expect(server.value).toEqual({ a: 1 });
    expect(last()).toEqual({ kind: 'saved', revision: 3 });
  });

  it('knows a save of its own whose answer got lost, and goes on from it', async () => {
    const saver = begin();
    server.failing = 'after';
    saver.offer({ a: 1, b: 2 });
    await vi.advanceTimersByTimeAsync(500);
    expect(last().kind).toBe('failed');
    server.failing = 'never';
    server.value = { b: 2, a: 1 };
    saver.offer({ a: 9 });
    await vi.advanceTimersByTimeAsync(60_000);
    expect(server.saves).toEqual([{ a: 1, b: 2 }, { a: 9 }]);
    expect(last()).toEqual({ kind: 'saved', revision: 3 });
  });

  it('knows it whichever of its saves it was: the first lost on the way, the answer to the second lost', async () => {
    const saver = begin();
    server.failing = 'before';
    saver.offer({ a: 1 });
    await vi.advanceTimersByTimeAsync(500);
    server.failing = 'after';
    saver.offer({ a: 2 });
    await vi.advanceTimersByTimeAsync(1100);
    expect(server.saves).toEqual([{ a: 2 }]);
    server.failing = 'never';
    saver.offer({ a: 3 });
    await vi.advanceTimersByTimeAsync(60_000);
    expect(states.filter(({ kind }) => kind === 'stale')).toEqual([]);
    expect(server.saves).toEqual([{ a: 2 }, { a: 3 }]);
    expect(last()).toEqual({ kind: 'saved', revision: 3 });
  });

  it('knows what an earlier visit sent without an answer, should it arrive late', async () => {
    const saver = autosaver<unknown>(
      { base: 1, sent: [{ a: 1 }] },
      async (value, base) => server.save(value, base),
      async () => ({ revision: server.revision, value: server.value }),
      (state) => states.push(state),
    );
    server.save({ a: 1 }, 1);
    saver.offer({ a: 2 });
    await vi.advanceTimersByTimeAsync(1000);
    expect(server.saves).toEqual([{ a: 1 }, { a: 2 }]);
    expect(last()).toEqual({ kind: 'saved', revision: 3 });
  });

  it('takes nobody else’s save for its own, however many of its own got lost', async () => {
    const saver = begin();
    server.failing = 'before';
    for (const a of [1, 2, 3]) {
      saver.offer({ a });
      await vi.advanceTimersByTimeAsync(5_000);
    }
    server.failing = 'never';
    server.save({ theirs: true }, 1);
    await vi.advanceTimersByTimeAsync(60_000);
    expect(last()).toEqual({ kind: 'stale', revision: 1, present: 2 });
    expect(server.value).toEqual({ theirs: true });
  });

  it('sends what waits at once when it is told to', async () => {
    const saver = begin();
    saver.offer({ a: 1 });
    await saver.flush();
    expect(server.saves).toEqual([{ a: 1 }]);
    saver.offer({ a: 2 });
    saver.drop();
    await vi.advanceTimersByTimeAsync(1000);
    expect(server.saves).toEqual([{ a: 1 }]);
  });
});
