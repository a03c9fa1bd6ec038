import { bindingId } from '@sorn/core/checkup';
import { commandText, type Command } from '@sorn/core/commands';
import { monitorName } from '@sorn/core/desk';
import type { Session } from '@sorn/core/model';
import { nearness } from '@sorn/core/engine';
import { bindingText, keyMap } from '@sorn/core/keys';
import { textOf, whenWords, withMonitorNames } from '@sorn/core/rules';
import { keysCaps, MODES } from '@sorn/core/values';
import { useCallback, useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useProfileStore, useProfileStoreApi, useDeskLayout } from '../state/profile-context.ts';
import { useSelection } from '../state/selection.ts';
import { MODE_WORDS, useDeskChange } from '../state/desk-change.ts';
import { useColourMode } from '../ui/colour-mode.ts';
import { focusControl } from '../ui/focus-control.ts';
import { useInspector } from '../ui/inspector.ts';
import { useTextGoal } from '../state/text-goal.ts';
import { useViewPages } from '../state/view-pages.ts';
import { copyHere } from './copy-and-paste.ts';
import { ACTIONS } from './action-index.ts';
import { useGoToAction } from './go-to-action.ts';
import { commandEntries } from './command-entries.ts';
import { PAGES, presentValue, SETTINGS, type SettingEntry } from './setting-index.ts';
import type { PanelName } from './panel.ts';
import { usePicker } from '../views/rehearse/picker.ts';
import { VIEWS } from './views.ts';

/** What an entry is told apart by. */
export function valueOf({ text, group }: Found): string {
  return `${text} ${group}`.trim();
}

/** An entry of find-anything: what it is called, and what choosing it does. */
export interface Found {
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

/** The most entries that are listed: the best ones. Typing more finds the others. */
const MOST_LISTED = 120;

/**
 * What matches the typed text, the best first: what is called exactly so, then by how near its beginning the words are.
 * Everything in its order while nothing is typed.
 */
export function best(all: readonly Found[], typed: string): readonly Found[] {
  if (typed.trim() === '') return all.slice(0, MOST_LISTED);
  const exact = typed.trim().toLowerCase();
  return all
    .map((found) => ({
      found,
      score:
        nearness(`${found.text} ${found.group} ${found.also ?? ''}`, typed.trim()) +
        Number(found.text.toLowerCase() === exact),
    }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .slice(0, MOST_LISTED)
    .map(({ found }) => found);
}

/** Goes to where a setting is set, with the focus in it; to its place in the text where it has no control. */
export function useGoToSetting(
  onPanel: (panel: PanelName) => void,
): (setting: SettingEntry) => void {
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

/** Commands that are listed after what has a name of its own. */
const LAST_GROUPS: readonly string[] = ['Layouts here', 'Commands'];

function parted<T>(list: readonly T[], isOne: (item: T) => boolean): [T[], T[]] {
  return [list.filter(isOne), list.filter((item) => !isOne(item))];
}

const NO_LINEUPS: NonNullable<Session['lineups']> = [];

/** Everything that can be found, in the order in which it is listed while nothing is typed. */
export function useEverything(onPanel: (panel: PanelName) => void): Found[] {
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
    // What holds where the focus is, set there or by default: that is what the fields show.
    const present = { ...profile, tiling: { ...profile.tiling, ...inForce } };
    // Of several bindings of a command the first is told.
    const bindings = new Map(
      [...keyMap(profile)].reverse().map((each) => [JSON.stringify(each.command), each]),
    );
    const begin = (wanted: Command) => {
      // What it needs is typed over the desk.
      if (pickers.getState().open(wanted, [])) void navigate('rehearse');
      else store.getState().run(wanted, [], commandText(wanted));
    };
    const commands = commandEntries(profile, { windows, lineups }, board).map((entry): Found => {
      const { command } = entry;
      const binding = bindings.get(JSON.stringify(command));
      return {
        ...entry,
        ...(binding && { caps: keysCaps(binding.keys, profile.keys) }),
        run: () =>
          command.command === 'use-desk' ? goTo(command.desk, entry.text) : begin(command),
      };
    });
    const [desks, others] = parted(commands, ({ group }) => group === 'Desks');
    const [plain, said] = parted(others, ({ group }) => LAST_GROUPS.includes(group));
    const panel = (text: string, name: PanelName, cap: string, also: string): Found => ({
      group: 'Panels',
      text,
      also,
      caps: [cap],
      run: () => onPanel(name),
    });
    return [
      ...VIEWS.map(({ word, also, digit, path }) => ({
        group: 'Views',
        text: word,
        also,
        caps: [digit],
        run: () => void navigate(path),
      })),
      {
        group: 'Views',
        text: 'Profiles',
        also: 'open switch other setups',
        caps: ['9'],
        run: () => void navigate('/profiles'),
      },
      panel('Settings: focus frame, motion, keys', 'settings', ',', 'preferences options look'),
      panel('Findings', 'checkup', '!', 'problems errors warnings checkup'),
      panel(
        'Cables, desks and modes',
        'connections',
        'X',
        'pull unplug plug in connect disconnect dock undock mirror projector',
      ),
      panel(
        'Share what is selected: text, QR picture',
        'slip',
        '&',
        'copy send export qr code board layout rule binding chain menu trial',
      ),
      {
        group: 'Panels',
        text: 'Copy what is selected as text',
        also: 'share clipboard board layout rule binding chain menu trial',
        caps: ['Ctrl', 'C'],
        run: () => void copyHere(),
      },
      panel('Keys of this view', 'keys', '?', 'help shortcuts list'),
      {
        group: 'Panels',
        text: 'Day and night',
        also: 'dark light theme colours',
        caps: ['.'],
        run: () => useColourMode.getState().toggle(),
      },
      ...desks,
      ...MODES.map((mode) => ({
        group: 'Desks',
        text: `Mode: ${MODE_WORDS[mode].title.toLowerCase()}`,
        also: 'duplicate clone projector screens only',
        run: () => setMode(mode),
      })),
      ...said,
      ...profile.rules.map((rule, at) => ({
        group: 'Rules',
        text: `${at + 1} ${rule.name ?? textOf(whenWords(withMonitorNames(rule, (id) => monitorName(profile, id)).when))}`,
        run: () => {
          selected.getState().takeRule(rule.id);
          void navigate('rules');
        },
      })),
      ...profile.trials.map(({ id, name = id }) => ({
        group: 'Trials',
        text: name,
        also: 'test scenario expectation',
        run: () => {
          selected.getState().takeTrial(id);
          void navigate('trials');
        },
      })),
      ...plain,
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
        text: `${keysCaps(binding.keys, profile.keys).join(' ')} · ${bindingText(binding)}`,
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
