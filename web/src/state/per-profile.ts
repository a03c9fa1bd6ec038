import { createStore, useStore, type StoreApi } from 'zustand';
import { useProfileStoreApi } from './profile-context.ts';
import type { ProfileStore } from './profile-state.ts';

type Stores<T> = (<S>(select: (state: T) => S) => S) & {
  /** The store of the profile that is open here. */
  use: () => StoreApi<T>;
  of: (store: StoreApi<ProfileStore>) => StoreApi<T>;
};

/**
 * Something of the page that belongs to the profile that is open: each time a profile is opened it begins anew, so that
 * nothing of another one has to be reset.
 *
 * @param begin makes its first state
 * @returns a hook that reads it
 */
export function perProfile<T extends object>(
  begin: (
    set: StoreApi<T>['setState'],
    get: StoreApi<T>['getState'],
    store: StoreApi<ProfileStore>,
  ) => T,
): Stores<T> {
  const stores = new WeakMap<StoreApi<ProfileStore>, StoreApi<T>>();
  function of(store: StoreApi<ProfileStore>): StoreApi<T> {
    const made = stores.get(store) ?? createStore<T>((set, get) => begin(set, get, store));
    stores.set(store, made);
    return made;
  }
  const use = () => of(useProfileStoreApi());
  const useSelected = <S>(select: (state: T) => S) => useStore(use(), select);
  return Object.assign(useSelected, { use, of });
}
