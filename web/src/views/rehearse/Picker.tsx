import { chakra } from '@chakra-ui/react';
import { memo, useState } from 'react';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { ListOverSheet } from './ListOverSheet.tsx';
import { MenuList } from './MenuList.tsx';
import { choicesFor, usePicker, type PickerKind } from './picker.ts';

type NamedKind = Exclude<PickerKind, 'menu'>;

const ASKS: Record<NamedKind, string> = {
  'find-window': 'Go to the window',
  'exchange-with': 'Exchange with the window',
  launch: 'Open the app',
  'save-lineup': 'Save these windows as',
  'recall-lineup': 'Bring the lineup',
  'forget-lineup': 'Forget the lineup',
  'new-workspace': 'Letter or name of the new workspace',
  'rename-workspace': 'Name of this workspace',
};

/** What is said while nothing is typed and there is nothing to choose. */
const NONE_YET: Partial<Record<NamedKind, string>> = {
  'save-lineup': 'Type a name for the windows of this workspace and their places.',
  'recall-lineup': 'No lineup is saved yet, and no windows were placed together.',
  'forget-lineup': 'No lineup is saved.',
  'rename-workspace': 'Type what the workspace with the focus is called.',
};

/** What is found or named by typing: type some of a name, Enter takes the chosen one, Escape drops the list. */
export const Picker = memo(function Picker() {
  const kind = usePicker((picker) => picker.kind);
  if (kind === 'menu') return <MenuList />;
  return kind && <OpenPicker key={kind} kind={kind} />;
});

function OpenPicker({ kind }: { kind: NamedKind }) {
  const picker = usePicker.use();
  const { close } = picker.getState();
  const state = useProfileStore((now) => now);
  const store = useProfileStoreApi();
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState(0);
  const [presses, setPresses] = useState(picker.getState().caps);
  const choices = choicesFor(kind, state, typed);
  const at = Math.min(chosen, choices.length - 1);

  function take(line: number, caps: readonly string[]) {
    const choice = choices[line];
    if (!choice) return;
    const { by } = picker.getState();
    close();
    const event = { type: 'command', command: choice.command, ...(by && { by }) } as const;
    store.getState().happen(event, caps, `${kind} ${choice.name}`);
  }

  return (
    <ListOverSheet
      id="picker"
      label={ASKS[kind]}
      lines={choices}
      chosen={at}
      empty={
        (typed === '' && NONE_YET[kind]) ||
        `Nothing answers to ${typed}. Backspace widens the list, Escape drops it.`
      }
      onChoose={(line) => take(line, [])}
      head={
        <chakra.input
          // The list was asked for by key and is the only thing that takes keys now.
          // eslint-disable-next-line jsx-a11y/no-autofocus
          autoFocus
          role="combobox"
          aria-expanded
          aria-controls="picker"
          aria-label={ASKS[kind]}
          aria-activedescendant={choices[at] && `picker-${choices[at].id}`}
          placeholder={`${ASKS[kind]} · Enter, or Escape`}
          autoComplete="off"
          width="100%"
          fontSize="15px"
          bg="transparent"
          outline="none"
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value);
            setChosen(0);
          }}
          onBlur={close}
          onKeyDown={(event) => {
            const { key } = event;
            setPresses([...presses, key]);
            const by = { ArrowDown: 1, ArrowUp: -1, Tab: event.shiftKey ? -1 : 1 }[key];
            if (by !== undefined && choices.length > 0) {
              setChosen((at + by + choices.length) % choices.length);
            } else if (key === 'Enter') take(at, [...presses, key]);
            else if (key === 'Escape') close();
            else return;
            event.preventDefault();
            event.stopPropagation();
          }}
        />
      }
    />
  );
}
