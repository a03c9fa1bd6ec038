import {
  bindingFor,
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

  useEffect(() => () => setGiven(false), [setGiven]);

  useEffect(() => {
    if (!isGiven) return;
    function onKeyDown(event: KeyboardEvent) {
      event.preventDefault();
      event.stopImmediatePropagation();
      if (event.code === handBack) {
        setGiven(false);
        return;
      }
      if (isModifierCode(event.code)) return;
      const chord = chordOf(event);
      const binding = bindingFor(bindings, chord, profile.keys);
      const { run } = store.getState();
      if (binding) run(binding.command, chordCaps(chord), commandText(binding.command));
      else store.getState().note(chordCaps(chord), 'no command', 'nothing is bound to it');
    }
    function onKeyUp(event: KeyboardEvent) {
      event.preventDefault();
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
    shown([main, '← → ↑ ↓'], 'focus', summary),
    shown([main, 'Shift', '← → ↑ ↓'], 'move', summary),
    shown([main, '[ ]'], 'lead share', summary),
    shown([main, 'Space'], 'float', summary),
    shown([main, 'Z'], 'undo', summary),
    ...bindings.map(({ chord, command }) =>
      shown(chordCaps(chord), commandText(command), { minor: true }),
    ),
  ]);

  return {
    isGiven,
    give() {
      (document.activeElement as HTMLElement | null)?.blur();
      setGiven(true);
    },
  };
}
