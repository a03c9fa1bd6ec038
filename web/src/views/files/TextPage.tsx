import { foldAll, foldedRanges, unfoldAll } from '@codemirror/language';
import { openSearchPanel } from '@codemirror/search';
import type { EditorView } from '@codemirror/view';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { FORMAT_NAMES, FORMATS, type Format } from '@sorn/core/files';
import { useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore, useDeskLayout } from '../../state/profile-context.ts';
import { Sheet } from '../../sheet/Sheet.tsx';
import { Action } from '../../ui/Action.tsx';
import { TextEditor, type Help } from './TextEditor.tsx';
import { useOwnText } from './own-text.ts';

const OPTIONS = FORMATS.map((value) => ({ value, text: FORMAT_NAMES[value] }));

const KEPT: Record<Format, string> = {
  yaml: 'Your comments and the order of fields stay when something is changed elsewhere in the page.',
  toml: 'Your comments and the order of fields stay when something is changed elsewhere in the page.',
  json: 'It has no place for comments; YAML has.',
};

const HINTS = [
  { caps: ['Ctrl', 'F'], says: 'search' },
  { caps: ['A'], says: 'fold all sections, or open them' },
  { caps: ['Ctrl', '.'], says: 'from a line to its setting, and back' },
] as const;

/** The profile as a text that can be typed in: applied as soon as it is right, and never while it is not. */
export function TextPage({ pages }: { pages: ReactNode }) {
  const profile = useProfileStore((state) => state.profile);
  const deskLayout = useDeskLayout();
  const { text, format, faults, isUnapplied, setFormat, setText, drop } = useOwnText();
  const editor = useRef<EditorView>(null);
  const [help, setHelp] = useState<Help | null>(null);
  const nextFormat = () => setFormat(FORMATS[(FORMATS.indexOf(format) + 1) % FORMATS.length]!);
  const goToFault = () => {
    const view = editor.current;
    const [first] = faults;
    if (!view) return;
    if (first) view.dispatch({ selection: { anchor: first.from }, scrollIntoView: true });
    view.focus();
  };
  const foldSections = () => {
    const view = editor.current;
    if (!view) return;
    const isFolded = foldedRanges(view.state).size > 0;
    (isFolded ? unfoldAll : foldAll)(view);
  };
  usePageKeys('Text', [
    { keys: ['Enter'], label: 'type in it, Esc leaves', run: () => editor.current?.focus() },
    { keys: ['f'], label: 'form', run: nextFormat },
    {
      keys: ['f'],
      ctrl: true,
      caps: ['Ctrl', 'F'],
      label: 'search in it',
      run: () => {
        if (editor.current) openSearchPanel(editor.current);
      },
    },
    { keys: ['a'], label: 'fold all or open all', minor: true, run: foldSections },
    {
      keys: ['l'],
      shift: false,
      label: 'to the fault',
      minor: faults.length === 0,
      run: goToFault,
    },
    { keys: ['d'], label: 'drop what is not applied', minor: !isUnapplied, run: drop },
  ]);
  return (
    <ViewLayout
      name="Files"
      inspector={
        <>
          <Box height="216px" mb="16px">
            <Sheet deskLayout={deskLayout} still="Applied" />
          </Box>
          <Section title="Text">
            <SettingRow label="Form" caps={['F']}>
              <Choice
                label="Form of the text"
                value={format}
                options={OPTIONS}
                onChange={setFormat}
              />
            </SettingRow>
            <chakra.p fontSize="12.5px" color="slate" mt="6px">
              {KEPT[format]}
            </chakra.p>
          </Section>
          <Section
            title={faults.length === 0 ? 'No faults' : `Faults: ${faults.length}`}
            note={
              faults.length === 0 ? 'what you type is applied' : 'not applied until it is right'
            }
          >
            <div role="status" data-faults={faults.length}>
              <chakra.ul aria-label="Faults" fontSize="12.5px">
                {faults.slice(0, 12).map(({ line, message }, i) => (
                  <chakra.li
                    key={`${line} ${message} ${i}`}
                    listStyleType="none"
                    py="4px"
                    borderBottom="1px solid"
                    borderColor="hairline"
                    overflowWrap="anywhere"
                  >
                    <chakra.strong color="vermilion">Line {line}</chakra.strong> {message}
                  </chakra.li>
                ))}
              </chakra.ul>
            </div>
            {faults.length > 0 && (
              <>
                <Action cap="L" text="Go to the first" onClick={goToFault} />
                <Action cap="D" text="Drop it" says="back to what is applied" onClick={drop} />
              </>
            )}
          </Section>
          {help && (
            <Section title={help.path} note="at the cursor">
              <chakra.p fontSize="12.5px" data-help={help.path}>
                {help.says}
              </chakra.p>
            </Section>
          )}
          <Section title="While you type">
            <chakra.p fontSize="12.5px" color="slate">
              Ctrl Space tells what could stand there. Esc gives the keys back to the page.
            </chakra.p>
            {HINTS.map(({ caps, says }) => (
              <Flex key={says} gap="5px" align="center" mt="6px" fontSize="12.5px">
                <KeyCaps caps={caps} />
                {says}
              </Flex>
            ))}
          </Section>
        </>
      }
    >
      <Paper>
        <Bar>
          {pages}
          <span data-applied={!isUnapplied}>{isUnapplied ? 'Not applied yet' : 'Applied'}</span>
        </Bar>
        <TextEditor
          text={text}
          format={format}
          profile={profile}
          faults={faults}
          editorRef={editor}
          onText={setText}
          onHelp={setHelp}
        />
      </Paper>
    </ViewLayout>
  );
}
