import type { Profile, SessionWindow } from '@sorn/core/model';
import { nearness } from '@sorn/core/engine';
import { landings, type Landing } from '@sorn/core/simulate';
import { useMemo } from 'react';

/** Where every known window lands on a desk; worked out anew only where profile, desk or windows change. */
export function useLandings(
  profile: Profile,
  desk: string | undefined,
  windows: readonly SessionWindow[],
): readonly Landing[] {
  return useMemo(() => landings(profile, desk, windows), [profile, desk, windows]);
}

/** Who decided where a window lands: "rule 4", "rules 1, 6", "default". */
export function decidedText({ decidedBy }: Landing): string {
  if (decidedBy.length === 0) return 'default';
  const numbers = decidedBy.map((at) => at + 1).join(', ');
  return decidedBy.length === 1 ? `rule ${numbers}` : `rules ${numbers}`;
}

/** Those that answer to what is typed; keys go round them alone. */
export function filteredLandings(all: readonly Landing[], typed: string): readonly Landing[] {
  if (typed === '') return all;
  const wordsOf = (landing: Landing) => {
    const { name, title, held, workspace, monitor } = landing;
    return [name, title, held, workspace, monitor, decidedText(landing)].join(' ');
  };
  return all.filter((each) => nearness(wordsOf(each), typed) > 0);
}
