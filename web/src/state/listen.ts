import {
  changeEventSchema,
  liveNewsSchema,
  livePictureSchema,
  profileFileStateSchema,
  sharedStateSchema,
  type ChangeEvent,
  type LiveNews,
  type ProfileFileState,
  type SharedState,
} from '@sorn/api';
import { jsonIn, changeEventsUrl } from './api.ts';

/** How long after its end the server is looked for again. */
const AGAIN_MS = 3_000;

/** Who is told of the live desk. */
export interface LiveListener {
  takeNews: (news: LiveNews) => void;
  takePicture: (window: string, png: string) => void;
  /** The server is not heard any more; the browser looks for it again. */
  lost: () => void;
}

/**
 * Listens to saves of a profile by other pages, while this page is visible: a browser has few connections to one
 * server, and a page that becomes visible again gets the present state at once.
 *
 * @returns a function that ends it
 */
export function listen(
  id: string,
  onServerEvent: (event: ChangeEvent) => void,
  live: LiveListener,
  onFile: (state: ProfileFileState) => void,
  onStore: (state: SharedState) => void,
): () => void {
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
      source.addEventListener('file', ({ data }: MessageEvent<string>) => {
        const state = profileFileStateSchema.safeParse(jsonIn(data));
        if (state.success) onFile(state.data);
      });
      source.addEventListener('store', ({ data }: MessageEvent<string>) => {
        const state = sharedStateSchema.safeParse(jsonIn(data));
        if (state.success) onStore(state.data);
      });
      source.addEventListener('live', ({ data }: MessageEvent<string>) => {
        const news = liveNewsSchema.safeParse(jsonIn(data));
        if (news.success) live.takeNews(news.data);
      });
      source.addEventListener('picture', ({ data }: MessageEvent<string>) => {
        const picture = livePictureSchema.safeParse(jsonIn(data));
        if (picture.success) live.takePicture(picture.data.window, picture.data.png);
      });
      source.addEventListener('closing', comeBack);
      // The browser comes back by itself but where the answer was none to listen to.
      source.onerror = () => {
        live.lost();
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
