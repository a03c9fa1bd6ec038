import { keyName, type Legends } from '@sorn/core/values';

/** The rows of a layout as the library tells them, each its keys from the left. */
interface National {
  layout: { default: readonly string[] };
}

const load = (from: () => Promise<{ default: unknown }>) => async () =>
  (await from()).default as National;

/** What is printed on common keyboards; each comes when it is chosen. */
export const NATIONAL: readonly {
  id: string;
  text: string;
  load: (() => Promise<National>) | null;
}[] = [
  { id: 'us', text: 'US', load: null },
  {
    id: 'brazilian',
    text: 'Brazilian',
    load: load(() => import('simple-keyboard-layouts/build/layouts/brazilian.js')),
  },
  {
    id: 'czech',
    text: 'Czech',
    load: load(() => import('simple-keyboard-layouts/build/layouts/czech.js')),
  },
  {
    id: 'french',
    text: 'French',
    load: load(() => import('simple-keyboard-layouts/build/layouts/french.js')),
  },
  {
    id: 'german',
    text: 'German',
    load: load(() => import('simple-keyboard-layouts/build/layouts/german.js')),
  },
  {
    id: 'greek',
    text: 'Greek',
    load: load(() => import('simple-keyboard-layouts/build/layouts/greek.js')),
  },
  {
    id: 'hungarian',
    text: 'Hungarian',
    load: load(() => import('simple-keyboard-layouts/build/layouts/hungarian.js')),
  },
  {
    id: 'italian',
    text: 'Italian',
    load: load(() => import('simple-keyboard-layouts/build/layouts/italian.js')),
  },
  {
    id: 'japanese',
    text: 'Japanese',
    load: load(() => import('simple-keyboard-layouts/build/layouts/japanese.js')),
  },
  {
    id: 'norwegian',
    text: 'Norwegian',
    load: load(() => import('simple-keyboard-layouts/build/layouts/norwegian.js')),
  },
  {
    id: 'polish',
    text: 'Polish',
    load: load(() => import('simple-keyboard-layouts/build/layouts/polish.js')),
  },
  {
    id: 'russian',
    text: 'Russian',
    load: load(() => import('simple-keyboard-layouts/build/layouts/russian.js')),
  },
  {
    id: 'spanish',
    text: 'Spanish',
    load: load(() => import('simple-keyboard-layouts/build/layouts/spanish.js')),
  },
  {
    id: 'swedish',
    text: 'Swedish',
    load: load(() => import('simple-keyboard-layouts/build/layouts/swedish.js')),
  },
];

const words = (text: string) => text.split(' ');
/** The codes of the keys of each row, from the left; what is further right is Backslash on most boards. */
const ROWS = [
  words(
    'Backquote Digit1 Digit2 Digit3 Digit4 Digit5 Digit6 Digit7 Digit8 Digit9 Digit0 Minus Equal IntlYen',
  ),
  words('KeyQ KeyW KeyE KeyR KeyT KeyY KeyU KeyI KeyO KeyP BracketLeft BracketRight Backslash'),
  words('KeyA KeyS KeyD KeyF KeyG KeyH KeyJ KeyK KeyL Semicolon Quote Backslash'),
];
const LAST = words('KeyZ KeyX KeyC KeyV KeyB KeyN KeyM Comma Period Slash IntlRo');

/** What is printed on the keys of a layout, by code, where a US keyboard has something else. */
export function legendsOf({ layout }: National): Legends {
  const [digits = '', upper = '', home = '', lower = ''] = layout.default;
  // Keys that type nothing by themselves are named in braces.
  const keysOf = (row: string) => words(row).filter((key) => !/^\{.+\}$/.test(key) && key !== '');
  const last = keysOf(lower);
  // A key more at the left of the last row.
  const isWide = last.length > LAST.length - 1;
  const rows = [keysOf(digits), keysOf(upper), keysOf(home), isWide ? last.slice(1) : last];
  const found: Record<string, string> = isWide ? { IntlBackslash: last[0]! } : {};
  [...ROWS, LAST].forEach((codes, i) => {
    rows[i]!.forEach((key, at) => {
      const code = codes[at];
      if (code !== undefined) found[code] = key;
    });
  });
  return changed(found);
}

/** Legends as key caps have them, letters large; what a US keyboard has just so is left out. */
export function changed(typed: Legends): Legends {
  const entries = Object.entries(typed).flatMap(([code, key]): [string, string][] => {
    const cap = key.toLocaleUpperCase();
    const legend = cap.length === key.length ? cap : key;
    return legend === keyName(code) || !/^\S{1,8}$/u.test(legend) ? [] : [[code, legend]];
  });
  return Object.fromEntries(entries);
}

/** What the browser tells of the keyboard that is used; null where it tells nothing. */
export async function readKeyboard(): Promise<Legends | null> {
  const { keyboard } = navigator as Navigator & {
    keyboard?: { getLayoutMap?: () => Promise<Iterable<[string, string]>> };
  };
  if (!keyboard?.getLayoutMap) return null;
  try {
    const map = [...(await keyboard.getLayoutMap())];
    return map.length === 0 ? null : changed(Object.fromEntries(map));
  } catch {
    return null;
  }
}
