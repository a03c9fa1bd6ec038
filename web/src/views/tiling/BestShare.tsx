import { chakra } from '@chakra-ui/react';
import type { Rating, Search } from '@sorn/core/simulate';
import { useEffect, useRef, useState } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStoreApi, type DeskLayout } from '../../state/profile-context.ts';
import { searchBestShare, type RunningSearch } from '../../state/best-share.ts';

/** Searches, in a worker, the share that suits the open windows best, and takes it. */
export function BestShare(props: { deskLayout: DeskLayout; onTake: (share: number) => void }) {
  const { workspace, monitor } = props.deskLayout.focused;
  const store = useProfileStoreApi();
  const [progress, setProgress] = useState<Search | null>(null);
  const [found, setFound] = useState<Rating | string | null>(null);
  const running = useRef<RunningSearch | null>(null);

  useEffect(() => () => running.current?.cancel(), []);

  async function search() {
    if (running.current) return;
    const { profile, session } = store.getState();
    setFound(null);
    setProgress({ tried: 0, of: 1, best: { share: 0, met: 0, of: 0, wasted: 0 } });
    const now = searchBestShare(profile, session, workspace, monitor.id, setProgress);
    running.current = now;
    try {
      const best = await now.answer;
      setFound(best ?? 'Cancelled');
      if (best) props.onTake(best.share);
    } catch {
      setFound('The search could not be started: the server is away.');
    } finally {
      running.current = null;
      setProgress(null);
    }
  }
  const cancel = () => running.current?.cancel();

  usePageKeys('best-share', [
    progress
      ? { keys: ['Escape'], caps: ['Esc'], label: 'cancel the search', run: cancel }
      : { keys: ['b'], label: 'best share', run: () => void search() },
  ]);

  return (
    <>
      <chakra.button
        type="button"
        border="1px solid"
        borderColor="petrol"
        color="petrol"
        px="10px"
        fontSize="12px"
        lineHeight="22px"
        whiteSpace="nowrap"
        cursor="pointer"
        onClick={progress ? cancel : () => void search()}
      >
        {progress ? 'Cancel' : 'Best share'}
      </chakra.button>
      <KeyCap>{progress ? 'Esc' : 'B'}</KeyCap>
      <chakra.span role="status" fontSize="12px" color="slate" flex="1" data-best-share>
        {progress && (
          <progress
            aria-label="Search of the best share"
            value={progress.tried}
            max={progress.of}
            style={{ width: '100%' }}
          />
        )}
        {typeof found === 'string' && found}
        {found !== null &&
          typeof found !== 'string' &&
          `${found.share} meets ${found.met} of ${found.of}`}
      </chakra.span>
    </>
  );
}
