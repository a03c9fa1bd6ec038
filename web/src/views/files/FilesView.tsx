import { useViewPage } from '../../state/view-pages.ts';
import { Choice } from '../../ui/SettingRow.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { BackupPage } from './BackupPage.tsx';
import { ExportPage } from './ExportPage.tsx';
import { FilePage } from './FilePage.tsx';
import { ImportPage } from './ImportPage.tsx';
import { RevisionsPage } from './RevisionsPage.tsx';
import { StartOverPage } from './StartOverPage.tsx';
import { TextPage } from './TextPage.tsx';

const PAGES = [
  { value: 'revisions', text: 'Revisions', key: 'r', label: 'revisions' },
  { value: 'text', text: 'Text', key: 't', label: 'as text' },
  { value: 'file', text: 'File', key: 'v', label: 'lives in a file' },
  { value: 'export', text: 'Export', key: 'e', label: 'export' },
  { value: 'import', text: 'Import', key: 'i', label: 'import' },
  { value: 'backup', text: 'Backup', key: 'b', label: 'backup' },
  { value: 'over', text: 'Start over', key: 'o', label: 'start over' },
] as const;
const OPTIONS = PAGES.map(({ value, text, key }) => ({ value, text, cap: key.toUpperCase() }));
type Page = (typeof PAGES)[number]['value'];

const BODIES: Record<Page, (props: { pages: React.ReactNode }) => React.ReactNode> = {
  revisions: RevisionsPage,
  text: TextPage,
  file: FilePage,
  export: ExportPage,
  import: ImportPage,
  backup: BackupPage,
  over: StartOverPage,
};

/** How the profile leaves and comes back, and every state it was in. */
export function FilesView() {
  const [page, setPage] = useViewPage<Page>('files', 'revisions');
  usePageKeys(
    'Pages of Files',
    PAGES.map(({ value, key, label }) => ({
      keys: [key],
      shift: false,
      label,
      minor: true,
      run: () => setPage(value),
    })),
  );
  const Body = BODIES[page];
  return <Body pages={<Choice label="Page" value={page} options={OPTIONS} onChange={setPage} />} />;
}
