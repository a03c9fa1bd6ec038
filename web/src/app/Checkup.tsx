import { chakra, Flex } from '@chakra-ui/react';
import { findingText, windowName, type Finding } from '@sorn/core';
import { useBench, useBenchStore, usePlacedDesk } from '../data/bench-context.ts';
import { Panel } from './Panel.tsx';

/** The findings about what is on the desk; one about a window goes to it. */
export function Checkup({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const { findings, desk } = usePlacedDesk();
  const profile = useBench((bench) => bench.profile);
  const windows = useBench((bench) => bench.session.windows);
  const store = useBenchStore();
  const nameOf = (id: string) => {
    const window = windows.find((candidate) => candidate.id === id);
    if (window) return windowName(profile, window);
    return desk.monitors.find((monitor) => monitor.id === id)?.name ?? id;
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
          </Flex>
        ))}
      </chakra.ol>
    </Panel>
  );
}

function windowIn(finding: Finding): string | null {
  return 'window' in finding ? finding.window : null;
}
