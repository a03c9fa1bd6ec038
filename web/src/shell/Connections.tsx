import { chakra, Flex } from '@chakra-ui/react';
import { deskInForce, monitorName } from '@sorn/core/desk';
import { keyMap } from '@sorn/core/keys';
import { MODES, type Mode, keysCaps } from '@sorn/core/values';
import type { ReactNode } from 'react';
import { MODE_WORDS, pluggedIn, useCable, useDeskChange } from '../state/desk-change.ts';
import { useLive } from '../state/live-store.ts';
import { useProfileStore } from '../state/profile-context.ts';
import { KeyCap } from '../ui/KeyCap.tsx';
import { Panel, usePanelKeys } from '../ui/Panel.tsx';
import { Section } from '../ui/Section.tsx';

const LETTERS = 'ABCDEFGHIJKLNPQRSTUVWXYZ';
/** More room, the same, one less. */
const MODE_KEYS: Record<Mode, string> = { extend: '+', mirror: '=', one: '-' };

/** Cables, desks and modes, each by one key. What a change would do is shown before it is done. */
export function Connections({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Panel title="Cables, desks and modes" isOpen={isOpen} onClose={onClose}>
      <Lists onClose={onClose} />
    </Panel>
  );
}

function Lists({ onClose }: { onClose: () => void }) {
  const profile = useProfileStore((state) => state.profile);
  const session = useProfileStore((state) => state.session);
  const pull = useCable();
  const isLive = useLive((live) => live.isShown);
  const { goTo, setMode } = useDeskChange();
  const desk = deskInForce(profile, session);
  const plugged = pluggedIn(profile, session);
  const bindings = keyMap(profile);
  /** The keys of the profile that go there while the sheet has the keyboard. */
  const callOf = (i: number) => {
    const { id } = profile.desks[i]!;
    const binding = bindings.find(
      ({ command }) => command?.command === 'use-desk' && command.desk === id,
    );
    return binding ? ` · ${keysCaps(binding.keys, profile.keys).join(' ')} in Rehearse` : '';
  };
  const lines = {
    // A real cable is plugged by hand.
    cables: (isLive ? [] : profile.monitors).map(({ id, name = id }, i) => ({
      id,
      key: String(i + 1),
      text: name,
      says: plugged.includes(id) ? 'plugged in; unplug' : 'not plugged in; plug in',
      isOn: plugged.includes(id),
      run: () => pull(id),
    })),
    desks: profile.desks.map(({ id, name = id, monitors }, i) => ({
      id,
      key: LETTERS[i] ?? '',
      text: name,
      says: `${monitors.map(({ monitor }) => monitor).join(', ')}${callOf(i)}`,
      isOn: desk.desk === id,
      run: () => goTo(id, name),
    })),
    modes: MODES.map((mode) => ({
      id: mode,
      key: MODE_KEYS[mode],
      text: MODE_WORDS[mode].title,
      says: MODE_WORDS[mode].says,
      isOn: desk.mode === mode,
      run: () => setMode(mode),
    })),
  };
  const all = [...lines.cables, ...lines.desks, ...lines.modes];
  const take = (run: () => void) => {
    onClose();
    run();
  };
  usePanelKeys((pressed) => {
    const line = all.find(({ key }) => key !== '' && key.toLowerCase() === pressed);
    if (line) take(line.run);
    return line !== undefined;
  });
  return (
    <>
      {isLive ? (
        <Section title="Cables" note="the real desktop’s own">
          <chakra.p fontSize="13px" color="slate">
            Plug one in or pull it, and the desk follows: connected{' '}
            {plugged.map((id) => monitorName(profile, id)).join(', ') || 'is none'}.
          </chakra.p>
        </Section>
      ) : (
        <List
          title="Cables"
          note="a digit plugs in or unplugs"
          lines={lines.cables}
          onTake={take}
        />
      )}
      <List title="Desks" note={desk.because} lines={lines.desks} onTake={take} />
      <List title="Mode" note="of this desk, for now" lines={lines.modes} onTake={take} />
    </>
  );
}

interface Line {
  id: string;
  key: string;
  text: string;
  says: string;
  isOn: boolean;
  run: () => void;
}

function List(props: {
  title: string;
  note: ReactNode;
  lines: readonly Line[];
  onTake: (run: () => void) => void;
}) {
  return (
    <Section title={props.title} note={props.note}>
      {props.lines.length === 0 && (
        <chakra.p fontSize="13px" color="slate">
          The profile has no desks yet. The Desk view (1) makes one of what is connected.
        </chakra.p>
      )}
      {props.lines.map(({ id, key, text, says, isOn, run }) => (
        <chakra.button
          key={id}
          type="button"
          aria-pressed={isOn}
          data-connection={id}
          display="flex"
          width="100%"
          alignItems="center"
          gap="10px"
          px="6px"
          py="4px"
          fontSize="13px"
          textAlign="left"
          cursor="pointer"
          borderLeft="3px solid"
          borderColor={isOn ? 'petrol' : 'transparent'}
          bg={isOn ? 'petrol.wash' : 'transparent'}
          _focusVisible={{ outlineOffset: '-2px' }}
          onClick={() => props.onTake(run)}
        >
          <Flex width="28px" flexShrink="0">
            {key !== '' && <KeyCap>{key}</KeyCap>}
          </Flex>
          <chakra.span fontWeight={isOn ? 650 : 400} whiteSpace="nowrap">
            {text}
          </chakra.span>
          <chakra.span color="slate" fontSize="12px" truncate>
            {says}
          </chakra.span>
        </chakra.button>
      ))}
    </Section>
  );
}
