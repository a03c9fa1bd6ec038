import { Box } from '@chakra-ui/react';
import type { Finding } from '@sorn/core/checkup';
import { ruleFromWindow } from '@sorn/core/engine';
import { useMemo, useRef, useState } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Choice } from '../../ui/SettingRow.tsx';
import { useFindings } from '../../state/findings.ts';
import { useProfileStore, useDeskLayout } from '../../state/profile-context.ts';
import { useCopied } from '../../state/slip-here.ts';
import { useViewPage } from '../../state/view-pages.ts';
import { useSelection } from '../../state/selection.ts';
import { AppsPage } from './AppsPage.tsx';
import { Conditions, type AddsCondition } from './Conditions.tsx';
import { FloatingSettings } from './FloatingSettings.tsx';
import { LandingTable } from './LandingTable.tsx';
import { RuleHead } from './RuleHead.tsx';
import { RuleList } from './RuleList.tsx';
import { RuleSettingsRows } from './RuleSettingsRows.tsx';
import { LandingReasons } from './LandingReasons.tsx';
import { useRuleEdits } from './edits.ts';
import { filteredLandings, useLandings } from './landings.ts';
import { useRuleKeys } from './rule-keys.ts';

const PAGES = [
  { value: 'rules', text: 'Rules' },
  { value: 'apps', text: 'Apps' },
] as const;
type Page = (typeof PAGES)[number]['value'];

/** When a window looks like this, treat it like that: the rules, and the apps whose windows they are about. */
export function RulesView() {
  const [page, setPage] = useViewPage<Page>('rules', 'rules');
  const pages = (
    <Choice label="Page" value={page} options={PAGES} onChange={(value) => setPage(value)} />
  );
  return page === 'rules' ? (
    <RulesPage pages={pages} onOther={() => setPage('apps')} />
  ) : (
    <AppsPage pages={pages} onOther={() => setPage('rules')} />
  );
}

/** The ordered list; beneath it every known window and where it lands. */
function RulesPage({ pages, onOther }: { pages: React.ReactNode; onOther: () => void }) {
  const deskLayout = useDeskLayout();
  const profile = useProfileStore((state) => state.profile);
  const windows = useProfileStore((state) => state.session.windows);
  const { rules } = profile;
  const ruleId = useSelection((selected) => selected.rule);
  const setRule = useSelection((selected) => selected.takeRule);
  const [windowId, setWindow] = useState<string | null>(null);
  const [deskId, setDesk] = useState<string | null>(deskLayout.desk.desk);
  const [filter, setFilter] = useState('');
  const desks = profile.desks.map(({ id, name = id }) => ({ value: id, text: name }));
  const desk = desks.find(({ value }) => value === deskId)?.value ?? desks[0]?.value;
  const landed = useLandings(profile, desk, windows);
  const at = Math.max(
    0,
    rules.findIndex(({ id }) => id === ruleId),
  );
  const rule = rules[at] ?? null;
  const seen = useMemo(() => filteredLandings(landed, filter), [landed, filter]);
  const landing = seen.find(({ id }) => id === windowId) ?? seen[0] ?? null;
  useCopied(`rule ${at + 1} “${rule?.name ?? rule?.id}”`, rule && { rule });
  const edits = useRuleEdits(rule, setRule);
  const findings = useFindings();
  const marked = useMemo(() => foundByRule(findings ?? [], rules), [findings, rules]);
  const nameInput = useRef<HTMLInputElement>(null);
  const filterInput = useRef<HTMLInputElement>(null);
  const firstInput = useRef<HTMLSelectElement>(null);
  const conditions = useRef<AddsCondition>(null);
  const ruleFor = () => {
    const like = landing && ruleFromWindow(landing.context, landing.id);
    if (like) edits.add(like);
  };

  useRuleKeys({
    edits,
    rules,
    at,
    landings: seen,
    landing,
    desks: desks.map(({ value }) => value),
    desk,
    nameInput,
    filterInput,
    firstInput,
    onRule: setRule,
    onWindow: setWindow,
    onDesk: setDesk,
    onCondition: () => conditions.current?.add(),
    onRuleFor: ruleFor,
    onOther,
  });

  return (
    <ViewLayout
      name="Rules"
      inspector={
        <>
          {rule && (
            <>
              <RuleHead
                rule={rule}
                at={at}
                matches={landed.filter(({ matching }) => matching.includes(at)).length}
                found={marked.get(rule.id) ?? []}
                edits={edits}
                nameInput={nameInput}
              />
              <Conditions key={rule.id} rule={rule} edits={edits} handle={conditions} />
              <RuleSettingsRows rule={rule} edits={edits} firstInput={firstInput} />
            </>
          )}
          <LandingReasons landing={landing} onRule={ruleFor} />
          <FloatingSettings />
        </>
      }
    >
      <Paper>
        <Box minH="60px" maxH="52%" display="flex" flexDirection="column">
          <RuleList
            pages={pages}
            rules={rules}
            selected={rule?.id ?? null}
            landings={landed}
            marked={marked}
            edits={edits}
            onRule={setRule}
          />
        </Box>
        <Box flex="1" minH="0" display="flex" flexDirection="column">
          <LandingTable
            landings={seen}
            desks={desks}
            desk={desk ?? ''}
            onDesk={setDesk}
            selected={landing?.id ?? null}
            onWindow={setWindow}
            rule={rule ? at : -1}
            filter={filter}
            onFilter={setFilter}
            filterInput={filterInput}
          />
        </Box>
      </Paper>
    </ViewLayout>
  );
}

/** What was found about each rule, in words. */
function foundByRule(
  findings: readonly Finding[],
  rules: readonly { id: string }[],
): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>();
  const add = (id: string, text: string) => found.set(id, [...(found.get(id) ?? []), text]);
  for (const finding of findings) {
    if ('rule' in finding) {
      add(finding.rule, finding.text);
      if (finding.kind === 'rules-pull' && finding.other !== finding.rule) {
        add(finding.other, finding.text);
      }
    }
    const at =
      finding.kind === 'unknown-name' ? /^rules\[(\d+)\]/.exec(finding.path)?.[1] : undefined;
    const rule = at === undefined ? undefined : rules[Number(at)];
    if (rule && finding.kind === 'unknown-name') {
      const hint = finding.nearest ? `; the nearest is ${finding.nearest}` : '';
      add(rule.id, `It names ${finding.value}, which does not exist${hint}.`);
    }
  }
  return found;
}
