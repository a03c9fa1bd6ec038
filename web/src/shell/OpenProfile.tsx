import { useEffect, useMemo } from 'react';
import { createBench } from '../state/profile-store.ts';
import { BenchContext } from '../state/profile-context.ts';
import { useKept } from '../state/queries.ts';
import { OpenFault } from '../ui/Fault.tsx';
import { Frame } from './Frame.tsx';
import { OnItsWay } from './later.tsx';

/** Opens a profile on a bench for as long as it is in hand. */
export function OpenProfile({ id }: { id: string }) {
  const kept = useKept(id);
  const bench = useMemo(
    () => (kept.data ? createBench(kept.data.profile, kept.data.session) : null),
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
    <BenchContext value={bench}>
      <Frame />
    </BenchContext>
  );
}
