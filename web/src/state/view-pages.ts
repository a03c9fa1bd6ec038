import { useEffect } from 'react';
import { perProfile } from './per-profile.ts';

interface ViewPages {
  /** By view: the page that it shows; its first one where there is none. */
  pages: Readonly<Record<string, string>>;
  show: (view: string, page: string) => void;
  /** A view that is left begins with its first page again. */
  leave: (view: string) => void;
}

/** Which page each view shows, so that one can be gone to from elsewhere. */
export const useViewPages = perProfile<ViewPages>(
  (set, get) => ({
    pages: {},
    show: (view, page) => set({ pages: { ...get().pages, [view]: page } }),
    leave(view) {
      const { [view]: _page, ...pages } = get().pages;
      set({ pages });
    },
  }),
  { isOfProfile: true },
);

/** The page that a view shows, and the change of it. */
export function useViewPage<P extends string>(
  view: string,
  first: P,
): readonly [P, (page: P) => void] {
  const page = useViewPages(({ pages }) => pages[view]) ?? first;
  const store = useViewPages.use();
  useEffect(() => () => store.getState().leave(view), [store, view]);
  return [page as P, (next) => store.getState().show(view, next)];
}
