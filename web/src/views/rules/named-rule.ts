import type { Rule } from '@sorn/core/model';
import { withMonitorNames } from '@sorn/core/rules';
import { useMemo } from 'react';
import { useProfileStore } from '../../state/profile-context.ts';

/** A rule as a person reads it, with the names of monitors. */
export function useNamedRule(rule: Rule): Rule {
  const monitors = useProfileStore((state) => state.profile.monitors);
  return useMemo(
    () => withMonitorNames(rule, (id) => monitors.find((each) => each.id === id)?.name ?? id),
    [rule, monitors],
  );
}
