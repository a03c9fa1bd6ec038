import { useEffect, useMemo } from 'react';
import { createProfileStore } from '../state/profile-store.ts';
import { useLive } from '../state/live-store.ts';
import { ProfileContext, useProfileStoreApi } from '../state/profile-context.ts';
import { useStored } from '../state/queries.ts';
import { OpenFault } from '../ui/Fault.tsx';
import { PreviewContext } from '../ui/typed-preview.ts';
import { Frame } from './Frame.tsx';
import { OnItsWay } from './lazy-part.tsx';

/** The profile with the desk that is shown: the simulated one, or the live one. */
function ShownDesk() {
  const simulated = useProfileStoreApi();
  const shown = useLive(({ isShown, store }) => (isShown ? store : null));
  return (
    <ProfileContext value={shown ?? simulated}>
      <Frame />
    </ProfileContext>
  );
}

/** Opens a profile, with a store of its own, for as long as it is shown. */
export function OpenProfile({ id }: { id: string }) {
  const kept = useStored(id);
  const store = useMemo(
    () =>
      kept.data ? createProfileStore(kept.data.profile, kept.data.session, kept.data.host) : null,
    [kept.data],
  );

  useEffect(() => {
    if (!store) return;
    localStorage.setItem('sorn.last', id);
    return store.getState().open(useLive.of(store).getState());
  }, [id, store]);

  if (kept.isError) {
    return <OpenFault text={kept.error.message} onAgain={() => void kept.refetch()} />;
  }
  if (!store) return <OnItsWay />;
  return (
    <ProfileContext value={store}>
      <PreviewContext value={store.getState().groupEdits}>
        <ShownDesk />
      </PreviewContext>
    </ProfileContext>
  );
}
