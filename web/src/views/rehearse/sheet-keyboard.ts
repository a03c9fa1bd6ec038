import { keyMap, keysWithMain } from '@sorn/core/keys';
import { buttonOf, isModifierCode, keysCaps } from '@sorn/core/values';
import { useEffect, type RefObject } from 'react';
import { useKeyRegister } from '../../ui/page-keys.ts';
import { modifiersOf } from '../../ui/modifiers.ts';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { usePicker } from './picker.ts';
import { takeInput } from './presses.ts';
import { useStripKeys } from './strip-keys.ts';

/**
 * Decides who has the keyboard. While the sheet has it, every key press goes to the profile's bindings only, until
 * the reserved key, or a click outside, gives it back to the page.
 */
export function useSheetKeyboard(place: RefObject<HTMLElement | null>) {
  const isGiven = useKeyRegister((register) => register.given);
  const setGiven = useKeyRegister((register) => register.give);
  const profile = useProfileStore((state) => state.profile);
  const store = useProfileStoreApi();
  const { handBack, main } = profile.keys;
  const pickers = usePicker.use();

  useEffect(
    () => () => {
      setGiven(false);
      pickers.getState().close();
    },
    [setGiven, pickers],
  );

  useEffect(() => {
    if (!isGiven) return;
    function onKeyDown(event: KeyboardEvent) {
      // The list over the sheet takes what is typed.
      const picker = pickers.getState();
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
      const modifiers = modifiersOf(event);
      const keys = isModifierCode(event.code) ? null : keysWithMain(main, modifiers, event.code);
      const caps = keys === null ? [] : keysCaps(keys, profile.keys);
      const { code, key, repeat } = event;
      const at = performance.now();
      takeInput(store, { type: 'down', at, code, key, modifiers, repeat }, caps);
    }
    function onKeyUp(event: KeyboardEvent) {
      if (pickers.getState().kind !== null) return;
      event.preventDefault();
      takeInput(store, { type: 'up', at: performance.now(), code: event.code }, []);
    }
    /** Buttons beside those that point are keys as any other. */
    function onButton(event: MouseEvent) {
      const code = `Button${event.button + 1}`;
      const isHere = event.target instanceof Node && place.current?.contains(event.target);
      const isBound = keyMap(profile).some(({ trigger }) =>
        trigger.steps.some((step) => step.code === code),
      );
      if (!isHere || buttonOf(code) === null || !isBound) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      const at = performance.now();
      const modifiers = modifiersOf(event);
      const caps = keysCaps(keysWithMain(main, modifiers, code), profile.keys);
      if (event.type === 'mousedown') takeInput(store, { type: 'down', at, code, modifiers }, caps);
      else takeInput(store, { type: 'up', at, code }, []);
    }
    // What is down when the page is left was not let go on purpose.
    function onBlur() {
      takeInput(store, { type: 'blur', at: performance.now() }, []);
    }
    function onPointerDown(event: PointerEvent) {
      if (event.target instanceof Node && !place.current?.contains(event.target)) setGiven(false);
    }
    addEventListener('keydown', onKeyDown, { capture: true });
    addEventListener('keyup', onKeyUp, { capture: true });
    addEventListener('pointerdown', onPointerDown, { capture: true });
    addEventListener('mousedown', onButton, { capture: true });
    addEventListener('mouseup', onButton, { capture: true });
    addEventListener('blur', onBlur);
    return () => {
      removeEventListener('keydown', onKeyDown, { capture: true });
      removeEventListener('keyup', onKeyUp, { capture: true });
      removeEventListener('pointerdown', onPointerDown, { capture: true });
      removeEventListener('mousedown', onButton, { capture: true });
      removeEventListener('mouseup', onButton, { capture: true });
      removeEventListener('blur', onBlur);
      onBlur();
    };
  }, [isGiven, handBack, main, place, profile, setGiven, store, pickers]);

  useStripKeys(profile);

  return {
    isGiven,
    give() {
      store.getState().goOnFromHere();
      (document.activeElement as HTMLElement | null)?.blur();
      setGiven(true);
    },
  };
}
