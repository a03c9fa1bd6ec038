import { chakra, Flex } from '@chakra-ui/react';
import { commandText, isOfDesk, type Command, type KeyCommand } from '@sorn/core/commands';
import {
  commandOfList,
  endsIn,
  keyMap,
  letterFor,
  withListChanged,
  withListNamed,
  withNewChain,
  withNewMenu,
  withoutList,
  type CommandLists,
} from '@sorn/core/keys';
import type { Slip } from '@sorn/core/files';
import { BASE, isChainable, usesByCommand, type Profile } from '@sorn/core/model';
import { countText, keysCaps } from '@sorn/core/values';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { useSelection } from '../../state/selection.ts';
import { useCopied } from '../../state/slip-here.ts';
import { Bar } from '../../ui/Bar.tsx';
import { focusFigure } from '../../ui/inspector.ts';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { ListLine } from '../../ui/ListLine.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { ChooseCommand } from './ChooseCommand.tsx';
import { useKeyEdits } from './edits.ts';

/** A chain or a menu, with what it consists of. */
interface Entry {
  of: CommandLists;
  id: string;
  name: string;
  /** Its commands in their order; of a menu each with its letter. */
  lines: readonly { letter: string | null; command: Command }[];
}

function entriesOf({ chains, menus }: Profile): Entry[] {
  return [
    ...chains.map(({ id, name = id, commands }): Entry => ({
      of: 'chains',
      id,
      name,
      lines: commands.map((command) => ({ letter: null, command })),
    })),
    ...menus.map(({ id, name = id, entries }): Entry => ({
      of: 'menus',
      id,
      name,
      lines: entries,
    })),
  ];
}

/** A chain or a menu as it is copied. */
function slipOf({ chains, menus }: Profile, { of, id }: Entry): Slip | null {
  const chain = chains.find((each) => each.id === id);
  const menu = menus.find((each) => each.id === id);
  if (of === 'chains') return chain ? { chain } : null;
  return menu ? { menu } : null;
}

const TITLES: Record<CommandLists, string> = { chains: 'Chain', menus: 'Menu' };

