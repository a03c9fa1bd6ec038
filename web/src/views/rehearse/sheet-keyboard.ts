import {
  bindingFor,
  bindingsNow,
  chordCaps,
  chordOf,
  commandText,
  isModifierCode,
  keyName,
  starterKeys,
} from '@sorn/core';
import { useEffect, useMemo, type RefObject } from 'react';
import { useKeyRegister, usePageKeys, type PageKey } from '../../app/keys.ts';
import { useBench, useBenchStore } from '../../data/bench-context.ts';
import { usePicker } from './picker.ts';

/**
 * Who has the keyboard. While the sheet has it, every key press goes to the profile's bindings and to
 * nothing else, until the one reserved key, or a press of the pointer outside, gives it back.
 */
export function useSheetKeyboard(place: RefObject<HTMLElement | null>) {
  const isGiven = useKeyRegister((register) => register.given);
  const setGiven = useKeyRegister((register) => register.give);
  const profile = useBench((bench) => bench.profile);
  const store = useBenchStore();
  const bindings = useMemo(() => starterKeys(profile), [profile]);
  const { handBack, main } = profile.keys;
  const isShaping = useBench((bench) => bench.session.shaping !== undefined);
  const isPaused = useBench((bench) => bench.session.paused !== undefined);

  useEffect(
    () => () => {
      setGiven(false);
      usePicker.getState().close();
    },
    [setGiven],
  );

  useEffect(() => {
    if (!isGiven) return;
    function onKeyDown(event: KeyboardEvent) {
      // The list over the sheet takes what is typed.
      const picker = usePicker.getState();
      if (picker.kind !== null) {
        if (event.code !== handBack) return;
        picker.close();
      }
      event.preventDefault();
      event.stopImmediatePropagation();
      if (event.code === handBack) {
        setGiven(false);
        return;
      }
      if (isModifierCode(event.code)) return;
      const bench = store.getState();
      const chord = chordOf(event);
      const caps = chordCaps(chord);
      if (bench.session.choosingMode && ['Escape', 'Enter'].includes(event.code)) {
        const taken = event.code === 'Enter';
        const text = taken ? 'choice taken' : 'choice dropped';
        bench.happen({ type: 'key-released', taken }, caps, text);
        return;
      }
      if (bench.session.switching && event.code === 'Escape') {
        bench.happen({ type: 'key-released', taken: false }, caps, 'choice dropped');
        return;
      }
      const binding = bindingFor(bindingsNow(bindings, bench.session), chord, profile.keys);
      if (!binding) {
        bench.note(caps, 'no command', 'nothing is bound to it');
        return;
      }
      const { command } = binding;
      const isTyped = command.command === 'find-window' || command.command === 'launch';
      if (isTyped) usePicker.getState().open(command.command, caps);
      // A key held down repeats; what lasts while it is held is not asked for again.
      else if (event.repeat && command.command === 'peek-desktop') return;
      else bench.run(command, caps, commandText(command));
    }
    function onKeyUp(event: KeyboardEvent) {
      if (usePicker.getState().kind !== null) return;
      event.preventDefault();
      const { session, happen } = store.getState();
      const isModifier = isModifierCode(event.code);
      const isChoice = session.switching ?? session.choosingMode;
      const ends = isChoice ? isModifier : session.desktop?.whileHeld;
      if (ends) happen({ type: 'key-released', taken: true }, [], 'key released');
    }
    function onPointerDown(event: PointerEvent) {
      if (event.target instanceof Node && !place.current?.contains(event.target)) setGiven(false);
    }
    addEventListener('keydown', onKeyDown, { capture: true });
    addEventListener('keyup', onKeyUp, { capture: true });
    addEventListener('pointerdown', onPointerDown, { capture: true });
    return () => {
      removeEventListener('keydown', onKeyDown, { capture: true });
      removeEventListener('keyup', onKeyUp, { capture: true });
      removeEventListener('pointerdown', onPointerDown, { capture: true });
    };
  }, [isGiven, bindings, handBack, place, profile.keys, setGiven, store]);

  const shown = (caps: readonly string[], label: string, more: Partial<PageKey> = {}): PageKey => ({
    keys: [],
    caps,
    label,
    ...more,
    // Pressed keys go to the bindings above; these lines only show them.
    run: () => undefined,
  });
  const summary = { summary: true };
  usePageKeys('sheet-keys', [
    shown([keyName(handBack)], 'give the keyboard back'),
    ...(isShaping
      ? [
          shown(['← → ↑ ↓'], 'shape', summary),
          shown(['Shift', '← → ↑ ↓'], 'inwards', summary),
          shown(['G'], 'grow', summary),
          shown(['M'], 'move', summary),
          shown(['W'], 'exchange', summary),
          shown(['Backspace'], 'one step back', summary),
          shown(['Enter'], 'take it', summary),
          shown(['Esc'], 'drop it', summary),
        ]
      : [
          shown([main, '← → ↑ ↓'], 'focus', summary),
          shown([main, 'Shift', '← → ↑ ↓'], 'move', summary),
          // Most keys wait while the engine is paused: the one that ends it is in sight.
          isPaused
            ? shown([main, 'Shift', 'Esc'], 'resume', summary)
            : shown([main, 'G'], 'shape', summary),
          shown([main, 'P'], 'pocket', summary),
          shown([main, '/'], 'find window', summary),
          shown([main, 'Z'], 'undo', summary),
        ]),
    ...bindings.map(({ chord, command }) =>
      shown(chordCaps(chord), commandText(command), { minor: true }),
    ),
  ]);

  return {
    isGiven,
    give() {
      store.getState().goOnFromHere();
      (document.activeElement as HTMLElement | null)?.blur();
      setGiven(true);
    },
  };
}
