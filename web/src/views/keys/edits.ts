import { commandText, type KeyCommand } from '@sorn/core/commands';
import { bindingId } from '@sorn/core/checkup';
import {
  asOwn,
  keyMap,
  setBack,
  withBinding,
  withBindingChanged,
  withoutBinding,
  type KeyBinding,
} from '@sorn/core/keys';
import { BASE, type Mark, type OwnBinding, type Profile } from '@sorn/core/model';
import { useProfileStoreApi } from '../../state/profile-context.ts';
import { useAllowedLines } from '../../state/allowed-lines.ts';
import { useRecorder } from './recorder.ts';

export type KeyEdits = ReturnType<typeof useKeyEdits>;

/** A command line that is typed here need not be asked for. */
function allowTyped(command: KeyCommand): void {
  if (command.command === 'run-line') useAllowedLines.getState().allow(command.line);
}

/** What the Keys view changes, on the selected binding. */
export function useKeyEdits(binding: KeyBinding | null, onBinding: (id: string) => void) {
  const store = useProfileStoreApi();
  const recorder = useRecorder.use();
  const edit = (change: (profile: Profile) => Profile, merge = '') =>
    store.getState().edit(change, merge);
  /** A change after which the binding is found by its new keys. */
  const change = (next: (own: OwnBinding) => OwnBinding) => {
    if (!binding || binding.from === 'fixed') return;
    edit((profile) => withBindingChanged(profile, binding, next));
    const own = next(asOwn(binding));
    goTo(own.keys, own.in ?? BASE, own.command ?? own.release!);
  };
  /** Selects the binding of these keys. */
  const goTo = (keys: string, layer: string, command: KeyCommand) => {
    const found = keyMap(store.getState().profile).find(
      (each) =>
        each.keys === keys &&
        each.layer === layer &&
        [each.command, each.release].some(
          (one) => one && commandText(one) === commandText(command),
        ),
    );
    if (found) onBinding(bindingId(found));
  };
  return {
    setKeys: (keys: string) => change((own) => ({ ...own, keys })),
    setLayer: (layer: string) =>
      change(({ in: _former, ...own }) => (layer === BASE ? own : { ...own, in: layer })),
    setApp: (app: string) =>
      change(({ app: _former, ...own }) => (app === '' ? own : { ...own, app })),
    setCommand(command: KeyCommand) {
      allowTyped(command);
      change((own) => ({ ...own, command }));
    },
    setRelease(release: KeyCommand | null) {
      if (release) allowTyped(release);
      change(({ release: _former, ...own }) => (release ? { ...own, release } : own));
    },
    setPinned: (pinned: boolean) =>
      change(({ pinned: _former, ...own }) => (pinned ? { ...own, pinned } : own)),
    add(keys: string, command: KeyCommand, layer: string) {
      allowTyped(command);
      edit((profile) =>
        withBinding(profile, { keys, command, ...(layer !== BASE && { in: layer }) }),
      );
      goTo(keys, layer, command);
    },
    /** Records the keys for a command, and binds it to them. */
    recordFor(command: KeyCommand, text: string, layer: string) {
      const { keys } = store.getState().profile;
      const into = keys.layers.some(({ id }) => id === layer) ? layer : BASE;
      recorder.getState().record(`Keys for ${text}`, (pressed) => this.add(pressed, command, into));
    },
    drop() {
      if (binding) edit((profile) => withoutBinding(profile, binding));
    },
    setBack() {
      const command = binding?.command ?? binding?.release;
      if (command) edit((profile) => setBack(profile, command));
    },
    setMark(command: KeyCommand, mark: Mark | null) {
      const text = commandText(command);
      edit((profile) => {
        const others = profile.keys.marks.filter((each) => commandText(each.command) !== text);
        const marks = mark ? [...others, { command, mark }] : others;
        return { ...profile, keys: { ...profile.keys, marks } };
      });
    },
    setWhole: (next: Profile) => edit(() => next),
  };
}
