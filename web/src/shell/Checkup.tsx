import { chakra, Flex } from '@chakra-ui/react';
import {
  findingText,
  groupedFindings,
  nameFixesFor,
  type Finding,
  type FindingGroup,
} from '@sorn/core/checkup';
import { monitorName } from '@sorn/core/desk';
import { thingAt } from '@sorn/core/files';
import { windowName } from '@sorn/core/engine';
import { withZoneBoardLast } from '@sorn/core/zones';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useFindings } from '../state/findings.ts';
import { useProfileStore, useProfileStoreApi } from '../state/profile-context.ts';
import { useViewPages } from '../state/view-pages.ts';
import { useSelection } from '../state/selection.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { Panel } from '../ui/Panel.tsx';

const NOT_YET: readonly Finding[] = [];

/** The findings about what is on the desk; one about a window goes to it. */
export function Checkup({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const findings = useFindings() ?? NOT_YET;
  const nameOf = useNames();
  return (
    <Panel title="Findings" isOpen={isOpen} onClose={onClose} isRead={findings.length === 0}>
      {findings.length === 0 && (
        <chakra.p color="slate">Every window fits, and every name is known.</chakra.p>
      )}
      <chakra.ol fontSize="13px">
        {groupedFindings(findings, nameOf).map((group) =>
          group.findings.length === 1 ? (
            <FindingLine key={group.text} finding={group.findings[0]!} onClose={onClose} />
          ) : (
            <GroupLines key={group.text} group={group} onClose={onClose} />
          ),
        )}
      </chakra.ol>
    </Panel>
  );
}

function useNames(): (id: string) => string {
  const profile = useProfileStore((state) => state.profile);
  const windows = useProfileStore((state) => state.session.windows);
  return (id) => {
    const window = windows.find((candidate) => candidate.id === id);
    return window ? windowName(profile, window) : monitorName(profile, id);
  };
}

/** What many windows have in common, and each of them where that is asked for. */
function GroupLines({ group, onClose }: { group: FindingGroup; onClose: () => void }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Line text={group.text}>
        <TextButton isExpanded={isOpen} onClick={() => setOpen(!isOpen)}>
          {isOpen ? 'Hide them' : 'Show each'}
        </TextButton>
      </Line>
      {isOpen && (
        <li>
          <chakra.ol pl="18px">
            {group.findings.map((finding) => (
              <FindingLine key={JSON.stringify(finding)} finding={finding} onClose={onClose} />
            ))}
          </chakra.ol>
        </li>
      )}
    </>
  );
}

function Line({ text, children }: { text: string; children: ReactNode }) {
  return (
    <Flex
      as="li"
      justify="space-between"
      gap="12px"
      py="6px"
      borderBottom="1px solid"
      borderColor="hairline"
    >
      <span>{text}</span>
      {children}
    </Flex>
  );
}

/** A finding, and what leads from it to where it is mended. */
function FindingLine({ finding, onClose }: { finding: Finding; onClose: () => void }) {
  const store = useProfileStoreApi();
  const selected = useSelection.use();
  const pages = useViewPages.use();
  const navigate = useNavigate();
  const nameOf = useNames();
  const way = (text: string, go: () => void) => (
    <TextButton
      onClick={() => {
        go();
        onClose();
      }}
    >
      {text}
    </TextButton>
  );
  return (
    <Line
      text={findingText(finding, nameOf, (path) => thingAt(store.getState().profile, path).text)}
    >
      {'window' in finding &&
        way('Go to it', () =>
          store.getState().happen({ type: 'window-focused', id: finding.window }),
        )}
      {nameFixesFor(store.getState().profile, finding).map(({ says, profile }) => (
        <TextButton key={says} onClick={() => store.getState().edit(() => profile)}>
          {says}
        </TextButton>
      ))}
      {finding.kind === 'outside' &&
        way('Bring it inside', () => store.getState().run({ command: 'bring-inside' }))}
      {'rule' in finding &&
        way('Show the rule', () => {
          selected.getState().takeRule(finding.rule);
          void navigate('rules');
        })}
      {finding.kind === 'unknown-name' &&
        way('Show it', () => {
          const [list = '', entry = ''] = thingAt(store.getState().profile, finding.path).path;
          if (list === 'rules') selected.getState().takeRule(entry);
          if (list === 'workspaces') pages.getState().show('desk', 'workspaces');
          void navigate(VIEW_OF[list] ?? 'files');
        })}
      {'about' in finding && way('Show the keys', () => void navigate('keys'))}
      {finding.kind === 'homed-nowhere' &&
        way('Show the workspaces', () => {
          pages.getState().show('desk', 'workspaces');
          void navigate('desk');
        })}
      {finding.kind === 'board-empty' && (
        <TextButton
          onClick={() =>
            store.getState().edit((profile) => withZoneBoardLast(profile, finding.board))
          }
        >
          Put it last
        </TextButton>
      )}
      {'board' in finding && way('Show the boards', () => void navigate('zones'))}
      {OF_DESK.includes(finding.kind) && way('Show the desk', () => void navigate('desk'))}
    </Line>
  );
}

/** The view in which a part of the profile is set. */
const VIEW_OF: Readonly<Record<string, string>> = {
  monitors: 'desk',
  desks: 'desk',
  workspaces: 'desk',
  tiling: 'tiling',
  boards: 'zones',
  placing: 'zones',
  rules: 'rules',
  apps: 'rules',
  start: 'rules',
  keys: 'keys',
};

const OF_DESK: readonly Finding['kind'][] = ['overlap', 'apart', 'unreached'];
