import { chakra, Flex } from '@chakra-ui/react';
import { useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { FileInput } from '../../ui/FileInput.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import type { Restoring } from '@sorn/api';
import { api } from '../../state/api.ts';
import { useProfileStore } from '../../state/profile-context.ts';
import {
  useBackups,
  useMakeBackup,
  useRestore,
  useSaveSettings,
  useServerSettings,
} from '../../state/queries.ts';
import { Action } from '../../ui/Action.tsx';
import { BackupTable } from './BackupTable.tsx';
import { RestoreQuestion } from './RestoreQuestion.tsx';

/** A backup that is asked about before it is restored. */
interface RestoreRequest {
  name: string;
  backup: Blob | string;
  restoring: Restoring;
}

const KEPT = ['0', '3', '5', '10', '30'] as const;

const messageOf = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** Everything in one file, made while the server runs; and the way back, asked first. */
export function BackupPage({ pages }: { pages: ReactNode }) {
  const isShared = useProfileStore((state) => state.sharedStore !== null);
  const backups = useBackups();
  const list = backups.data?.backups ?? [];
  const make = useMakeBackup();
  const restore = useRestore();
  const settings = useServerSettings();
  const saveSettings = useSaveSettings();
  const [at, setAt] = useState(0);
  const [asked, setAsked] = useState<RestoreRequest | null>(null);
  const [undo, setUndo] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const [fault, setFault] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const here = list[Math.min(at, list.length - 1)];

  async function trying(run: () => Promise<string>) {
    setFault('');
    try {
      setSaid(await run());
    } catch (error) {
      setSaid('');
      setFault(messageOf(error));
    }
  }
  const makeOne = () =>
    void trying(async () => `Made ${(await make.mutateAsync([])).name}, and read it back.`);
  const ask = (name: string, backup: Blob | string) =>
    void trying(async () => {
      setAsked({ name, backup, restoring: await api.checkRestore(backup) });
      return '';
    });
  const take = () =>
    void trying(async () => {
      if (!asked) return '';
      const { before } = await restore.mutateAsync([asked.backup]);
      setAsked(null);
      setUndo(before);
      return `${asked.name} is restored. What was here before is kept as ${before}.`;
    });
  const undoRestore = () =>
    void trying(async () => {
      if (!undo) return '';
      const { before } = await restore.mutateAsync([undo]);
      setUndo(before);
      return 'The restore is undone; undo again to do it after all.';
    });
  const fromFile = (files: FileList | null) => {
    const file = files?.[0];
    if (file) ask(file.name, file);
  };
  const choose = () => {
    input.current?.focus();
    input.current?.click();
  };
  const download = () => window.location.assign('/api/backup');
  const move = (by: 1 | -1) =>
    setAt((former) => Math.min(Math.max(0, list.length - 1), Math.max(0, former + by)));
  const kept = KEPT.findIndex((value) => Number(value) === settings.data?.backupsAtStart);
  const keepOthers = () => {
    // What comes after a number that is not known yet is not known either.
    if (settings.data)
      saveSettings.mutate([{ backupsAtStart: Number(KEPT[(kept + 1) % KEPT.length]) }]);
  };
  usePageKeys('Backup', [
    { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'backup', run: () => move(-1) },
    { keys: ['ArrowDown'], label: 'older backup', minor: true, run: () => move(1) },
    { keys: ['n'], label: 'make one', run: makeOne },
    { keys: ['s'], label: 'save as a file', run: download },
    { keys: ['f'], label: 'restore from a file', run: choose },
    { keys: ['k'], label: 'how many are kept', minor: true, run: keepOthers },
    { keys: ['u'], label: 'undo the restore', minor: undo === null, run: undoRestore },
    {
      keys: ['Enter'],
      label: 'restore it, asks first',
      run: () => {
        if (here) ask(here.name, here.name);
      },
    },
  ]);
  return (
    <ViewLayout
      name="Files"
      inspector={
        <>
          <Section title="Backup" note="every profile, with all revisions">
            <Action
              cap="N"
              text="Make one now"
              says={
                isShared ? 'on this machine, not in the store' : 'in the folder beside the database'
              }
              onClick={makeOne}
            />
            <Action cap="S" text="Save as a file" says="to carry away" onClick={download} />
            <chakra.p
              role="status"
              fontSize="12.5px"
              mt="6px"
              overflowWrap="anywhere"
              data-backup-said
            >
              {said}
            </chakra.p>
            {fault && (
              <chakra.p role="alert" color="vermilion" fontSize="12.5px" overflowWrap="anywhere">
                {fault}
              </chakra.p>
            )}
          </Section>
          <Section title="Restore" note="asks first, and can be undone">
            <Action
              cap="Enter"
              text="Restore the chosen one"
              onClick={() => {
                if (here) ask(here.name, here.name);
              }}
            />
            <Flex align="center" gap="8px" mt="4px">
              <KeyCap>F</KeyCap>
              <FileInput
                label="Backup to restore"
                accept=".zip"
                inputRef={input}
                onFiles={fromFile}
              />
            </Flex>
            {undo !== null && <Action cap="U" text="Undo the restore" onClick={undoRestore} />}
          </Section>
          <Section title="How many are kept">
            {settings.data && (
              <SettingRow label="Made at a start" caps={['K']}>
                <Choice
                  label="Backups kept of those made at a start"
                  value={String(settings.data.backupsAtStart)}
                  options={KEPT.map((value) => ({ value, text: value === '0' ? 'none' : value }))}
                  onChange={(value) => saveSettings.mutate([{ backupsAtStart: Number(value) }])}
                />
              </SettingRow>
            )}
            <chakra.p fontSize="12.5px" color="slate" mt="6px">
              {backups.data?.rule}
            </chakra.p>
            {saveSettings.isError && (
              <chakra.p role="alert" color="vermilion" fontSize="12.5px">
                {saveSettings.error.message}
              </chakra.p>
            )}
          </Section>
          {/* It takes a database file alone. */}
          {!isShared && (
            <Section title="From the command line">
              <chakra.pre
                fontFamily="mono"
                fontStretch="88%"
                fontSize="11.5px"
                whiteSpace="pre-wrap"
              >
                {'npm run -s sorn -- backup\nnpm run -s sorn -- restore FILE'}
              </chakra.pre>
            </Section>
          )}
        </>
      }
    >
      <Paper>
        <Bar>
          {pages}
          <chakra.span truncate title={backups.data?.folder}>
            {backups.data && `in ${backups.data.folder}`}
          </chakra.span>
        </Bar>
        {backups.isError && (
          <chakra.p role="alert" color="vermilion">
            {backups.error.message}
          </chakra.p>
        )}
        {asked ? (
          <RestoreQuestion
            name={asked.name}
            restoring={asked.restoring}
            onTake={take}
            onLeave={() => setAsked(null)}
          />
        ) : (
          <BackupTable backups={list} isKnown={backups.isSuccess} at={at} onAt={setAt} />
        )}
      </Paper>
    </ViewLayout>
  );
}
