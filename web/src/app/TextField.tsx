import { chakra } from '@chakra-ui/react';
import { useState } from 'react';

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

/** A text that can be typed over: Enter or leaving takes it, Escape puts it back. */
export function TextField(props: {
  label: string;
  value: string;
  /** An empty text is put back. */
  isNeeded?: boolean;
  placeholder?: string;
  onChange: (value: string) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const take = () => {
    const text = typed?.trim();
    setTyped(null);
    if (text === undefined || text === props.value || (props.isNeeded && text === '')) return;
    props.onChange(text);
  };
  return (
    <Input
      aria-label={props.label}
      autoComplete="off"
      maxLength={400}
      placeholder={props.placeholder}
      value={typed ?? props.value}
      onFocus={(event) => event.currentTarget.select()}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          setTyped(null);
          // The blur that follows must find nothing typed.
          const field = event.currentTarget;
          setTimeout(() => field.blur());
        } else if (event.key === 'Enter') event.currentTarget.blur();
      }}
    />
  );
}
