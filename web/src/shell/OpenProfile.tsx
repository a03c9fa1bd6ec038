import { useEffect, useMemo } from 'react';
import { createProfileStore } from '../state/profile-store.ts';
import { ProfileContext } from '../state/profile-context.ts';
import { useStored } from '../state/queries.ts';
import { OpenFault } from '../ui/Fault.tsx';
import { Frame } from './Frame.tsx';
import { OnItsWay } from './lazy-part.tsx';

/** Opens a profile on a bench for as long as it is in hand. */
export function OpenProfile({ id }: { id: string }) {
  const kept = useStored(id);
  const bench = useMemo(
    () => (kept.data ? createProfileStore(kept.data.profile, kept.data.session) : null),
    [kept.data],
  );

  useEffect(() => {
    if (!bench) return;
    localStorage.setItem('sorn.last', id);
    return bench.getState().open();
  }, [id, bench]);

  if (kept.isError) {
    return <OpenFault text={kept.error.message} onAgain={() => void kept.refetch()} />;
  }
  if (!bench) return <OnItsWay />;
  return (
    <ProfileContext value={bench}>
      <Frame />
    </ProfileContext>
  );
}
