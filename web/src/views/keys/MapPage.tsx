import { Box, chakra } from '@chakra-ui/react';
import { bindingId, checkKeys } from '@sorn/core/checkup';
import { commandText, type KeyCommand } from '@sorn/core/commands';
import {
  asOwn,
  keyboardOf,
  FIXED_LAYERS,
  keyMap,
  modifierSets,
  type KeyFace,
} from '@sorn/core/keys';
import { BASE, type Profile } from '@sorn/core/model';
import { inOrder, keysCaps, type Modifier } from '@sorn/core/values';
import {
  useCallback,
  useEffect,
  useEffectEvent,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { Choice } from '../../ui/SettingRow.tsx';
import { Select } from '../../ui/Select.tsx';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { useSelection } from '../../state/selection.ts';
import { useCopied } from '../../state/slip-here.ts';
import { BindingSettings } from './BindingSettings.tsx';
import { KeyboardDrawing, FACES, type Face } from './KeyboardDrawing.tsx';
import { Checkup } from './Checkup.tsx';
import { ChooseCommand } from './ChooseCommand.tsx';
import { KeyTable } from './KeyTable.tsx';
import { DeviceSummary } from './DeviceSummary.tsx';
import { useKeyEdits } from './edits.ts';
import { useMapKeys } from './map-keys.ts';
import { FILTERS, keyRows, NO_USES, shownRows, type Filter } from './rows.ts';
import { usePressedModifiers } from './pressed-modifiers.ts';
import { useBoardHeight, useRoom } from './room.ts';

/** The board takes at most this part of the paper's height. */
const BOARD_HEIGHT = 290;

/** The drawn board of a layer, every binding in a table, and of the selected one what it does. */
export function MapPage({ pages }: { pages: ReactNode }) {
  const profile = useProfileStore((state) => state.profile);
  const uses = useProfileStore((state) => state.session.uses) ?? NO_USES;
  const [layer, setLayer] = useState<string>(BASE);
  const [set, setSet] = useState(0);
  const [face, setFace] = useState<Face>('commands');
  const [filter, setFilter] = useState<Filter>('all');
  const [typed, setTyped] = useState('');
  const selected = useSelection(({ binding: id }) => id);
  const setInHand = useSelection(({ takeBinding }) => takeBinding);
  const [findingAt, setFinding] = useState(0);
  const [isChoosing, setChoosing] = useState(false);
  const [room, roomWidth] = useRoom<HTMLDivElement>();
  const boardHeight = useBoardHeight(BOARD_HEIGHT);
  const searchInput = useRef<HTMLInputElement>(null);
  const keysInput = useRef<HTMLInputElement>(null);
  const commandSelect = useRef<HTMLSelectElement>(null);

  const findings = checkKeys(profile);
  const rows = useMemo(() => keyRows(profile, uses), [profile, uses]);
  const shown = useMemo(() => shownRows(rows, filter, typed), [rows, filter, typed]);
  const counts = useMemo(
    () =>
      Object.fromEntries(FILTERS.map(({ value }) => [value, shownRows(rows, value, '').length])),
    [rows],
  );
  const byKeys = useMemo(
    () => new Map(rows.map(({ binding, uses: times }) => [binding.keys, times])),
    [rows],
  );
  const row = shown.find(({ id }) => id === selected) ?? shown[0] ?? null;
  const binding = row?.binding ?? null;
  useCopied(
    `binding ${binding ? keysCaps(binding.keys, profile.keys).join(' ') : ''}`,
    binding && binding.from !== 'fixed' ? { binding: asOwn(binding) } : null,
  );
  const layers = useMemo(
    () => [BASE, ...profile.keys.layers.map(({ id }) => id), ...FIXED_LAYERS],
    [profile.keys.layers],
  );
  const layerNow = layers.includes(layer) ? layer : BASE;
  const sets = useMemo(() => modifierSets(profile, layerNow), [profile, layerNow]);
  const pressed = usePressedModifiers(profile);
  const modifiersDown = useMemo(
    () => inOrder([...(sets[set % Math.max(1, sets.length)] ?? []), ...pressed]),
    [sets, set, pressed],
  );
  const at = Math.min(findingAt, Math.max(0, findings.length - 1));
  const faulty = useMemo(() => {
    const about = new Set(findings[at]?.about ?? []);
    return new Set(
      keyMap(profile)
        .filter((each) => about.has(bindingId(each)))
        .flatMap(({ trigger }) => trigger.steps.flatMap(({ code }) => code ?? [])),
    );
  }, [profile, findings, at]);

  const store = useProfileStoreApi();
  /** Selects a binding, and shows the keyboard with its layer and modifiers. */
  const choose = useCallback(
    (id: string) => {
      setInHand(id);
      // The binding may just have been made: it is looked for in the profile as it is by now.
      const now = store.getState().profile;
      const found = keyMap(now).find((each) => bindingId(each) === id);
      if (!found) return;
      setLayer(found.layer);
      const wanted = inOrder(found.trigger.steps[0]!.modifiers as Modifier[]).join('+');
      const at = modifierSets(now, found.layer).findIndex((each) => each.join('+') === wanted);
      if (at >= 0) setSet(at);
    },
    [store, setInHand],
  );
  const chooseKey = useCallback((face: KeyFace) => choose(bindingId(face.binding)), [choose]);
  /** After an edit: whatever the table was narrowed to, what was edited is seen. */
  const show = (id: string) => {
    setFilter('all');
    setTyped('');
    choose(id);
  };
  const edits = useKeyEdits(binding, show);
  /** Takes a quick fix, and goes on with the binding that came of it. */
  const quickFix = useCallback(
    (next: Profile) => {
      const before = new Set(keyMap(store.getState().profile).map(bindingId));
      store.getState().edit(() => next);
      const made = keyMap(next).find((each) => !before.has(bindingId(each)));
      if (made) choose(bindingId(made));
    },
    [store, choose],
  );

  const toBind = useSelection(({ toBind: command }) => command);
  const selections = useSelection.use();
  const recordFor = useEffectEvent((command: KeyCommand) =>
    edits.recordFor(command, commandText(command), layerNow),
  );
  useEffect(() => {
    if (!toBind) return;
    selections.getState().bind(null);
    recordFor(toBind);
  }, [toBind, selections]);

  useMapKeys({
    edits,
    profile,
    rows: shown,
    row,
    layers,
    layer: layerNow,
    findings,
    at,
    searchInput,
    keysInput,
    commandSelect,
    onRow: choose,
    onLayer(next) {
      setLayer(next);
      setSet(0);
    },
    onNextSet: () => setSet((now) => (now + 1) % Math.max(1, sets.length)),
    onNextFace: () => setFace(next(FACES, face)),
    onNextFilter: () => setFilter(next(FILTERS, filter)),
    onFinding(index) {
      setFinding(index);
      const id = findings[index]?.about[0];
      if (id !== undefined) show(id);
    },
    onFix: quickFix,
    onFound: show,
    onNew: () => setChoosing(true),
  });

  return (
    <ViewLayout
      name="Keys"
      inspector={
        <>
          {binding && (
            <BindingSettings
              key={row!.id}
              binding={binding}
              edits={edits}
              keysInput={keysInput}
              commandSelect={commandSelect}
            />
          )}
          <Checkup
            profile={profile}
            findings={findings}
            at={at}
            onFinding={setFinding}
            onFix={quickFix}
          />
          <DeviceSummary profile={profile} />
        </>
      }
    >
      <Paper>
        <Box ref={room}>
          <Bar isHead>
            {pages}
            <chakra.span flex="1" />
            <Choice label="Shown on the keys" value={face} options={FACES} onChange={setFace} />
            <KeyCap>V</KeyCap>
          </Bar>
          <Bar isHead>
            <span>Layer</span>
            <Select
              label="Layer shown"
              value={layerNow}
              options={layers.map((id) => ({ value: id, text: id }))}
              onChange={(id) => {
                setLayer(id);
                setSet(0);
              }}
            />
            <KeyCap>[</KeyCap>
            <KeyCap>]</KeyCap>
            <chakra.span ml="10px">
              {modifiersDown.length > 0 ? 'with' : 'with no modifier'}
            </chakra.span>
            <span data-holding={modifiersDown.join(' ')}>
              <KeyCaps caps={modifiersDown} />
            </span>
            <KeyCap>H</KeyCap>
            <chakra.span flex="1" />
            <span>{keyboardOf(profile).title}</span>
          </Bar>
          <KeyboardDrawing
            profile={profile}
            layer={layerNow}
            modifiersDown={modifiersDown}
            face={face}
            uses={byKeys}
            selected={binding?.keys ?? null}
            faulty={faulty}
            width={roomWidth}
            height={boardHeight}
            onKey={chooseKey}
          />
        </Box>
        <Box flex="1" minH="0" display="flex" flexDirection="column">
          <Bar isHead>
            <Choice
              label="Which bindings"
              value={filter}
              options={FILTERS.map(({ value, text }) => ({
                value,
                text: `${text} ${counts[value]}`,
              }))}
              onChange={setFilter}
            />
            <KeyCap>F</KeyCap>
            <SearchField
              label="Search bindings"
              typed={typed}
              width="380px"
              inputRef={searchInput}
              onType={setTyped}
            />
            <chakra.span whiteSpace="nowrap">
              <KeyCap>K</KeyCap> press to find
            </chakra.span>
          </Bar>
          <KeyTable
            rows={shown}
            selected={row?.id ?? null}
            empty={EMPTY[filter](typed)}
            onRow={choose}
          />
        </Box>
      </Paper>
      <ChooseCommand
        title="Which command gets keys"
        isOpen={isChoosing}
        onClose={() => setChoosing(false)}
        onCommand={(command, text) => edits.recordFor(command, text, layerNow)}
      />
    </ViewLayout>
  );
}

function next<T extends string>(options: readonly { value: T }[], now: T): T {
  const at = options.findIndex(({ value }) => value === now);
  return options[(at + 1) % options.length]!.value;
}

const EMPTY: Record<Filter, (typed: string) => string> = {
  all: (typed) =>
    typed
      ? `No binding answers to “${typed}”.`
      : 'No keys yet: begin from a starter (P), or bind a command (N).',
  changed: () => 'Every key is as the starter has it. R gives the selected command other keys.',
  conflict: () => 'Nothing was found about any key.',
  unused: () => 'Every key did something in Rehearse.',
};
