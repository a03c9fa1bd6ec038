import { HUES, STAND_IN_KEYS, type Profile } from '@sorn/core/model';
import { MODIFIERS } from '@sorn/core/values';
import { Select } from '../ui/Select.tsx';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { useProfileStore, useProfileStoreApi } from '../state/profile-context.ts';
import { useMachine } from '../state/machine.ts';
import { useColourMode } from '../ui/colour-mode.ts';
import { Figure } from '../ui/Figure.tsx';
import { MachineReachChoice, ON_THIS_MACHINE } from '../ui/MachineReach.tsx';
import { Panel } from '../ui/Panel.tsx';
import { Section } from '../ui/Section.tsx';
import { Choice, SettingRow } from '../ui/SettingRow.tsx';
import { TextField } from '../ui/TextField.tsx';
import { frameWarning, isOwnColour, typedColour } from '../sheet/frame-colour.ts';

const choices = <T extends string>(words: readonly T[]) =>
  words.map((value) => ({ value, text: value.charAt(0).toUpperCase() + value.slice(1) }));

/** The colour with which one's own begins: it is seen by day and by night. */
const FIRST_OWN = '#9d6cc0';

const POINTER = [
  { field: 'focusFollows', label: 'The focus follows the pointer' },
  { field: 'goesAlong', label: 'The pointer goes along to a monitor with the focus' },
  { field: 'clickRaises', label: 'A click raises its window' },
] as const;

