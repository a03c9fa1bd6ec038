/** Keys that the browser needs itself, whatever is loading. */
const OF_THE_BROWSER = /^F\d+$/;

const TYPED_INTO = 'input, textarea, [contenteditable=true]';

/** The longest time for which keys are kept. */
const AT_MOST_MS = 5_000;

let isHeld = false;
let timer: ReturnType<typeof setTimeout> | undefined;
let isGiving = false;
const kept: KeyboardEvent[] = [];

/**
 * Starts to keep keys, because the part of the page they are meant for is still loading. Keys typed meanwhile are
 * neither lost nor handled by the part that is still there.
 */
export function holdKeys(): void {
  isHeld = true;
  clearTimeout(timer);
  timer = setTimeout(() => void giveKeptKeys(), AT_MOST_MS);
}

/** The part has loaded: dispatches the kept keys in the order in which they were pressed. */
export async function giveKeptKeys(): Promise<void> {
  isHeld = false;
  clearTimeout(timer);
  if (isGiving) return;
  isGiving = true;
  // One may begin the loading of something else, for which the others are then kept.
  while (kept.length > 0 && !isHeld) {
    const { type, key, code, location, repeat, ctrlKey, shiftKey, altKey, metaKey } = kept.shift()!;
    const init = { key, code, location, repeat, ctrlKey, shiftKey, altKey, metaKey };
    const target = document.activeElement ?? document.body;
    const isLeft = target.dispatchEvent(
      new KeyboardEvent(type, { ...init, bubbles: true, cancelable: true }),
    );
    // A made-up press types nothing by itself.
    const isText = type === 'keydown' && key.length === 1 && !ctrlKey && !metaKey && !altKey;
    if (isLeft && target.matches(TYPED_INTO)) {
      if (isText) document.execCommand('insertText', false, key);
      if (type === 'keydown' && key === 'Backspace') document.execCommand('delete');
      if (type === 'keydown' && key === 'a' && (ctrlKey || metaKey)) {
        document.execCommand('selectAll');
      }
    }
    // What a key changes is drawn before the next one comes: it may be meant for that.
    await new Promise((resolve) => setTimeout(resolve));
  }
  isGiving = false;
}

function onKey(event: KeyboardEvent): void {
  if (!event.isTrusted || (!isHeld && !isGiving) || OF_THE_BROWSER.test(event.key)) return;
  event.preventDefault();
  event.stopImmediatePropagation();
  kept.push(event);
}

/** Begins to watch keys, before anything else does. What is typed before the first view is there is kept for it. */
export function watchKeys(): void {
  holdKeys();
  addEventListener('keydown', onKey, { capture: true });
  addEventListener('keyup', onKey, { capture: true });
}
