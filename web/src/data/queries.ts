import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api } from './api.ts';

const LIST = ['profiles'];

export function useProfiles() {
  return useQuery({ queryKey: LIST, queryFn: api.list });
}

/** A profile and its session as the server keeps them: read anew at each visit, then the bench has them. */
export function useKept(id: string, visit: number) {
  return useQuery({
    queryKey: ['kept', id, visit],
    queryFn: async () => {
      const [profile, session] = await Promise.all([api.read(id), api.readSession(id)]);
      return { profile, session };
    },
    gcTime: 0,
    staleTime: Infinity,
  });
}

function useListChange<A extends unknown[], T>(change: (...args: A) => Promise<T>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (args: A) => change(...args),
    onSettled: () => client.invalidateQueries({ queryKey: LIST }),
  });
}

export const useCreateProfile = () => useListChange(api.create);
export const useCreateDemo = () => useListChange(api.createDemo);
export const useRemoveProfile = () => useListChange(api.remove);
