import { chakra, Flex } from '@chakra-ui/react';
import { monitorName } from '@sorn/core/desk';
import { SECTION_NAMES, SECTIONS, whyNot, type SectionId } from '@sorn/core/files';
import { zoneBoardName } from '@sorn/core/tiling';
import { useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { ListLine } from '../../ui/ListLine.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { copyText } from '../../ui/clipboard.ts';
import { dataUrl } from '../../ui/data-url.ts';
import { download, textFile } from '../../ui/download.ts';
import { useScreen } from '../../ui/screen.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore } from '../../state/profile-context.ts';
import { Action } from '../../ui/Action.tsx';
import { exportFile, formsFor, WHOLE, type Drawn, type Form, type What } from './export-file.ts';

const ALL: readonly What[] = [WHOLE, ...SECTIONS, 'layout-drawing', 'board-drawing'];
const MOST_WINDOWS = 9;

const TITLES: Record<Exclude<What, SectionId>, string> = {
  whole: 'The whole profile',
  'layout-drawing': 'A layout, drawn',
  'board-drawing': 'A zone board, drawn',
};
const titleOf = (what: What): string =>
  what in SECTION_NAMES
    ? SECTION_NAMES[what as SectionId].title
    : TITLES[what as keyof typeof TITLES];

/** The profile or a section of it as a file of an open format, shown before it is saved. */
export function ExportPage({ pages }: { pages: ReactNode }) {
  const profile = useProfileStore((state) => state.profile);
  const written = useProfileStore((state) => state.written);
  const [what, setWhat] = useState<What>(WHOLE);
  const [wished, setForm] = useState<Form>('yaml');
  const [drawn, setDrawn] = useState<Drawn>({ monitor: null, board: null, windows: 4 });
  const [said, setSaid] = useState('');
  const isSmall = useScreen((screen) => screen.isSmall);
  const forms = formsFor(what, written);
  const noToml = whyNot(written, 'toml');
  const form = forms.includes(wished) ? wished : forms[0]!;
  // A drawing shows what is so on this machine; a file has what holds on all.
  const file = exportFile(form === 'svg' ? profile : written, what, form, drawn);

  const goTo = (by: 1 | -1) => setWhat(ALL[ALL.indexOf(what) + by] ?? what);
  const nextMonitor = () => {
    const { monitors } = profile;
    const at = monitors.findIndex(({ id }) => id === (drawn.monitor ?? monitors[0]!.id));
    setDrawn({ ...drawn, monitor: monitors[(at + 1) % monitors.length]!.id });
  };
  const nextDrawn = () => {
    const { boards } = profile;
    const at = boards.findIndex(({ id }) => id === (drawn.board ?? boards[0]?.id));
    if (what === 'layout-drawing')
      setDrawn({ ...drawn, windows: (drawn.windows % MOST_WINDOWS) + 1 });
    else if (boards.length > 0) setDrawn({ ...drawn, board: boards[(at + 1) % boards.length]!.id });
  };
  const nextForm = () => setForm(forms[(forms.indexOf(form) + 1) % forms.length]!);
  const save = () => {
    download(file.name, textFile(file.text, file.type));
    setSaid(`Saved as ${file.name}.`);
  };
  const copy = async () => {
    setSaid(
      (await copyText(file.text))
        ? 'Copied.'
        : 'The browser does not let this page copy; save it as a file instead.',
    );
  };
  const isDrawing = form === 'svg';
  usePageKeys('Export', [
    ...(isDrawing
      ? [
          { keys: ['w'], label: 'next monitor', run: nextMonitor },
          { keys: ['g'], label: 'next board, or one window more', run: nextDrawn },
        ]
      : []),
    { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'what', run: () => goTo(-1) },
    { keys: ['ArrowDown'], label: 'next', minor: true, run: () => goTo(1) },
    { keys: ['f'], label: 'form', run: nextForm },
    { keys: ['Enter'], label: 'save as a file', run: save },
    { keys: ['c'], label: 'copy', run: () => void copy() },
  ]);
  return (
    <ViewLayout
      name="Files"
      inspector={
        <>
          <Section title="What" note="whole, in sections, or drawn">
            <chakra.ul>
              {ALL.map((each) => (
                <ListLine
                  key={each}
                  name={titleOf(each)}
                  isHere={each === what}
                  data={{ 'data-export': each }}
                  onChoose={() => setWhat(each)}
                >
                  {each in SECTION_NAMES && (
                    <chakra.span color="slate" fontSize="12px" truncate maxW="210px">
                      {SECTION_NAMES[each as SectionId].says}
                    </chakra.span>
                  )}
                </ListLine>
              ))}
            </chakra.ul>
          </Section>
          <Section title="As">
            <SettingRow label="Form" caps={['F']}>
              <Choice
                label="Form"
                value={form}
                options={forms.map((each) => ({ value: each, text: each.toUpperCase() }))}
                onChange={setForm}
              />
            </SettingRow>
            {noToml !== null && !isDrawing && (
              <chakra.p fontSize="12.5px" color="slate">
                Not as TOML: {noToml}.
              </chakra.p>
            )}
            {isDrawing && <DrawnSettings what={what} drawn={drawn} onChange={setDrawn} />}
            <Action cap="Enter" text="Save as a file" says={file.name} onClick={save} />
            <Action cap="C" text="Copy" onClick={() => void copy()} />
            <chakra.p role="status" fontSize="13px" mt="6px" data-export-said>
              {said}
            </chakra.p>
          </Section>
          <Section title="One thing alone">
            <chakra.p fontSize="12.5px" color="slate">
              A board, layout, rule, binding, chain, menu or trial is copied where it is selected:{' '}
              <KeyCap>Ctrl</KeyCap> <KeyCap>C</KeyCap>, or as a picture <KeyCap>&amp;</KeyCap>
            </chakra.p>
          </Section>
          {form === 'csv' && what === 'keys' && (
            <Section title="In this table">
              <chakra.p fontSize="12.5px" color="slate">
                Bindings of your own, and the starter’s keys that are left out. Every key on one
                page, for reading, is in Keys: <KeyCap>5</KeyCap> <KeyCap>C</KeyCap>
              </chakra.p>
            </Section>
          )}
        </>
      }
    >
      <Paper>
        <Bar>
          {pages}
          <span>{file.text.split('\n').length - 1} lines</span>
        </Bar>
        {isDrawing ? (
          <Flex flex="1" minH="0" align="center" justify="center">
            <chakra.img
              src={dataUrl(file.text)}
              alt={file.name}
              maxW="100%"
              maxH="100%"
              border="1px solid"
              borderColor="hairline"
            />
          </Flex>
        ) : (
          <chakra.pre
            flex="1"
            minH="0"
            overflow="auto"
            tabIndex={0}
            role="region"
            aria-label="The file"
            fontFamily="mono"
            fontStretch="88%"
            fontSize="12px"
            lineHeight="18px"
            {...(isSmall && { whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' })}
            data-file
          >
            {file.text}
          </chakra.pre>
        )}
      </Paper>
    </ViewLayout>
  );
}

function DrawnSettings(props: { what: What; drawn: Drawn; onChange: (drawn: Drawn) => void }) {
  const { what, drawn, onChange } = props;
  const profile = useProfileStore((state) => state.profile);
  const monitors = profile.monitors.map(({ id }) => ({
    value: id,
    text: monitorName(profile, id),
  }));
  return (
    <>
      <SettingRow label="On" caps={['W']}>
        <Select
          label="Monitor it is drawn on"
          value={drawn.monitor ?? monitors[0]!.value}
          options={monitors}
          onChange={(monitor) => onChange({ ...drawn, monitor })}
        />
      </SettingRow>
      {what === 'board-drawing' ? (
        <SettingRow label="Board" caps={['G']}>
          <Select
            label="Board that is drawn"
            value={drawn.board ?? profile.boards[0]?.id ?? ''}
            options={profile.boards.map((board) => ({
              value: board.id,
              text: zoneBoardName(board),
            }))}
            onChange={(board) => onChange({ ...drawn, board })}
          />
        </SettingRow>
      ) : (
        <SettingRow label="Windows" caps={['G']}>
          <Select
            label="How many windows are drawn"
            value={String(drawn.windows)}
            options={Array.from({ length: MOST_WINDOWS }, (_, i) => String(i + 1)).map((value) => ({
              value,
              text: value,
            }))}
            onChange={(windows) => onChange({ ...drawn, windows: Number(windows) })}
          />
        </SettingRow>
      )}
    </>
  );
}
