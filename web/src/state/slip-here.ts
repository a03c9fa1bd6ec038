import type { Slip } from '@sorn/core/files';
import { useEffect, useLayoutEffect, useRef } from 'react';

/** What can be copied of what a view shows: one thing of the profile, and what a person calls it. */
export interface NamedSlip {
  name: string;
  slip: Slip;
}

let here: (() => NamedSlip | null) | null = null;

/** What is selected in the view that is shown; null where nothing of it can be copied. */
export const slipHere = (): NamedSlip | null => here?.() ?? null;

/** Makes what a view has selected the thing that is copied, for as long as the view is there. */
export function useCopied(name: string, slip: Slip | null): void {
  const newest = useRef<NamedSlip | null>(null);
  useLayoutEffect(() => {
    newest.current = slip && { name, slip };
  });
  useEffect(() => {
    const own = () => newest.current;
    here = own;
    return () => {
      if (here === own) here = null;
    };
  }, []);
}
