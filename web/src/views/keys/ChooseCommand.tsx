import { commandText, type KeyCommand } from '@sorn/core/commands';
import { nearness } from '@sorn/core/engine';
import { keyMap } from '@sorn/core/keys';

import { keysCaps } from '@sorn/core/values';
import { memo } from 'react';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { Panel } from '../../ui/Panel.tsx';
import { FinderList } from '../../ui/FinderList.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import { commandsToBind } from './command-fields.ts';

/** A list of every command that narrows as its name is typed; the keys for the chosen one are recorded next. */
export const ChooseCommand = memo(
  function ChooseCommand(props: {
    /** What it is chosen for. */
    title: string;
    isOpen: boolean;
    /** Which of all commands there are; every one that a key can be given where left out. */
    isOffered?: (command: KeyCommand) => boolean;
    onClose: () => void;
    onCommand: (command: KeyCommand, text: string) => void;
  }) {
    return (
      <Panel title={props.title} isOpen={props.isOpen} onClose={props.onClose}>
        <Commands {...props} />
      </Panel>
    );
  },
  // While it is closed nothing of it is seen.
  (before, now) => !before.isOpen && !now.isOpen,
);

function Commands(props: {
  isOffered?: (command: KeyCommand) => boolean;
  onClose: () => void;
  onCommand: (command: KeyCommand, text: string) => void;
}) {
  const profile = useProfileStore((state) => state.profile);
  const bound = new Map(
    keyMap(profile).flatMap(({ command, keys }) =>
      command ? [[commandText(command), keysCaps(keys, profile.keys)] as const] : [],
    ),
  );
  const { isOffered = () => true } = props;
  const offered = commandsToBind(profile).filter(isOffered);
  const lines = offered.map((command) => {
    const text = commandText(command);
    const caps = bound.get(text);
    return {
      words: text,
      content: (
        <>
          {text}
          {caps && <KeyCaps caps={caps} />}
        </>
      ),
      take() {
        props.onClose();
        props.onCommand(command, text);
      },
    };
  });
  return (
    <FinderList
      label="Commands"
      placeholder="Type some of its name"
      empty="No command is called that."
      lines={lines}
      nearness={nearness}
    />
  );
}
