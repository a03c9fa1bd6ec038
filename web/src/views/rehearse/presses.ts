import { commandText } from '@sorn/core/commands';
import { eventOfKey, keyContext, outsideReason } from '@sorn/core/engine';
import {
  bindingText,
  nextKeys,
  IDLE,
  nextTime,
  resolveKey,
  type NextKeys,
  type KeyBinding,
  type KeyInput,
  type KeyOutput,
  type KeyState,
  type On,
} from '@sorn/core/keys';
import { keysCaps, type Captions } from '@sorn/core/values';
import type { StoreApi } from 'zustand';
import { useKeyRegister } from '../../ui/page-keys.ts';
import { useAllowedLines } from '../../state/allowed-lines.ts';
import { recordOf } from '../../state/desk-record.ts';
import { useLineQuestion } from './LineQuestion.tsx';
import { perProfile } from '../../state/per-profile.ts';
import type { ProfileStore } from '../../state/profile-state.ts';
import { usePicker } from './picker.ts';

interface Presses {
  state: KeyState;
  /** When what only time decides is asked again. */
  timer?: ReturnType<typeof setTimeout>;
  /** What the next key can do, while a layer is entered or a sequence has begun. */
  next: NextKeys | null;
}

/** Where the keys of the sheet stand. */
export const usePresses = perProfile<Presses>(() => ({ state: IDLE, next: null }));

/**
 * Takes what happens at the keys: commands go to the desk, changes of layer to the log. What only time
 * decides is asked again when it has passed.
 *
 * @param caps the keys as they were pressed
 */
export function takeInput(
  store: StoreApi<ProfileStore>,
  input: KeyInput,
  caps: readonly string[],
): void {
  const presses = usePresses.of(store);
  const { state: before, timer } = presses.getState();
  clearTimeout(timer);
  const { state, out } = resolveKey(before, input, contextOf(store.getState()));
  presses.setState({ state, next: null });
  // A layer that a command leaves is no press of its own.
  const isCommand = out.some(({ type }) => type === 'command');
  const followAll = () => {
    for (const each of out) {
      const isAlone = each.type === 'command' || !isCommand;
      follow(store, each, isAlone ? caps : [], input);
    }
  };
  const record = recordOf(store);
  if (record) record.press(input, followAll);
  else followAll();
  if (state !== IDLE) presses.setState({ next: nextKeys(state, contextOf(store.getState())) });
  const until = nextTime(state);
  if (until === null) return;
  const wait = () => takeInput(store, { type: 'wait', at: Math.max(until, performance.now()) }, []);
  presses.setState({ timer: setTimeout(wait, Math.max(0, until - performance.now())) });
}

const contextOf = ({ session, profile }: ProfileStore) => keyContext(session, profile);

function follow(
  store: StoreApi<ProfileStore>,
  out: KeyOutput,
  caps: readonly string[],
  input: KeyInput,
): void {
  const event = eventOfKey(out);
  const { profile, happen, note } = store.getState();
  const isRepeat = input.type === 'down' && input.repeat === true;
  // What was pressed for it may be a while ago, all of it or the beginning.
  const capsOf = (binding: KeyBinding | null, on: On) =>
    binding === null ||
    (on === 'press' && input.type === 'down' && binding.trigger.steps.length === 1)
      ? caps
      : keysCaps(binding.keys, profile.keys);
  switch (out.type) {
    case 'command':
      if (event) happen(event, capsOf(out.binding, out.on), commandText(out.command), isRepeat);
      return;
    case 'choice':
      if (event) happen(event, caps, out.because, isRepeat);
      return;
    case 'ask': {
      const by = { keys: out.binding.keys, command: commandText(out.command) };
      usePicker.of(store).getState().open(out.command, capsOf(out.binding, out.on), by);
      return;
    }
    case 'layer':
      note(caps, `layer ${out.layer}`, out.because, `${out.is} ${out.layer}`);
      return;
    case 'sequence':
      if (out.is === 'dropped') note(caps, 'sequence', out.because, 'the sequence is dropped');
      return;
    case 'outside':
    case 'kept': {
      const { decided, because } = outsideReason(out, profile)!;
      if (out.type === 'kept') {
        note(caps, 'kept by the app', because, decided);
        return;
      }
      const { command, binding } = out;
      const pressed = capsOf(binding, 'press');
      if (command.command === 'run-line' && !isAllowed(command.line)) {
        note(pressed, 'run-line', 'the line came with a file: it is asked first');
        useKeyRegister.getState().give(false);
        useLineQuestion.of(store).getState().ask({ line: command.line, caps: pressed });
        return;
      }
      note(pressed, commandText(command), because, decided);
      return;
    }
    case 'unbound':
      note(caps, 'no command', 'nothing is bound to it');
      return;
    case 'released':
  }
}

const isAllowed = (line: string) => useAllowedLines.getState().lines.includes(line);

/** A line for each thing that can follow: its caps, and what it does. */
export function followingLines(next: NextKeys, captions: Captions) {
  return next.next.map(({ keys, binding }) => ({
    id: binding.canonicalTrigger,
    caps: keysCaps(keys, captions),
    text: bindingText(binding),
  }));
}
