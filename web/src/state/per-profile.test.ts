import type { StoreApi } from 'zustand';
import { createStore } from 'zustand';
import { expect, it } from 'vitest';
import { perProfile } from './per-profile.ts';
import type { ProfileStore } from './profile-state.ts';

const store = (id: string) => createStore(() => ({ id })) as unknown as StoreApi<ProfileStore>;

it('each profile that is opened has one of its own, which it keeps', () => {
  const useChosen = perProfile<{ of: string; chosen: string }>((_set, _get, of) => ({
    of: of.getState().id,
    chosen: '',
  }));
  const [first, second] = [store('first'), store('second')];
  useChosen.of(first).setState({ chosen: 'a' });
  expect(useChosen.of(first).getState()).toEqual({ of: 'first', chosen: 'a' });
  expect(useChosen.of(second).getState()).toEqual({ of: 'second', chosen: '' });
  // The same profile, opened again, begins anew.
  expect(useChosen.of(store('first')).getState().chosen).toBe('');
});
