import { chakra, Flex } from '@chakra-ui/react';
import { commandText } from '@sorn/core/commands';
import { useEffect, useRef, useState } from 'react';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { ListOverSheet } from './ListOverSheet.tsx';
import { menuOf, usePicker } from './picker.ts';

/** A menu of one's own over the sheet: a letter takes its entry, so do arrows and Enter; Escape closes it. */
export function MenuList() {
  const picker = usePicker.use();
  const state = useProfileStore((now) => now);
  const store = useProfileStoreApi();
  const head = useRef<HTMLDivElement>(null);
  const [chosen, setChosen] = useState(0);
  const { close, command } = picker.getState();
  const menu = menuOf(state, command);
  // It was asked for by key and is the only thing that takes keys now.
  useEffect(() => head.current?.focus(), []);

  function take(at: number, key: string | null) {
    const choice = menu?.choices[at];
    if (!choice) return;
    const { caps, by } = picker.getState();
    close();
    const pressed = key === null ? [] : [...caps, key];
    if (picker.getState().open(choice.command, pressed)) return;
    const text = commandText(choice.command);
    // What is counted is what was done: the keys are those of the menu.
    const counted = by && { by: { keys: by.keys, command: text } };
    store
      .getState()
      .happen({ type: 'command', command: choice.command, ...counted }, pressed, text);
  }

  const choices = menu?.choices ?? [];
  const label = menu ? `Menu ${menu.name}` : 'Menu';
  return (
    <ListOverSheet
      id="menu"
      label={label}
      lines={choices}
      chosen={chosen}
      empty={
        menu
          ? 'It has no entries yet: Keys, Chains gives it some.'
          : 'No menu is called that: Keys, Chains has those that there are.'
      }
      onChoose={(at) => take(at, null)}
      head={
        <chakra.div
          ref={head}
          role="combobox"
          aria-expanded
          aria-controls="menu"
          aria-label={label}
          aria-activedescendant={choices[chosen] && `menu-${choices[chosen].id}`}
          tabIndex={0}
          outline="none"
          _focusVisible={{ outline: 'none' }}
          onBlur={close}
          onKeyDown={(event) => {
            const { key } = event;
            const by = { ArrowDown: 1, ArrowUp: -1 }[key];
            const at = choices.findIndex(({ id }) => id === key.toUpperCase());
            if (by !== undefined && choices.length > 0) {
              setChosen((chosen + by + choices.length) % choices.length);
            } else if (key === 'Enter') take(chosen, key);
            else if (key === 'Escape') close();
            else if (at >= 0) take(at, choices[at]!.id);
            else return;
            event.preventDefault();
            event.stopPropagation();
          }}
        >
          <Flex align="center" gap="8px" fontSize="13px">
            <chakra.span flex="1" fontWeight={650}>
              {menu?.name ?? 'Menu'}
            </chakra.span>
            <span>a letter, or</span>
            <KeyCap>Enter</KeyCap>
            <KeyCap>Esc</KeyCap>
          </Flex>
        </chakra.div>
      }
    />
  );
}
