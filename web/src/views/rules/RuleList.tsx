import { countText } from '@sorn/core/values';
import { Box, chakra, Flex } from '@chakra-ui/react';
import type { Rule } from '@sorn/core/model';
import { settingsWords, textOf, whenWords, withRule } from '@sorn/core/rules';
import type { Landing } from '@sorn/core/simulate';
import { memo, useCallback, useMemo, type ReactNode } from 'react';
import { Bar } from '../../ui/Bar.tsx';
import { useScrollIntoView } from '../../ui/scroll-into-view.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { SortableList, useSortableLine } from '../../ui/sortable.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { useVirtualRows } from '../../ui/virtual-rows.ts';
import { useProfileStoreApi } from '../../state/profile-context.ts';
import type { RuleEdits } from './edits.ts';
import { useNamedRule } from './named-rule.ts';
import { RuleSentence } from './RuleSentence.tsx';

/** The rules in their order: when each matches, what it says, and how many windows it matches. */
export function RuleList(props: {
  /** The choice of another page. */
  pages: ReactNode;
  rules: readonly Rule[];
  selected: string | null;
  landings: readonly Landing[];
  /** Rules that something was found about. */
  marked: ReadonlyMap<string, readonly string[]>;
  edits: RuleEdits;
  onRule: (id: string) => void;
}) {
  const { rules, selected, landings, marked, edits, onRule } = props;
  const store = useProfileStoreApi();
  const ids = useMemo(() => rules.map(({ id }) => id), [rules]);
  const counts = useMemo(() => matchesOf(landings, rules.length), [landings, rules.length]);
  const toggle = useCallback(
    (id: string) =>
      store
        .getState()
        .edit((profile) => withRule(profile, id, (rule) => ({ ...rule, on: !rule.on }))),
    [store],
  );
  const { scroller, shown, before, after, measure } = useVirtualRows<HTMLOListElement>({
    count: rules.length,
    at: ids.indexOf(selected ?? ''),
    heightOf: () => LINE_HEIGHT,
  });
  return (
    <Box as="section" aria-label="Rules" minH="0" display="flex" flexDirection="column">
      <Bar isHead>
        {props.pages}
        <span>Rules, first to give a setting wins</span>
        <chakra.span flex="1" />
        <Flex gap="6px" align="center">
          <KeyCap>N</KeyCap> new <KeyCap>Alt</KeyCap>
          <KeyCap>↑</KeyCap>
          <KeyCap>↓</KeyCap> move
        </Flex>
      </Bar>
      {rules.length === 0 && (
        <chakra.p fontSize="13px" color="slate" py="8px">
          No rule yet: every window is tiled where the focus is. <KeyCap>M</KeyCap>{' '}
          <TextButton onClick={edits.addStarters}>Begin with what people expect</TextButton>{' '}
          (dialogs, tools and fixed sizes float, a guest screen is left alone), or{' '}
          <KeyCap>N</KeyCap>{' '}
          <TextButton onClick={() => edits.add()}>make one of your own</TextButton>.
        </chakra.p>
      )}
      <SortableList ids={ids} onMove={edits.move}>
        <chakra.ol ref={scroller} overflowY="auto" minH="0" tabIndex={-1} css={listStyle}>
          <Room height={before} />
          {shown.map((at) => {
            const rule = rules[at]!;
            return (
              <RuleLine
                key={rule.id}
                rule={rule}
                at={at}
                count={rules.length}
                isPart={shown.length < rules.length}
                measure={measure}
                isSelected={rule.id === selected}
                matches={counts[at] ?? 0}
                found={(marked.get(rule.id) ?? []).join('\n')}
                onRule={onRule}
                onToggle={toggle}
              />
            );
          })}
          <Room height={after} />
        </chakra.ol>
      </SortableList>
    </Box>
  );
}

/** As long as it is not measured. */
const LINE_HEIGHT = 30;

/** The room of rules that are not drawn. */
function Room({ height }: { height: number }) {
  return height > 0 && <li aria-hidden className="room" style={{ height }} />;
}

/** How many windows each rule matches. */
function matchesOf(landings: readonly Landing[], rules: number): readonly number[] {
  const counts = new Array<number>(rules).fill(0);
  for (const { matching } of landings) for (const at of matching) counts[at]!++;
  return counts;
}

