import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ProfileFileList } from '@sorn/api';
import { api } from './api.ts';

const LIST = ['profiles'];

export function useProfiles() {
  return useQuery({ queryKey: LIST, queryFn: api.list });
}

/** A profile and its session as the server keeps them, and its machine: read once a visit, then the store has them. */
export function useStored(id: string) {
  return useQuery({
    queryKey: ['kept', id],
    queryFn: async () => {
      const [profile, session, { host }] = await Promise.all([
        api.read(id),
        api.readSession(id),
        api.machine(),
      ]);
      return { profile, session, host };
    },
    gcTime: 0,
    staleTime: Infinity,
  });
}

/** Another profile as the server keeps it; null asks for none. */
export function useOtherProfile(id: string | null) {
  return useQuery({
    queryKey: ['other', id],
    queryFn: () => api.read(id!),
    enabled: id !== null,
  });
}

/** The newest saved states of a profile, read anew with each save. */
export function useRevisions(id: string, revision: number, below?: number) {
  return useQuery({
    queryKey: ['revisions', id, revision, below],
    queryFn: () => api.revisions(id, below),
    placeholderData: (former) => former,
  });
}

/** One saved state, which never changes. */
export function useRevision(id: string, revision: number | null) {
  return useQuery({
    queryKey: ['revision', id, revision],
    queryFn: () => api.revision(id, revision!),
    enabled: revision !== null,
    staleTime: Infinity,
  });
}

const BACKUPS = ['backups'];
const SETTINGS = ['settings'];

const FILES = ['files'];
/** A file that is no profile yet may become one at any time. */
const FILES_MS = 2_000;

export const useProfileFiles = () => useQuery({ queryKey: FILES, queryFn: api.files });

/** The files in which profiles live, and those that have to be mended before they are profiles; the list of profiles follows. */
export function useFilesOfProfiles() {
  const client = useQueryClient();
  return useQuery({
    queryKey: [...FILES, 'watched'],
    queryFn: async () => {
      const former = client.getQueryData<ProfileFileList>([...FILES, 'watched']);
      const now = await api.files();
      const known = (list: ProfileFileList | undefined) =>
        list?.files.filter(({ profile }) => profile !== null).length;
      if (former && known(former) !== known(now))
        await client.invalidateQueries({ queryKey: LIST });
      return now;
    },
    refetchInterval: ({ state }) => ((state.data?.files.length ?? 0) > 0 ? FILES_MS : false),
  });
}
export const useBackups = () => useQuery({ queryKey: BACKUPS, queryFn: api.backups });
export const useServerSettings = () => useQuery({ queryKey: SETTINGS, queryFn: api.settings });

function useListChange<A extends unknown[], T>(
  change: (...args: A) => Promise<T>,
  list: readonly string[] = LIST,
) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (args: A) => change(...args),
    onSettled: () => client.invalidateQueries({ queryKey: list }),
  });
}

export const useCreateProfile = () => useListChange(api.create);
export const useCreateDemo = () => useListChange(api.createDemo);
export const useRemoveProfile = () => useListChange(api.remove);
export const useMakeBackup = () => useListChange(api.makeBackup, BACKUPS);
export const useRestore = () => useListChange(api.restore, BACKUPS);
export const useSaveSettings = () => useListChange(api.saveSettings, SETTINGS);
export const useNameRevision = () => useListChange(api.nameRevision, ['revisions']);
