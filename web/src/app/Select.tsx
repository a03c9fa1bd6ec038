import { chakra } from '@chakra-ui/react';

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
  onChange: (value: string) => void;
}) {
  return (
    <Native
      aria-label={props.label}
      value={props.value}
      onChange={(event) => props.onChange(event.target.value)}
    >
      {props.options.map(({ value, text }) => (
        <option key={value} value={value}>
          {text}
        </option>
      ))}
    </Native>
  );
}
