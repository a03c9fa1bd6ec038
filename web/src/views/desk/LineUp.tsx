import { chakra, Flex } from '@chakra-ui/react';
import {
  ANCHORS,
  besideMonitor,
  linedUp,
  offsetMm,
  sideAxis,
  type Anchor,
  type DeskMonitor,
} from '@sorn/core/desk';
import { useState, type Ref } from 'react';
import { Figure } from '../../ui/Figure.tsx';
import { Section } from '../../ui/Section.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { Select } from '../../ui/Select.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import type { DeskEdits } from './edits.ts';

const WORDS = {
  x: { start: 'left edges', middle: 'middles', end: 'right edges' },
  y: { start: 'upper edges', middle: 'middles', end: 'lower edges' },
};

/** Aligns the selected monitor with another by their real sizes, in millimetres measured on the table. */
export function LineUp(props: {
  monitor: DeskMonitor;
  edits: DeskEdits;
  mmInput: Ref<HTMLInputElement>;
}) {
  const { monitor, edits } = props;
  const monitors = useProfileStore((state) => state.profile.monitors);
  const [anchor, setAnchor] = useState<Anchor>('start');
  const [chosen, setChosen] = useState<string | null>(null);
  const others = edits.monitors.filter(({ id }) => id !== monitor.id);
  const other =
    others.find(({ id }) => id === chosen) ?? besideMonitor(monitor, edits.monitors) ?? others[0];
  if (!other) return null;
  const { millimetres } = monitors.find(({ id }) => id === other.id)!;
  const words = WORDS[sideAxis(monitor, other)];
  return (
    <Section title="Align by real size">
      <Flex direction="column" gap="4px">
        <SettingRow label="With">
          <Select
            label="Align with"
            value={other.id}
            options={others.map(({ id, name }) => ({ value: id, text: name }))}
            onChange={setChosen}
          />
        </SettingRow>
        <Choice
          label="What is aligned"
          value={anchor}
          options={ANCHORS.map((value) => ({ value, text: words[value] }))}
          onChange={setAnchor}
        />
        {millimetres ? (
          <SettingRow label="Offset, in mm" caps={['L']}>
            <Figure
              label="Off in millimetres"
              value={offsetMm(monitor, other, millimetres, anchor)}
              least={-10_000}
              most={10_000}
              step={1}
              decimals={1}
              unit="mm"
              inputRef={props.mmInput}
              onChange={(mm) =>
                edits.setEntry(monitor.id, linedUp(monitor, other, millimetres, anchor, mm), 'mm')
              }
            />
          </SettingRow>
        ) : (
          <chakra.p fontSize="12px" color="slate">
            The millimetres of {other.name} are not known: choose it on the sheet and type them.
          </chakra.p>
        )}
      </Flex>
    </Section>
  );
}
