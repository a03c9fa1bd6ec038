import { chakra, Flex } from '@chakra-ui/react';
import type { DeskMonitor } from '@sorn/core/desk';
import { gridOf } from '@sorn/core/engine';
import { keyMap, withoutBinding } from '@sorn/core/keys';
import { without } from '@sorn/core/model';
import {
  keysCaps,
  MOST_DIGITS,
  MOST_LETTERS,
  read,
  snapTargetText,
  snapSettingsSchema,
  rungsIn,
  type SnapSettings as Settings,
} from '@sorn/core/values';
import type { Ref } from 'react';
import { Figure } from '../../ui/Figure.tsx';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { OnOff, SettingRow } from '../../ui/SettingRow.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';

const REPEATS = [
  { value: 'next-rung', text: 'next size, then full' },
  { value: 'other-side', text: 'the other side' },
  { value: 'next-monitor', text: 'the monitor there' },
  { value: 'round', text: 'next size, then back' },
] as const satisfies readonly { value: Settings['onRepeat']; text: string }[];
const OPPOSITES = [
  { value: 'other-side', text: 'the other side' },
  { value: 'full', text: 'the whole length' },
  { value: 'put-back', text: 'back where it was' },
] as const satisfies readonly { value: Settings['onOpposite']; text: string }[];
const TOGETHER = [
  { value: 'never', text: 'never' },
  { value: 'lineups', text: 'those of a lineup' },
  { value: 'last-too', text: 'and those placed last' },
] as const satisfies readonly { value: Settings['together']; text: string }[];
const GRID_SIDES = [
  {
    side: 'columns',
    label: 'Columns, lettered',
    name: 'Columns of the corner pick',
    most: MOST_LETTERS,
  },
  { side: 'rows', label: 'Rows, numbered', name: 'Rows of the corner pick', most: MOST_DIGITS },
] as const;

/** Ladders and what else decides how windows are placed by key. */
export function PlacingSettings({
  monitor,
  repeatSelect,
  oppositeSelect,
}: {
  monitor: DeskMonitor;
  repeatSelect: Ref<HTMLSelectElement>;
  oppositeSelect: Ref<HTMLSelectElement>;
}) {
  const placing = useProfileStore((state) => state.profile.placing);
  const profile = useProfileStore((state) => state.profile);
  const places = keyMap(profile).flatMap((binding) => {
    const { from, command, keys } = binding;
    if (from !== 'own' || command?.command !== 'place-at') return [];
    return [{ binding, caps: keysCaps(keys, profile.keys), says: snapTargetText(command) }];
  });
  const store = useProfileStoreApi();
  const set = (patch: Partial<Settings>, merge = '') =>
    store
      .getState()
      .edit((profile) => ({ ...profile, placing: { ...profile.placing, ...patch } }), merge);
  const { cornerPick } = placing;
  const grid = gridOf(placing, monitor);
  return (
    <>
      <Section title="Placing" note="by key, without a layout">
        <Ladder axis="x" label="Widths" />
        <Ladder axis="y" label="Heights" />
        <SettingRow label="The same key again" caps={['E']}>
          <Select
            selectRef={repeatSelect}
            label="The same key again"
            value={placing.onRepeat}
            options={REPEATS}
            onChange={(onRepeat) => set({ onRepeat: onRepeat as Settings['onRepeat'] })}
          />
        </SettingRow>
        <SettingRow label="The opposite key" caps={['Q']}>
          <Select
            selectRef={oppositeSelect}
            label="The opposite key"
            value={placing.onOpposite}
            options={OPPOSITES}
            onChange={(onOpposite) => set({ onOpposite: onOpposite as Settings['onOpposite'] })}
          />
        </SettingRow>
        <SettingRow label="Come up together">
          <Select
            label="Windows that come up together"
            value={placing.together}
            options={TOGETHER}
            onChange={(together) => set({ together: together as Settings['together'] })}
          />
        </SettingRow>
        <Flex direction="column" gap="3px" mt="4px">
          <OnOff
            label="Gaps around placed windows"
            value={placing.gaps}
            onChange={(gaps) => set({ gaps })}
          />
          <OnOff
            label="Outline while the key is down"
            value={placing.preview}
            onChange={(preview) => set({ preview })}
          />
          <OnOff
            label="Offer empty places"
            value={placing.offers}
            onChange={(offers) => set({ offers })}
          />
        </Flex>
      </Section>
      <Section title="Corner pick" note={`the lettered grid over ${monitor.name}`}>
        {GRID_SIDES.map(({ side, label, name, most }) => (
          <SettingRow
            key={side}
            label={label}
            {...(cornerPick[side] === undefined && { origin: 'nearly square' })}
            onSetBack={
              cornerPick[side] === undefined
                ? undefined
                : () => set({ cornerPick: without(cornerPick, [side]) as Settings['cornerPick'] })
            }
          >
            <Figure
              label={name}
              value={cornerPick[side] ?? grid[side]}
              least={1}
              most={most}
              step={1}
              onChange={(count) =>
                set({ cornerPick: { ...cornerPick, [side]: Math.round(count) } }, `grid ${side}`)
              }
            />
          </SettingRow>
        ))}
        <OnOff
          label="Go on with the next window"
          value={cornerPick.goOn}
          onChange={(goOn) => set({ cornerPick: { ...cornerPick, goOn } })}
        />
        {places.map((place) => (
          <Flex
            key={place.binding.canonicalTrigger}
            align="center"
            gap="8px"
            minH="26px"
            data-place-key={place.binding.at}
          >
            <KeyCaps caps={place.caps} />
            <chakra.span fontSize="12px" color="slate" flex="1" truncate>
              {place.says}
            </chakra.span>
            <TextButton
              label={`Take the place off ${place.caps.join(' ')}`}
              onClick={() =>
                store.getState().edit((profile) => withoutBinding(profile, place.binding))
              }
            >
              take off
            </TextButton>
          </Flex>
        ))}
      </Section>
    </>
  );
}

/** The rungs of one axis, typed as shares apart from each other by spaces. */
function Ladder({ axis, label }: { axis: 'x' | 'y'; label: string }) {
  const ladders = useProfileStore((state) => state.profile.placing.ladders);
  const store = useProfileStoreApi();
  const parsed = (text: string) =>
    read(snapSettingsSchema, { ladders: { ...ladders, [axis]: rungsIn(text) } });
  return (
    <SettingRow label={label}>
      <TextField
        label={`Ladder of ${label.toLowerCase()}`}
        value={ladders[axis].join('  ')}
        isNeeded
        faultOf={(text) => {
          const result = parsed(text);
          return result.ok ? null : result.faults[0]!.expected;
        }}
        onChange={(text) => {
          const result = parsed(text);
          if (!result.ok) return;
          const { ladders: next } = result.value;
          store
            .getState()
            .edit((profile) => ({ ...profile, placing: { ...profile.placing, ladders: next } }));
        }}
      />
    </SettingRow>
  );
}
