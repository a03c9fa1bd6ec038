import { withStandIn, keysWithMain } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { isModifierCode, keysCaps, MOST_STEPS, type Modifier } from '@sorn/core/values';
import { useEffect, useRef } from 'react';
import { perProfile } from '../../state/per-profile.ts';
import { modifiersOf } from '../../ui/modifiers.ts';

/** How long the next press is waited for, which makes a sequence of what was pressed. */
const NEXT_PRESS_MS = 800;

interface Recorder {
  /** What the keys that are pressed next are for; null while nothing is recorded. */
  asks: string | null;
  /** What was pressed so far. */
  keys: readonly string[];
  take: ((keys: string) => void) | null;
  record: (asks: string, take: (keys: string) => void) => void;
  press: (keys: string) => void;
  end: () => void;
}

/** Keys that are pressed to be recorded rather than to do what they do. */
export const useRecorder = perProfile<Recorder>((set, get) => ({
  asks: null,
  keys: [],
  take: null,
  record: (asks, take) => set({ asks, take, keys: [] }),
  press: (keys) => set({ keys: [...get().keys, keys] }),
  end: () => set({ asks: null, take: null, keys: [] }),
}));

/** Records presses while it is asked for: every key goes here and nowhere else. Escape alone ends it. */
export function useRecording(profile: Profile): void {
  const isAsking = useRecorder(({ asks }) => asks !== null);
  const recorder = useRecorder.use();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    if (!isAsking) return;
    const { main } = profile.keys;
    function pressed(modifiers: readonly Modifier[], code: string) {
      const { press } = recorder.getState();
      press(withStandIn(keysWithMain(main, modifiers, code), profile));
      clearTimeout(timer.current);
      if (recorder.getState().keys.length === MOST_STEPS) taken();
      else timer.current = setTimeout(taken, NEXT_PRESS_MS);
    }
    function taken() {
      const { keys, take, end } = recorder.getState();
      end();
      if (keys.length > 0) take?.(keys.join(' '));
    }
    function onKeyDown(event: KeyboardEvent) {
      event.preventDefault();
      event.stopImmediatePropagation();
      if (event.repeat || isModifierCode(event.code)) return;
      const modifiers = modifiersOf(event);
      const isDropped = event.code === 'Escape' && modifiers.length === 0;
      if (isDropped) recorder.getState().end();
      else pressed(modifiers, event.code);
    }
    function onMouseDown(event: MouseEvent) {
      // The first buttons go on pointing.
      if (event.button < 3) return;
      event.preventDefault();
      pressed(modifiersOf(event), `Button${event.button + 1}`);
    }
    addEventListener('keydown', onKeyDown, { capture: true });
    addEventListener('mousedown', onMouseDown, { capture: true });
    return () => {
      clearTimeout(timer.current);
      removeEventListener('keydown', onKeyDown, { capture: true });
      removeEventListener('mousedown', onMouseDown, { capture: true });
    };
  }, [isAsking, profile, recorder]);
  useEffect(() => () => recorder.getState().end(), [recorder]);
}

/** The caps of what was pressed so far. */
export function recordedCaps(keys: readonly string[], main: Modifier): string[] {
  return keys.flatMap((each, i) => [...(i > 0 ? ['then'] : []), ...keysCaps(each, main)]);
}