/** Once for the list, which may be long: worked out for each line it would take longer than the drawing. */
const listStyle = {
  '& li': {
    display: 'flex',
    alignItems: 'center',
    gap: '8px',
    minHeight: '30px',
    paddingInline: '7px',
    fontSize: '13px',
    listStyleType: 'none',
    bg: 'sheet',
    borderLeft: '3px solid transparent',
    borderBottom: '1px solid',
    borderBottomColor: 'hairline',
  },
  '& li.room': { padding: 0, border: 0 },
  '& li[data-selected=true]': { bg: 'petrol.wash', borderLeftColor: 'petrol' },
  '& .figure': { fontFamily: 'mono', fontSize: '12px', fontStretch: '88%', color: 'slate' },
  '& .grip': { color: 'slate', cursor: 'grab' },
  '& .number': { fontWeight: 700, minWidth: '3ch', textAlign: 'right' },
  '& .matches': { whiteSpace: 'nowrap', minWidth: '9ch', textAlign: 'right' },
  '& .words': {
    flex: 1,
    minWidth: 0,
    textAlign: 'left',
    cursor: 'pointer',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    whiteSpace: 'nowrap',
  },
  '& .words b': { fontWeight: 650 },
  '& .words u': { textDecoration: 'none', borderBottom: '1px dashed', borderColor: 'slate' },
  '& [data-on=false] .words': { color: 'slate', textDecoration: 'line-through' },
  '& .found': {
    bg: 'sheet',
    color: 'vermilion',
    paddingInline: '5px',
    fontSize: '12px',
    fontWeight: 600,
    whiteSpace: 'nowrap',
  },
  '& .switch': { fontWeight: 600, minWidth: '4ch', textAlign: 'right', cursor: 'pointer' },
  '& .switch[aria-checked=true]': { color: 'petrol' },
};

interface LineProps {
  rule: Rule;
  at: number;
  /** Of all rules. */
  count: number;
  /** Not all of them are drawn. */
  isPart: boolean;
  measure: (row: Element | null) => void;
  isSelected: boolean;
  matches: number;
  /** What was found about it, a line each; empty where nothing was. */
  found: string;
  onRule: (id: string) => void;
  onToggle: (id: string) => void;
}

function RuleLine(props: LineProps) {
  const { rule, isSelected } = props;
  const { setNodeRef, style, grip } = useSortableLine(rule.id);
  const { isPart, measure } = props;
  const place = useCallback(
    (element: HTMLElement | null) => {
      setNodeRef(element);
      if (isPart) measure(element);
    },
    [setNodeRef, isPart, measure],
  );
  return (
    <li
      ref={place}
      data-index={props.at}
      data-rule={rule.id}
      data-selected={isSelected}
      data-on={rule.on}
      aria-posinset={props.at + 1}
      aria-setsize={props.count}
      style={style}
    >
      {grip}
      <LineContent {...props} />
    </li>
  );
}

/** Drawn again only where something of it changed, not with every rule that moves. */
const LineContent = memo(function LineContent(props: LineProps) {
  const { rule, at, isSelected, matches, found } = props;
  const words = useScrollIntoView<HTMLButtonElement>(isSelected && !props.isPart, at);
  const named = useNamedRule(rule);
  const count = found === '' ? 0 : found.split('\n').length;
  return (
    <>
      <span className="figure number">{at + 1}</span>
      <button
        ref={words}
        type="button"
        className="words"
        aria-pressed={isSelected}
        onClick={() => props.onRule(rule.id)}
      >
        <RuleSentence words={whenWords(named.when)} /> → <u>{textOf(settingsWords(named.then))}</u>
      </button>
      {count > 0 && (
        <span className="found" title={found} data-found={count}>
          ▲ {countText(count, 'finding')}
        </span>
      )}
      <span className="figure matches">
        {matches === 0 ? 'no window' : countText(matches, 'window')}
      </span>
      <button
        type="button"
        className="figure switch"
        role="switch"
        aria-checked={rule.on}
        aria-label={`Rule ${at + 1}: ${rule.on ? 'on' : 'off'}`}
        onClick={() => props.onToggle(rule.id)}
      >
        {rule.on ? 'on' : 'off'}
      </button>
    </>
  );
});
