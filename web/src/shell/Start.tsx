import { Navigate } from 'react-router';
import { useProfiles } from '../state/queries.ts';
import { Fault } from '../ui/Fault.tsx';

/** The way in: to the profile used last, else to the only one, else to the list; at first to the questions of a new profile. */
export function Start() {
  const profiles = useProfiles();
  if (profiles.isPending) return null;
  if (profiles.isError) {
    return (
      <Fault
        title="The profiles cannot be read"
        text={profiles.error.message}
        onAgain={() => void profiles.refetch()}
      />
    );
  }
  const last = localStorage.getItem('sorn.last');
  const { data } = profiles;
  const known = data.find(({ id }) => id === last) ?? (data.length === 1 ? data[0] : undefined);
  if (data.length === 0) return <Navigate to="/begin" replace />;
  return <Navigate to={known ? `/${known.id}` : '/profiles'} replace />;
}
