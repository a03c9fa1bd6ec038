import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, type RefObject } from 'react';

/** A list up to so long is drawn whole: what is searched for or read aloud finds all of it. */
const MOST_WHOLE = 300;

const NOTHING = () => undefined;

interface VirtualRows<E extends HTMLElement> {
  /** The element that scrolls. */
  scroller: RefObject<E | null>;
  /** The rows to be drawn, by their places. */
  shown: readonly number[];
  /** How much room the rows before and after take, in pixels. */
  before: number;
  after: number;
  /** Measures a row that is drawn; it has its place as `data-index`. */
  measure: (row: Element | null) => void;
}

/**
 * Of a long list only the rows in sight are drawn, and some around them. The selected row is kept in sight.
 *
 * @param at the place of the selected row; -1 for none
 * @param heightOf in pixels
 * @param headHeight of what covers the top while the list scrolls
 */
export function useVirtualRows<E extends HTMLElement>(props: {
  count: number;
  at: number;
  heightOf: (place: number) => number;
  headHeight?: number;
}): VirtualRows<E> {
  const { count, at, heightOf, headHeight = 0 } = props;
  const scroller = useRef<E>(null);
  const isWhole = count <= MOST_WHOLE;
  // eslint-disable-next-line react-hooks/incompatible-library -- its functions stay in this component
  const virtualizer = useVirtualizer({
    count,
    enabled: !isWhole,
    getScrollElement: () => scroller.current,
    estimateSize: heightOf,
    overscan: 10,
    // The head stands before the rows, and covers the first of them while the list scrolls.
    scrollMargin: headHeight,
    scrollPaddingStart: headHeight,
    useFlushSync: false,
  });
  useEffect(() => {
    if (isWhole || at < 0) return;
    const { start, end } = virtualizer.measurementsCache[at] ?? { start: 0, end: 0 };
    const top = virtualizer.scrollOffset ?? 0;
    const height = virtualizer.scrollRect?.height ?? 0;
    // Scrolling to where it is already would have everything laid out once more.
    if (start >= top + headHeight && end <= top + height) return;
    virtualizer.scrollToIndex(at, { align: 'auto' });
  }, [virtualizer, isWhole, at, headHeight]);
  if (isWhole) {
    return {
      scroller,
      shown: Array.from({ length: count }, (_, place) => place),
      before: 0,
      after: 0,
      measure: NOTHING,
    };
  }
  const items = virtualizer.getVirtualItems();
  return {
    scroller,
    shown: items.map(({ index }) => index),
    before: (items[0]?.start ?? headHeight) - headHeight,
    after: virtualizer.getTotalSize() + headHeight - (items.at(-1)?.end ?? headHeight),
    measure: virtualizer.measureElement,
  };
}
