import { chakra, Flex } from '@chakra-ui/react';
import { LAYOUTS } from '@sorn/core/tiling';
import { LAYOUT_KINDS, NEW_WINDOWS, type LayoutKind } from '@sorn/core/values';
import { Section } from '../../ui/Section.tsx';
import { ChoiceSetting, SettingRow } from '../../ui/SettingRow.tsx';
import type { TilingEdits } from './edits.ts';

const TEXTS = { lead: 'as lead', end: 'at the end', 'after-focused': 'after the focused' } as const;

/** Where a window that opens stands in the order. */
export function NewWindowSettings({ edits }: { edits: TilingEdits }) {
  return (
    <Section title="New windows" note="hand-split divides the focused one">
      <ChoiceSetting
        label="They join"
        name="New windows join"
        caps={['J']}
        origin={edits.originOf('newWindows')}
        onSetBack={edits.setBack('newWindows')}
        value={edits.tiling.newWindows}
        options={NEW_WINDOWS.map((value) => ({ value, text: TEXTS[value] }))}
        onChange={(value) => edits.setPlain('newWindows', value)}
      />
    </Section>
  );
}

/** Which layouts next-layout and previous-layout go round. */
export function CycleSettings({ edits }: { edits: TilingEdits }) {
  const { cycle } = edits.tiling;
  const toggle = (kind: LayoutKind) => {
    const next = LAYOUT_KINDS.filter((other) => cycle.includes(other) !== (other === kind));
    // The last one stays: going round none would mean nothing.
    if (next.length > 0) edits.setPlain('cycle', next);
  };
  return (
    <Section title="Layouts by key" note="next and previous layout in Rehearse">
      <SettingRow
        label="They go round"
        origin={edits.originOf('cycle')}
        onSetBack={edits.setBack('cycle')}
      >
        <span />
      </SettingRow>
      <Flex wrap="wrap" gap="4px" role="group" aria-label="Layouts that keys go round">
        {LAYOUT_KINDS.map((kind) => {
          const isIn = cycle.includes(kind);
          return (
            <chakra.button
              key={kind}
              type="button"
              role="checkbox"
              aria-checked={isIn}
              border="1px solid"
              borderColor={isIn ? 'ink' : 'hairline'}
              bg={isIn ? 'ink' : 'transparent'}
              color={isIn ? 'sheet' : 'slate'}
              px="7px"
              fontSize="12px"
              fontStretch="92%"
              lineHeight="22px"
              cursor="pointer"
              onClick={() => toggle(kind)}
            >
              {LAYOUTS[kind].title}
            </chakra.button>
          );
        })}
      </Flex>
    </Section>
  );
}
