import { chakra, Flex } from '@chakra-ui/react';
import { readLength, type LengthScale } from '@sorn/core/values';
import type { RefObject } from 'react';
import { Figure } from '../../ui/Figure.tsx';
import { Section } from '../../ui/Section.tsx';
import { SettingRow, SettingSlider } from '../../ui/SettingRow.tsx';
import type { TilingEdits } from './edits.ts';

const SLIDER_MOST = 60;
const EDGES = ['top', 'right', 'bottom', 'left'] as const;
const AXES = [
  { axis: 'x', name: 'across' },
  { axis: 'y', name: 'down' },
] as const;

/** Inner and outer gap, and whether a lone window has any. */
export function GapSettings(props: {
  edits: TilingEdits;
  scale: LengthScale;
  innerGap: RefObject<HTMLInputElement | null>;
  outerGap: RefObject<HTMLInputElement | null>;
}) {
  const { edits } = props;
  const { gaps } = edits.tiling;
  const alone = gaps.dropWhenAlone;
  return (
    <Section title="Gaps" note="in logical pixels">
      <Gap
        label="Inner"
        cap="G"
        value={gaps.inner.x}
        sides={AXES.map(({ axis, name }) => ({
          name,
          value: gaps.inner[axis],
          onChange: (value) => edits.setGap('inner', { ...gaps.inner, [axis]: value }),
        }))}
        origin={edits.originOf('inner')}
        onSetBack={edits.setBack('inner')}
        scale={props.scale}
        inputRef={props.innerGap}
        onChange={(value) => edits.setGap('inner', value)}
      />
      <Gap
        label="Outer"
        cap="O"
        value={gaps.outer.top}
        sides={EDGES.map((edge) => ({
          name: edge,
          value: gaps.outer[edge],
          onChange: (value) => edits.setGap('outer', { ...gaps.outer, [edge]: value }),
        }))}
        origin={edits.originOf('outer')}
        onSetBack={edits.setBack('outer')}
        scale={props.scale}
        inputRef={props.outerGap}
        onChange={(value) => edits.setGap('outer', value)}
      />
      <SettingRow
        label="None when alone"
        caps={['A']}
        origin={edits.originOf('dropWhenAlone')}
        onSetBack={edits.setBack('dropWhenAlone')}
      >
        <chakra.button
          type="button"
          role="switch"
          aria-checked={alone}
          aria-label="No gaps when a window is alone"
          fontFamily="mono"
          fontSize="12px"
          fontStretch="88%"
          fontWeight={600}
          width="6ch"
          textAlign="right"
          borderBottom="1px dashed"
          borderColor="slate"
          lineHeight="20px"
          cursor="pointer"
          onClick={() => edits.setGap('dropWhenAlone', !alone)}
        >
          {alone ? 'on' : 'off'}
        </chakra.button>
      </SettingRow>
    </Section>
  );
}

function Gap(props: {
  label: string;
  cap: string;
  value: number;
  /** The same side by side; an edit of the one figure above makes them alike. */
  sides: readonly { name: string; value: number; onChange: (value: number) => void }[];
  origin: string;
  onSetBack: (() => void) | undefined;
  scale: LengthScale;
  inputRef: RefObject<HTMLInputElement | null>;
  onChange: (value: number) => void;
}) {
  const { label, value, onChange } = props;
  return (
    <>
      <SettingRow
        label={label}
        caps={[props.cap]}
        origin={props.origin}
        onSetBack={props.onSetBack}
      >
        <Figure
          label={`${label} gap`}
          value={value}
          least={0}
          most={10_000}
          step={1}
          decimals={2}
          unit="px"
          read={(typed) => readLength(typed, props.scale)}
          inputRef={props.inputRef}
          onChange={onChange}
        />
      </SettingRow>
      <SettingSlider
        label={`${label} gap`}
        value={value}
        least={0}
        most={SLIDER_MOST}
        step={1}
        onChange={onChange}
      />
      <Flex justify="space-between" mb="8px">
        {props.sides.map(({ name, value: side, onChange: onSide }) => (
          <Flex key={name} align="center" gap="5px" fontSize="12px" color="slate">
            {name}
            <chakra.span color="ink">
              <Figure
                label={`${label} gap, ${name}`}
                value={side}
                least={0}
                most={10_000}
                step={1}
                decimals={2}
                room={3}
                read={(typed) => readLength(typed, props.scale)}
                onChange={onSide}
              />
            </chakra.span>
          </Flex>
        ))}
      </Flex>
    </>
  );
}
