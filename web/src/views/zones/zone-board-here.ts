import { withLayoutField, withLayoutKind, withoutSetting } from '@sorn/core/tiling';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';

/** Which board is set for the workspace a monitor shows there, and the change of that. */
export function useZoneBoardHere(monitor: string) {
  const store = useProfileStoreApi();
  const workspace = useProfileStore((state) => state.session.shown[monitor] ?? '');
  const places = useProfileStore((state) => state.profile.tiling.places);
  const layout = places.find(
    (place) => place.monitor === monitor && place.workspace === workspace,
  )?.layout;
  const board = layout?.kind === 'board' ? (layout.board ?? null) : null;
  return {
    workspace,
    board,
    /** Arranges the workspace on this monitor by a board; again, as it was before. */
    toggle(id: string) {
      const scope = { workspace, monitor };
      store
        .getState()
        .edit((profile) =>
          board === id
            ? withoutSetting(profile, scope, 'kind')
            : withLayoutField(withLayoutKind(profile, scope, 'board'), scope, 'board', 'board', id),
        );
    },
  };
}
