import { chakra, Flex } from '@chakra-ui/react';
import {
  alongText,
  keyMap,
  keysCaps,
  MOST_DIGITS,
  MOST_LETTERS,
  read,
  placingSchema,
  withoutBinding,
  type PlacingSettings as Settings,
} from '@sorn/core';
import { Figure } from '../../app/Figure.tsx';
import { KeyCaps } from '../../app/KeyCap.tsx';
import { Section } from '../../app/Section.tsx';
import { Choice, OnOff, SettingRow } from '../../app/SettingRow.tsx';
import { TextField } from '../../app/TextField.tsx';
import { TextButton } from '../../app/TextButton.tsx';
import { useBench, useBenchStore } from '../../data/bench-context.ts';

/** Ladders and what else decides how windows are placed by key. */
export function PlacingSettings() {
  const placing = useBench((bench) => bench.profile.placing);
  const profile = useBench((bench) => bench.profile);
  const places = keyMap(profile).flatMap((binding) => {
    const { from, command, keys } = binding;
    if (from !== 'own' || command?.command !== 'place-at') return [];
    const { x = 'full', y = 'full' } = command;
    const says = [alongText(x, 'x'), alongText(y, 'y')].join(', ');
    return [{ binding, caps: keysCaps(keys, profile.keys.main), says }];
  });
  const store = useBenchStore();
  const set = (patch: Partial<Settings>, merge = '') =>
    store
      .getState()
      .edit((profile) => ({ ...profile, placing: { ...profile.placing, ...patch } }), merge);
  const { cornerPick } = placing;
  return (
    <>
      <Section title="Placing" note="by key, without a layout">
        <Ladder axis="x" label="Widths" />
        <Ladder axis="y" label="Heights" />
        <SettingRow label="The same key again">
          <span />
        </SettingRow>
        <Choice
          label="The same key again"
          value={placing.onRepeat}
          options={[
            { value: 'next-rung', text: 'next of the ladder' },
            { value: 'next-monitor', text: 'the monitor there' },
          ]}
          onChange={(onRepeat) => set({ onRepeat })}
        />
        <SettingRow label="The opposite key">
          <span />
        </SettingRow>
        <Choice
          label="The opposite key"
          value={placing.onOpposite}
          options={[
            { value: 'full', text: 'the whole length' },
            { value: 'other-side', text: 'the other side' },
          ]}
          onChange={(onOpposite) => set({ onOpposite })}
        />
        <Flex direction="column" gap="3px" mt="4px">
          <OnOff
            label="Gaps around placed windows"
            value={placing.gaps}
            onChange={(gaps) => set({ gaps })}
          />
          <OnOff
            label="Outline while the key is held"
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
      <Section title="Corner pick" note="the lettered grid">
        <SettingRow label="Columns, lettered">
          <Figure
            label="Columns of the corner pick"
            value={cornerPick.columns}
            least={1}
            most={MOST_LETTERS}
            step={1}
            onChange={(columns) =>
              set({ cornerPick: { ...cornerPick, columns: Math.round(columns) } }, 'grid columns')
            }
          />
        </SettingRow>
        <SettingRow label="Rows, numbered">
          <Figure
            label="Rows of the corner pick"
            value={cornerPick.rows}
            least={1}
            most={MOST_DIGITS}
            step={1}
            onChange={(rows) =>
              set({ cornerPick: { ...cornerPick, rows: Math.round(rows) } }, 'grid rows')
            }
          />
        </SettingRow>
        <OnOff
          label="Stays for the next window"
          value={cornerPick.stays}
          onChange={(stays) => set({ cornerPick: { ...cornerPick, stays } })}
        />
        {places.map((place) => (
          <Flex
            key={place.binding.sign}
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
  const ladders = useBench((bench) => bench.profile.placing.ladders);
  const store = useBenchStore();
  const rungs = (text: string) =>
    text
      .split(/[\s,;]+/)
      .filter(Boolean)
      .map((word) => (word.includes('/') ? word : Number(word)));
  const parsed = (text: string) =>
    read(placingSchema, { ladders: { ...ladders, [axis]: rungs(text) } });
  return (
    <SettingRow label={label}>
      <TextField
        label={`Ladder of ${label.toLowerCase()}`}
        value={ladders[axis].join('  ')}
        isNeeded
        faultOf={(text) => {
          const result = parsed(text);
          return result.ok ? null : result.faults[0]!.right;
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
