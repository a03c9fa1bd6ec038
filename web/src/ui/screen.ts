import { create } from 'zustand';

/** Too small for an inspector beside the view: also a large screen at twice the zoom. */
const SMALL = '(max-width: 899px), (max-height: 519px)';
/** Too narrow for a rail beside the view. */
const NARROW = '(max-width: 599px)';

interface Screen {
  isSmall: boolean;
  isNarrow: boolean;
}

const matches = (query: string) => typeof matchMedia === 'function' && matchMedia(query).matches;
const measured = (): Screen => ({ isSmall: matches(SMALL), isNarrow: matches(NARROW) });

/** How much room the page has. */
export const useScreen = create<Screen>(measured);

if (typeof matchMedia === 'function') {
  for (const query of [SMALL, NARROW])
    matchMedia(query).addEventListener('change', () => useScreen.setState(measured()));
}
