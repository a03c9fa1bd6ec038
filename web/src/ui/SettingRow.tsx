import { Box, chakra, Flex, Slider } from '@chakra-ui/react';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { useScreen } from './screen.ts';
import { KeyCap } from './KeyCap.tsx';

/** One setting: its name and keys, where its value comes from, and the value. */
export function SettingRow(props: {
  label: string;
  caps?: readonly string[];
  /** Where the value comes from. */
  origin?: string;
  /** Lets a farther place decide again; left out where nothing is set. */
  onSetBack?: (() => void) | undefined;
  children: ReactNode;
}) {
  return (
    <Flex align="center" minH="28px" gap="8px">
      <chakra.span fontSize="13px" flexShrink="0">
        {props.label}
      </chakra.span>
      <Flex gap="3px">
        {props.caps?.map((cap) => (
          <KeyCap key={cap}>{cap}</KeyCap>
        ))}
      </Flex>
      <Box flex="1" />
      {props.origin !== undefined && (
        <chakra.span color="slate" fontSize="12px" fontStretch="90%" whiteSpace="nowrap">
          {props.origin}
        </chakra.span>
      )}
      {props.onSetBack && <SetBack label={props.label} onSetBack={props.onSetBack} />}
      {props.children}
    </Flex>
  );
}

function SetBack(props: { label: string; onSetBack: () => void }) {
  return (
    <chakra.button
      type="button"
      aria-label={`Set ${props.label.toLowerCase()} back`}
      title="Set back"
      color="slate"
      p="2px"
      cursor="pointer"
      _hover={{ color: 'vermilion' }}
      onClick={props.onSetBack}
    >
      <X size={12} aria-hidden />
    </chakra.button>
  );
}

/** A slider under a setting, a hairline with a solid block on it. */
export function SettingSlider(props: {
  label: string;
  value: number;
  least: number;
  most: number;
  step: number;
  onChange: (value: number) => void;
}) {
  const { least, most, step } = props;
  const labels = [props.label];
  return (
    <Slider.Root
      aria-label={labels}
      min={least}
      max={most}
      step={step}
      value={[Math.min(most, Math.max(least, props.value))]}
      onValueChange={({ value }) => {
        const next = value[0];
        if (next !== undefined) props.onChange(Number(next.toFixed(6)));
      }}
      size="sm"
      mb="6px"
    >
      <Slider.Control minH="14px" cursor="pointer">
        <Slider.Track height="1px" bg="slate" overflow="visible" borderRadius="0">
          <Slider.Range bg="petrol" height="3px" mt="-1px" borderRadius="0" />
        </Slider.Track>
        <Slider.Thumb
          index={0}
          boxSize="auto"
          width="6px"
          height="13px"
          bg="ink"
          border="none"
          borderRadius="0"
          boxShadow="none"
          _focusVisible={{ outline: '2px solid', outlineColor: 'vermilion', outlineOffset: '2px' }}
        >
          <Slider.HiddenInput />
        </Slider.Thumb>
      </Slider.Control>
    </Slider.Root>
  );
}

/** A choice among a few words, as a row of cells; arrow keys move along it. */
export function Choice<T extends string>(props: {
  label: string;
  value: T;
  /** `cap`: the key that chooses it. */
  options: readonly { value: T; text: string; cap?: string }[];
  onChange: (value: T) => void;
}) {
  const isNarrow = useScreen((screen) => screen.isNarrow);
  return (
    <Flex
      role="radiogroup"
      aria-label={props.label}
      border="1px solid"
      borderColor="hairline"
      wrap={isNarrow ? 'wrap' : 'nowrap'}
    >
      {props.options.map(({ value, text, cap }, i) => {
        const isChosen = value === props.value;
        return (
          <chakra.button
            key={value}
            type="button"
            role="radio"
            aria-checked={isChosen}
            aria-keyshortcuts={cap?.toLowerCase()}
            tabIndex={isChosen ? 0 : -1}
            flex="1"
            px="8px"
            py="3px"
            fontSize="12px"
            fontStretch="92%"
            cursor="pointer"
            whiteSpace="nowrap"
            borderLeft={i > 0 ? '1px solid' : 'none'}
            borderColor="hairline"
            bg={isChosen ? 'ink' : 'transparent'}
            color={isChosen ? 'sheet' : 'ink'}
            onClick={() => props.onChange(value)}
            onKeyDown={(event) => {
              const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
              if (by === undefined) return;
              event.preventDefault();
              const count = props.options.length;
              const next = props.options[(i + by + count) % count]!;
              props.onChange(next.value);
              const cells = event.currentTarget.parentElement!.children;
              (cells[(i + by + count) % count] as HTMLElement).focus();
            }}
          >
            {text}
            {cap !== undefined && (
              <chakra.span
                fontFamily="mono"
                fontSize="11px"
                ml="5px"
                opacity={isChosen ? 1 : 0.75}
                aria-hidden
              >
                {cap}
              </chakra.span>
            )}
          </chakra.button>
        );
      })}
    </Flex>
  );
}

/** A setting that is on or off, in one row. */
export function OnOff(props: {
  label: string;
  caps?: readonly string[];
  value: boolean;
  onChange: (value: boolean) => void;
}) {
  return (
    <SettingRow label={props.label} {...(props.caps && { caps: props.caps })}>
      <Choice
        label={props.label}
        value={props.value ? 'on' : 'off'}
        options={[
          { value: 'on', text: 'on' },
          { value: 'off', text: 'off' },
        ]}
        onChange={(value) => props.onChange(value === 'on')}
      />
    </SettingRow>
  );
}

/** A setting that is one of a few words: its row, and the words beneath. */
export function ChoiceSetting<T extends string>(props: {
  /** In the row; `name` is what the choice is called where it stands alone. */
  label: string;
  name?: string;
  caps?: readonly string[];
  origin: string;
  onSetBack: (() => void) | undefined;
  value: T;
  options: readonly { value: T; text: string }[];
  onChange: (value: T) => void;
}) {
  return (
    <>
      <SettingRow
        label={props.label}
        {...(props.caps && { caps: props.caps })}
        origin={props.origin}
        onSetBack={props.onSetBack}
      >
        <span />
      </SettingRow>
      <Choice
        label={props.name ?? props.label}
        value={props.value}
        options={props.options}
        onChange={props.onChange}
      />
    </>
  );
}
