import { chakra, Flex } from '@chakra-ui/react';
import { monitorName } from '@sorn/core/desk';
import {
  chartCsv,
  chartHtml,
  chartMarkdown,
  chartSvg,
  PAPER_NAMES,
  type ChartMode,
  type PrintedChart,
} from '@sorn/core/keys';
import { BASE, type Use } from '@sorn/core/model';
import { useEffect, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore } from '../../state/profile-context.ts';
import { download, textFile } from '../../ui/download.ts';
import { dataUrl } from '../../ui/data-url.ts';
import { pngOf } from './picture.ts';
import { fontFaces } from './fonts.ts';
import { useChartChoices, type ChartChoices } from './chart-choices.ts';
import { paperPicture, printed } from './print.ts';

const EVERY_LAYER = '';
/** What has room on a card that is glanced at. */
const ON_A_CARD = 30;
const NO_USES: readonly Use[] = [];

/** One page of all keys, as a picture for a monitor, to print, or as a table. */
export function ChartPage({ pages }: { pages: ReactNode }) {
  const profile = useProfileStore((state) => state.profile);
  const { monitors } = profile;
  const [choices, choose] = useChartChoices();
  const { mode, paper, isLandscape, isCard } = choices;
  const setMonitor = (id: string) => choose({ shows: 'monitor', monitor: id });
  const setMode = (next: ChartMode) => choose({ shows: 'monitor', mode: next });
  const onPaper = (some: Partial<ChartChoices>) => choose({ shows: 'paper', ...some });
  const [said, setSaid] = useState('');
  const fonts = useFonts();
  const monitor = monitors.find(({ id }) => id === choices.monitor) ?? monitors[0]!;
  const { width, height } = monitor;
  const svg = fonts === null ? null : chartSvg(profile, { width, height }, mode, fonts);
  const name = `keys-${monitor.id}-${mode}`;
  const uses = useProfileStore((state) => state.session.uses) ?? NO_USES;
  const layers = [EVERY_LAYER, BASE, ...profile.keys.layers.map(({ id }) => id)];
  const layer = layers.includes(choices.layer) ? choices.layer : EVERY_LAYER;
  const page = (): string => {
    const chart: PrintedChart = {
      paper,
      isLandscape,
      ...(layer !== EVERY_LAYER && { layer }),
      ...(isCard && { usedMost: { most: ON_A_CARD, uses } }),
    };
    return chartHtml(profile, chart);
  };

  const made: readonly {
    key: string;
    text: string;
    says: string;
    run: () => Promise<void> | void;
  }[] = [
    {
      key: 'i',
      text: 'PNG',
      says: `${width} × ${height} pixels, as a wallpaper`,
      async run() {
        if (svg !== null) download(`${name}.png`, await pngOf(svg, { width, height }));
      },
    },
    {
      key: 'v',
      text: 'SVG',
      says: 'the same as a drawing',
      run() {
        if (svg !== null) download(`${name}.svg`, textFile(svg, 'image/svg+xml'));
      },
    },
    {
      key: 'h',
      text: 'HTML',
      says: 'the page that is printed',
      run: () => download('keys.html', textFile(page(), 'text/html')),
    },
    {
      key: 'b',
      text: 'CSV',
      says: 'a line for each binding',
      run: () => download('keys.csv', textFile(chartCsv(profile), 'text/csv')),
    },
    {
      key: 'm',
      text: 'Markdown',
      says: 'tables by task',
      run: () => download('keys.md', textFile(chartMarkdown(profile), 'text/markdown')),
    },
  ];
  const make = async ({ text, run }: (typeof made)[number]) => {
    try {
      await run();
      setSaid(`The chart is saved as ${text}.`);
    } catch (error) {
      setSaid(error instanceof Error ? error.message : String(error));
    }
  };
  const nextMonitor = () => {
    const at = monitors.indexOf(monitor);
    setMonitor(monitors[(at + 1) % monitors.length]!.id);
  };
  const isPaper = choices.shows === 'paper';
  const picture = isPaper ? paperPicture(page(), { paper, isLandscape }) : svg;
  const print = async () => {
    await printed(page());
    setSaid('The page is given to the printer.');
  };
  usePageKeys('Chart', [
    { keys: ['p'], caps: ['Ctrl', 'P'], ctrl: true, label: 'print', run: () => void print() },
    {
      keys: ['a'],
      label: 'paper',
      minor: true,
      run: () =>
        onPaper({
          paper: PAPER_NAMES[(PAPER_NAMES.indexOf(paper) + 1) % PAPER_NAMES.length]!,
        }),
    },
    {
      keys: ['o'],
      label: 'upright or across',
      minor: true,
      run: () => onPaper({ isLandscape: !isLandscape }),
    },
    {
      keys: ['y'],
      label: 'layer printed',
      minor: true,
      run: () => onPaper({ layer: layers[(layers.indexOf(layer) + 1) % layers.length]! }),
    },
    {
      keys: ['u'],
      label: 'all, or what I use',
      minor: true,
      run: () => onPaper({ isCard: !isCard }),
    },
    ...made.map((each) => ({
      keys: [each.key],
      shift: false,
      label: each.text,
      run: () => void make(each),
    })),
    { keys: ['w'], label: 'next monitor', run: nextMonitor },
    {
      keys: ['n'],
      label: 'day or night',
      run: () => setMode(mode === 'day' ? 'night' : 'day'),
    },
  ]);
  return (
    <ViewLayout
      name="Keys"
      inspector={
        <>
          <Section title="Key chart" note="every binding on one page">
            <SettingRow label="For" caps={['W']}>
              <Select
                label="Monitor of the chart"
                value={monitor.id}
                options={monitors.map(({ id }) => ({ value: id, text: monitorName(profile, id) }))}
                onChange={setMonitor}
              />
            </SettingRow>
            <SettingRow label="Colours" caps={['N']}>
              <Choice
                label="Colours of the chart"
                value={mode}
                options={[
                  { value: 'day', text: 'day' },
                  { value: 'night', text: 'night' },
                ]}
                onChange={setMode}
              />
            </SettingRow>
          </Section>
          <Section title="On paper" note="one page">
            <SettingRow label="Paper" caps={['A']}>
              <Choice
                label="Paper"
                value={paper}
                options={PAPER_NAMES.map((value) => ({ value, text: value }))}
                onChange={(value) => onPaper({ paper: value })}
              />
            </SettingRow>
            <SettingRow label="It lies" caps={['O']}>
              <Choice
                label="How the paper lies"
                value={isLandscape ? 'across' : 'upright'}
                options={[
                  { value: 'across', text: 'across' },
                  { value: 'upright', text: 'upright' },
                ]}
                onChange={(value) => onPaper({ isLandscape: value === 'across' })}
              />
            </SettingRow>
            <SettingRow label="Layer" caps={['Y']}>
              <Select
                label="Layer printed"
                value={layer}
                options={layers.map((value) => ({
                  value,
                  text: value === EVERY_LAYER ? 'every layer' : value,
                }))}
                onChange={(value) => onPaper({ layer: value })}
              />
            </SettingRow>
            <SettingRow label="Bindings" caps={['U']}>
              <Choice
                label="Bindings printed"
                value={isCard ? 'used' : 'all'}
                options={[
                  { value: 'all', text: 'all' },
                  { value: 'used', text: `the ${ON_A_CARD} I use most` },
                ]}
                onChange={(value) => onPaper({ isCard: value === 'used' })}
              />
            </SettingRow>
            <Flex gap="8px" align="center" minH="28px" fontSize="13px">
              <KeyCaps caps={['Ctrl', 'P']} />
              <TextButton onClick={() => void print()}>Print</TextButton>
            </Flex>
          </Section>
          <Section title="Save as">
            {made.map((each) => (
              <Flex key={each.key} gap="8px" align="center" minH="28px" fontSize="13px">
                <KeyCap>{each.key.toUpperCase()}</KeyCap>
                <TextButton onClick={() => void make(each)}>{each.text}</TextButton>
                <chakra.span color="slate">{each.says}</chakra.span>
              </Flex>
            ))}
            <chakra.p role="status" fontSize="13px" mt="6px" data-chart-said>
              {said}
            </chakra.p>
          </Section>
        </>
      }
    >
      <Paper>
        <Flex align="center" gap="12px" fontSize="13px" color="slate">
          {pages}
          <span data-chart-size>
            {isPaper ? `${paper}, ${isLandscape ? 'across' : 'upright'}` : `${width} × ${height}`}
          </span>
        </Flex>
        <Flex flex="1" minH="0" align="center" justify="center">
          {picture !== null && (
            <chakra.img
              src={dataUrl(picture)}
              alt={`Keys of ${profile.name}, ${isPaper ? 'on paper' : `for ${monitorName(profile, monitor.id)}`}`}
              data-shows={choices.shows}
              maxW="100%"
              maxH="100%"
              border="1px solid"
              borderColor="hairline"
            />
          )}
        </Flex>
      </Paper>
    </ViewLayout>
  );
}

/** The faces of the page as text, for a picture that takes nothing from outside; null until they are there. */
function useFonts(): string | null {
  const [fonts, setFonts] = useState<string | null>(null);
  useEffect(() => {
    let isGone = false;
    void fontFaces().then((faces) => {
      if (!isGone) setFonts(faces);
    });
    return () => {
      isGone = true;
    };
  }, []);
  return fonts;
}
