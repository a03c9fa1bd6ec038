import { select } from 'd3-selection';
import { zoom, zoomIdentity, type D3ZoomEvent } from 'd3-zoom';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { SheetSize, Viewport } from './viewport.ts';

/** The size of an element, kept up to date. */
export function useSheetSize(element: HTMLElement | null): SheetSize {
  const [size, setSize] = useState<SheetSize>({ width: 800, height: 600 });
  useEffect(() => {
    if (!element) return;
    const observer = new ResizeObserver(() => {
      setSize({ width: element.clientWidth, height: element.clientHeight });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [element]);
  return size;
}

const SETTLE_MS = 160;
/** Screen pixels for one desk pixel, at least and at most. */
const SCALES: [number, number] = [0.01, 4];

const transformOf = ({ scale, x, y }: Viewport) => zoomIdentity.translate(x, y).scale(scale);

/** Zooming and panning, by key, wheel, pull or pinch, away from a fitted view and back to it. */
export function useSteering(element: HTMLElement | null, size: SheetSize, fit: Viewport) {
  const [own, setOwn] = useState<Viewport | null>(null);
  const [isSteering, setSteering] = useState(false);
  const settle = useRef<ReturnType<typeof setTimeout>>(undefined);
  const isFitting = useRef(false);
  const behaviour = useMemo(
    () =>
      zoom<HTMLElement, unknown>()
        .scaleExtent(SCALES)
        // What is on the sheet is taken hold of by itself; a click's small tremble is no pull.
        .filter((event: Event) => event.type === 'wheel' || isBare(event))
        .clickDistance(3),
    [],
  );
  useEffect(() => {
    // Known already: measured by itself, it would have everything laid out once more.
    behaviour.extent([
      [0, 0],
      [size.width, size.height],
    ]);
  }, [behaviour, size]);
  useEffect(() => {
    if (!element) return;
    const sheet = select(element);
    behaviour.on('zoom', ({ transform }: D3ZoomEvent<HTMLElement, unknown>) => {
      // The fitted view, told below, is nobody's own.
      if (isFitting.current) return;
      setOwn({ scale: transform.k, x: transform.x, y: transform.y });
      setSteering(true);
      clearTimeout(settle.current);
      settle.current = setTimeout(() => setSteering(false), SETTLE_MS);
    });
    sheet.call(behaviour).on('dblclick.zoom', null);
    return () => void sheet.on('.zoom', null);
  }, [element, behaviour]);
  const { scale, x, y } = fit;
  useEffect(() => {
    if (!element || own) return;
    isFitting.current = true;
    select(element).call(behaviour.transform, transformOf({ scale, x, y }));
    isFitting.current = false;
  }, [element, behaviour, own, scale, x, y]);

  return {
    view: own ?? fit,
    isSteering,
    pan(x: number, y: number) {
      const { scale } = own ?? fit;
      if (element) select(element).call(behaviour.translateBy, x / scale, y / scale);
    },
    zoom(factor: number) {
      if (element) select(element).call(behaviour.scaleBy, factor);
    },
    /** Goes back to the fitted view; false when it was that already. */
    release(): boolean {
      setOwn(null);
      return own !== null;
    },
  };
}

/** True for a press on the sheet itself, with the first button or by touch. */
function isBare(event: Event): boolean {
  const { target } = event;
  const isFirst = !(event instanceof MouseEvent) || event.button === 0;
  return (
    isFirst &&
    target instanceof SVGElement &&
    !target.closest('[data-drag], [data-pulls-windows] [data-window]')
  );
}
