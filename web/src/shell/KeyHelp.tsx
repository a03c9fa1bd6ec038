import { Box, chakra, Flex } from '@chakra-ui/react';
import { KeyCaps } from '../ui/KeyCap.tsx';
import { capsOf } from '../ui/KeyStrip.tsx';
import { useKeyRegister } from '../ui/page-keys.ts';
import { Panel } from '../ui/Panel.tsx';

const TITLES: Record<string, string> = {
  frame: 'Everywhere',
  sheet: 'The sheet',
  'sheet-keys': 'While the sheet has the keyboard',
};

/** Every key of this view. */
export function KeyHelp({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const groups = useKeyRegister((register) => register.groups);
  const order = (name: string) => ['sheet-keys', 'sheet', 'frame'].indexOf(name);
  const sorted = [...groups].sort(([a], [b]) => order(a) - order(b));
  return (
    <Panel title="Keys of this view" isOpen={isOpen} onClose={onClose} width="760px" isRead>
      <Box columnCount={2} columnGap="32px">
        {sorted.map(([name, keys]) => (
          <Box key={name} mb="16px">
            <chakra.h3
              fontSize="12px"
              fontWeight={650}
              borderBottom="1px solid"
              borderColor="ink"
              mb="4px"
            >
              {TITLES[name] ?? name}
            </chakra.h3>
            {keys
              .filter(({ summary }) => !summary)
              .map((key, i) => (
                <Flex key={i} justify="space-between" py="3px" gap="12px" breakInside="avoid">
                  <chakra.span fontSize="13px">{key.label}</chakra.span>
                  <KeyCaps caps={capsOf(key)} />
                </Flex>
              ))}
          </Box>
        ))}
      </Box>
    </Panel>
  );
}
