import { useViewPage } from '../../state/view-pages.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import { Choice } from '../../ui/SettingRow.tsx';
import { ComparePage } from './ComparePage.tsx';
import { TrialsPage } from './TrialsPage.tsx';

const PAGES = [
  { value: 'trials', text: 'Trials', cap: 'W' },
  { value: 'compare', text: 'Compare', cap: 'W' },
] as const;
type Page = (typeof PAGES)[number]['value'];

/** A setup tried before it is lived with, and held against another one. */
export function TrialsView() {
  const [page, setPage] = useViewPage<Page>('trials', 'trials');
  const other = page === 'trials' ? 'compare' : 'trials';
  usePageKeys('Pages of Trials', [
    {
      keys: ['w'],
      label: page === 'trials' ? 'compare' : 'trials',
      run: () => setPage(other),
    },
  ]);
  const pages = (
    <Choice
      label="Page"
      value={page}
      options={PAGES.map(({ cap, ...option }) =>
        option.value === other ? { ...option, cap } : option,
      )}
      onChange={setPage}
    />
  );
  return page === 'trials' ? <TrialsPage pages={pages} /> : <ComparePage pages={pages} />;
}
