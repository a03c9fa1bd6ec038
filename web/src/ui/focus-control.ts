/** What is gone to may be in a view that is still loading. */
const AT_MOST_MS = 4_000;

/** So long the focus is kept where it was put, unless a key is pressed. */
const SETTLED_MS = 250;

const CONTROLS = 'input, select, textarea, button, [role=radiogroup], [role=group], [role=slider]';

/**
 * The control with a name, or with a beginning of one that ends with a star, of those that can be seen; a panel is searched before
 * the view below it.
 */
function controlNamed(name: string): HTMLElement | null {
  const roots = [...document.querySelectorAll('[role=dialog][data-state=open]'), document.body];
  for (const root of roots) {
    const [text, how] = name.endsWith('*') ? [name.slice(0, -1), '^='] : [name, '='];
    const named = root.querySelectorAll<HTMLElement>(`[aria-label${how}${JSON.stringify(text)}]`);
    const control = [...named].find((each) => each.matches(CONTROLS));
    if (control) return control;
  }
  return null;
}

/**
 * Gives the focus to the first of some controls that is there, as soon as one is: of a choice to the cell that is
 * chosen. Gives up after a while.
 *
 * @param names accessible names, the wanted one first
 * @returns a function that calls it off
 */
export function focusControl(names: readonly string[]): () => void {
  const until = performance.now() + AT_MOST_MS;
  const settled = performance.now() + SETTLED_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;
  function attempt() {
    // The others stand in for the first only where that does not come with the view.
    const [wanted, ...others] = names;
    const isLate = performance.now() > until - AT_MOST_MS / 2;
    const all = isLate ? [wanted, ...others] : [wanted];
    const control = all.map((name) => name && controlNamed(name)).find(Boolean) as
      HTMLElement | undefined;
    if (!control) {
      if (performance.now() < until) timer = setTimeout(attempt, 40);
      return;
    }
    const cell =
      control.querySelector<HTMLElement>('[role=radio][aria-checked=true]') ??
      (control.matches('[role=group]')
        ? control.querySelector<HTMLElement>('button, input')
        : null);
    control.scrollIntoView({ block: 'nearest' });
    (cell ?? control).focus();
    // A panel that closes gives the focus back to what had it before.
    if (performance.now() < settled) timer = setTimeout(attempt, 40);
  }
  const callOff = () => {
    clearTimeout(timer);
    removeEventListener('keydown', callOff, { capture: true });
  };
  timer = setTimeout(attempt);
  // Whoever goes on has the keyboard.
  setTimeout(() => addEventListener('keydown', callOff, { capture: true }));
  return callOff;
}
