import { Box, chakra } from '@chakra-ui/react';
import type { QuantityReading } from '@sorn/core/values';
import { useId, useRef, useState, type KeyboardEvent, type Ref } from 'react';

import { FieldFault, FieldNote } from './FieldFault.tsx';
import { useTypedPreview } from './typed-preview.ts';

export interface FigureProps {
  label: string;
  value: number;
  least: number;
  most: number;
  /** How much an arrow key changes it; ten times as much with Shift. */
  step: number;
  unit?: string;
  decimals?: number;
  /** Makes a value of what was typed, and says what it understood. A plain number when left out. */
  read?: (typed: string) => QuantityReading;
  /** What is said of a value that is too small or too large; the least and the most when left out. */
  range?: string;
  /** Nothing shows before it is taken: the figure of a form that is applied later. */
  isForLater?: boolean;
  onChange: (value: number) => void;
  inputRef?: Ref<HTMLInputElement>;
  /** Characters of room. */
  room?: number;
  marked?: boolean;
}

const Input = chakra('input', {
  base: {
    fontFamily: 'mono',
    fontSize: '12px',
    fontStretch: '88%',
    fontWeight: 600,
    textAlign: 'right',
    bg: 'transparent',
    color: 'inherit',
    border: 'none',
    borderBottom: '1px dashed',
    borderColor: 'slate',
    borderRadius: 0,
    lineHeight: '20px',
    p: 0,
    _focusVisible: { outline: '2px solid', outlineColor: 'vermilion', outlineOffset: '2px' },
    _invalid: { color: 'vermilion', borderColor: 'vermilion' },
  },
});

/** A figure that can be typed over: Enter or leaving takes it, Escape puts it back, arrows step it. */
export function Figure(props: FigureProps) {
  const { value, least, most, step, unit, decimals = 0 } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const dropping = useRef(false);
  /** The value before anything was typed. */
  const start = useRef(value);
  const noteId = useId();
  const preview = useTypedPreview(props.isForLater === true ? null : props.onChange);
  const shown = String(Number(value.toFixed(decimals)));
  const reading = typed === null ? null : read(typed);
  const fault = reading && 'expected' in reading ? reading.expected : null;

  function read(text: string): QuantityReading {
    const reading = (props.read ?? readNumber)(text);
    const range = `from ${least} to ${most}`;
    if ('expected' in reading) return props.read ? reading : { expected: range };
    const isInRange = reading.value >= least && reading.value <= most;
    return isInRange ? reading : { expected: props.range ?? range };
  }

  function type(text: string) {
    if (typed === null) start.current = value;
    setTyped(text);
    const next = read(text);
    preview.show('value' in next && next.value !== start.current ? next.value : null);
  }

  function take() {
    const text = typed;
    setTyped(null);
    const next = text === null || dropping.current ? null : read(text);
    const isTaken = next !== null && 'value' in next;
    const isShown = preview.end(!isTaken);
    if (isTaken && !isShown && next.value !== start.current) props.onChange(next.value);
  }

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>) {
    if (event.key === 'Enter') {
      if (fault !== null) return;
      // Page keys work again at once; in a panel the next field is a Tab away.
      if (event.currentTarget.closest('[role=dialog]')) {
        take();
        event.currentTarget.select();
      } else event.currentTarget.blur();
    } else if (event.key === 'Escape') {
      dropping.current = true;
      event.currentTarget.blur();
      dropping.current = false;
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      const by = step * (event.shiftKey ? 10 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
      setTyped(null);
      preview.end(false);
      props.onChange(Math.min(most, Math.max(least, Number((value + by).toFixed(6)))));
    }
  }

  return (
    <Box position="relative" display="inline-flex" alignItems="baseline" gap="4px">
      <Input
        ref={props.inputRef}
        aria-label={props.label}
        aria-invalid={fault !== null}
        aria-describedby={reading === null ? undefined : noteId}
        inputMode="decimal"
        autoComplete="off"
        width={`${props.room ?? 6}ch`}
        color={props.marked ? 'vermilion' : 'ink'}
        value={typed ?? shown}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => type(event.target.value)}
        onBlur={take}
        onKeyDown={onKeyDown}
      />
      {unit !== undefined && (
        <chakra.span fontFamily="mono" fontSize="11px" fontStretch="88%" color="slate">
          {unit}
        </chakra.span>
      )}
      {fault !== null && <FieldFault id={noteId}>{fault}</FieldFault>}
      {reading && 'value' in reading && props.read && (
        <FieldNote id={noteId}>{reading.says}</FieldNote>
      )}
    </Box>
  );
}

function readNumber(text: string): QuantityReading {
  const number = Number(text.replace(',', '.'));
  const isNumber = text.trim() !== '' && !Number.isNaN(number);
  return isNumber ? { value: number, says: text } : { expected: 'expected a number' };
}
