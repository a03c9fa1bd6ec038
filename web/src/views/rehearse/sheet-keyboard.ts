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
import { takeBlockKey, useBlockKey } from './block-keys.ts';
import { pickerOf, usePicker } from './picker.ts';

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
  const picking = useBench((bench) => bench.session.picking?.by);
  const isOutlined = useBench((bench) => bench.session.previewing !== undefined);
  const isAsking = useBlockKey((block) => block.asks !== null);
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
      const { switching, previewing } = bench.session;
      if ((switching ?? previewing) && event.code === 'Escape') {
        bench.happen({ type: 'key-released', taken: false }, caps, 'choice dropped');
        return;
      }
      if (takeBlockKey(bench, event, chord, caps)) return;
      const binding = bindingFor(bindingsNow(bindings, bench.session), chord, profile.keys);
      if (!binding) {
        bench.note(caps, 'no command', 'nothing is bound to it');
        return;
      }
      const { command } = binding;
      const typed = pickerOf(command);
      if (typed) usePicker.getState().open(typed, caps);
      // A key held down repeats; what lasts while it is held is not asked for again.
      else if (event.repeat && (previewing || command.command === 'peek-desktop')) return;
      else bench.happen({ type: 'key-held', command }, caps, commandText(command));
    }
    function onKeyUp(event: KeyboardEvent) {
      if (usePicker.getState().kind !== null) return;
      event.preventDefault();
      const { session, happen } = store.getState();
      const isModifier = isModifierCode(event.code);
      const isChoice = session.switching ?? session.choosingMode;
      const isHeld = session.previewing ?? session.desktop?.whileHeld;
      const ends = isChoice ? isModifier : isHeld;
      if (ends) happen({ type: 'key-released', taken: true }, [], 'key released');
    }
    // What is held when the page is left was not let go on purpose.
    function onBlur() {
      const { session, happen } = store.getState();
      if (session.previewing)
        happen({ type: 'key-released', taken: false }, [], 'the page was left');
    }
    function onPointerDown(event: PointerEvent) {
      if (event.target instanceof Node && !place.current?.contains(event.target)) setGiven(false);
    }
    addEventListener('keydown', onKeyDown, { capture: true });
    addEventListener('keyup', onKeyUp, { capture: true });
    addEventListener('pointerdown', onPointerDown, { capture: true });
    addEventListener('blur', onBlur);
    return () => {
      removeEventListener('keydown', onKeyDown, { capture: true });
      removeEventListener('keyup', onKeyUp, { capture: true });
      removeEventListener('pointerdown', onPointerDown, { capture: true });
      removeEventListener('blur', onBlur);
      onBlur();
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
  const picks: Record<NonNullable<typeof picking>, PageKey[]> = {
    offer: [
      shown(['1 … 9'], 'put it there', summary),
      shown(['Space'], 'next place', summary),
      shown(['Esc'], 'end the offers', summary),
    ],
    board: [
      shown(['1 … 9'], 'a zone for the window', summary),
      shown(['a … z'], 'mark a board', summary),
      shown(['Enter'], 'it arranges the workspace', summary),
      shown(['Esc'], 'end', summary),
    ],
    corner: [
      shown(['a … z'], 'columns', summary),
      shown(['1 … 9'], 'rows', summary),
      shown(['Enter'], 'take it', summary),
      shown(['Space'], 'stay open', summary),
      shown(['='], 'keep as a zone', summary),
      shown(['.'], 'put on a key', summary),
      shown(['Esc'], 'end', summary),
    ],
  };
  usePageKeys('sheet-keys', [
    shown([keyName(handBack)], 'give the keyboard back'),
    ...(isOutlined
      ? [shown(['release'], 'take it', summary), shown(['Esc'], 'drop it', summary)]
      : isAsking
        ? [
            shown(['any chord'], 'the key for this place', summary),
            shown(['Esc'], 'no key', summary),
          ]
        : picking
          ? picks[picking]
          : isShaping
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
                  : shown([main, 'Ctrl', 'I J K L'], 'place', summary),
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
