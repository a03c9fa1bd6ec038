import { useEffect, useLayoutEffect, useRef } from 'react';
import { create } from 'zustand';

/** A key of the page: works while no field has the keyboard and the sheet has not got it. */
export interface PageKey {
  /** `event.key` of each key that does it. */
  keys: readonly string[];
  ctrl?: boolean;
  alt?: boolean;
  shift?: boolean;
  /** What the key caps say; the keys themselves when left out. */
  caps?: readonly string[];
  /** What it does, in a few words. */
  label: string;
  /** Always in sight at the end of the strip. */
  stays?: boolean;
  /** Left out of the strip along the bottom; the list of all keys has it. */
  minor?: boolean;
  /** The part of its group in the list of all keys. */
  part?: string;
  /** Left out of the list of all keys, which has its parts one by one. */
  summary?: boolean;
  run: (event: KeyboardEvent) => void;
}

interface KeyRegister {
  groups: ReadonlyMap<string, readonly PageKey[]>;
  /** True while the sheet has the keyboard: page keys rest. */
  given: boolean;
  setGroup: (name: string, keys: readonly PageKey[] | null) => void;
  give: (given: boolean) => void;
}

export const useKeyRegister = create<KeyRegister>((set, get) => ({
  groups: new Map(),
  given: false,
  setGroup(name, keys) {
    const groups = new Map(get().groups);
    if (keys) groups.set(name, keys);
    else groups.delete(name);
    set({ groups });
  },
  give: (given) => set({ given }),
}));

/**
 * Registers keys of the page for as long as the component is there. A key does what the picture that is drawn
 * tells of it: the newest handlers are in place before the browser draws, so that no key meets a former one.
 */
export function usePageKeys(group: string, keys: readonly PageKey[]): void {
  const setGroup = useKeyRegister((register) => register.setGroup);
  const newest = useRef(keys);
  useLayoutEffect(() => {
    newest.current = keys;
  });
  const signature = JSON.stringify(keys);
  useLayoutEffect(() => {
    const stable = newest.current.map((key, i) => ({
      ...key,
      run: (event: KeyboardEvent) => newest.current[i]?.run(event),
    }));
    setGroup(group, stable);
  }, [group, setGroup, signature]);
  // A group whose keys change keeps its place among the others.
  useLayoutEffect(() => () => setGroup(group, null), [group, setGroup]);
}

/** The arrows of a list of which one is selected. With Shift, they are the frame's. */
export function selectingKeys(goTo: (by: 1 | -1) => void): PageKey[] {
  return [
    { keys: ['ArrowUp'], shift: false, caps: ['↑', '↓'], label: 'select', run: () => goTo(-1) },
    {
      keys: ['ArrowDown'],
      shift: false,
      label: 'select the next one',
      minor: true,
      run: () => goTo(1),
    },
  ];
}

/** The group of keys that answer a question; while it is there, it is alone. */
export const ANSWERS = 'proposal';

const TYPING =
  'input:not([type=checkbox], [type=file]), textarea, select, [contenteditable=true], [role=dialog], [role=combobox]';

/** What a slider takes; every other key is the page's. */
const OF_SLIDERS = /^(Arrow\w+|Home|End|Page(Up|Down))$/;

/** What Enter or the space bar presses by itself. */
const PRESSED = 'button, a[href], input[type=checkbox], input[type=file]';
/** Of those, what the space bar takes and Enter goes on from. */
const CHOSEN = '[role=radio], [role=checkbox]';

function matches(key: PageKey, event: KeyboardEvent): boolean {
  const ctrl = event.ctrlKey || event.metaKey;
  if (Boolean(key.ctrl) !== ctrl || Boolean(key.alt) !== event.altKey) return false;
  if (key.shift !== undefined && key.shift !== event.shiftKey) return false;
  return key.keys.some((wanted) => wanted.toLowerCase() === event.key.toLowerCase());
}

/** True where what is typed, copied or pasted is not the page's: in a field, a panel, or while the sheet has the keyboard. */
export function isTyping(target: EventTarget | null): boolean {
  const field = target instanceof Element && target.closest(TYPING) !== null;
  const hasPanel = document.querySelector('[role=dialog][data-state=open]') !== null;
  return field || hasPanel || useKeyRegister.getState().given;
}

/** Runs page keys. One listener for the whole page. */
export function usePageKeyboard(): void {
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent) {
      const { groups, given } = useKeyRegister.getState();
      if (given || event.defaultPrevented || event.isComposing) return;
      const target = event.target instanceof Element ? event.target : null;
      const slider = OF_SLIDERS.test(event.key) ? target?.closest('[role=slider]') : null;
      const typing =
        slider ??
        target?.closest(TYPING) ??
        document.querySelector('[role=dialog][data-state=open]');
      const presses =
        target?.closest(PRESSED) &&
        (event.key === ' ' || (event.key === 'Enter' && !target.closest(CHOSEN)));
      // While something waits for an answer, no other key does anything.
      const answers = groups.get(ANSWERS);
      for (const key of answers ?? [...groups.values()].flat()) {
        if (!matches(key, event)) continue;
        if ((typing && !key.ctrl) || presses) return;
        event.preventDefault();
        key.run(event);
        return;
      }
    }
    addEventListener('keydown', onKeyDown);
    return () => removeEventListener('keydown', onKeyDown);
  }, []);
}
