import {
  withNewWorkspace,
  withoutWorkspace,
  withWorkspaceHome,
  withWorkspaceId,
  withWorkspaceName,
  workspaceMoved,
  type HomedWorkspace,
} from '@sorn/core/desk';
import type { Profile } from '@sorn/core/model';
import { withLayoutKind, withoutSetting } from '@sorn/core/tiling';
import {
  workspaceIdFault,
  workspaceIdOf,
  workspaceNameOf,
  type LayoutKind,
} from '@sorn/core/values';
import { useProfileStoreApi, type DeskLayout } from '../../state/profile-context.ts';
import { useProposal } from '../../state/proposal.ts';

/** A workspace in the list: of the profile, or only there now. */
export interface WorkspaceRow extends HomedWorkspace {
  /** Its home as the profile has it; empty where none is set. */
  home: string;
  /** It is in the profile; the others were made by key, or fill a monitor that has no other. */
  isKept: boolean;
}

/** The profile's workspaces in their order, whether they are open or closed now, then those that are only there now. */
export function workspaceRows({ workspaces }: Profile, { desk }: DeskLayout): WorkspaceRow[] {
  const kept = workspaces.map(({ id, name = id, monitor: home = '' }): WorkspaceRow => {
    const now = desk.workspaces.find((workspace) => workspace.id === id);
    const closed = { id, name, monitor: '', because: 'it is closed' };
    return { ...(now ?? closed), home, isKept: true };
  });
  const ids = new Set(workspaces.map(({ id }) => id));
  const others = desk.workspaces.filter(({ id }) => !ids.has(id));
  return [...kept, ...others.map((each) => ({ ...each, home: each.monitor, isKept: false }))];
}

/** What the page of workspaces changes. One that is only there now is kept in the profile by any change of it. */
export type WorkspaceEdits = ReturnType<typeof useWorkspaceEdits>;

export function useWorkspaceEdits(
  rows: readonly WorkspaceRow[],
  onChoose: (workspace: string) => void,
) {
  const store = useProfileStoreApi();
  const proposals = useProposal.use();
  const edit = (change: (profile: Profile) => Profile, merge = '') =>
    store.getState().edit(change, merge);
  const onKept = (row: WorkspaceRow, change: (profile: Profile) => Profile, merge = '') =>
    edit(
      (profile) =>
        change(
          row.isKept ? profile : withNewWorkspace(profile, { id: row.id, monitor: row.monitor }),
        ),
      merge,
    );
  const taken = rows.map(({ id }) => id);
  return {
    /** What a typed letter or name would make; null where it is taken. */
    called: (typed: string) => workspaceNameOf(typed, taken),
    /** One more behind a workspace, at home where that is. */
    add(typed: string, after: WorkspaceRow | null) {
      const called = workspaceNameOf(typed, taken);
      if (!called) return;
      const home = after?.home ?? '';
      edit((profile) =>
        withNewWorkspace(profile, { ...called, ...(home !== '' && { monitor: home }) }, after?.id),
      );
      onChoose(called.id);
    },
    keep: (row: WorkspaceRow) => onKept(row, (profile) => profile),
    /** Why a letter cannot be taken; null where it can. */
    letterFault: (row: WorkspaceRow, typed: string) =>
      workspaceIdFault(
        typed,
        taken.filter((id) => id !== row.id),
      ),
    setLetter(row: WorkspaceRow, typed: string) {
      const letter = workspaceIdOf(typed);
      onKept(row, (profile) => withWorkspaceId(profile, row.id, letter));
      onChoose(letter);
    },
    setName: (row: WorkspaceRow, name: string) =>
      onKept(row, (profile) => withWorkspaceName(profile, row.id, name)),
    setHome: (row: WorkspaceRow, home: string) =>
      onKept(row, (profile) => withWorkspaceHome(profile, row.id, home)),
    /** @param kind null: as it is set for everything, or for the monitor */
    setLayout(row: WorkspaceRow, kind: LayoutKind | null) {
      const scope = { workspace: row.id };
      onKept(row, (profile) =>
        kind === null
          ? withoutSetting(profile, scope, 'kind')
          : withLayoutKind(profile, scope, kind),
      );
    },
    move: (id: string, to: number) => edit((profile) => workspaceMoved(profile, id, to)),
    moveBy(row: WorkspaceRow, by: 1 | -1) {
      if (!row.isKept) return;
      edit((profile) =>
        workspaceMoved(
          profile,
          row.id,
          profile.workspaces.findIndex(({ id }) => id === row.id) + by,
        ),
      );
      onChoose(row.id);
    },
    /** One with windows is shown without it first; they go to another workspace of its monitor. */
    remove(row: WorkspaceRow) {
      if (!row.isKept) {
        // Only the session has it: it is closed as by key.
        store.getState().run({ command: 'go-workspace', which: row.id }, []);
        store.getState().run({ command: 'close-workspace' }, []);
        return;
      }
      const change = (profile: Profile) => withoutWorkspace(profile, row.id);
      const at = rows.indexOf(row);
      const next = [rows[at + 1], rows[at - 1]].find((each) => each?.isKept);
      const chooseNext = () => next && onChoose(next.id);
      const { windows } = store.getState().session;
      if (windows.some(({ workspace }) => workspace === row.id)) {
        proposals
          .getState()
          .proposeEdit(change, `Remove workspace ${row.id}`, { taken: chooseNext });
        return;
      }
      edit(change);
      chooseNext();
    },
    show: (row: WorkspaceRow) =>
      store.getState().run({ command: 'go-workspace', which: row.id }, []),
  };
}
