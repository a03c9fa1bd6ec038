import { Box, chakra } from '@chakra-ui/react';
import { useId, useRef, useState, type KeyboardEvent, type Ref } from 'react';

import { FieldFault } from './FieldFault.tsx';

export interface FigureProps {
  label: string;
  value: number;
  least: number;
  most: number;
  /** How much an arrow key changes it; ten times as much with Shift. */
  step: number;
  unit?: string;
  decimals?: number;
  /** Makes a value of what was typed; null when it is none. The plain number when left out. */
  read?: (typed: number) => number | null;
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
  const faultId = useId();
  const shown = String(Number(value.toFixed(decimals)));
  const fault = typed === null ? null : faultOf(typed);

  function faultOf(text: string): string | null {
    const number = Number(text.replace(',', '.'));
    const read = text.trim() === '' || Number.isNaN(number) ? null : (props.read ?? same)(number);
    return read === null || read < least || read > most ? `from ${least} to ${most}` : null;
  }

  function take() {
    const text = typed;
    setTyped(null);
    if (text === null || dropping.current || faultOf(text) !== null) return;
    const next = (props.read ?? same)(Number(text.replace(',', '.')));
    if (next !== null && next !== value) props.onChange(next);
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
      props.onChange(Math.min(most, Math.max(least, Number((value + by).toFixed(6)))));
    }
  }

  return (
    <Box position="relative" display="inline-flex" alignItems="baseline" gap="4px">
      <Input
        ref={props.inputRef}
        aria-label={props.label}
        aria-invalid={fault !== null}
        aria-describedby={fault === null ? undefined : faultId}
        inputMode="decimal"
        autoComplete="off"
        width={`${props.room ?? 6}ch`}
        color={props.marked ? 'vermilion' : 'ink'}
        value={typed ?? shown}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={onKeyDown}
      />
      {unit !== undefined && (
        <chakra.span fontFamily="mono" fontSize="11px" fontStretch="88%" color="slate">
          {unit}
        </chakra.span>
      )}
      {fault !== null && <FieldFault id={faultId}>{fault}</FieldFault>}
    </Box>
  );
}

const same = (value: number) => value;
