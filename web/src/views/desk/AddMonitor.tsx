import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { freeId } from '@sorn/core/desk';
import type { Monitor } from '@sorn/core/model';
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

/** Pixels, and the scale most people set for them. */
const COMMON_SIZES = [
  [1366, 768, 1],
  [1920, 1080, 1],
  [1920, 1200, 1],
  [2560, 1440, 1],
  [2560, 1600, 1.5],
  [2880, 1800, 2],
  [3440, 1440, 1],
  [3840, 2160, 1.5],
  [5120, 1440, 1],
  [5120, 2880, 2],
] as const;

const NO_EDGES = { top: 0, right: 0, bottom: 0, left: 0 };

/** One more monitor on the desk: one the profile knows, from an EDID file, of a common size, or by hand. */
export function AddMonitor(props: { edits: DeskEdits; isOpen: boolean; onClose: () => void }) {
  return (
    <Panel title="Add a monitor" isOpen={props.isOpen} onClose={props.onClose} width="640px">
      <Ways edits={props.edits} onClose={props.onClose} />
    </Panel>
  );
}

function Ways({ edits, onClose }: { edits: DeskEdits; onClose: () => void }) {
  const monitors = useProfileStore((state) => state.profile.monitors);
  const file = useRef<HTMLInputElement>(null);
  const known = monitors.filter(({ id }) => !edits.monitors.some((each) => each.id === id));
  const add = (monitor: Monitor) => {
    edits.add(monitor);
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
    const [width, height, scale] = COMMON_SIZES[i]!;
    addNew({ name: `Monitor ${width} × ${height}`, width, height, scale });
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
          {COMMON_SIZES.map(([width, height, scale], i) => (
            <chakra.button
              key={`${width}x${height}`}
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
                <chakra.span fontFamily="mono" fontSize="11px" fontStretch="88%" display="block">
                  {width}×{height}
                </chakra.span>
                <chakra.span fontSize="11px" color="slate">
                  scale {scale}
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
  const figure = (field: 'width' | 'height' | 'scale', label: string) => (
    <Figure
      label={label}
      value={wish[field]}
      least={field === 'scale' ? 0.25 : 1}
      most={field === 'scale' ? 8 : 100_000}
      step={field === 'scale' ? 0.25 : 10}
      decimals={field === 'scale' ? 2 : 0}
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
        <TextButton onClick={() => onAdd(wish)}>Add it</TextButton>
      </SettingRow>
    </Section>
  );
}
