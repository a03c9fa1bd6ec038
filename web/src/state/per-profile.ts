import { createStore, useStore, type StoreApi } from 'zustand';
import { useProfileStoreApi } from './profile-context.ts';
import type { ProfileStore } from './profile-state.ts';

type Stores<T> = (<S>(select: (state: T) => S) => S) & {
  /** The store of the profile that is open here. */
  use: () => StoreApi<T>;
  of: (store: StoreApi<ProfileStore>) => StoreApi<T>;
};

/** The store of the simulated desk, by that of another desk of the same profile. */
const standIns = new WeakMap<StoreApi<ProfileStore>, StoreApi<ProfileStore>>();

/** Makes a store another desk of the profile that a simulated one has. */
export function standFor(store: StoreApi<ProfileStore>, simulated: StoreApi<ProfileStore>): void {
  standIns.set(store, simulated);
}

/** The store of the simulated desk of a profile. */
export function simulatedOf(store: StoreApi<ProfileStore>): StoreApi<ProfileStore> {
  return standIns.get(store) ?? store;
}

/**
 * Something of the page that belongs to the profile that is open: each time a profile is opened it begins anew, so that
 * nothing of another one has to be reset.
 *
 * @param begin makes its first state
 * @param options of the profile itself, it is the same whichever of its desks is shown; else each desk has its own
 * @returns a hook that reads it
 */
export function perProfile<T extends object>(
  begin: (
    set: StoreApi<T>['setState'],
    get: StoreApi<T>['getState'],
    store: StoreApi<ProfileStore>,
  ) => T,
  { isOfProfile = false }: { isOfProfile?: boolean } = {},
): Stores<T> {
  const stores = new WeakMap<StoreApi<ProfileStore>, StoreApi<T>>();
  function of(asked: StoreApi<ProfileStore>): StoreApi<T> {
    const store = isOfProfile ? (standIns.get(asked) ?? asked) : asked;
    const made = stores.get(store) ?? createStore<T>((set, get) => begin(set, get, store));
    stores.set(store, made);
    return made;
  }
  const use = () => of(useProfileStoreApi());
  const useSelected = <S>(select: (state: T) => S) => useStore(use(), select);
  return Object.assign(useSelected, { use, of });
}
