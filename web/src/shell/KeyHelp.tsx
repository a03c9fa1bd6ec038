import { Box, chakra, Flex } from '@chakra-ui/react';
import { useState, type KeyboardEvent } from 'react';
import { KeyCaps } from '../ui/KeyCap.tsx';
import { useKeyRegister } from '../ui/page-keys.ts';
import { Panel } from '../ui/Panel.tsx';
import { keyList, type KeyListGroup } from './key-list.ts';

/** Every key that works now, and a field that narrows the list. */
export function KeyHelp({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Panel title="Keys of this view" isOpen={isOpen} onClose={onClose} width="760px">
      <Keys />
    </Panel>
  );
}

/** Pixels that a key scrolls the list, whose field has the keyboard. */
const SCROLLS: Record<string, number> = {
  ArrowUp: -60,
  ArrowDown: 60,
  PageUp: -400,
  PageDown: 400,
};

function scroll(event: KeyboardEvent<HTMLInputElement>) {
  const by = SCROLLS[event.key];
  if (by === undefined) return;
  event.preventDefault();
  event.currentTarget.closest('[data-part=body]')?.scrollBy({ top: by });
}

function Keys() {
  const groups = useKeyRegister((register) => register.groups);
  const [typed, setTyped] = useState('');
  const listed = keyList(groups, typed);
  return (
    <>
      <chakra.input
        aria-label="Narrow the keys"
        placeholder="Type a word or a key"
        autoComplete="off"
        width="100%"
        mb="14px"
        pb="4px"
        fontSize="15px"
        bg="transparent"
        borderBottom="1px solid"
        borderColor="slate"
        outline="none"
        _focusVisible={{ borderColor: 'vermilion', boxShadow: '0 1px 0 currentColor' }}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={scroll}
      />
      {listed.length === 0 && (
        <chakra.p fontSize="13px" color="slate">
          No key here answers to {typed}. Find anything (Ctrl K) knows those of other views.
        </chakra.p>
      )}
      <Box columnCount={2} columnGap="32px">
        {listed.map((group) => (
          <Group key={`${group.of} ${group.title}`} group={group} />
        ))}
      </Box>
    </>
  );
}

function Group({ group }: { group: KeyListGroup }) {
  return (
    <Box mb="16px">
      <Flex
        borderBottom="1px solid"
        borderColor="ink"
        mb="4px"
        gap="8px"
        align="baseline"
        breakAfter="avoid"
      >
        <chakra.h3 fontSize="12px" fontWeight={650} whiteSpace="nowrap">
          {group.title}
        </chakra.h3>
        <chakra.span fontSize="12px" color="slate" truncate>
          {group.of}
        </chakra.span>
      </Flex>
      {group.keys.map(({ label, caps }, i) => (
        <Flex key={i} justify="space-between" py="3px" gap="12px" breakInside="avoid">
          <chakra.span fontSize="13px">{label}</chakra.span>
          <KeyCaps caps={caps} />
        </Flex>
      ))}
    </Box>
  );
}