/** Chains, that one key does as one step, and menus, that one key opens: what is in them, and their keys. */
export function ChainsPage({ pages }: { pages: ReactNode }) {
  const profile = useProfileStore((state) => state.profile);
  const counted = useProfileStore((state) => state.session.uses);
  const store = useProfileStoreApi();
  const [selected, setSelected] = useState<string | null>(null);
  const [line, setLine] = useState(0);
  const [adds, setAdds] = useState<'command' | CommandLists | null>(null);
  const nameInput = useRef<HTMLInputElement>(null);
  const letterInput = useRef<HTMLInputElement>(null);
  const takeBinding = useSelection((hand) => hand.takeBinding);
  const edits = useKeyEdits(null, takeBinding);
  const entries = useMemo(() => entriesOf(profile), [profile]);
  const keyOf = ({ of, id }: Pick<Entry, 'of' | 'id'>) => `${of} ${id}`;
  const entry = entries.find((each) => keyOf(each) === selected) ?? entries[0] ?? null;
  const at = Math.min(line, (entry?.lines.length ?? 0) - 1);
  useCopied(
    `${entry?.of === 'menus' ? 'menu' : 'chain'} ${entry?.name ?? ''}`,
    entry && slipOf(profile, entry),
  );
  const uses = usesByCommand(counted);
  const keysOf = (command: Command) =>
    keyMap(profile).filter(
      ({ command: bound }) => bound && commandText(bound) === commandText(command),
    );
  const edit = (change: (profile: Profile) => Profile, merge = '') =>
    store.getState().edit(change, merge);
  const choose = (next: Pick<Entry, 'of' | 'id'> | undefined) => {
    if (!next) return;
    setSelected(keyOf(next));
    setLine(0);
  };
  const goTo = (by: 1 | -1) => choose(entries[(entry ? entries.indexOf(entry) : -1) + by]);
  const canBeIn = (of: CommandLists, id: string | null) => (command: KeyCommand) => {
    if (!isOfDesk(command)) return false;
    if (of === 'menus') return true;
    return isChainable(command) && (id === null || endsIn(store.getState().profile, id, command));
  };
  const add = (command: KeyCommand) => {
    if (!isOfDesk(command)) return;
    if (adds === 'chains') {
      const made = withNewChain(profile, 'New chain', [command]);
      edit(() => made.profile);
      choose({ of: 'chains', id: made.id });
      requestAnimationFrame(() => focusFigure(nameInput));
      return;
    }
    if (!entry) return;
    if (entry.of === 'chains') {
      edit((now) =>
        withListChanged(now, 'chains', entry.id, (chain) => ({
          ...chain,
          commands: [...chain.commands, command],
        })),
      );
    } else {
      edit((now) =>
        withListChanged(now, 'menus', entry.id, (menu) => {
          const letter = letterFor(menu, wordsOf(profile, command));
          return letter === null
            ? menu
            : { ...menu, entries: [...menu.entries, { letter, command }] };
        }),
      );
    }
    setLine(entry.lines.length);
  };
  const newMenu = () => {
    const made = withNewMenu(profile, 'New menu');
    edit(() => made.profile);
    choose({ of: 'menus', id: made.id });
    requestAnimationFrame(() => focusFigure(nameInput));
  };
  /** The lines in another order, or fewer of them. */
  const setLines = (next: Entry['lines']) => {
    if (!entry) return;
    if (entry.of === 'menus') {
      const listed = next.map(({ letter, command }) => ({ letter: letter!, command }));
      edit((now) =>
        withListChanged(now, 'menus', entry.id, (each) => ({ ...each, entries: listed })),
      );
    } else if (next.length > 0) {
      const commands = next.map(({ command }) => command);
      edit((now) => withListChanged(now, 'chains', entry.id, (each) => ({ ...each, commands })));
    }
  };
  const move = (by: 1 | -1) => {
    if (!entry || !entry.lines[at] || !entry.lines[at + by]) return;
    const next = [...entry.lines];
    [next[at], next[at + by]] = [next[at + by]!, next[at]!];
    setLines(next);
    setLine(at + by);
  };
  const remove = () => {
    if (entry) edit((now) => withoutList(now, entry.of, entry.id));
  };
  const rename = (name: string) => {
    if (!entry) return;
    const named = withListNamed(store.getState().profile, entry.of, entry.id, name);
    edit(() => named.profile);
    setSelected(keyOf({ of: entry.of, id: named.id }));
  };
  const setLetter = (typed: string) => {
    if (!entry || !entry.lines[at]) return;
    const letter = typed.trim().toUpperCase();
    setLines(entry.lines.map((each, i) => (i === at ? { ...each, letter } : each)));
  };
  const recordKeys = () => {
    if (!entry) return;
    const command = commandOfList(entry.of, entry.id);
    edits.recordFor(command, commandText(command), BASE);
  };
  usePageKeys('Chains', [
    {
      keys: ['ArrowUp'],
      shift: false,
      caps: ['↑', '↓'],
      label: 'chain or menu',
      run: () => goTo(-1),
    },
    {
      keys: ['ArrowDown'],
      label: 'select the next chain or menu',
      minor: true,
      run: () => goTo(1),
    },
    { keys: ['n'], label: 'new chain', run: () => setAdds('chains') },
    { keys: ['u'], label: 'new menu', run: newMenu },
    { keys: ['a'], label: 'add a command', run: () => entry && setAdds('command') },
    { keys: ['r'], label: 'record its keys', run: recordKeys },
    { keys: ['Enter'], label: 'name', run: () => focusFigure(nameInput) },
    {
      keys: ['['],
      caps: ['[', ']'],
      label: 'command in it',
      run: () => setLine(Math.max(0, at - 1)),
    },
    {
      keys: [']'],
      label: 'select the next command in it',
      minor: true,
      run: () => setLine(Math.min((entry?.lines.length ?? 1) - 1, at + 1)),
    },
    { keys: ['{'], caps: ['{', '}'], label: 'earlier, later', run: () => move(-1) },
    { keys: ['}'], label: 'later in it', minor: true, run: () => move(1) },
    ...(entry?.of === 'menus'
      ? [{ keys: ['t'], label: 'its letter', run: () => focusFigure(letterInput) }]
      : []),
    {
      keys: ['-'],
      label: 'take the command out',
      run: () => entry && setLines(entry.lines.filter((_, i) => i !== at)),
    },
    {
      keys: ['Delete', 'Backspace'],
      caps: ['Delete'],
      label: 'delete the chain or menu',
      minor: true,
      run: remove,
    },
  ]);
  const here = entry && commandOfList(entry.of, entry.id);
  const present = entry?.lines[at];
  return (
    <ViewLayout
      name="Keys"
      inspector={
        entry &&
        here && (
          <>
            <Section title={`${TITLES[entry.of]} ${entry.name}`}>
              <SettingRow label="Name" caps={['Enter']}>
                <TextField
                  key={keyOf(entry)}
                  label="Name of the chain or menu"
                  value={entry.name}
                  isNeeded
                  inputRef={nameInput}
                  faultOf={(text) => (text.trim() === '' ? 'a name' : null)}
                  onChange={rename}
                />
              </SettingRow>
              <SettingRow label="Keys" caps={['R']}>
                <Flex direction="column" gap="4px" align="flex-end">
                  {keysOf(here).map(({ keys }) => (
                    <KeyCaps key={keys} caps={keysCaps(keys, profile.keys)} />
                  ))}
                  {keysOf(here).length === 0 && (
                    <TextButton onClick={recordKeys}>record its keys</TextButton>
                  )}
                </Flex>
              </SettingRow>
              <chakra.p fontSize="12px" color="slate" mt="6px">
                {entry.of === 'chains'
                  ? `All of it is one step: one undo takes it back. Used ${countText(uses.get(commandText(here)) ?? 0, 'time')}.`
                  : 'Its key opens it over the sheet; a letter, or arrows and Enter, choose.'}
              </chakra.p>
            </Section>
            {present && (
              <Section
                title={commandText(present.command)}
                note={`${at + 1} of ${entry.lines.length}`}
              >
                {entry.of === 'menus' && (
                  <SettingRow label="Letter" caps={['T']}>
                    <TextField
                      key={`${keyOf(entry)} ${at}`}
                      label="Letter of the entry"
                      value={present.letter ?? ''}
                      isNeeded
                      inputRef={letterInput}
                      faultOf={(text) => letterFault(entry, at, text)}
                      onChange={setLetter}
                    />
                  </SettingRow>
                )}
                <chakra.p fontSize="12px" color="slate">
                  <KeyCap>{'{'}</KeyCap> <KeyCap>{'}'}</KeyCap> move it earlier and later,{' '}
                  <KeyCap>-</KeyCap> takes it out.
                </chakra.p>
              </Section>
            )}
          </>
        )
      }
    >
      <Paper>
        <Bar isHead>
          {pages}
          <chakra.span flex="1" />
          <TextButton onClick={() => setAdds('chains')}>New chain</TextButton>
          <KeyCap>N</KeyCap>
          <TextButton onClick={newMenu}>New menu</TextButton>
          <KeyCap>U</KeyCap>
        </Bar>
        <chakra.div overflowY="auto" minH="0" maxW="760px" tabIndex={-1}>
          {(['chains', 'menus'] as const).map((of) => {
            const own = entries.filter((each) => each.of === of);
            return (
              <Section key={of} title={`${TITLES[of]}s`} note={NOTES[of]}>
                {own.length === 0 && (
                  <chakra.p fontSize="13px" color="slate">
                    {EMPTY[of]}
                  </chakra.p>
                )}
                <chakra.ul>
                  {own.map((each) => (
                    <ListLine
                      key={each.id}
                      name={each.name}
                      isHere={each === entry}
                      data={{ 'data-list': keyOf(each) }}
                      onChoose={() => choose(each)}
                    >
                      <chakra.span fontSize="12px" color="slate">
                        {of === 'chains'
                          ? countText(each.lines.length, 'command')
                          : countText(each.lines.length, 'entry', 'entries')}
                      </chakra.span>
                      {keysOf(commandOfList(of, each.id))
                        .slice(0, 1)
                        .map(({ keys }) => (
                          <KeyCaps key={keys} caps={keysCaps(keys, profile.keys)} />
                        ))}
                    </ListLine>
                  ))}
                </chakra.ul>
                {entry?.of === of && (
                  <chakra.ol pl="18px" pt="6px" aria-label={`What is in ${entry.name}`}>
                    {entry.lines.map(({ letter, command }, i) => (
                      <chakra.li
                        key={`${letter ?? i} ${commandText(command)}`}
                        display="flex"
                        alignItems="center"
                        gap="8px"
                        minH="27px"
                        px="8px"
                        fontSize="13px"
                        cursor="pointer"
                        borderLeft="3px solid"
                        borderColor={i === at ? 'vermilion' : 'hairline'}
                        bg={i === at ? 'petrol.wash' : 'transparent'}
                        aria-current={i === at}
                        data-in-list={commandText(command)}
                        onClick={() => setLine(i)}
                      >
                        {letter === null ? (
                          <chakra.span fontFamily="mono" fontSize="11px" color="slate" minW="16px">
                            {i + 1}
                          </chakra.span>
                        ) : (
                          <KeyCap>{letter}</KeyCap>
                        )}
                        {commandText(command)}
                      </chakra.li>
                    ))}
                    <chakra.li listStyleType="none" py="6px" fontSize="13px">
                      <KeyCap>A</KeyCap>{' '}
                      <TextButton onClick={() => setAdds('command')}>adds a command</TextButton>
                    </chakra.li>
                  </chakra.ol>
                )}
              </Section>
            );
          })}
        </chakra.div>
      </Paper>
      <ChooseCommand
        title={adds === 'chains' ? 'The first command of the new chain' : 'Which command is added'}
        isOpen={adds !== null}
        isOffered={canBeIn(
          adds === 'chains' ? 'chains' : (entry?.of ?? 'chains'),
          adds === 'chains' || !entry ? null : entry.id,
        )}
        onClose={() => setAdds(null)}
        onCommand={add}
      />
    </ViewLayout>
  );
}

const NOTES: Record<CommandLists, string> = {
  chains: 'commands that one key does one after another, as one step',
  menus: 'commands by letter, opened over the sheet by one key',
};

const EMPTY: Record<CommandLists, string> = {
  chains:
    'No chain yet: N begins one with a command, and in Rehearse ’ makes one of the last presses.',
  menus:
    'No menu yet: U makes one. It holds commands, apps and chains that need no key of their own.',
};

/** What a menu finds a letter for a command in: the name of its app or chain, else the command itself. */
function wordsOf({ apps, chains }: Profile, command: Command): string {
  if (command.command === 'chain')
    return chains.find(({ id }) => id === command.chain)?.name ?? command.chain;
  const app = 'app' in command ? apps.find(({ id }) => id === command.app) : undefined;
  return app ? `${app.letter ?? ''}${app.name ?? app.id}` : commandText(command);
}

function letterFault({ lines }: Entry, at: number, text: string): string | null {
  const letter = text.trim().toUpperCase();
  if (!/^[A-Z0-9]$/.test(letter)) return 'a letter or a digit';
  const other = lines.find((each, i) => i !== at && each.letter === letter);
  return other ? `${commandText(other.command)} has it` : null;
}
