import type { Modifier } from '@sorn/core/values';
import { useEffect, useState } from 'react';
import { modifiersOf } from '../../ui/modifiers.ts';

/** An input that arrived while a device was tried. */
export interface KeyArrival {
  number: number;
  code: string;
  key: string;
  modifiers: readonly Modifier[];
}

const MOST = 300;

/** Shows which inputs a device sends; they have no effect meanwhile. Escape ends it and is not counted. */
export function useKeyTrial() {
  const [isOn, setOn] = useState(false);
  const [arrived, setArrived] = useState<readonly KeyArrival[]>([]);
  useEffect(() => {
    if (!isOn) return;
    const add = (code: string, key: string, modifiers: readonly Modifier[]) =>
      setArrived((before) =>
        [...before, { number: (before.at(-1)?.number ?? 0) + 1, code, key, modifiers }].slice(
          -MOST,
        ),
      );
    function onKeyDown(event: KeyboardEvent) {
      event.preventDefault();
      event.stopImmediatePropagation();
      if (event.code === 'Escape' && !event.ctrlKey && !event.altKey && !event.metaKey) {
        setOn(false);
        return;
      }
      if (event.repeat) return;
      add(event.code, event.key, modifiersOf(event));
    }
    function onMouseDown(event: MouseEvent) {
      if (event.button >= 3) event.preventDefault();
      add(`Button${event.button + 1}`, '', []);
    }
    addEventListener('keydown', onKeyDown, { capture: true });
    addEventListener('mousedown', onMouseDown, { capture: true });
    return () => {
      removeEventListener('keydown', onKeyDown, { capture: true });
      removeEventListener('mousedown', onMouseDown, { capture: true });
    };
  }, [isOn]);
  return {
    isOn,
    arrived,
    begin() {
      setArrived([]);
      setOn(true);
    },
  };
}
