import { NOTHING_RECORDED, recordInput, type RecordInput, type RecordState } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { keysCaps, type Captions } from '@sorn/core/values';
import { useEffect, useEffectEvent } from 'react';
import { perProfile } from '../../state/per-profile.ts';
import { modifiersOf } from '../../ui/modifiers.ts';

/** So long after keys were taken, what follows fast goes nowhere: it was meant for them. */
const SETTLING_MS = 350;

/** The buttons that point and open menus; they are recorded with modifiers alone. */
const POINTING = 3;

/**
 * What is done with what is pressed: it is recorded; the recorded keys were taken and it goes nowhere; or it goes into
 * the field in which keys are typed as words.
 */
type Phase = 'pressing' | 'taken' | 'typing';

interface Recorder {
  /** What the keys that are pressed next are for; null while nothing is recorded. */
  asks: string | null;
  phase: Phase;
  recorded: RecordState;
  /** The keys that were taken. */
  keys: string;
  take: ((keys: string) => void) | null;
  record: (asks: string, take: (keys: string) => void) => void;
  goOn: (recorded: RecordState) => void;
  typeThem: () => void;
  /** Gives the keys to what asked for them. */
  finish: (keys: string) => void;
  end: () => void;
}

const IDLE = {
  asks: null,
  take: null,
  phase: 'pressing',
  recorded: NOTHING_RECORDED,
  keys: '',
} as const;

/** Keys that are pressed to be recorded rather than to do what they do. */
export const useRecorder = perProfile<Recorder>((set, get) => ({
  ...IDLE,
  record: (asks, take) => set({ ...IDLE, asks, take }),
  goOn: (recorded) => set({ recorded }),
  typeThem: () => set({ phase: 'typing', recorded: NOTHING_RECORDED }),
  finish(keys) {
    const { take } = get();
    set({ phase: 'taken', keys, recorded: NOTHING_RECORDED, take: null });
    // It may ask for others at once.
    take?.(keys);
  },
  end: () => set(IDLE),
}));

/**
 * Records presses while it is asked for: every key goes here and nowhere else. Escape alone ends it, Enter alone lets
 * keys be typed as words.
 */
export function useRecording(profile: Profile): void {
  const isAsking = useRecorder(({ asks }) => asks !== null);
  const recorder = useRecorder.use();
  const read = useEffectEvent((state: RecordState, input: RecordInput) =>
    recordInput(state, input, profile),
  );
  const waits = useEffectEvent(() => profile.keys.recordMs);
  useEffect(() => {
    if (!isAsking) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const later = (then: () => void, ms: number) => {
      clearTimeout(timer);
      timer = setTimeout(then, ms);
    };
    const settle = () =>
      later(() => {
        if (recorder.getState().phase === 'taken') recorder.getState().end();
      }, SETTLING_MS);
    const finish = (keys: string) => {
      settle();
      recorder.getState().finish(keys);
    };
    function take(input: RecordInput) {
      const { recorded, goOn } = recorder.getState();
      const { state, whole } = read(recorded, input);
      if (whole !== null) return finish(whole);
      if (state.steps.length === recorded.steps.length) return goOn(state);
      const recordMs = waits();
      const all = state.steps.join(' ');
      if (recordMs === 0) return finish(all);
      goOn(state);
      later(() => finish(all), recordMs);
    }
    /** True where an input is not for the page, nor to be recorded. */
    function isSwallowed(): boolean {
      if (recorder.getState().phase !== 'taken') return false;
      settle();
      return true;
    }
    const isElsewhere = () => recorder.getState().phase === 'typing';
    function keep(event: Event) {
      event.preventDefault();
      event.stopImmediatePropagation();
    }
    function onKey(event: KeyboardEvent) {
      if (isElsewhere()) return;
      keep(event);
      if (isSwallowed() || event.repeat) return;
      const { code } = event;
      const modifiers = modifiersOf(event);
      const { recorded, end, typeThem } = recorder.getState();
      const isBare = modifiers.length === 0 && recorded.held.length === 0;
      const type = event.type === 'keyup' ? 'up' : 'down';
      if (type === 'down' && isBare && recorded.steps.length === 0) {
        if (code === 'Escape') return end();
        if (code === 'Enter') return typeThem();
      } else if (type === 'down' && isBare && code === 'Escape') return end();
      take({ type, code, modifiers, at: event.timeStamp });
    }
    function onMouse(event: MouseEvent) {
      const modifiers = modifiersOf(event);
      const { held } = recorder.getState().recorded;
      const isPointing = event.button < POINTING && modifiers.length === 0 && held.length === 0;
      if (isElsewhere() || isPointing) return;
      // Where a button is let go the browser would go to another page, or open a menu.
      keep(event);
      if (event.type !== 'mousedown' || isSwallowed()) return;
      take({ type: 'down', code: `Button${event.button + 1}`, modifiers, at: event.timeStamp });
    }
    const MOUSE = ['mousedown', 'mouseup', 'click', 'auxclick', 'contextmenu'] as const;
    for (const type of ['keydown', 'keyup'] as const)
      addEventListener(type, onKey, { capture: true });
    for (const type of MOUSE) addEventListener(type, onMouse, { capture: true });
    return () => {
      clearTimeout(timer);
      for (const type of ['keydown', 'keyup'] as const)
        removeEventListener(type, onKey, { capture: true });
      for (const type of MOUSE) removeEventListener(type, onMouse, { capture: true });
    };
  }, [isAsking, recorder]);
  useEffect(() => () => recorder.getState().end(), [recorder]);
}

/** The caps of keys in a row. */
export function recordedCaps(keys: string, captions: Captions): string[] {
  return keys === '' ? [] : keysCaps(keys, captions);
}
