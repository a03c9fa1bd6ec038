import { useCallback } from 'react';
import { useNavigate } from 'react-router';
import { useViewPages } from '../state/view-pages.ts';
import { useInspector } from '../ui/inspector.ts';
import { useKeyRegister } from '../ui/page-keys.ts';
import type { ActionEntry } from './action-index.ts';

/** The view may be loading still, and the panel that led there closes in its own time. */
const AT_MOST_MS = 4_000;
const EACH_MS = 40;

/** Goes to the view of an action and does what its key does; one about what is selected there is only gone to. */
export function useGoToAction(): (action: ActionEntry) => void {
  const navigate = useNavigate();
  const pages = useViewPages.use();
  return useCallback(
    (action) => {
      const { view, page, isGoneTo } = action;
      if (page) pages.getState().show(view, page);
      void navigate(view);
      if (isGoneTo) return;
      useInspector.getState().show();
      const until = performance.now() + AT_MOST_MS;
      const attempt = () => {
        const key = useKeyRegister
          .getState()
          .groups.get(action.group)
          ?.find(({ label }) => label === action.label);
        const isCovered = document.querySelector('[role=dialog]') !== null;
        if (key && !isCovered) key.run(new KeyboardEvent('keydown'));
        else if (performance.now() < until) setTimeout(attempt, EACH_MS);
      };
      setTimeout(attempt);
    },
    [navigate, pages],
  );
}
