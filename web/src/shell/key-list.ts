import { nearness } from '@sorn/core/engine';
import { capsOf } from '../ui/KeyStrip.tsx';
import type { PageKey } from '../ui/page-keys.ts';

export interface KeyListGroup {
  title: string;
  /** Whose keys they are. */
  of: string;
  keys: readonly { label: string; caps: readonly string[] }[];
}

const OF_PAGE = 'of this page';
/** What groups of keys are called that are not called like their view. */
const TITLES: Record<string, { title: string; of: string }> = {
  frame: { title: 'Everywhere', of: 'of every page' },
  sheet: { title: 'The sheet', of: OF_PAGE },
  'sheet-keys': { title: 'The desk', of: 'of the desk' },
  'time-line': { title: 'The time line', of: OF_PAGE },
  'best-share': { title: 'The best share', of: OF_PAGE },
  proposal: { title: 'What would happen', of: 'the answer' },
};
/** Those after what the view itself has. */
const LAST = ['sheet', 'sheet-keys', 'frame'];
const MODIFIERS = ['Ctrl', 'Alt', 'Shift', 'Meta'];

/**
 * The keys that work now, each of them once: one that is shown with another, such as ] with [, is not listed again. Keys
 * of the desk are grouped by what they are for.
 *
 * @param typed words that what is listed answers to
 */
export function keyList(
  groups: ReadonlyMap<string, readonly PageKey[]>,
  typed = '',
): KeyListGroup[] {
  const sorted = [...groups].sort(([a], [b]) => LAST.indexOf(a) - LAST.indexOf(b));
  return sorted
    .flatMap(([name, keys]) => {
      const { title, of } = TITLES[name] ?? { title: name, of: OF_PAGE };
      const listed = once(keys.filter(({ summary }) => !summary));
      const parts = [...new Set(listed.map(({ part }) => part))];
      return parts.map((part) => ({
        title: part ?? title,
        of,
        keys: listed
          .filter((key) => key.part === part)
          .map((key) => ({ label: key.label, caps: capsOf(key) })),
      }));
    })
    .map((group) => ({
      ...group,
      keys: group.keys.filter(
        ({ label, caps }) =>
          typed.trim() === '' ||
          nearness(`${label} ${caps.join(' ')} ${group.title}`, typed.trim()) > 0,
      ),
    }))
    .filter(({ keys }) => keys.length > 0);
}

/** Without keys that an earlier one shows among its caps. */
function once(keys: readonly PageKey[]): PageKey[] {
  const seen = new Set<string>();
  return keys.filter((key) => {
    const pressed = pressedBy(key);
    const isShown = pressed.every((each) => seen.has(each));
    for (const each of pressed) seen.add(each);
    return !isShown;
  });
}

/** "Ctrl ←", "Ctrl →" and so on of a key that is shown with the caps Ctrl and ← → ↑ ↓. */
function pressedBy(key: PageKey): string[] {
  const caps = capsOf(key).flatMap((cap) => cap.split(' '));
  // The presses of a sequence are one after the other, not one or the other.
  if (caps.includes('then')) return [caps.join(' ')];
  const modifiers = caps.filter((cap) => MODIFIERS.includes(cap));
  const others = caps.filter((cap) => !MODIFIERS.includes(cap));
  return (others.length > 0 ? others : ['']).map((cap) => [...modifiers, cap].join(' '));
}
