import { chakra, Flex } from '@chakra-ui/react';
import { commandText } from '@sorn/core/commands';
import {
  formerFaces,
  LETTERS,
  withBindingChanged,
  withChanges,
  type ChangesFound,
  type ChangesProgress,
  type KeyChange,
} from '@sorn/core/keys';
import { BASE } from '@sorn/core/model';
import { countText, inOrder, keysCaps, type Modifier } from '@sorn/core/values';
import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { suggestChanges } from '../../state/suggest.ts';
import { Bar } from '../../ui/Bar.tsx';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { ChangesTable } from './ChangesTable.tsx';
import { KeyboardDrawing } from './KeyboardDrawing.tsx';
import { useBoardHeight, useRoom } from './room.ts';
import { shortFigure, useAnswer, type SuggestBody } from './suggestion.ts';

const ChangesChart = lazy(() => import('./ChangesChart.tsx'));

/** The board takes at most this part of the paper's height. */
const BOARD_HEIGHT = 276;
const NO_COUNTS: ReadonlyMap<string, number> = new Map();
const NO_CHANGES: readonly KeyChange[] = [];
const NOTHING = () => undefined;
const LETTER_OPTIONS = LETTERS.map((value) => ({ value, text: value }));

/** Single changes of keys that pay, the best ones for each number of keys: ticked, and taken as one step. */
export function SuggestChanges(props: SuggestBody) {
  const { pages, settings, device, codes, isCounted, together, letters, onLetters } = props;
  const profile = useProfileStore((state) => state.profile);
  const uses = useProfileStore((state) => state.session.uses);
  const days = useProfileStore((state) => state.session.countedOn?.days ?? null);
  const store = useProfileStoreApi();
  const captions = profile.keys;
  const [chosen, setChosen] = useState<number | null>(null);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [selected, setSelected] = useState<string | null>(null);
  const [taken, setTaken] = useState<string | null>(null);
  const [room, roomWidth] = useRoom<HTMLDivElement>();
  const boardHeight = useBoardHeight(BOARD_HEIGHT);
  const capsOf = useCallback(
    (keys: string) => <KeyCaps caps={keysCaps(keys, captions)} />,
    [captions],
  );

  const { found, fault, progress, isCancelled, cancel, again } = useAnswer<
    ChangesFound,
    ChangesProgress
  >(
    useMemo(() => {
      const counted = isCounted ? { uses: uses ?? [], days: days ?? 1 } : null;
      const wanted = { device, counted, together, letters, ...(codes && { codes }) };
      return (onProgress) => suggestChanges(profile, wanted, onProgress);
    }, [profile, device, codes, uses, days, isCounted, together, letters]),
  );
  const isSearching = !found && fault === null && !isCancelled;
  const points = found?.points ?? [];
  const after = points.findIndex(({ keys }) => keys > (chosen ?? Infinity));
  const at =
    chosen === null ? (found?.knee ?? 0) : after < 0 ? points.length - 1 : Math.max(0, after - 1);
  const point = points[at] ?? null;
  const changes = point?.changes ?? NO_CHANGES;
  const row = Math.max(
    0,
    changes.findIndex(({ id }) => id === selected),
  );
  const change = changes[row] ?? null;
  const ticked = changes.filter(({ id }) => !left.has(id));
  const per = isCounted && days === null ? 'since counting began' : 'a day';
  const sum = (some: readonly KeyChange[]) => some.reduce((all, { spares }) => all + spares, 0);
  const keysOf = (some: readonly KeyChange[]) =>
    some.reduce((all, { moves }) => all + moves.length, 0);

  const choose = (index: number) => {
    const next = points[Math.min(points.length - 1, Math.max(0, index))];
    if (next) setChosen(next.keys);
  };
  const tick = useCallback(
    (id: string) =>
      setLeft((now) => {
        const next = new Set(now);
        if (!next.delete(id)) next.add(id);
        return next;
      }),
    [],
  );
  const take = () => {
    if (ticked.length === 0) return;
    store.getState().edit((now) => withChanges(now, ticked));
    setTaken(
      `${countText(ticked.length, 'change')} taken, ${countText(keysOf(ticked), 'key')} moved.`,
    );
    setChosen(null);
    setLeft(new Set());
  };
  const stay = () => {
    const binding = change?.moves[0]?.binding;
    if (!binding) return;
    store
      .getState()
      .edit((now) => withBindingChanged(now, binding, (own) => ({ ...own, pinned: true })));
  };
  usePageKeys('Suggest', [
    ...(isSearching
      ? [{ keys: ['Escape'], caps: ['Esc'], label: 'cancel the search', run: cancel }]
      : []),
    ...(isCancelled ? [{ keys: ['b'], label: 'search again', run: again }] : []),
    {
      keys: ['ArrowUp'],
      caps: ['↑', '↓'],
      label: 'change',
      run: () => setSelected(changes[row - 1]?.id ?? selected),
    },
    {
      keys: ['ArrowDown'],
      label: 'select the next change',
      minor: true,
      run: () => setSelected(changes[row + 1]?.id ?? selected),
    },
    {
      keys: ['ArrowLeft'],
      caps: ['←', '→'],
      label: 'fewer, more keys',
      run: () => choose(at - 1),
    },
    {
      keys: ['ArrowRight'],
      label: 'more keys',
      minor: true,
      run: () => choose(at + 1),
    },
    {
      keys: [' '],
      caps: ['Space'],
      label: 'tick',
      run: () => {
        if (change) tick(change.id);
      },
    },
    {
      keys: ['a'],
      label: 'all or none',
      run: () => setLeft(ticked.length > 0 ? new Set(changes.map(({ id }) => id)) : new Set()),
    },
    { keys: ['Enter'], label: 'take what is ticked', run: take },
    { keys: ['o'], label: 'stays where it is', run: stay },
    {
      keys: ['t'],
      label: 'how much letters matter',
      run: () => onLetters(LETTERS[(LETTERS.indexOf(letters) + 1) % LETTERS.length]!),
    },
  ]);

  const shown = useMemo(() => {
    const first = change?.moves[0];
    if (!change || !first) return { profile, modifiers: [], former: undefined };
    const becomes = withChanges(profile, [change]);
    const modifiers = inOrder(
      keysCaps(first.to, profile.keys).slice(0, -1).filter(Boolean) as Modifier[],
    );
    const former = formerFaces(profile, becomes, BASE, modifiers);
    return { profile: becomes, modifiers, former };
  }, [profile, change]);

  return (
    <ViewLayout
      name="Keys"
      inspector={
        <>
          {settings}
          <Section title="What counts">
            <SettingRow label="Letters of names" caps={['T']}>
              <Select
                label="How much letters matter"
                value={letters}
                options={LETTER_OPTIONS}
                onChange={(value) => onLetters(LETTERS.find((each) => each === value)!)}
              />
            </SettingRow>
            <chakra.p fontSize="12px" color="slate">
              A key that is called as what it leads to, as B for workspace B, is kept the more, the
              more its letter matters.
            </chakra.p>
          </Section>
          {found && point && (
            <Section title="Total reach" note={`uses × reach, ${per}`}>
              <Flex gap="24px">
                <Total name="before" value={found.before} says="now" />
                <Total name="after" value={found.before - sum(ticked)} says="with what is ticked" />
              </Flex>
              <Flex mt="8px" gap="6px" align="center" fontSize="13px">
                <KeyCap>Enter</KeyCap>
                <TextButton onClick={take}>
                  {`Take ${countText(ticked.length, 'change')}, ${countText(keysOf(ticked), 'key')}`}
                </TextButton>
              </Flex>
            </Section>
          )}
          {change && (
            <Section
              title="The selected change"
              note={`spares ${shortFigure(change.spares)} ${per}`}
            >
              {change.moves.map(({ binding, to, uses: times, spares }) => (
                <chakra.div
                  key={`${binding.keys} ${to}`}
                  fontSize="12.5px"
                  mb="8px"
                  data-move={`${commandText(binding.command!)} ${to}`}
                >
                  <Flex gap="6px" align="center" wrap="wrap">
                    <b>{commandText(binding.command!)}</b>
                    {capsOf(binding.keys)}
                    <span aria-label="to">→</span>
                    {capsOf(to)}
                  </Flex>
                  <chakra.span color="slate" fontSize="12px">
                    {times === 0
                      ? 'not used'
                      : `used ${shortFigure(times)} ${per}, ${spares < 0 ? `costs ${shortFigure(-spares)} more` : `spares ${shortFigure(spares)}`}`}
                  </chakra.span>
                </chakra.div>
              ))}
              <chakra.p fontSize="12px" color="slate">
                <KeyCap>O</KeyCap> keeps {commandText(change.moves[0]!.binding.command!)} where it
                is.
              </chakra.p>
            </Section>
          )}
        </>
      }
    >
      <Paper>
        <Bar isHead>
          {pages}
          <span role="status" data-suggested={point?.is}>
            {statusText()}
          </span>
          {isSearching && (
            <>
              <progress
                aria-label="Search of changes"
                value={progress?.tried ?? 0}
                max={progress?.of ?? 1}
              />
              <KeyCap>Esc</KeyCap> cancels
            </>
          )}
        </Bar>
        <div ref={room}>
          {found && point && (
            <>
              <chakra.div
                role="slider"
                tabIndex={0}
                aria-label="Keys that change, with the reach they spare"
                aria-valuemin={0}
                aria-valuemax={points.at(-1)!.keys}
                aria-valuenow={point.keys}
                data-points={points.map(({ keys, spares }) => `${keys}:${spares}`).join(' ')}
                height="120px"
                _focusVisible={{ outline: '2px solid', outlineColor: 'vermilion' }}
                onKeyDown={(event) => {
                  const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
                  if (by === undefined) return;
                  event.preventDefault();
                  choose(at + by);
                }}
              >
                <ErrorBoundary FallbackComponent={NoChart}>
                  <Suspense fallback={null}>
                    <ChangesChart
                      found={found}
                      at={at}
                      onPick={(keys) => setChosen(Math.max(0, Math.round(keys)))}
                    />
                  </Suspense>
                </ErrorBoundary>
              </chakra.div>
              <chakra.p fontSize="12px" color="slate" mb="6px">
                Reach spared against keys that change. Filled: proven, no other changes of as many
                keys spare more. Hollow: the best found. The diamond: where the curve bends most.
              </chakra.p>
              <KeyboardDrawing
                profile={shown.profile}
                layer={BASE}
                modifiersDown={shown.modifiers}
                face="commands"
                uses={NO_COUNTS}
                selected={change?.moves[0]?.to ?? null}
                {...(shown.former && { former: shown.former })}
                width={roomWidth}
                height={boardHeight}
                onKey={NOTHING}
              />
            </>
          )}
        </div>
        {found && (
          <ChangesTable
            changes={changes}
            left={left}
            selected={change?.id ?? null}
            capsOf={capsOf}
            onTick={tick}
            onRow={setSelected}
          />
        )}
      </Paper>
    </ViewLayout>
  );

  function statusText(): string {
    if (fault !== null) return fault;
    if (isCancelled) return 'Cancelled. B searches again.';
    if (!found || !point) return taken ?? 'Searching…';
    const many = `${countText(point.keys, 'key')} of ${countText(found.keys, 'binding')}`;
    const before = taken ? `${taken} ` : '';
    return `${before}${many} would spare ${shortFigure(point.spares)} of ${shortFigure(found.before)} ${per}: ${point.is}`;
  }
}

function Total(props: { name: string; value: number; says: string }) {
  return (
    <div>
      <chakra.p fontSize="18px" lineHeight="24px" data-total={props.name}>
        {shortFigure(props.value)}
      </chakra.p>
      <chakra.p fontSize="12px" color="slate">
        {props.says}
      </chakra.p>
    </div>
  );
}

function NoChart() {
  return (
    <chakra.p fontSize="12px" color="slate">
      The chart could not be loaded from the server. Arrow keys still choose among the numbers of
      keys; load the page again for the drawing.
    </chakra.p>
  );
}
