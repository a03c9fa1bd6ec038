import { chakra } from '@chakra-ui/react';
import { SIDES } from '@sorn/core';
import { Figure } from '../../app/Figure.tsx';
import { Section } from '../../app/Section.tsx';
import { Choice, SettingRow, SettingSlider } from '../../app/SettingRow.tsx';
import type { TilingEdits } from './edits.ts';

/** Share, count and side of the lead; says so where the layout has none. */
export function LeadSettings({ edits }: { edits: TilingEdits }) {
  const { layout } = edits.tiling;
  if (layout.kind !== 'lead') {
    return (
      <Section title="Lead">
        <chakra.p fontSize="13px" color="slate">
          In Columns the first window is the lead. It has no share or side of its own: all columns
          are alike, and grow by key in Rehearse.
        </chakra.p>
      </Section>
    );
  }
  return (
    <Section title="Lead">
      <SettingRow
        label="Share"
        caps={['[', ']']}
        origin={edits.originOf('leadShare')}
        onSetBack={edits.setBack('leadShare')}
      >
        <Figure
          label="Lead share"
          value={layout.leadShare}
          least={0}
          most={1}
          step={0.01}
          decimals={4}
          onChange={(share) => edits.setLayout('leadShare', share)}
        />
      </SettingRow>
      <SettingSlider
        label="Lead share"
        value={layout.leadShare}
        least={0.05}
        most={0.95}
        step={0.01}
        onChange={(share) => edits.setLayout('leadShare', share)}
      />
      <SettingRow
        label="Count"
        caps={[';', "'"]}
        origin={edits.originOf('leadCount')}
        onSetBack={edits.setBack('leadCount')}
      >
        <Figure
          label="Lead count"
          value={layout.leadCount}
          least={1}
          most={1000}
          step={1}
          onChange={(count) => edits.setLayout('leadCount', Math.round(count))}
        />
      </SettingRow>
      <SettingRow
        label="Side"
        caps={['T']}
        origin={edits.originOf('side')}
        onSetBack={edits.setBack('side')}
      >
        <span />
      </SettingRow>
      <Choice
        label="Side of the lead"
        value={layout.side}
        options={SIDES.map((value) => ({ value, text: value }))}
        onChange={(side) => edits.setLayout('side', side)}
      />
    </Section>
  );
}
