import { chakra } from '@chakra-ui/react';
import type { BestShare as Found, Rating, Search } from '@sorn/core/simulate';
import { useEffect, useRef, useState } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStoreApi, type DeskLayout } from '../../state/profile-context.ts';
import { searchBestShare, type RunningSearch } from '../../state/best-share.ts';

const NO_RATING: Rating = { share: 0, met: 0, of: 0, wasted: 0, area: 1 };

const unused = ({ wasted, area }: Rating) => `${Math.round((100 * wasted) / Math.max(1, area))} %`;
const inWords = (rating: Rating) => `${rating.met} of ${rating.of}, ${unused(rating)} unused`;

/** The share that was taken, what it gains over the former one, and the best of the others. */
function FoundText({ found: { best, runnerUp, present } }: { found: Found }) {
  const share = (value: number) => Number(value.toFixed(3));
  const isSame = share(present.share) === share(best.share);
  return (
    <>
      {share(best.share)} meets {inWords(best)}.{' '}
      {isSame ? 'It is the present one. ' : `${share(present.share)} met ${inWords(present)}. `}
      {runnerUp && `Next best: ${share(runnerUp.share)}, ${inWords(runnerUp)}.`}
    </>
  );
}

/** Searches, in a worker, the share that suits the open windows best, and takes it. */
export function BestShare(props: { deskLayout: DeskLayout; onTake: (share: number) => void }) {
  const { workspace, monitor } = props.deskLayout.focused;
  const store = useProfileStoreApi();
  const [progress, setProgress] = useState<Search | null>(null);
  const [found, setFound] = useState<Found | string | null>(null);
  const running = useRef<RunningSearch | null>(null);

  useEffect(() => () => running.current?.cancel(), []);

  async function search() {
    if (running.current) return;
    const { profile, session } = store.getState();
    setFound(null);
    setProgress({ tried: 0, of: 1, best: NO_RATING });
    const now = searchBestShare(profile, session, workspace, monitor.id, setProgress);
    running.current = now;
    try {
      const answer = await now.answer;
      setFound(answer ?? 'Cancelled');
      if (answer) props.onTake(answer.best.share);
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
      <chakra.span
        role="status"
        fontSize="12px"
        color="slate"
        flex={found === null ? '1' : '1 0 100%'}
        data-best-share
      >
        {progress && (
          <progress
            aria-label="Search of the best share"
            value={progress.tried}
            max={progress.of}
            style={{ width: '100%' }}
          />
        )}
        {typeof found === 'string' && found}
        {found !== null && typeof found !== 'string' && <FoundText found={found} />}
      </chakra.span>
    </>
  );
}
