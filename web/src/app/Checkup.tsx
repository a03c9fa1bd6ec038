import { chakra, Flex } from '@chakra-ui/react';
import { findingText, monitorName, windowName, type Finding } from '@sorn/core';
import { useNavigate } from 'react-router';
import { useBench, useBenchStore, usePlacedDesk } from '../data/bench-context.ts';
import { useInHand } from '../data/in-hand.ts';
import { TextButton } from './TextButton.tsx';
import { Panel } from './Panel.tsx';

/** The findings about what is on the desk; one about a window goes to it. */
export function Checkup({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const { findings } = usePlacedDesk();
  const profile = useBench((bench) => bench.profile);
  const windows = useBench((bench) => bench.session.windows);
  const store = useBenchStore();
  const navigate = useNavigate();
  const nameOf = (id: string) => {
    const window = windows.find((candidate) => candidate.id === id);
    if (window) return windowName(profile, window);
    return monitorName(profile, id);
  };
  return (
    <Panel title="Findings" isOpen={isOpen} onClose={onClose} isRead={findings.length === 0}>
      {findings.length === 0 && (
        <chakra.p color="slate">Every window fits, and every name is known.</chakra.p>
      )}
      <chakra.ol fontSize="13px">
        {findings.map((finding, i) => (
          <Flex
            as="li"
            key={i}
            justify="space-between"
            gap="12px"
            py="6px"
            borderBottom="1px solid"
            borderColor="hairline"
          >
            <span>{findingText(finding, nameOf)}</span>
            {windowIn(finding) !== null && (
              <chakra.button
                type="button"
                color="petrol"
                textDecoration="underline"
                cursor="pointer"
                whiteSpace="nowrap"
                onClick={() => {
                  store.getState().happen({ type: 'window-focused', id: windowIn(finding)! });
                  onClose();
                }}
              >
                Go to it
              </chakra.button>
            )}
            {finding.kind === 'outside' && (
              <TextButton
                onClick={() => {
                  store.getState().run({ command: 'bring-inside' });
                  onClose();
                }}
              >
                Bring it inside
              </TextButton>
            )}
            {'rule' in finding && (
              <TextButton
                onClick={() => {
                  useInHand.getState().takeRule(finding.rule);
                  void navigate('rules');
                  onClose();
                }}
              >
                Show the rule
              </TextButton>
            )}
            {'about' in finding && (
              <TextButton
                onClick={() => {
                  void navigate('keys');
                  onClose();
                }}
              >
                Show the keys
              </TextButton>
            )}
            {OF_DESK.includes(finding.kind) && (
              <TextButton
                onClick={() => {
                  void navigate('desk');
                  onClose();
                }}
              >
                Show the desk
              </TextButton>
            )}
          </Flex>
        ))}
      </chakra.ol>
    </Panel>
  );
}

const OF_DESK: readonly Finding['kind'][] = ['overlap', 'apart', 'unreached', 'homed-nowhere'];

function windowIn(finding: Finding): string | null {
  return 'window' in finding ? finding.window : null;
}
