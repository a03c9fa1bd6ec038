import { chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Figure } from '../../app/Figure.tsx';
import { ChoiceSetting, SettingRow, SettingSlider } from '../../app/SettingRow.tsx';
import type { TilingEdits } from './edits.ts';

type Field = Parameters<TilingEdits['setLayout']>[0];

/** A line of help. */
export function Note({ children }: { children: ReactNode }) {
  return (
    <chakra.p fontSize="12px" color="slate">
      {children}
    </chakra.p>
  );
}

/** A length in logical pixels. */
export function Length(props: {
  edits: TilingEdits;
  label: string;
  name: string;
  field: Field;
  value: number;
  least: number;
}) {
  const { edits, field } = props;
  return (
    <SettingRow label={props.label} origin={edits.originOf(field)} onSetBack={edits.setBack(field)}>
      <Figure
        label={props.name}
        value={props.value}
        least={props.least}
        most={10_000}
        step={1}
        decimals={2}
        unit="px"
        onChange={(length) => edits.setLayout(field, length)}
      />
    </SettingRow>
  );
}

/** A share, as a figure and on a slider. */
export function Share(props: {
  edits: TilingEdits;
  label: string;
  field: Field;
  value: number;
  caps: readonly string[];
}) {
  const { edits, field, value } = props;
  const name =
    field === 'leadShare'
      ? 'Lead share'
      : edits.tiling.layout.kind === 'cascade'
        ? 'Share of the area'
        : 'Share of what is left';
  return (
    <>
      <SettingRow
        label={props.label}
        caps={props.caps}
        origin={edits.originOf(field)}
        onSetBack={edits.setBack(field)}
      >
        <Figure
          label={name}
          value={value}
          least={0}
          most={1}
          step={0.01}
          decimals={4}
          onChange={(share) => edits.setLayout(field, share)}
        />
      </SettingRow>
      <SettingSlider
        label={name}
        value={value}
        least={0.05}
        most={0.95}
        step={0.01}
        onChange={(share) => edits.setLayout(field, share)}
      />
    </>
  );
}

/** The lead count. */
export function Count({ edits, value }: { edits: TilingEdits; value: number }) {
  return (
    <SettingRow
      label="Count"
      caps={[';', "'"]}
      origin={edits.originOf('leadCount')}
      onSetBack={edits.setBack('leadCount')}
    >
      <Figure
        label="Lead count"
        value={value}
        least={1}
        most={1000}
        step={1}
        onChange={(count) => edits.setLayout('leadCount', Math.round(count))}
      />
    </SettingRow>
  );
}

/** One of a few words. */
export function Words<T extends string>(props: {
  edits: TilingEdits;
  label: string;
  field: Field;
  value: T;
  words: readonly T[];
  caps?: readonly string[];
}) {
  const { edits, field } = props;
  return (
    <ChoiceSetting
      label={props.label}
      {...(props.caps && { caps: props.caps })}
      origin={edits.originOf(field)}
      onSetBack={edits.setBack(field)}
      value={props.value}
      options={props.words.map((value) => ({ value, text: value }))}
      onChange={(word) => edits.setLayout(field, word)}
    />
  );
}
