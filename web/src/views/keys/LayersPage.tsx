import { Box, chakra, Flex } from '@chakra-ui/react';
import {
  keyMap,
  layerRenamed,
  withLayer,
  withNewModifierAlias,
  withNewLayer,
  withoutLayer,
} from '@sorn/core/keys';
import { BASE, LASTS, STAND_IN_KEYS, type Lasts, type Profile } from '@sorn/core/model';
import { countText, keysCaps, MODIFIERS } from '@sorn/core/values';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { ListLine } from '../../ui/ListLine.tsx';
import { MachineReachChoice, ON_THIS_MACHINE } from '../../ui/MachineReach.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { focusFigure } from '../../ui/inspector.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useFindings } from '../../state/findings.ts';
import { useMachine } from '../../state/machine.ts';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { useSelection } from '../../state/selection.ts';
import { HoldTrial } from './HoldTrial.tsx';
import { ModifierAliases } from './ModifierAliases.tsx';
import { KeyTable } from './KeyTable.tsx';
import { keyRows, NO_USES } from './rows.ts';
import { ShortcutLists } from './ShortcutLists.tsx';

const LASTS_TEXT: Record<Lasts, string> = {
  once: 'for one command',
  kept: 'until it is left',
  held: 'while its key is down',
};

/** The main modifier, layers of keys, bundles, and what the desktop takes. */
export function LayersPage({ pages }: { pages: ReactNode }) {
  const profile = useProfileStore((state) => state.profile);
  const store = useProfileStoreApi();
  const findings = useFindings() ?? [];
  const edit = (change: (profile: Profile) => Profile, merge = '') =>
    store.getState().edit(change, merge);
  const { main, standIn, layers, bundles, sequenceMs, holdMs, recordMs } = profile.keys;
  const [selected, setInHand] = useState<string | null>(null);
  const layer = layers.find(({ id }) => id === selected) ?? layers[0] ?? null;
  const uses = useProfileStore((state) => state.session.uses) ?? NO_USES;
  const takeBinding = useSelection((hand) => hand.takeBinding);
  const [isProving, setProving] = useState(false);
  const nameInput = useRef<HTMLInputElement>(null);
  const setKeys = (patch: Partial<Profile['keys']>, merge = '') =>
    edit((now) => ({ ...now, keys: { ...now.keys, ...patch } }), merge);
  const add = () => {
    const made = withNewLayer(store.getState().profile);
    edit(() => made.profile);
    setInHand(made.id);
  };
  const remove = () => {
    if (layer) edit((now) => withoutLayer(now, layer.id));
  };
  const machine = useMachine();
  const nextMain = () =>
    machine.setMain(MODIFIERS[(MODIFIERS.indexOf(main) + 1) % MODIFIERS.length]!);
  const goTo = (by: 1 | -1) => {
    const next = layers[(layer ? layers.indexOf(layer) : -1) + by];
    if (next) setInHand(next.id);
  };
  const nextLasts = () => {
    if (!layer) return;
    const next = LASTS[(LASTS.indexOf(layer.lasts) + 1) % LASTS.length]!;
    edit((now) => withLayer(now, layer.id, (each) => ({ ...each, lasts: next })));
  };
  usePageKeys('Layers', [
    { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'layer', run: () => goTo(-1) },
    { keys: ['ArrowDown'], label: 'select the next layer', minor: true, run: () => goTo(1) },
    { keys: ['n'], label: 'new layer', run: add },
    { keys: ['w'], label: 'how it lasts', run: nextLasts },
    { keys: ['Enter'], label: 'name', run: () => focusFigure(nameInput) },
    { keys: ['m'], label: 'next main modifier', run: nextMain },
    {
      keys: ['e'],
      label: 'set it for',
      minor: true,
      run: () => machine.setHere(!machine.isHere),
    },
    { keys: ['y'], label: 'prove the hold time', run: () => setProving(true) },
    { keys: ['u'], label: 'new bundle', run: () => edit(withNewModifierAlias) },
    {
      keys: ['Delete', 'Backspace'],
      caps: ['Delete'],
      label: 'delete the layer',
      minor: true,
      run: remove,
    },
  ]);
  const map = keyMap(profile);
  const shownLayer = layer?.id ?? BASE;
  const rows = useMemo(
    () => keyRows(profile, uses).filter((row) => row.layer === shownLayer),
    [profile, uses, shownLayer],
  );
  const inKeys = findings.filter((finding) => 'about' in finding).length;

  return (
    <ViewLayout
      name="Keys"
      inspector={
        <>
          <ShortcutLists profile={profile} />
          <Section title="Times">
            <Milliseconds
              label="A sequence waits"
              value={sequenceMs}
              within={[100, 10_000]}
              step={50}
              onChange={(value) => setKeys({ sequenceMs: value }, 'sequence')}
            />
            <Milliseconds
              label="When recording, a further press within"
              value={recordMs}
              within={[0, 5_000]}
              step={100}
              onChange={(value) => setKeys({ recordMs: value }, 'record')}
            />
            <chakra.p fontSize="12px" color="slate">
              {recordMs === 0
                ? '0: one press is recorded at once, and no sequences.'
                : 'A further press makes a sequence of them.'}
            </chakra.p>
            <Milliseconds
              label="A hold, not a tap, after"
              value={holdMs}
              within={[50, 2_000]}
              step={10}
              onChange={(value) => setKeys({ holdMs: value }, 'hold')}
            />
            <Flex gap="6px" align="center" mt="4px">
              <KeyCap>Y</KeyCap>
              <TextButton onClick={() => setProving(true)}>prove it by typing</TextButton>
            </Flex>
            <HoldTrial isOpen={isProving} onClose={() => setProving(false)} />
          </Section>
        </>
      }
    >
      <Paper>
        <Flex wrap="wrap">{pages}</Flex>
        <Box flexShrink="0" maxH="64%" overflowY="auto" maxW="720px" tabIndex={-1}>
          <Section
            title="Main modifier"
            note={`${map.filter(({ keys }) => keys.includes('Main+')).length} bindings begin with it`}
          >
            <SettingRow
              label="Main modifier"
              caps={['M']}
              {...(machine.hasOwnMain && {
                origin: ON_THIS_MACHINE,
                onSetBack: machine.setMainBack,
              })}
            >
              <Choice
                label="Main modifier"
                value={main}
                options={MODIFIERS.map((value) => ({ value, text: value }))}
                onChange={machine.setMain}
              />
            </SettingRow>
            <SettingRow label="Set it for" caps={['E']}>
              <MachineReachChoice isHere={machine.isHere} onChange={machine.setHere} />
            </SettingRow>
            <chakra.p fontSize="13px" color="slate" my="4px">
              {machine.isHere || machine.hasOwnMain
                ? `All of them change at once, on ${machine.host} alone; what names ${main} beside it stays:`
                : `All of them change at once, and what named ${main} beside it is given the former one:`}{' '}
              {inKeys === 0
                ? 'no keys are in each other’s way.'
                : `the checkup has ${countText(inKeys, 'finding')} about keys.`}
            </chakra.p>
            <SettingRow label="Stands in for it here">
              <Select
                label="Stands in for it here"
                value={standIn}
                options={[...MODIFIERS, ...STAND_IN_KEYS].map((value) => ({
                  value,
                  text: value === main ? `${value} (nothing does)` : value,
                }))}
                onChange={(next) => setKeys({ standIn: next as typeof standIn })}
              />
            </SettingRow>
            {standIn !== main && MODIFIERS.some((name) => name === standIn) && (
              <chakra.p fontSize="12px" color="slate">
                Both {standIn} keys together are {main} {standIn}.
              </chakra.p>
            )}
          </Section>
          <Section title="Layers" note="maps of keys that are entered and left">
            {layers.length === 0 && (
              <chakra.p fontSize="13px" color="slate">
                All keys are in the {BASE} layer. Rare ones can go into a layer of their own:{' '}
                <KeyCap>N</KeyCap> <TextButton onClick={add}>makes one</TextButton>.
              </chakra.p>
            )}
            <chakra.ul>
              {layers.map(({ id, lasts }) => {
                const enters = map.filter(
                  ({ command }) => command?.command === 'enter-layer' && command.layer === id,
                );
                return (
                  <ListLine
                    key={id}
                    name={id}
                    isHere={id === layer?.id}
                    data={{ 'data-layer-line': id }}
                    onChoose={() => setInHand(id)}
                  >
                    <chakra.span fontSize="12px" color="slate">
                      {LASTS_TEXT[lasts]}, {map.filter((each) => each.layer === id).length} keys,{' '}
                      {enters.length === 0 ? 'nothing enters it' : 'entered by'}
                    </chakra.span>
                    {enters[0] && <KeyCaps caps={keysCaps(enters[0].keys, profile.keys)} />}
                  </ListLine>
                );
              })}
            </chakra.ul>
            {layer && (
              <Box pl="10px" pt="8px">
                <SettingRow label="Name" caps={['Enter']}>
                  <Box width="180px">
                    <TextField
                      key={layer.id}
                      label="Name of the layer"
                      value={layer.id}
                      isNeeded
                      inputRef={nameInput}
                      faultOf={(text) =>
                        /^[^\s/]{1,80}$/.test(text) &&
                        (text === layer.id || layerRenamed(profile, layer.id, text))
                          ? null
                          : 'a name of its own, without spaces'
                      }
                      onChange={(name) => {
                        edit((now) => layerRenamed(now, layer.id, name) ?? now);
                        setInHand(name);
                      }}
                    />
                  </Box>
                </SettingRow>
                <SettingRow label="It lasts" caps={['W']}>
                  <Choice
                    label="It lasts"
                    value={layer.lasts}
                    options={LASTS.map((value) => ({ value, text: LASTS_TEXT[value] }))}
                    onChange={(lasts) =>
                      edit((now) => withLayer(now, layer.id, (each) => ({ ...each, lasts })))
                    }
                  />
                </SettingRow>
              </Box>
            )}
          </Section>
          <ModifierAliases bundles={bundles} />
        </Box>
        <Box overflow="auto" minH="0" tabIndex={0} role="region" aria-label="Keys of the layer">
          <KeyTable
            rows={rows}
            selected={null}
            empty={`No key is in the layer ${shownLayer} yet. On the map, N binds a command in the layer that is shown.`}
            onRow={takeBinding}
          />
        </Box>
      </Paper>
    </ViewLayout>
  );
}

/** A time in a row of its own. */
function Milliseconds(props: {
  label: string;
  value: number;
  within: readonly [least: number, most: number];
  step: number;
  onChange: (value: number) => void;
}) {
  const { label, value, step } = props;
  const [least, most] = props.within;
  return (
    <SettingRow label={label}>
      <Figure
        {...{ label, value, least, most, step }}
        unit="ms"
        onChange={(typed) => props.onChange(Math.round(typed))}
      />
    </SettingRow>
  );
}
