import { chakra } from '@chakra-ui/react';
import type { Ref } from 'react';

const Native = chakra('select', {
  base: {
    fontSize: '12px',
    fontStretch: '92%',
    bg: 'sheet',
    color: 'ink',
    border: '1px solid',
    borderColor: 'hairline',
    borderRadius: 'edge',
    height: '24px',
    px: '4px',
    maxW: '180px',
    cursor: 'pointer',
  },
});

/** A choice among names too many for a row of cells. */
export function Select(props: {
  label: string;
  value: string;
  options: readonly { value: string; text: string }[];
  id?: string;
  selectRef?: Ref<HTMLSelectElement>;
  onChange: (value: string) => void;
}) {
  const { label, value: chosen, options, id, selectRef, onChange } = props;
  return (
    <Native
      ref={selectRef}
      id={id}
      aria-label={label}
      value={chosen}
      onChange={(event) => onChange(event.target.value)}
      onKeyDown={(event) => {
        // Page keys work again at once.
        if (event.key === 'Escape' || event.key === 'Enter') event.currentTarget.blur();
      }}
    >
      {options.map(({ value, text }) => (
        <option key={value} value={value}>
          {text}
        </option>
      ))}
    </Native>
  );
}
