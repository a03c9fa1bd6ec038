import { useNavigate } from 'react-router';
import { useLive } from '../state/live-store.ts';
import { useProfileStoreApi } from '../state/profile-context.ts';
import { useViewPages } from '../state/view-pages.ts';

/** Goes between the simulated and the live desk; where no desk is live, to what says how one becomes it. */
export function useLiveToggle(): () => void {
  const live = useLive.use();
  const pages = useViewPages.use();
  const { id } = useProfileStoreApi().getState();
  const navigate = useNavigate();
  return () => {
    const { isShown, profile, show } = live.getState();
    if (profile !== null && profile !== id) {
      void navigate(`/${profile}/desk`);
      return;
    }
    if (show(!isShown)) return;
    pages.getState().show('desk', 'live');
    void navigate(`/${id}/desk`);
  };
}
