import { useEffect } from 'react';

/** What the browser calls the page: the view, and whose it is. */
export function usePageTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Sorn`;
  }, [title]);
}
