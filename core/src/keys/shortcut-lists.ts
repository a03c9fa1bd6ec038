import type { Shortcut, ShortcutList } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';

const all = (what: string, ...keys: string[]): Shortcut[] =>
  keys.map((each) => ({ keys: each, what }));

/**
 * Shortcuts that desktops commonly keep for themselves, by the modifier they begin with. Which of them hold is
 * up to the desktop at hand: lists and lines can be switched off and changed.
 */
export const COMMONLY_TAKEN: readonly ShortcutList[] = [
  {
    id: 'pointing',
    name: 'Pointing',
    on: true,
    shortcuts: [
      ...all('presses and drags', 'Button1'),
      ...all('opens in the background', 'Button2'),
      ...all('opens a menu', 'Button3'),
    ],
  },
  {
    id: 'text',
    name: 'Text editing, with Ctrl',
    on: true,
    shortcuts: [
      ...all('selects all', 'Ctrl+KeyA'),
      ...all('copies', 'Ctrl+KeyC'),
      ...all('cuts', 'Ctrl+KeyX'),
      ...all('pastes', 'Ctrl+KeyV'),
      ...all('takes back', 'Ctrl+KeyZ'),
      ...all('does again', 'Ctrl+KeyY', 'Ctrl+Shift+KeyZ'),
      ...all('saves', 'Ctrl+KeyS'),
      ...all('finds in the text', 'Ctrl+KeyF'),
      ...all('prints', 'Ctrl+KeyP'),
      ...all('moves by words', 'Ctrl+ArrowLeft', 'Ctrl+ArrowRight'),
      ...all('selects', 'Shift+ArrowLeft', 'Shift+ArrowRight', 'Shift+ArrowUp', 'Shift+ArrowDown'),
      ...all('deletes a word', 'Ctrl+Backspace', 'Ctrl+Delete'),
    ],
  },
  {
    id: 'alt',
    name: 'A desktop by Alt',
    on: true,
    shortcuts: [
      ...all('switches app', 'Alt+Tab', 'Alt+Shift+Tab'),
      ...all('closes the window', 'Alt+F4'),
      ...all('opens the window menu', 'Alt+Space'),
      ...all('takes a picture of the window', 'Alt+PrintScreen'),
      ...all('takes a picture of the screen', 'PrintScreen', 'Shift+PrintScreen'),
    ],
  },
  {
    id: 'ctrl-alt',
    name: 'A desktop by Ctrl Alt',
    on: false,
    shortcuts: [
      ...all('locks the screen', 'Ctrl+Alt+KeyL'),
      ...all('opens a terminal', 'Ctrl+Alt+KeyT'),
      ...all('ends the session', 'Ctrl+Alt+Delete'),
      ...all(
        'goes to another workspace',
        ...['Left', 'Right', 'Up', 'Down'].map((side) => `Ctrl+Alt+Arrow${side}`),
      ),
    ],
  },
  {
    id: 'meta',
    name: 'A desktop by Meta',
    on: false,
    shortcuts: [
      ...all('locks the screen', 'Meta+KeyL'),
      ...all('switches app', 'Meta+Tab', 'Meta+Shift+Tab'),
      ...all('shows the bare desktop', 'Meta+KeyD'),
      ...all('searches', 'Meta+Space'),
      ...all('takes a picture of the screen', 'Meta+Shift+KeyS', 'Meta+PrintScreen'),
    ],
  },
];

/** The lists of what the desktop takes that hold for a profile. */
export function shortcutLists({ keys }: Profile): readonly ShortcutList[] {
  return keys.taken ?? COMMONLY_TAKEN;
}

/** The profile with a list of what the desktop takes changed. */
export function withShortcutList(
  profile: Profile,
  id: string,
  change: (list: ShortcutList) => ShortcutList,
): Profile {
  const taken = shortcutLists(profile).map((list) => (list.id === id ? change(list) : list));
  return { ...profile, keys: { ...profile.keys, taken } };
}
