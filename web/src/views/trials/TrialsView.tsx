import { useViewPage } from '../../state/view-pages.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import { Choice } from '../../ui/SettingRow.tsx';
import { ComparePage } from './ComparePage.tsx';
import { TrialsPage } from './TrialsPage.tsx';

const PAGES = [
  { value: 'trials', text: 'Trials' },
  { value: 'compare', text: 'Compare' },
] as const;
type Page = (typeof PAGES)[number]['value'];

/** A setup tried before it is lived with, and held against another one. */
export function TrialsView() {
  const [page, setPage] = useViewPage<Page>('trials', 'trials');
  const other = page === 'trials' ? 'compare' : 'trials';
  usePageKeys('Pages of Trials', [{ keys: ['w'], label: other, run: () => setPage(other) }]);
  const options = PAGES.map((option) =>
    option.value === other ? { ...option, cap: 'W' } : option,
  );
  const pages = <Choice label="Page" value={page} options={options} onChange={setPage} />;
  return page === 'trials' ? <TrialsPage pages={pages} /> : <ComparePage pages={pages} />;
}
