import { Choice } from '../../ui/SettingRow.tsx';
import { useViewPage } from '../../state/view-pages.ts';
import { TrialsPage } from './TrialsPage.tsx';

const PAGES = [{ value: 'trials', text: 'Trials' }] as const;
type Page = (typeof PAGES)[number]['value'];

/** A setup tried before it is lived with. */
export function TrialsView() {
  const [page, setPage] = useViewPage<Page>('trials', 'trials');
  const pages = <Choice label="Page" value={page} options={PAGES} onChange={setPage} />;
  return <TrialsPage pages={pages} />;
}
