import { useViewPage } from '../../state/view-pages.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import { Choice } from '../../ui/SettingRow.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import { ChainsPage } from './ChainsPage.tsx';
import { ChartPage } from './ChartPage.tsx';
import { DevicesPage } from './DevicesPage.tsx';
import { LayersPage } from './LayersPage.tsx';
import { MapPage } from './MapPage.tsx';
import { Recording } from './Recording.tsx';
import { StartersPage } from './StartersPage.tsx';
import { SuggestPage } from './SuggestPage.tsx';
import { useRecorder, useRecording } from './recorder.ts';

const PAGES = [
  { value: 'map', text: 'Map', key: 'g', label: 'map' },
  { value: 'layers', text: 'Layers', key: 'l', label: 'layers, bundles, modifiers' },
  { value: 'chains', text: 'Chains', key: 'j', label: 'chains and menus' },
  { value: 'starters', text: 'Starters', key: 'p', label: 'starters' },
  { value: 'devices', text: 'Devices', key: 'd', label: 'devices' },
  { value: 'suggest', text: 'Suggest', key: 's', label: 'suggest' },
  { value: 'chart', text: 'Chart', key: 'c', label: 'key chart' },
] as const;
type Page = (typeof PAGES)[number]['value'];

const BODIES: Record<Page, (props: { pages: React.ReactNode }) => React.ReactNode> = {
  map: MapPage,
  layers: LayersPage,
  chains: ChainsPage,
  starters: StartersPage,
  devices: DevicesPage,
  suggest: SuggestPage,
  chart: ChartPage,
};

/** One map of keys: what each does, what is wrong with it, and where else it could be. */
export function KeysView() {
  const [page, setPage] = useViewPage<Page>('keys', 'map');
  const profile = useProfileStore((state) => state.profile);
  const isRecording = useRecorder(({ asks }) => asks !== null);
  useRecording(profile);
  usePageKeys(
    'Pages of Keys',
    isRecording
      ? []
      : PAGES.map(({ value, key, label }) => ({
          keys: [key],
          shift: false,
          label,
          minor: value === 'map' || value === 'layers' || value === page,
          run: () => setPage(value),
        })),
  );
  const Body = BODIES[page];
  return (
    <>
      <Body pages={<Choice label="Page" value={page} options={PAGES} onChange={setPage} />} />
      <Recording />
    </>
  );
}
