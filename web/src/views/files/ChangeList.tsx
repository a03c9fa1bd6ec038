import { chakra } from '@chakra-ui/react';

const MOST = 60;

/** Changes in words, a line each. */
export function ChangeList({ label, changes }: { label: string; changes: readonly string[] }) {
  if (changes.length === 0) {
    return (
      <chakra.p fontSize="12.5px" color="slate">
        Nothing.
      </chakra.p>
    );
  }
  return (
    <chakra.ul aria-label={label} fontSize="12.5px" maxH="220px" overflowY="auto" tabIndex={0}>
      {changes.slice(0, MOST).map((change, i) => (
        <chakra.li
          key={`${change} ${i}`}
          listStyleType="none"
          py="2px"
          borderBottom="1px solid"
          borderColor="hairline"
          overflowWrap="anywhere"
        >
          {change}
        </chakra.li>
      ))}
      {changes.length > MOST && (
        <chakra.li listStyleType="none" py="2px" color="slate">
          and {changes.length - MOST} more
        </chakra.li>
      )}
    </chakra.ul>
  );
}
