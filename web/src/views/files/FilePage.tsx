import { chakra } from '@chakra-ui/react';
import type { ProfileFileState } from '@sorn/api';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type ReactNode } from 'react';
import { api } from '../../state/api.ts';
import { useProfileStore } from '../../state/profile-context.ts';
import { useProfileFiles } from '../../state/queries.ts';
import { conflictRows } from '../../state/remote-merge.ts';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Action } from '../../ui/Action.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { DecisionTable, useDecisions } from '../../ui/DecisionTable.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { dateText } from '../../ui/date-text.ts';
import { usePageKeys, type PageKey } from '../../ui/page-keys.ts';
import { FILE_STATES, fileTitle } from '../../state/file-state.ts';
import { FileFaults } from './FileFaults.tsx';

/** The file that the profile lives in: how it is, what is wrong in it, and what was changed here and there. */
export function FilePage({ pages }: { pages: ReactNode }) {
  const file = useProfileStore((state) => state.file);
  return file ? <LivesInFile file={file} pages={pages} /> : <LivesInNone pages={pages} />;
}

/** Asks something of the server, and tells what cannot be done. */
function useAsking() {
  const [fault, setFault] = useState('');
  const client = useQueryClient();
  const ask = async (run: () => Promise<unknown>) => {
    setFault('');
    try {
      await run();
      await client.invalidateQueries({ queryKey: ['files'] });
    } catch (error) {
      setFault(error instanceof Error ? error.message : String(error));
    }
  };
  const told = fault && (
    <chakra.p role="alert" color="vermilion" fontSize="12.5px" mt="6px" overflowWrap="anywhere">
      {fault}
    </chakra.p>
  );
  return { ask: (run: () => Promise<unknown>) => void ask(run), told };
}

function LivesInFile({ file, pages }: { file: ProfileFileState; pages: ReactNode }) {
  const id = useProfileStore((state) => state.id);
  const profile = useProfileStore((state) => state.written);
  const rows = conflictRows(file.conflicts ?? [], profile);
  const decisions = useDecisions(rows);
  const { ask, told } = useAsking();
  const decide = () => ask(() => api.decideFile(id, decisions.decided()));
  const writeAnew = () => ask(() => api.writeFileAnew(id));
  const release = () => ask(() => api.releaseFile(id));
  const isConflict = file.state === 'conflicts';
  const isAsking = file.state === 'asks';
  const keys: PageKey[] = [
    ...(isConflict
      ? [
          { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'line', run: () => decisions.move(-1) },
          { keys: ['ArrowDown'], label: 'next line', minor: true, run: () => decisions.move(1) },
          {
            keys: ['h'],
            label: 'as it is here',
            run: () => decisions.choose(decisions.at, 'mine'),
          },
          {
            keys: ['f'],
            label: 'as the file has it',
            run: () => decisions.choose(decisions.at, 'theirs'),
          },
          { keys: ['Enter'], label: 'decide so', run: decide },
        ]
      : []),
    ...(isAsking ? [{ keys: ['Enter'], label: 'write it anew', run: writeAnew }] : []),
    ...(file.isKept ? [{ keys: ['Delete'], label: 'no longer in this file', run: release }] : []),
  ];
  usePageKeys('File', keys);
  const { title, says, isTrouble } = FILE_STATES[file.state];
  return (
    <ViewLayout
      name="Files"
      inspector={
        <>
          <Section title="Lives in a file" note="edits go both ways">
            <chakra.p
              fontFamily="mono"
              fontStretch="88%"
              fontSize="12px"
              overflowWrap="anywhere"
              data-file-path={file.path}
            >
              {file.path}
            </chakra.p>
            <chakra.p
              role="status"
              fontSize="13px"
              fontWeight={600}
              mt="8px"
              color={isTrouble ? 'vermilion' : 'petrol'}
              data-file-state={file.state}
            >
              {title}
            </chakra.p>
            <chakra.p fontSize="12.5px" color="slate" mt="2px">
              {file.because !== undefined && `${file.because}. `}
              {says}
            </chakra.p>
            <chakra.p fontSize="12.5px" color="slate" mt="2px">
              Looked at {dateText(file.at)}.
            </chakra.p>
            {told}
          </Section>
          {isAsking && (
            <Section title="Write it anew" note="comments in it would go">
              <chakra.p fontSize="12.5px" color="slate" mb="6px" overflowWrap="anywhere">
                {(file.anew ?? []).join(', ')}: what was edited here has no place in it that leaves
                the rest as it is.
              </chakra.p>
              <Action cap="Enter" text="Write it anew" onClick={writeAnew} />
            </Section>
          )}
          {file.isKept ? (
            <Section title="No longer">
              <Action
                cap="Delete"
                text="No longer in this file"
                says="it stays as it is"
                onClick={release}
              />
            </Section>
          ) : (
            <Section title="Named at the start" note="by --file">
              <chakra.p fontSize="12.5px" color="slate">
                Start Sorn without it, and the profile is kept in Sorn alone.
              </chakra.p>
            </Section>
          )}
        </>
      }
    >
      <Paper>
        <Bar>
          {pages}
          <chakra.span truncate>{fileTitle(file)}</chakra.span>
        </Bar>
        {isConflict && (
          <>
            <chakra.p fontSize="13px" color="slate" my="10px">
              Everything else that was changed here or in the file goes together. Until these are
              decided nothing is written, neither here nor there. <KeyCap>H</KeyCap> as it is here{' '}
              <KeyCap>F</KeyCap> as the file has it <KeyCap>Enter</KeyCap> decide so
            </chakra.p>
            <DecisionTable
              rows={rows}
              state={decisions}
              mine={{ head: 'Here', text: 'here' }}
              theirs={{ head: 'In the file', text: 'the file' }}
            />
          </>
        )}
        {file.faults && file.faults.length > 0 && <FileFaults faults={file.faults} />}
        {!isConflict && !file.faults && <HowItGoes />}
      </Paper>
    </ViewLayout>
  );
}

