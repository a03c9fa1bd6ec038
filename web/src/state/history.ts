import { useLocation } from 'react-router';
import { useLive } from './live-store.ts';
import { useProfileStore, useProfileStoreApi } from './profile-context.ts';

/** In Rehearse undo steps the session, elsewhere the profile. */
export function useHistory() {
  const store = useProfileStoreApi();
  const isRehearse = useLocation().pathname.endsWith('/rehearse');
  const live = useLive(({ isShown, canUndo, canRedo }) =>
    isRehearse && isShown ? (canUndo ? 1 : 0) + (canRedo ? 2 : 0) : null,
  );
  const canUndo = useProfileStore(
    ({ past, session }) => (isRehearse ? session.past : past).length > 0,
  );
  const canRedo = useProfileStore(
    ({ future, session }) => (isRehearse ? session.future : future).length > 0,
  );
  return {
    canUndo: live === null ? canUndo : live % 2 === 1,
    canRedo: live === null ? canRedo : live >= 2,
    undo() {
      const state = store.getState();
      if (isRehearse) state.run({ command: 'undo' });
      else state.undoEdit();
    },
    redo() {
      const state = store.getState();
      if (isRehearse) state.run({ command: 'redo' });
      else state.redoEdit();
    },
  };
}

/** Pauses the engine, or resumes it. */
export function useEngineToggle(): () => void {
  const store = useProfileStoreApi();
  return () => {
    const { session, run } = store.getState();
    run({ command: session.paused ? 'resume' : 'pause' });
  };
}
