import { afterEach, expect, it, vi } from 'vitest';
import { whenIdle } from './when-idle.ts';

afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

it('asks the browser, with the longest time to wait, and can be called off', () => {
  const ask = vi.fn(() => 7);
  const callOff = vi.fn();
  vi.stubGlobal('requestIdleCallback', ask);
  vi.stubGlobal('cancelIdleCallback', callOff);
  const run = () => undefined;
  whenIdle(run, 400)();
  expect(ask).toHaveBeenCalledWith(run, { timeout: 400 });
  expect(callOff).toHaveBeenCalledWith(7);
});

it('waits a moment where the browser does not tell', () => {
  vi.stubGlobal('requestIdleCallback', undefined);
  vi.useFakeTimers();
  const [run, other] = [vi.fn(), vi.fn()];
  whenIdle(run);
  whenIdle(other)();
  vi.runAllTimers();
  expect([run.mock.calls.length, other.mock.calls.length]).toEqual([1, 0]);
});