function LivesInNone({ pages }: { pages: ReactNode }) {
  const id = useProfileStore((state) => state.id);
  const files = useProfileFiles();
  const [folder] = files.data?.folders ?? [];
  const [path, setPath] = useState<string | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const { ask, told } = useAsking();
  const place = path ?? (folder === undefined ? '' : `${folder}/${id}.yaml`);
  const keep = (at: string) => ask(() => api.keepInFile(id, at));
  usePageKeys(
    'File',
    folder === undefined
      ? []
      : [
          { keys: ['p'], label: 'where to', run: () => field.current?.focus() },
          { keys: ['Enter'], label: 'keep it there', run: () => keep(place) },
        ],
  );
  return (
    <ViewLayout
      name="Files"
      inspector={
        <>
          <Section title="Keep it in a file" note="edits go both ways">
            {folder === undefined ? (
              <chakra.p fontSize="12.5px" color="slate" data-file-state="none">
                This Sorn was started without a folder for profiles. Name one, and it can be kept
                there from here.
              </chakra.p>
            ) : (
              <>
                <TextField
                  label="Where to"
                  value={place}
                  inputRef={field}
                  isNeeded
                  most={1_000}
                  onChange={setPath}
                />
                <chakra.div mt="8px">
                  <Action cap="Enter" text="Keep it there" onClick={() => keep(place)} />
                </chakra.div>
                <Action cap="P" text="Another place" onClick={() => field.current?.focus()} />
              </>
            )}
            {told}
          </Section>
          <Section title="From the command line">
            <chakra.pre fontFamily="mono" fontStretch="88%" fontSize="11.5px" whiteSpace="pre-wrap">
              {'npm start -- --file ~/desk.yaml\nnpm start -- --folder ~/dotfiles'}
            </chakra.pre>
          </Section>
        </>
      }
    >
      <Paper>
        <Bar>
          {pages}
          <chakra.span>This profile is kept in Sorn alone.</chakra.span>
        </Bar>
        <HowItGoes />
      </Paper>
    </ViewLayout>
  );
}

const RULES: readonly (readonly [string, string])[] = [
  [
    'What you edit here',
    'is written into the file within a second or two. Comments, blank lines and the order of everything else stay.',
  ],
  [
    'What your editor writes',
    'is a revision here within half a second: undo and Revisions have it.',
  ],
  [
    'A mistake in the file',
    'is told with its line, here and where Sorn was started. The last right state stays in force.',
  ],
  [
    'Edits in both places',
    'go together, field by field. Where both changed the same, you decide, and nothing is written until then.',
  ],
  [
    'Several files',
    'include: [rules.yaml, boards.yaml] in it brings in sections of other files. An edit goes back to the file that it came from.',
  ],
];

/** How a profile lives in a file. */
function HowItGoes() {
  return (
    <chakra.dl
      display="grid"
      gridTemplateColumns="minmax(150px, max-content) minmax(0, 1fr)"
      columnGap="24px"
      rowGap="14px"
      mt="18px"
      fontSize="13px"
      lineHeight="20px"
      maxW="760px"
    >
      {RULES.map(([what, how]) => (
        <chakra.div key={what} display="contents">
          <chakra.dt fontWeight={600}>{what}</chakra.dt>
          <chakra.dd color="slate">{how}</chakra.dd>
        </chakra.div>
      ))}
    </chakra.dl>
  );
}
