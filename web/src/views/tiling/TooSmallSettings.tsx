import { chakra } from '@chakra-ui/react';
import { TOO_SMALL, type TooSmall } from '@sorn/core/model';
import { Section } from '../../ui/Section.tsx';
import { ChoiceSetting } from '../../ui/SettingRow.tsx';
import type { TilingEdits } from './edits.ts';

const MEANINGS: Record<TooSmall, string> = {
  squeeze: 'All keep a tile; those under their minimum are findings.',
  float: 'The window opened last floats until the rest fits.',
  stack: 'The window opened last lies beneath the last tile until the rest fits.',
};

/** What becomes of windows when their minimums cannot all be met. */
export function TooSmallSettings({ edits }: { edits: TilingEdits }) {
  const { whenTooSmall } = edits.tiling;
  return (
    <Section title="When too small" note="minimums that do not fit">
      <ChoiceSetting
        label="What gives way"
        name="When too small"
        caps={['V']}
        origin={edits.originOf('whenTooSmall')}
        onSetBack={edits.setBack('whenTooSmall')}
        value={whenTooSmall}
        options={TOO_SMALL.map((value) => ({ value, text: value }))}
        onChange={(value) => edits.setPlain('whenTooSmall', value)}
      />
      <chakra.p fontSize="12px" color="slate" mt="6px">
        {MEANINGS[whenTooSmall]}
      </chakra.p>
    </Section>
  );
}
