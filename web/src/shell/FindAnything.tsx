import { Box, chakra, Flex } from '@chakra-ui/react';
import { argumentAskedFor, type Command } from '@sorn/core/commands';
import { reduce } from '@sorn/core/engine';
import { Command as Finder } from 'cmdk';
import { useCallback, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useProfileStore } from '../state/profile-context.ts';
import { useSelection } from '../state/selection.ts';
import { useViewPages } from '../state/view-pages.ts';
import { finderStyle } from '../ui/finder-style.ts';
import { KeyCaps } from '../ui/KeyCap.tsx';
import { Panel } from '../ui/Panel.tsx';
import { best, useEverything, valueOf, type Found } from './everything.ts';
import type { PanelProps } from './panel.ts';

/** A list that narrows as you type: views, commands, workspaces, apps, settings. */
export function FindAnything({ isOpen, onClose, onPanel }: PanelProps) {
  return (
    <Panel title="Find anything" isOpen={isOpen} onClose={onClose}>
      <Everything onClose={onClose} onPanel={onPanel} />
    </Panel>
  );
}

/** Gathered only while it is looked through: of a large profile that takes a while. */
function Everything({ onClose, onPanel }: Omit<PanelProps, 'isOpen'>) {
  const all = useEverything(onPanel);
  const [typed, setTyped] = useState('');
  const listed = useMemo(() => best(all, typed), [all, typed]);
  const groups = [...new Set(listed.map(({ group }) => group))];
  const [at, setAt] = useState('');
  const selected = listed.find((found) => valueOf(found) === at.trim());
  const bind = useBinding();
  return (
    <Finder
      label="Find anything"
      loop
      shouldFilter={false}
      value={at}
      onValueChange={setAt}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || !event.ctrlKey || !selected?.command) return;
        event.preventDefault();
        onClose();
        bind(selected.command);
      }}
    >
      <chakra.div css={finderStyle}>
        <Finder.Input
          value={typed}
          onValueChange={setTyped}
          placeholder="Type a view, command, workspace, zone, app, rule, binding or setting"
        />
      </chakra.div>
      <Box mt="8px" css={finderStyle}>
        <Finder.List tabIndex={0}>
          <Finder.Empty>Nothing here is called that.</Finder.Empty>
          {groups.map((group) => (
            <Finder.Group key={group} heading={group}>
              {listed
                .filter((found) => found.group === group)
                .map((found) => ({ ...found, id: valueOf(found) }))
                .map(({ id, text, value, caps, run }) => (
                  <Finder.Item
                    key={id}
                    value={id}
                    onSelect={() => {
                      onClose();
                      run();
                    }}
                  >
                    {text}
                    {value !== undefined && value !== '' && (
                      <chakra.span color="slate" ml="auto" fontFamily="mono" fontSize="12px">
                        {value}
                      </chakra.span>
                    )}
                    {caps && <KeyCaps caps={caps} />}
                  </Finder.Item>
                ))}
            </Finder.Group>
          ))}
        </Finder.List>
      </Box>
      <Explanation found={selected} />
    </Finder>
  );
}

/** Goes where keys are recorded for a command. */
function useBinding(): (command: Command) => void {
  const navigate = useNavigate();
  const selections = useSelection.use();
  const pages = useViewPages.use();
  return useCallback(
    (command) => {
      selections.getState().bind(command);
      pages.getState().show('keys', 'map');
      void navigate('keys');
    },
    [navigate, selections, pages],
  );
}

/** What the selected command would do now and why, and what can be done with it. */
function Explanation({ found }: { found: Found | undefined }) {
  const profile = useProfileStore((state) => state.profile);
  const session = useProfileStore((state) => state.session);
  const command = found?.command;
  const says = useMemo(() => {
    if (!command) return null;
    if (argumentAskedFor(command) !== null) return 'Asks for what it needs, over the desk.';
    const { trace } = reduce(session, { type: 'command', command }, profile);
    const [first] = trace;
    return first ? `Now: ${first.decided}; ${first.because}.` : 'Now: done without a word.';
  }, [command, session, profile]);
  if (says === null) return null;
  return (
    <Flex
      mt="8px"
      pt="6px"
      borderTop="1px solid"
      borderColor="hairline"
      fontSize="12px"
      color="slate"
      gap="10px"
      align="center"
    >
      <chakra.span role="status" flex="1" minW="0" data-explained>
        {says}
      </chakra.span>
      <KeyCaps caps={['Enter']} /> do it
      <KeyCaps caps={['Ctrl', 'Enter']} /> give it keys
    </Flex>
  );
}