/** How the sheet is drawn, how keys are taken, and day or night. Kept with the profile but for the last. */
export function Settings({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const { look, keys, tiling, pointer } = useProfileStore((state) => state.profile);
  const store = useProfileStoreApi();
  const { mode, toggle } = useColourMode();
  const machine = useMachine();
  const edit = (change: (profile: Profile) => Profile, merge = '') =>
    store.getState().edit(change, merge);
  const setFrame = (patch: Partial<Profile['look']['focusFrame']>, merge?: string) =>
    edit(
      (profile) => ({
        ...profile,
        look: { ...profile.look, focusFrame: { ...profile.look.focusFrame, ...patch } },
      }),
      merge,
    );
  const { hue } = look.focusFrame;
  const isOwn = isOwnColour(hue);
  const warning = isOwn ? frameWarning(hue) : null;
  // Looking at the page's colours loses none of one's own.
  const [owned, setOwned] = useState<string | null>(null);
  if (isOwn && owned !== hue) setOwned(hue);
  const setPointer = (patch: Partial<Profile['pointer']>) =>
    edit((profile) => ({ ...profile, pointer: { ...profile.pointer, ...patch } }));
  const setKeys = (patch: Partial<Profile['keys']>) =>
    edit((profile) => ({ ...profile, keys: { ...profile.keys, ...patch } }));

  return (
    <Panel title="Settings" isOpen={isOpen} onClose={onClose}>
      <Section title="Colours" note="in this browser">
        <Choice
          label="Colours"
          value={mode}
          options={choices(['day', 'night'])}
          onChange={(value) => {
            if (value !== mode) toggle();
          }}
        />
      </Section>
      <Section title="Focus frame" note="around the focused window">
        <Flex direction="column" gap="6px">
          <Choice
            label="Focus frame"
            value={look.focusFrame.on ? 'on' : 'off'}
            options={choices(['on', 'off'])}
            onChange={(value) => setFrame({ on: value === 'on' })}
          />
          <Choice
            label="Colour of the focus frame"
            value={isOwn ? 'own' : hue}
            options={choices([...HUES, 'own'])}
            onChange={(value) => setFrame({ hue: value === 'own' ? (owned ?? FIRST_OWN) : value })}
          />
          {isOwn && (
            <>
              <SettingRow label="Own colour">
                <chakra.span
                  width="18px"
                  height="18px"
                  bg="petrol.deep"
                  border="4px solid"
                  style={{ borderColor: hue }}
                  aria-hidden
                />
                <Box width="76px">
                  <TextField
                    label="Own colour of the focus frame"
                    value={hue}
                    isNeeded
                    isFigure
                    faultOf={(text) => (typedColour(text) ? null : 'expected a colour as #rrggbb')}
                    onChange={(text) => setFrame({ hue: typedColour(text)! }, 'frame-colour')}
                  />
                </Box>
              </SettingRow>
              <chakra.p
                role="status"
                fontSize="12.5px"
                color={warning ? 'vermilion' : 'slate'}
                data-frame-contrast
              >
                {warning ?? 'Seen by day and by night.'}
              </chakra.p>
            </>
          )}
          <SettingRow label="Weight">
            <Figure
              label="Weight of the focus frame"
              value={look.focusFrame.weight}
              least={1}
              most={12}
              step={1}
              unit="px"
              onChange={(weight) => setFrame({ weight: Math.round(weight) }, 'weight')}
            />
          </SettingRow>
        </Flex>
      </Section>
      <Section title="Motion" note="0 moves windows at once">
        <SettingRow label="Time a window takes to its new tile">
          <Figure
            label="Motion time"
            value={look.motionMs}
            least={0}
            most={1000}
            step={10}
            unit="ms"
            onChange={(motionMs) =>
              edit(
                (profile) => ({
                  ...profile,
                  look: { ...profile.look, motionMs: Math.round(motionMs) },
                }),
                'motion',
              )
            }
          />
        </SettingRow>
      </Section>
      <Section title="Pointer" note="the first two on a real desktop">
        <Flex direction="column" gap="6px">
          {POINTER.map(({ field, label }) => (
            <SettingRow key={field} label={label}>
              <Choice
                label={label}
                value={pointer[field] ? 'yes' : 'no'}
                options={choices(['yes', 'no'])}
                onChange={(value) => setPointer({ [field]: value === 'yes' })}
              />
            </SettingRow>
          ))}
        </Flex>
      </Section>
      <Section title="Keys" note="for Rehearse">
        <Flex direction="column" gap="6px">
          <SettingRow
            label="Main modifier: most bindings start with it"
            {...(machine.hasOwnMain && {
              origin: ON_THIS_MACHINE,
              onSetBack: machine.setMainBack,
            })}
          >
            <span />
          </SettingRow>
          <Choice
            label="Main modifier"
            value={keys.main}
            options={choices(MODIFIERS)}
            onChange={machine.setMain}
          />
          <chakra.span fontSize="13px">Its edits hold on</chakra.span>
          <MachineReachChoice isHere={machine.isHere} onChange={machine.setHere} />
          <chakra.span fontSize="13px">
            Stand-in: does the same here, where your browser or system keeps the main one
            {MODIFIERS.some((name) => name === keys.standIn && name !== keys.main) &&
              `; both ${keys.standIn} keys together are ${keys.main} ${keys.standIn}`}
          </chakra.span>
          <Select
            label="Stand-in modifier"
            value={keys.standIn}
            options={choices([...MODIFIERS, ...STAND_IN_KEYS])}
            onChange={(standIn) => setKeys({ standIn: standIn as typeof keys.standIn })}
          />
          <chakra.span fontSize="13px">Key that gives the keyboard back</chakra.span>
          <Choice
            label="Key that gives the keyboard back"
            value={keys.handBack}
            options={['F9', 'F8', 'F4', 'Pause', 'Escape'].map((value) => ({ value, text: value }))}
            onChange={(handBack) => setKeys({ handBack })}
          />
          <SettingRow label="Step of growing and shrinking">
            <Figure
              label="Grow step"
              value={tiling.growStep}
              least={1}
              most={1000}
              step={5}
              unit="px"
              onChange={(growStep) =>
                edit(
                  (profile) => ({ ...profile, tiling: { ...profile.tiling, growStep } }),
                  'grow-step',
                )
              }
            />
          </SettingRow>
        </Flex>
      </Section>
      <Box color="slate" fontSize="12px">
        Undo (Ctrl Z, outside Rehearse) takes any of these back.
      </Box>
    </Panel>
  );
}
