import { countText } from '@sorn/core/values';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { quickFixesFor, type KeyFinding } from '@sorn/core/checkup';
import type { Profile } from '@sorn/core/model';
import { memo, useMemo } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';

/** The keys that take the first quick fixes of a finding. */
const MEND_CAPS = [['M'], ['Shift', 'M']];

/** What was found about the keys; of the selected finding, its quick fixes. */
export const Checkup = memo(function Checkup(props: {
  profile: Profile;
  findings: readonly KeyFinding[];
  at: number;
  onFinding: (at: number) => void;
  onFix: (profile: Profile) => void;
}) {
  const { profile, findings, at } = props;
  const selected = findings[at];
  const quickFixes = useMemo(
    () => (selected ? quickFixesFor(profile, selected) : []),
    [profile, selected],
  );
  return (
    <Section title="Checkup" note={countText(findings.length, 'finding')}>
      {findings.length === 0 && (
        <chakra.p fontSize="13px" color="slate">
          No keys are in each other’s way, and every way there has a way back.
        </chakra.p>
      )}
      <chakra.ol>
        {findings.map((finding, i) => {
          const isSelected = i === at;
          return (
            <chakra.li
              key={`${finding.kind} ${finding.title} ${i}`}
              listStyleType="none"
              py="6px"
              borderBottom="1px solid"
              borderColor="hairline"
              data-key-finding={finding.kind}
              data-selected={isSelected}
            >
              <Flex align="center" gap="6px">
                <chakra.button
                  type="button"
                  aria-pressed={isSelected}
                  flex="1"
                  textAlign="left"
                  cursor="pointer"
                  fontSize="13px"
                  fontWeight={650}
                  color={isSelected ? 'vermilion' : 'ink'}
                  onClick={() => props.onFinding(i)}
                >
                  {finding.title}
                </chakra.button>
                {isSelected && findings.length > 1 && <KeyCap>E</KeyCap>}
              </Flex>
              {isSelected && (
                <Box
                  fontSize="12.5px"
                  css={{ '& button': { whiteSpace: 'normal', textAlign: 'left' } }}
                >
                  <chakra.p color="slate">{finding.text}</chakra.p>
                  {quickFixes.map((quickFix, n) => (
                    <Flex key={quickFix.says} gap="6px" align="center" minH="24px">
                      {MEND_CAPS[n]?.map((cap) => (
                        <KeyCap key={cap}>{cap}</KeyCap>
                      ))}
                      <TextButton onClick={() => props.onFix(quickFix.profile)}>
                        <span data-fix={quickFix.how}>{quickFix.says}</span>
                      </TextButton>
                    </Flex>
                  ))}
                </Box>
              )}
            </chakra.li>
          );
        })}
      </chakra.ol>
    </Section>
  );
});
