import { Box, chakra } from '@chakra-ui/react';
import { useId, useState, type Ref } from 'react';
import { FieldFault } from './FieldFault.tsx';

const Input = chakra('input', {
  base: {
    fontSize: '13px',
    bg: 'transparent',
    border: 'none',
    borderBottom: '1px dashed',
    borderColor: 'slate',
    borderRadius: 0,
    lineHeight: '20px',
    p: 0,
    minW: 0,
    width: '100%',
    _focusVisible: { outline: '2px solid', outlineColor: 'vermilion', outlineOffset: '2px' },
  },
});

const FIGURE = {
  fontFamily: 'mono',
  fontSize: '12px',
  fontStretch: '88%',
  fontWeight: 600,
  textAlign: 'right',
} as const;

/** A text that can be typed over: Enter or leaving takes it, Escape puts it back. */
export function TextField(props: {
  label: string;
  value: string;
  /** An empty text is put back. */
  isNeeded?: boolean;
  /** Figures: in their letters, at the right. */
  isFigure?: boolean;
  placeholder?: string;
  /** Characters that it takes at most. */
  most?: number;
  /** Texts that are offered while it is typed in; any other can be typed, too. */
  offered?: readonly string[];
  /** Why a text cannot be taken; null where it can. */
  faultOf?: (text: string) => string | null;
  inputRef?: Ref<HTMLInputElement>;
  onChange: (value: string) => void;
}) {
  const { label, value, isNeeded, placeholder, faultOf, inputRef, onChange } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const faultId = useId();
  const listId = useId();
  const fault = typed === null ? null : (faultOf?.(typed.trim()) ?? null);
  const take = () => {
    const text = typed?.trim();
    setTyped(null);
    if (text === undefined || text === value || (isNeeded && text === '')) return;
    if (fault === null) onChange(text);
  };
  return (
    <Box position="relative" width="100%">
      {fault !== null && <FieldFault id={faultId}>{fault}</FieldFault>}
      <Input
        ref={inputRef}
        aria-invalid={fault !== null}
        aria-describedby={fault === null ? undefined : faultId}
        aria-label={label}
        autoComplete="off"
        list={props.offered && listId}
        maxLength={props.most ?? 400}
        placeholder={placeholder}
        {...(props.isFigure === true && FIGURE)}
        value={typed ?? value}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Escape') {
            setTyped(null);
            // The blur that follows must find nothing typed.
            const field = event.currentTarget;
            setTimeout(() => field.blur());
          } else if (event.key === 'Enter' && fault === null) event.currentTarget.blur();
        }}
      />
      {props.offered && (
        <datalist id={listId}>
          {props.offered.map((text) => (
            <option key={text} value={text} />
          ))}
        </datalist>
      )}
    </Box>
  );
}
