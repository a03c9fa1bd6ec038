import type { Held } from '../values/window.ts';
import type { Rect } from '../geometry/rect.ts';
/** Where a window is, in physical pixels of the joint desktop. */
export interface Placement extends Rect {
  id: string;
  monitor: string;
  workspace: string;
  held: Held;
  shown: boolean;
  /** The tile its layout gives it; null when it is not tiled. */
  tile: Rect | null;
  /** The rectangle it was placed in by key, before its size hints; left out where it is not placed. */
  placed?: Rect;
  /** The zones it is in; left out where it is in none. */
  zones?: readonly string[];
  /** Left out while none of them holds. */
  state?: 'maximised' | 'full-screen' | 'minimised';
  stayAbove?: true;
  everywhere?: true;
}
