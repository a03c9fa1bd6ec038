import { useEffect, useMemo, useRef, useState } from 'react';
import { zoomed, type SheetSize, type Viewport } from './viewport.ts';

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

/** Zooming and panning, by key or pointer, away from a fitted view and back to it. */
export function useSteering(element: HTMLElement | null, fit: Viewport) {
  const [own, setOwn] = useState<Viewport | null>(null);
  const [isSteering, setSteering] = useState(false);
  const settle = useRef<ReturnType<typeof setTimeout>>(undefined);
  const present = useRef(fit);
  const view = own ?? fit;
  useEffect(() => {
    present.current = view;
  });

  const steer = useMemo(() => {
    const steered = (next: Viewport) => {
      present.current = next;
      setOwn(next);
      setSteering(true);
      clearTimeout(settle.current);
      settle.current = setTimeout(() => setSteering(false), SETTLE_MS);
    };
    return {
      zoomAbout: (factor: number, about: { x: number; y: number }) =>
        steered(zoomed(present.current, factor, about)),
      pan: (x: number, y: number) => {
        const { scale, x: fromX, y: fromY } = present.current;
        steered({ scale, x: fromX + x, y: fromY + y });
      },
    };
  }, []);

  useEffect(() => {
    if (!element) return;
    let from: { x: number; y: number } | null = null;
    const point = (event: MouseEvent) => {
      const { left, top } = element.getBoundingClientRect();
      return { x: event.clientX - left, y: event.clientY - top };
    };
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      steer.zoomAbout(Math.exp(-event.deltaY / 600), point(event));
    };
    const onDown = (event: PointerEvent) => {
      const { target } = event;
      const isSheet = target instanceof SVGElement && !target.closest('[data-drag]');
      if (event.button === 0 && isSheet) from = point(event);
    };
    const onMove = (event: PointerEvent) => {
      if (!from || event.buttons === 0) return;
      const to = point(event);
      // A click's small tremble is no drag.
      if (Math.hypot(to.x - from.x, to.y - from.y) < 3) return;
      steer.pan(to.x - from.x, to.y - from.y);
      from = to;
    };
    const onUp = () => {
      from = null;
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    element.addEventListener('pointerdown', onDown);
    addEventListener('pointermove', onMove);
    addEventListener('pointerup', onUp);
    return () => {
      element.removeEventListener('wheel', onWheel);
      element.removeEventListener('pointerdown', onDown);
      removeEventListener('pointermove', onMove);
      removeEventListener('pointerup', onUp);
    };
  }, [element, steer]);

  return {
    view,
    isSteering,
    pan: steer.pan,
    zoom(factor: number) {
      const { clientWidth = 0, clientHeight = 0 } = element ?? {};
      steer.zoomAbout(factor, { x: clientWidth / 2, y: clientHeight / 2 });
    },
    /** Goes back to the fitted view; false when it was that already. */
    release(): boolean {
      setOwn(null);
      return own !== null;
    },
  };
}
