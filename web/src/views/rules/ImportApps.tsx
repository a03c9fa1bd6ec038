import { chakra, Flex } from '@chakra-ui/react';
import { readDesktopEntry, readWindowsCsv, WINDOW_COLUMNS, type LineFault } from '@sorn/core/files';
import { withApps, type App } from '@sorn/core/model';
import { useState, type Ref } from 'react';
import { FileInput } from '../../ui/FileInput.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { useProfileStoreApi } from '../../state/profile-context.ts';

const MOST_BYTES = 4 * 1024 * 1024;

interface FileRead {
  file: string;
  apps: readonly App[];
  faults: readonly LineFault[];
}

/** Apps from the files in which they tell of themselves, and from lists of windows. */
export function ImportApps(props: {
  fileInput: Ref<HTMLInputElement>;
  onApp: (id: string) => void;
}) {
  const store = useProfileStoreApi();
  const [files, setFiles] = useState<readonly FileRead[]>([]);
  const [came, setCame] = useState({ added: 0, changed: 0 });

  async function take(chosen: FileList | null) {
    if (!chosen || chosen.length === 0) return;
    const read = await Promise.all([...chosen].map(readFile));
    const { profile, edit } = store.getState();
    const { added, changed } = withApps(
      profile,
      read.flatMap(({ apps }) => apps),
    );
    // One step of undo for all of them; on the profile as it is then.
    edit(
      (there) =>
        withApps(
          there,
          read.flatMap(({ apps }) => apps),
        ).profile,
    );
    setFiles(read);
    setCame({ added: added.length, changed: changed.length });
    const first = added[0] ?? changed[0];
    if (first !== undefined) props.onApp(first);
  }

  return (
    <Section title="Import" note=".desktop files, or windows as .csv">
      <Flex align="center" gap="8px">
        <KeyCap>F</KeyCap>
        <FileInput
          label="Files with apps"
          accept=".desktop,.csv"
          isMultiple
          inputRef={props.fileInput}
          onFiles={(chosen) => void take(chosen)}
        />
      </Flex>
      {files.length === 0 && (
        <chakra.p fontSize="12px" color="slate" mt="6px">
          Columns of a list: {WINDOW_COLUMNS.join(', ')}. Only app must be there.
        </chakra.p>
      )}
      {files.length > 0 && (
        <chakra.p fontSize="13px" mt="6px" data-imported>
          {came.added} added, {came.changed} changed.
        </chakra.p>
      )}
      <chakra.ul maxHeight="180px" overflowY="auto" aria-label="What could not be used">
        {files.flatMap(({ file, faults }) =>
          faults.map(({ line, text }) => (
            <chakra.li
              key={`${file} ${line} ${text}`}
              listStyleType="none"
              fontSize="12px"
              color="vermilion"
              overflowWrap="anywhere"
              data-import-fault
            >
              {file}, line {line}: {text}
            </chakra.li>
          )),
        )}
      </chakra.ul>
    </Section>
  );
}

async function readFile(file: File): Promise<FileRead> {
  const none = (text: string): FileRead => ({
    file: file.name,
    apps: [],
    faults: [{ line: 1, text }],
  });
  if (file.size > MOST_BYTES)
    return none(`it has ${file.size} bytes; expected at most ${MOST_BYTES}`);
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer());
  } catch {
    return none('it is not UTF-8 text');
  }
  if (/\.csv$/i.test(file.name)) return { file: file.name, ...readWindowsCsv(text) };
  const { app, faults } = readDesktopEntry(text, file.name);
  return { file: file.name, apps: app ? [app] : [], faults };
}
