import { changeTexts } from '@sorn/core/files';
import type { Profile } from '@sorn/core/model';
import { ruleSentence, textOf } from '@sorn/core/rules';
import { zoneBoardName } from '@sorn/core/tiling';
import { countText } from '@sorn/core/values';

/** The lists whose order a person changes, with how their members are called. */
const LISTS: readonly ((profile: Profile) => readonly (readonly [id: string, name: string])[])[] = [
  ({ rules }) => rules.map((rule) => [rule.id, rule.name ?? textOf(ruleSentence(rule))]),
  ({ workspaces }) => workspaces.map(({ id, name }) => [id, name ? `${id} ${name}` : id]),
  ({ boards }) => boards.map((board) => [zoneBoardName(board), zoneBoardName(board)]),
  ({ start, apps }) =>
    start.map(({ app }) => [app, apps.find(({ id }) => id === app)?.name ?? app]),
];

/** What is said of an edit that only put a list in another order: by names. Null for any other edit. */
export function orderText(before: Profile, now: Profile): string | null {
  for (const list of LISTS) {
    const [former, present] = [list(before), list(now)];
    const at = present.findIndex(([id], i) => id !== former[i]?.[0]);
    if (at < 0 || former.length !== present.length) continue;
    const known = new Set(former.map(([id]) => id));
    if (!present.every(([id]) => known.has(id))) continue;
    // Of two that changed places, saying which comes first is true of both.
    const [, name] = present[at]!;
    const [, next = null] = present[at + 1] ?? [];
    const place = `is ${at + 1} of ${present.length}`;
    return next === null ? `${name} ${place}.` : `${name} ${place}, before ${next}.`;
  }
  return null;
}

const TOLD = 2;

/** What undo or redo changed, in a sentence. */
export function travelText(word: string, before: Profile, now: Profile): string {
  const changes = changeTexts(before, now);
  if (changes.length === 0) return `${word}.`;
  const more = changes.length - TOLD;
  const rest = more > 0 ? `, and ${countText(more, 'more change')}` : '';
  return `${word}: ${changes.slice(0, TOLD).join('; ')}${rest}.`;
}
