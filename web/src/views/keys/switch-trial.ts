import { freeInputsOf } from '@sorn/core/keys';
import type { InputDevice } from '@sorn/core/model';
import { useEffect, useState } from 'react';

/** How often the device's own profile is switched. */
const ROUNDS = 20;
/** Inputs are gone through in steps of this many, so that neighbours do not follow each other. */
const STRIDE = 5;

/** One switch: to which of the device's own profiles, and what is pressed after it. */
export interface SwitchRound {
  profile: number;
  input: string;
  /** Null: not pressed yet. */
  came: boolean | null;
}

function roundsOf(device: InputDevice): SwitchRound[] {
  const inputs = freeInputsOf(device);
  return Array.from({ length: inputs.length === 0 ? 0 : ROUNDS }, (_, i) => ({
    profile: ((i + 1) % device.profiles) + 1,
    input: inputs[(i * STRIDE) % inputs.length]!,
    came: null,
  }));
}

/**
 * Proves that a device sends what it should after each switch of its stored profile: round after round one input is
 * pressed; it either comes, or Enter tells that nothing came. Escape ends it.
 */
export function useSwitchTrial(device: InputDevice | null) {
  const [rounds, setRounds] = useState<readonly SwitchRound[]>([]);
  const [isOn, setOn] = useState(false);
  const at = rounds.findIndex(({ came }) => came === null);
  const expected = rounds[at]?.input;
  useEffect(() => {
    if (!isOn || expected === undefined) return;
    const answer = (came: boolean) => {
      setRounds((all) => all.map((round, i) => (i === at ? { ...round, came } : round)));
      if (at === rounds.length - 1) setOn(false);
    };
    function onKeyDown(event: KeyboardEvent) {
      event.preventDefault();
      event.stopImmediatePropagation();
      if (event.repeat) return;
      if (event.code === expected) answer(true);
      else if (event.code === 'Enter') answer(false);
      else if (event.code === 'Escape') setOn(false);
    }
    function onMouseDown(event: MouseEvent) {
      if (`Button${event.button + 1}` !== expected) return;
      event.preventDefault();
      answer(true);
    }
    addEventListener('keydown', onKeyDown, { capture: true });
    addEventListener('mousedown', onMouseDown, { capture: true });
    return () => {
      removeEventListener('keydown', onKeyDown, { capture: true });
      removeEventListener('mousedown', onMouseDown, { capture: true });
    };
  }, [isOn, at, expected, rounds.length]);
  return {
    isOn,
    rounds,
    at,
    missed: rounds.filter(({ came }) => came === false),
    begin() {
      if (!device) return;
      const fresh = roundsOf(device);
      setRounds(fresh);
      setOn(fresh.length > 0);
    },
  };
}
