import { Box, chakra, Flex } from '@chakra-ui/react';
import { bindingId } from '@sorn/core/checkup';
import { argumentAskedFor, commandText, type Command } from '@sorn/core/commands';
import { monitorName } from '@sorn/core/desk';
import type { Session } from '@sorn/core/model';
import { nearness, reduce } from '@sorn/core/engine';
import { bindingText, keyMap } from '@sorn/core/keys';
import { textOf, whenWords, withMonitorNames } from '@sorn/core/rules';
import { keysCaps, MODES } from '@sorn/core/values';
import { Command as Finder } from 'cmdk';
import { useCallback, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useProfileStore, useProfileStoreApi, useDeskLayout } from '../state/profile-context.ts';
import { useSelection } from '../state/selection.ts';
import { MODE_WORDS, useDeskChange } from '../state/desk-change.ts';
import { useColourMode } from '../ui/colour-mode.ts';
import { focusControl } from '../ui/focus-control.ts';
import { useInspector } from '../ui/inspector.ts';
import { useTextGoal } from '../state/text-goal.ts';
import { useViewPages } from '../state/view-pages.ts';
import { ACTIONS } from './action-index.ts';
import { useGoToAction } from './go-to-action.ts';
import { commandEntries } from './command-entries.ts';
import { PAGES, presentValue, SETTINGS, type SettingEntry } from './setting-index.ts';
import { finderStyle } from '../ui/finder-style.ts';
import type { PanelName, PanelProps } from './panel.ts';
import { KeyCaps } from '../ui/KeyCap.tsx';
import { Panel } from '../ui/Panel.tsx';
import { pickerOf, usePicker } from '../views/rehearse/picker.ts';
import { VIEWS } from './views.ts';

interface Found {
  group: string;
  text: string;
  /** Other words that it is found by. */
  also?: string;
  /** What it is set to. */
  value?: string;
  caps?: readonly string[];
  /** What it gives, where it is a command: it can be explained, and get keys. */
  command?: Command;
  run: () => void;
}

/** A list that narrows as you type: views, commands, workspaces, apps, settings. */
export function FindAnything({ isOpen, onClose, onPanel }: PanelProps) {
  return (
    <Panel title="Find anything" isOpen={isOpen} onClose={onClose}>
      <Everything onClose={onClose} onPanel={onPanel} />
    </Panel>
  );
}

/** The most entries that are listed: the best ones. Typing more finds the others. */
const MOST_LISTED = 120;

/** Gathered only while it is looked through: of a large profile that takes a while. */
function Everything({ onClose, onPanel }: Omit<PanelProps, 'isOpen'>) {
  const all = useEverything(onPanel);
  const [typed, setTyped] = useState('');
  const listed = useMemo(() => best(all, typed), [all, typed]);
  const groups = [...new Set(listed.map(({ group }) => group))];
  const [at, setAt] = useState('');
  const selected = listed.find((found) => valueOf(found) === at.trim());
  const bind = useBinding();
  return (
    <Finder
      label="Find anything"
      loop
      shouldFilter={false}
      value={at}
      onValueChange={setAt}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || !event.ctrlKey || !selected?.command) return;
        event.preventDefault();
        onClose();
        bind(selected.command);
      }}
    >
      <chakra.div css={finderStyle}>
        <Finder.Input
          value={typed}
          onValueChange={setTyped}
          placeholder="Type a view, command, workspace, zone, app, rule, binding or setting"
        />
      </chakra.div>
      <Box mt="8px" css={finderStyle}>
        <Finder.List tabIndex={0}>
          <Finder.Empty>Nothing here is called that.</Finder.Empty>
          {groups.map((group) => (
            <Finder.Group key={group} heading={group}>
              {listed
                .filter((found) => found.group === group)
                .map((found) => ({ ...found, id: valueOf(found) }))
                .map(({ id, text, value, caps, run }) => (
                  <Finder.Item
                    key={id}
                    value={id}
                    onSelect={() => {
                      onClose();
                      run();
                    }}
                  >
                    {text}
                    {value !== undefined && value !== '' && (
                      <chakra.span color="slate" ml="auto" fontFamily="mono" fontSize="12px">
                        {value}
                      </chakra.span>
                    )}
                    {caps && <KeyCaps caps={caps} />}
                  </Finder.Item>
                ))}
            </Finder.Group>
          ))}
        </Finder.List>
      </Box>
      <Explanation found={selected} />
    </Finder>
  );
}

