import { newsOf, type News } from './api.ts';

/**
 * Hears what is saved of a profile elsewhere, while the page is in sight: a browser has few connections to one
 * server, and a page that comes into sight again is told at once what there is.
 *
 * @returns what ends it
 */
export function listen(id: string, hear: (news: News) => void): () => void {
  let source: EventSource | null = null;
  function attend() {
    if (document.hidden) {
      source?.close();
      source = null;
    } else if (!source) {
      source = new EventSource(newsOf(id));
      source.onmessage = ({ data }) => hear(JSON.parse(String(data)) as News);
    }
  }
  attend();
  document.addEventListener('visibilitychange', attend);
  return () => {
    document.removeEventListener('visibilitychange', attend);
    source?.close();
  };
}
