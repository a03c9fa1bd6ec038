import { Box, chakra, Flex } from '@chakra-ui/react';
import { monitorName, roleText, ROLES } from '@sorn/core/desk';
import { keyMap } from '@sorn/core/keys';
import { LAYOUTS, layoutKindOn } from '@sorn/core/tiling';
import { countText, keysCaps, LAYOUT_KINDS, type LayoutKind } from '@sorn/core/values';
import { useMemo, useState, type Ref } from 'react';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useProfileStore, type DeskLayout } from '../../state/profile-context.ts';
import type { WorkspaceEdits, WorkspaceRow } from './workspace-edits.ts';

/** Stands in the list for a home that is typed. */
const TYPED = '…';

/** The selected workspace: what it is called, where it is at home, how it is divided, and its keys. */
export function WorkspaceForm(props: {
  row: WorkspaceRow;
  deskLayout: DeskLayout;
  edits: WorkspaceEdits;
  nameInput: Ref<HTMLInputElement>;
  letterInput: Ref<HTMLInputElement>;
  homeSelect: Ref<HTMLSelectElement>;
  layoutSelect: Ref<HTMLSelectElement>;
}) {
  const { row, edits } = props;
  const layout = useProfileStore(
    ({ profile }) =>
      profile.tiling.places.find((place) => place.workspace === row.id && !place.monitor)?.layout
        ?.kind ?? '',
  );
  const without = useProfileStore(
    ({ profile }) => LAYOUTS[layoutKindOn(profile, row.monitor)].title,
  );
  const windows = useProfileStore(
    ({ session }) => session.windows.filter(({ workspace }) => workspace === row.id).length,
  );
  return (
    <Section
      title={row.name === row.id ? `Workspace ${row.id}` : `${row.id} · ${row.name}`}
      note={windows === 0 ? 'no window' : countText(windows, 'window')}
    >
      <Flex direction="column" gap="2px">
        {!row.isKept && (
          <chakra.p fontSize="12px" color="slate" mb="4px">
            {row.isMadeUp ? 'It fills a monitor that has no other.' : 'It was made by key.'} A name,
            or <KeyCaps caps={['O']} />{' '}
            <TextButton onClick={() => edits.keep(row)}>keep it</TextButton>, puts it into the
            profile.
          </chakra.p>
        )}
        <SettingRow label="Name" caps={['Enter']}>
          <TextField
            label="Name of the workspace"
            value={row.name === row.id ? '' : row.name}
            placeholder={`none: called by its letter, ${row.id}`}
            inputRef={props.nameInput}
            onChange={(name) => edits.setName(row, name)}
          />
        </SettingRow>
        <SettingRow label="Letter" caps={['L']}>
          <TextField
            label="Letter of the workspace"
            value={row.id}
            isNeeded
            isFigure
            faultOf={(typed) => edits.letterFault(row, typed)}
            inputRef={props.letterInput}
            onChange={(letter) => edits.setLetter(row, letter)}
          />
        </SettingRow>
        <Keys workspace={row.id} />
        <Home {...props} selectRef={props.homeSelect} />
        <SettingRow label="Layout" caps={['K']}>
          <Select
            label="Layout of the workspace"
            value={layout}
            options={[
              { value: '', text: `not its own: ${without}` },
              ...LAYOUT_KINDS.map((kind) => ({ value: kind, text: LAYOUTS[kind].title })),
            ]}
            selectRef={props.layoutSelect}
            onChange={(kind) => edits.setLayout(row, kind === '' ? null : (kind as LayoutKind))}
          />
        </SettingRow>
      </Flex>
    </Section>
  );
}

function Home(props: {
  row: WorkspaceRow;
  deskLayout: DeskLayout;
  edits: WorkspaceEdits;
  selectRef: Ref<HTMLSelectElement>;
}) {
  const { row, deskLayout, edits } = props;
  const profile = useProfileStore((state) => state.profile);
  const [isTyping, setTyping] = useState(false);
  const { desk } = deskLayout;
  const count = desk.monitors.length + desk.others.length;
  const roles = [...ROLES, ...Array.from({ length: count }, (_, i) => `from-left-${i + 1}`)];
  const options = [
    { value: '', text: 'the primary (not set)' },
    ...profile.monitors.map((each) => ({ value: each.id, text: each.name ?? each.id })),
    ...roles.map((role) => ({ value: role, text: roleText(role) })),
    { value: TYPED, text: 'a name like …' },
  ];
  const isTyped = isTyping || !options.some(({ value }) => value === row.home);
  return (
    <Box data-home={row.id}>
      <SettingRow label="Home" caps={['H']}>
        <Select
          label="Home of the workspace"
          value={isTyped ? TYPED : row.home}
          options={options}
          selectRef={props.selectRef}
          onChange={(which) => {
            setTyping(which === TYPED);
            if (which !== TYPED) edits.setHome(row, which);
          }}
        />
      </SettingRow>
      {isTyped && (
        <TextField
          label="Name of the home of the workspace"
          value={row.home}
          placeholder="a name or id; * and ? stand for any text, any character"
          onChange={(which) => {
            setTyping(false);
            edits.setHome(row, which);
          }}
        />
      )}
      {row.monitor !== row.home && (
        <chakra.p fontSize="12px" color="slate">
          {row.monitor === ''
            ? `Now ${row.because.replace('it is ', '')}.`
            : `Now on ${monitorName(profile, row.monitor)}: ${row.because}.`}
        </chakra.p>
      )}
    </Box>
  );
}

/** The keys that go to a workspace, and that put a window there. */
function Keys({ workspace }: { workspace: string }) {
  const profile = useProfileStore((state) => state.profile);
  const { go, put } = useMemo(() => {
    const capsOf = (command: string) => {
      const found = keyMap(profile).find(
        ({ command: bound }) =>
          bound?.command === command && 'which' in bound && bound.which === workspace,
      );
      return found && keysCaps(found.keys, profile.keys);
    };
    return { go: capsOf('go-workspace'), put: capsOf('put-on-workspace') };
  }, [profile, workspace]);
  const lines = [
    { caps: go, text: 'goes there' },
    { caps: put, text: 'puts the window there' },
  ];
  return (
    <Box fontSize="12px" color="slate" pb="4px">
      {lines.map(
        ({ caps, text }) =>
          caps && (
            <Flex key={text} gap="6px" align="center" minH="24px">
              <KeyCaps caps={caps} /> {text}
            </Flex>
          ),
      )}
      {!go && 'No key goes there: one letter or digit gets keys by itself.'}
    </Box>
  );
}