/** What an entry is told apart by. */
function valueOf({ text, group }: Found): string {
  return `${text} ${group}`.trim();
}

/** Goes where keys are recorded for a command. */
function useBinding(): (command: Command) => void {
  const navigate = useNavigate();
  const selections = useSelection.use();
  const pages = useViewPages.use();
  return useCallback(
    (command) => {
      selections.getState().bind(command);
      pages.getState().show('keys', 'map');
      void navigate('keys');
    },
    [navigate, selections, pages],
  );
}

/** What the selected command would do now and why, and what can be done with it. */
function Explanation({ found }: { found: Found | undefined }) {
  const profile = useProfileStore((state) => state.profile);
  const session = useProfileStore((state) => state.session);
  const command = found?.command;
  const says = useMemo(() => {
    if (!command) return null;
    if (argumentAskedFor(command) !== null) return 'Asks for what it needs, over the desk.';
    const { trace } = reduce(session, { type: 'command', command }, profile);
    const [first] = trace;
    return first ? `Now: ${first.decided}; ${first.because}.` : 'Now: done without a word.';
  }, [command, session, profile]);
  if (says === null) return null;
  return (
    <Flex
      mt="8px"
      pt="6px"
      borderTop="1px solid"
      borderColor="hairline"
      fontSize="12px"
      color="slate"
      gap="10px"
      align="center"
    >
      <chakra.span role="status" flex="1" minW="0" data-explained>
        {says}
      </chakra.span>
      <KeyCaps caps={['Enter']} /> do it
      <KeyCaps caps={['Ctrl', 'Enter']} /> give it keys
    </Flex>
  );
}

