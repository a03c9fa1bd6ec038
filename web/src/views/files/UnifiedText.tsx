import { Box, chakra } from '@chakra-ui/react';
import { unifiedDifference, type NamedState } from '@sorn/core/files';
import { useMemo } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';

/** The difference of two states as text, as version control has it: what goes and what comes, line by line. */
export function UnifiedText({ before, after }: { before: NamedState; after: NamedState }) {
  const text = useMemo(
    () => unifiedDifference(before, after),
    [before.name, before.profile, after.name, after.profile], // eslint-disable-line react-hooks/exhaustive-deps
  );
  return (
    <Box
      flex="1"
      minH="200px"
      overflow="auto"
      tabIndex={0}
      role="region"
      aria-label="The difference as text"
      data-unified
    >
      {text === '' && (
        <chakra.p fontSize="13px">
          Both say the same. <KeyCap>W</KeyCap> holds it against another one.
        </chakra.p>
      )}
      <chakra.pre fontFamily="mono" fontStretch="88%" fontSize="12px" lineHeight="18px">
        {text.split('\n').map((line, i) => (
          <chakra.span key={i} display="block" minH="18px" {...LOOK[kindOf(line)]}>
            {line}
          </chakra.span>
        ))}
      </chakra.pre>
    </Box>
  );
}

type Kind = 'head' | 'part' | 'comes' | 'goes' | 'stays';

function kindOf(line: string): Kind {
  if (/^(\+\+\+|---) /.test(line)) return 'head';
  if (line.startsWith('@@')) return 'part';
  if (line.startsWith('+')) return 'comes';
  return line.startsWith('-') ? 'goes' : 'stays';
}

const LOOK: Record<Kind, { color?: string; bg?: string; fontWeight?: number }> = {
  head: { fontWeight: 650 },
  part: { color: 'slate' },
  comes: { color: 'petrol', bg: 'petrol.wash' },
  goes: { color: 'vermilion' },
  stays: {},
};
