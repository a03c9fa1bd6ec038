import { chakra } from '@chakra-ui/react';
import type { ZoneBoard, ZoneBoardShape } from '@sorn/core/model';
import { zoneBoardName } from '@sorn/core/tiling';
import { Figure } from '../../ui/Figure.tsx';
import { Section } from '../../ui/Section.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { Select } from '../../ui/Select.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import type { ZoneEdits } from './edits.ts';

/** What the selected board is called, and for which shape of work area it is. */
export function ZoneBoardSettings({ board, edits }: { board: ZoneBoard; edits: ZoneEdits }) {
  const monitors = useProfileStore((state) => state.profile.monitors);
  const shape = board.for;
  const set = (patch: Partial<Record<keyof ZoneBoardShape, unknown>>) => {
    const next = { ...shape, ...patch };
    const said = Object.entries(next).filter(([, value]) => value !== undefined);
    edits.setShape(Object.fromEntries(said) as ZoneBoardShape);
  };
  const turned = shape.turned === undefined ? 'any' : shape.turned ? 'high' : 'wide';
  return (
    <Section title="Board" note="and the monitors it is for">
      <SettingRow label="Name">
        <TextField
          label="Name of the board"
          value={zoneBoardName(board)}
          isNeeded
          onChange={edits.setName}
        />
      </SettingRow>
      <SettingRow
        label="Aspect at least"
        onSetBack={
          shape.leastAspect === undefined ? undefined : () => set({ leastAspect: undefined })
        }
      >
        <Figure
          label="Least aspect of the work area"
          value={shape.leastAspect ?? 0}
          least={0}
          most={20}
          step={0.1}
          decimals={2}
          onChange={(aspect) => set({ leastAspect: aspect < 0.05 ? undefined : aspect })}
        />
      </SettingRow>
      <SettingRow
        label="Width at least"
        onSetBack={
          shape.leastWidth === undefined ? undefined : () => set({ leastWidth: undefined })
        }
      >
        <Figure
          label="Least width of the work area"
          value={shape.leastWidth ?? 0}
          least={0}
          most={10_000}
          step={10}
          unit="px"
          onChange={(width) => set({ leastWidth: width === 0 ? undefined : Math.round(width) })}
        />
      </SettingRow>
      <SettingRow label="Shape">
        <span />
      </SettingRow>
      <Choice
        label="Shape of the work area"
        value={turned}
        options={[
          { value: 'any', text: 'any' },
          { value: 'wide', text: 'wide' },
          { value: 'high', text: 'turned: high' },
        ]}
        onChange={(value) => set({ turned: value === 'any' ? undefined : value === 'high' })}
      />
      <SettingRow label="Monitor">
        <Select
          label="Monitor the board is for"
          value={shape.monitor ?? ''}
          options={[
            { value: '', text: 'any' },
            ...monitors.map(({ id, name = id }) => ({ value: id, text: name })),
            ...(shape.monitor !== undefined && !monitors.some(({ id }) => id === shape.monitor)
              ? [{ value: shape.monitor, text: shape.monitor }]
              : []),
          ]}
          onChange={(monitor) => set({ monitor: monitor === '' ? undefined : monitor })}
        />
      </SettingRow>
      <chakra.p fontSize="12px" color="slate">
        Figures are of the work area; 0 asks for nothing.
      </chakra.p>
    </Section>
  );
}
