import { perProfile } from './per-profile.ts';

interface ViewPages {
  /** By view: the page that it shows; its first one where there is none. */
  pages: Readonly<Record<string, string>>;
  show: (view: string, page: string) => void;
}

/** Which page each view shows, so that one can be gone to from elsewhere. */
export const useViewPages = perProfile<ViewPages>((set, get) => ({
  pages: {},
  show: (view, page) => set({ pages: { ...get().pages, [view]: page } }),
}));

/** The page that a view shows, and the change of it. */
export function useViewPage<P extends string>(
  view: string,
  first: P,
): readonly [P, (page: P) => void] {
  const page = useViewPages(({ pages }) => pages[view]) ?? first;
  const store = useViewPages.use();
  return [page as P, (next) => store.getState().show(view, next)];
}
