import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { freeId, millimetresOf } from '@sorn/core/desk';
import type { Monitor } from '@sorn/core/model';
import { COMMON_SCREENS } from '@sorn/core/starters';
import { useRef, useState } from 'react';
import { Figure } from '../../ui/Figure.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Panel, usePanelKeys } from '../../ui/Panel.tsx';
import { Section } from '../../ui/Section.tsx';
import { SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import type { DeskEdits } from './edits.ts';
import { EdidFile } from './EdidFile.tsx';

const NO_EDGES = { top: 0, right: 0, bottom: 0, left: 0 };

/** One more monitor on the desk: one the profile knows, from an EDID file, of a common size, or by hand. */
export function AddMonitor(props: {
  edits: DeskEdits;
  isOpen: boolean;
  onClose: () => void;
  /** The monitor that was added is the selected one. */
  onAdded: (id: string) => void;
}) {
  return (
    <Panel title="Add a monitor" isOpen={props.isOpen} onClose={props.onClose} width="720px">
      <Ways edits={props.edits} onClose={props.onClose} onAdded={props.onAdded} />
    </Panel>
  );
}

function Ways(props: { edits: DeskEdits; onClose: () => void; onAdded: (id: string) => void }) {
  const { edits, onClose, onAdded } = props;
  const monitors = useProfileStore((state) => state.profile.monitors);
  const file = useRef<HTMLInputElement>(null);
  const known = monitors.filter(({ id }) => !edits.monitors.some((each) => each.id === id));
  const add = (monitor: Monitor) => {
    edits.add(monitor);
    onAdded(monitor.id);
    onClose();
  };
  const addNew = (wish: Omit<Monitor, 'id' | 'reserved'>) =>
    add({
      ...wish,
      id: freeId(
        wish.name ?? `${wish.width}x${wish.height}`,
        monitors.map(({ id }) => id),
      ),
      reserved: NO_EDGES,
    });
  const addCommon = (i: number) => {
    const { name, inches, width, height, scale } = COMMON_SCREENS[i]!;
    const millimetres = millimetresOf(inches, { width, height });
    addNew({ name: `Monitor ${name}`, width, height, scale, millimetres });
  };
  usePanelKeys((pressed) => {
    const size = '1234567890'.indexOf(pressed);
    if (pressed === 'f') file.current?.click();
    else if (size >= 0) addCommon(size);
    else return false;
    return true;
  });
  return (
    <>
      {known.length > 0 && (
        <Section title="In the profile, not on this desk">
          <Flex gap="14px" wrap="wrap">
            {known.map((monitor) => (
              <TextButton key={monitor.id} onClick={() => add(monitor)}>
                {monitor.name ?? monitor.id}
              </TextButton>
            ))}
          </Flex>
        </Section>
      )}
      <EdidFile edits={edits} inputRef={file} onKnown={add} onNew={addNew} />
      <Section title="A common size" note="by its digit">
        <Grid templateColumns="repeat(5, 1fr)" gap="6px">
          {COMMON_SCREENS.map(({ name, width, height, scale }, i) => (
            <chakra.button
              key={name}
              type="button"
              display="flex"
              alignItems="center"
              gap="6px"
              px="6px"
              py="4px"
              border="1px solid"
              borderColor="hairline"
              cursor="pointer"
              textAlign="left"
              _hover={{ borderColor: 'ink' }}
              onClick={() => addCommon(i)}
            >
              <KeyCap>{(i + 1) % 10}</KeyCap>
              <Box lineHeight="15px">
                <chakra.span fontSize="12px" fontStretch="92%" display="block">
                  {name}
                </chakra.span>
                <chakra.span fontFamily="mono" fontSize="11px" fontStretch="88%" color="slate">
                  {width}×{height}
                  {scale !== 1 && ` @${scale}`}
                </chakra.span>
              </Box>
            </chakra.button>
          ))}
        </Grid>
      </Section>
      <ByHand onAdd={addNew} />
    </>
  );
}

function ByHand({ onAdd }: { onAdd: (wish: Omit<Monitor, 'id' | 'reserved'>) => void }) {
  const [wish, setWish] = useState({
    name: 'Another monitor',
    width: 1920,
    height: 1080,
    scale: 1,
  });
  const [inches, setInches] = useState(0);
  const millimetres = inches > 0 ? { millimetres: millimetresOf(inches, wish) } : {};
  const figure = (field: 'width' | 'height' | 'scale', label: string) => (
    <Figure
      label={label}
      value={wish[field]}
      least={field === 'scale' ? 0.25 : 1}
      most={field === 'scale' ? 8 : 100_000}
      step={field === 'scale' ? 0.25 : 10}
      decimals={field === 'scale' ? 2 : 0}
      isForLater
      onChange={(value) => setWish({ ...wish, [field]: value })}
    />
  );
  return (
    <Section title="By hand">
      <SettingRow label="Name">
        <TextField
          label="Name of the new monitor"
          value={wish.name}
          isNeeded
          onChange={(name) => setWish({ ...wish, name })}
        />
      </SettingRow>
      <SettingRow label="Pixels and scale">
        {figure('width', 'New width')}
        {figure('height', 'New height')}
        {figure('scale', 'New scale')}
      </SettingRow>
      <SettingRow label="Diagonal" origin={inches > 0 ? '' : 'not known'}>
        <Figure
          label="New diagonal in inches"
          value={inches}
          least={0}
          most={500}
          step={1}
          decimals={1}
          unit="inches"
          isForLater
          onChange={setInches}
        />
        <TextButton onClick={() => onAdd({ ...wish, ...millimetres })}>Add it</TextButton>
      </SettingRow>
    </Section>
  );
}
