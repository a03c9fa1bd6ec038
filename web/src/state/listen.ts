import { changeEventSchema, type ChangeEvent } from '@sorn/api';
import { jsonIn, changeEventsUrl } from './api.ts';

/** How long after its end the server is looked for again. */
const AGAIN_MS = 3_000;

/**
 * Listens to saves of a profile by other pages, while this page is visible: a browser has few connections to one
 * server, and a page that becomes visible again gets the present state at once.
 *
 * @returns a function that ends it
 */
export function listen(id: string, onServerEvent: (event: ChangeEvent) => void): () => void {
  let source: EventSource | null = null;
  let later: ReturnType<typeof setTimeout> | undefined;
  function leave() {
    clearTimeout(later);
    source?.close();
    source = null;
  }
  function comeBack() {
    leave();
    later = setTimeout(attend, AGAIN_MS);
  }
  function attend() {
    if (document.hidden) {
      leave();
    } else if (!source) {
      source = new EventSource(changeEventsUrl(id));
      source.onmessage = ({ data }) => {
        const event = changeEventSchema.safeParse(jsonIn(String(data)));
        // What cannot be read tells nothing; whatever it was about is event again when one comes back.
        if (event.success) onServerEvent(event.data);
      };
      source.addEventListener('closing', comeBack);
      // The browser comes back by itself but where the answer was none to listen to.
      source.onerror = () => {
        if (source?.readyState === EventSource.CLOSED) comeBack();
      };
    }
  }
  attend();
  document.addEventListener('visibilitychange', attend);
  return () => {
    document.removeEventListener('visibilitychange', attend);
    leave();
  };
}