/** What matches the typed text, the best first; everything in its order while nothing is typed. */
function best(all: readonly Found[], typed: string): readonly Found[] {
  if (typed.trim() === '') return all.slice(0, MOST_LISTED);
  return all
    .map((found) => ({
      found,
      score: nearness(`${found.text} ${found.group} ${found.also ?? ''}`, typed),
    }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .slice(0, MOST_LISTED)
    .map(({ found }) => found);
}

/** Goes to where a setting is set, with the focus in it; to its place in the text where it has no control. */
function useGoToSetting(onPanel: (panel: PanelName) => void): (setting: SettingEntry) => void {
  const navigate = useNavigate();
  const pages = useViewPages.use();
  const goals = useTextGoal.use();
  return useCallback(
    ({ path, view, page, panel, controls }) => {
      if (panel) onPanel(panel);
      if (view && page) pages.getState().show(view, page);
      if (view) void navigate(view);
      if (controls.length === 0) {
        // Of a list, to its first entry.
        goals.getState().goTo(path.replaceAll('[]', '[0]'));
        return;
      }
      useInspector.getState().show();
      focusControl(controls);
    },
    [onPanel, pages, navigate, goals],
  );
}

const NO_LINEUPS: NonNullable<Session['lineups']> = [];

function useEverything(onPanel: (panel: PanelName) => void): Found[] {
  const profile = useProfileStore((state) => state.profile);
  const store = useProfileStoreApi();
  const selected = useSelection.use();
  const navigate = useNavigate();
  const { goTo, setMode } = useDeskChange();
  const { focused } = useDeskLayout();
  const inForce = focused.tiling;
  const board = focused.zoned?.board ?? focused.boards.fitting[0];
  const windows = useProfileStore((state) => state.session.windows);
  const goToSetting = useGoToSetting(onPanel);
  const goToAction = useGoToAction();
  const pages = useViewPages.use();
  const pickers = usePicker.use();
  const lineups = useProfileStore((state) => state.session.lineups) ?? NO_LINEUPS;
  return useMemo(() => {
    const { main } = profile.keys;
    // What holds where the focus is, set there or by default: that is what the fields show.
    const present = { ...profile, tiling: { ...profile.tiling, ...inForce } };
    // Of several bindings of a command the first is told.
    const bindings = new Map(
      [...keyMap(profile)].reverse().map((each) => [JSON.stringify(each.command), each]),
    );
    const begin = (wanted: Command) => {
      const asks = pickerOf(wanted);
      if (!asks) {
        store.getState().run(wanted, [], commandText(wanted));
        return;
      }
      // What it needs is typed over the desk.
      void navigate('rehearse');
      pickers.getState().open(asks, []);
    };
    const commands = (groups: (group: string) => boolean): Found[] =>
      commandEntries(profile, { windows, lineups }, board)
        .filter(({ group }) => groups(group))
        .map((entry) => {
          const { command } = entry;
          const binding = bindings.get(JSON.stringify(command));
          return {
            ...entry,
            ...(binding && { caps: keysCaps(binding.keys, profile.keys.main) }),
            run: () =>
              command.command === 'use-desk' ? goTo(command.desk, entry.text) : begin(command),
          };
        });
    const isLast = (group: string) => ['Layouts here', 'Commands'].includes(group);
    const panel = (text: string, name: PanelName, cap: string): Found => ({
      group: 'Panels',
      text,
      caps: [cap],
      run: () => onPanel(name),
    });
    return [
      ...VIEWS.map(({ word, digit, path }) => ({
        group: 'Views',
        text: word,
        caps: [digit],
        run: () => void navigate(path),
      })),
      { group: 'Views', text: 'Profiles', caps: ['9'], run: () => void navigate('/profiles') },
      panel('Settings: focus frame, motion, keys', 'settings', ','),
      panel('Findings', 'checkup', '!'),
      panel('Cables, desks and modes', 'connections', 'X'),
      panel('Keys of this view', 'keys', '?'),
      {
        group: 'Panels',
        text: 'Day and night',
        caps: ['.'],
        run: () => useColourMode.getState().toggle(),
      },
      ...commands((group) => group === 'Desks'),
      ...MODES.map((mode) => ({
        group: 'Desks',
        text: `Mode: ${MODE_WORDS[mode].title.toLowerCase()}`,
        run: () => setMode(mode),
      })),
      ...commands((group) => group !== 'Desks' && !isLast(group)),
      ...profile.rules.map((rule, at) => ({
        group: 'Rules',
        text: `${at + 1} ${rule.name ?? textOf(whenWords(withMonitorNames(rule, (id) => monitorName(profile, id)).when))}`,
        run: () => {
          selected.getState().takeRule(rule.id);
          void navigate('rules');
        },
      })),
      ...commands(isLast),
      ...PAGES.map(({ view, page, text, also }) => ({
        group: 'Pages',
        text,
        also,
        run() {
          pages.getState().show(view, page);
          void navigate(view);
        },
      })),
      ...SETTINGS.map((setting) => ({
        group: 'Settings',
        text: setting.text,
        also: `${setting.also} ${setting.path}`,
        value: presentValue(present, setting.path),
        run: () => goToSetting(setting),
      })),
      ...ACTIONS.map((action) => ({
        group: 'Actions',
        text: action.text,
        also: action.also,
        caps: action.caps,
        run: () => goToAction(action),
      })),
      // Last: who types the name of something wants it done before its key.
      ...keyMap(profile).map((binding) => ({
        group: 'Bindings',
        text: `${keysCaps(binding.keys, main).join(' ')} · ${bindingText(binding)}`,
        run: () => {
          selected.getState().takeBinding(bindingId(binding));
          void navigate('keys');
        },
      })),
    ];
  }, [
    profile,
    store,
    selected,
    navigate,
    onPanel,
    goTo,
    setMode,
    board,
    lineups,
    inForce,
    goToAction,
    goToSetting,
    pages,
    pickers,
    windows,
  ]);
}
