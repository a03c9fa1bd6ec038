import { stepsOf } from '@sorn/core/files';
import { bindingId } from '@sorn/core/checkup';
import { keyMap } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { useCallback } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useProfileStoreApi } from '../state/profile-context.ts';
import { useSelection } from '../state/selection.ts';
import { useTextGoal } from '../state/text-goal.ts';
import { useViewPages } from '../state/view-pages.ts';
import { notice } from '../ui/notice.ts';
import { useGoToSetting } from './everything.ts';
import type { PanelName } from './panel.ts';
import { SETTINGS, settingOf, type SettingEntry } from './setting-index.ts';

/** A path with the numbers of its entries left out: "rules[].name". */
const shapeOf = (path: string) => path.replace(/\[\d+\]/g, '[]');

/**
 * From a line of the profile's text to the setting in the page that it is, and from a setting that has the focus to its
 * line in the text.
 */
export function useLineAndSetting(onPanel: (panel: PanelName) => void): () => void {
  const store = useProfileStoreApi();
  const goals = useTextGoal.use();
  const selections = useSelection.use();
  const pages = useViewPages.use();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const goToSetting = useGoToSetting(onPanel);
  return useCallback(() => {
    const { activeElement } = document;
    const { cursor, goTo } = goals.getState();
    const { written } = store.getState();
    const selected = selections.getState();
    if (cursor && activeElement?.closest('.cm-editor')) {
      const path = cursor();
      const setting = settingAround(path);
      if (!setting) {
        notice(path === '' ? 'Nothing stands at the cursor.' : `${path} is set in the text alone.`);
        return;
      }
      select(path, written, selected);
      (activeElement as HTMLElement).blur();
      goToSetting(setting);
      return;
    }
    const labels = labelsAround(activeElement);
    const view = pathname.split('/').at(-1);
    const isInPanel = activeElement?.closest('[role=dialog]') !== null;
    const setting = labels.map((label) => settingAt(label, view, isInPanel)).find(Boolean);
    if (!setting) {
      notice('No setting has the focus: go to one with Tab or find anything, then to its line.');
      return;
    }
    pages.getState().show('files', 'text');
    void navigate('files');
    goTo(pathOf(setting.path, written, selected));
  }, [goals, store, selections, goToSetting, pathname, pages, navigate]);
}

type Selected = ReturnType<ReturnType<typeof useSelection.use>['getState']>;

/** The setting that a path leads to, or the nearest around it that has a control in the page; null for none. */
function settingAround(path: string): SettingEntry | null {
  for (let shape = shapeOf(path); shape !== ''; shape = shape.replace(/(\[\]|\.?[^.[\]]+)$/, '')) {
    const setting = settingOf(shape);
    if (setting && setting.controls.length > 0) return setting;
  }
  return null;
}

/** Selects in its view the entry of a list that a path leads to. */
function select(path: string, profile: Profile, selected: Selected): void {
  const [list, at, , further] = stepsOf(path);
  if (list === 'keys' && at === 'bindings') {
    const binding = profile.keys.bindings[Number(stepsOf(path)[2])];
    const shown = keyMap(profile).find(
      ({ from, keys }) => from === 'own' && keys === binding?.keys,
    );
    if (shown) selected.takeBinding(bindingId(shown));
  }
  const number = Number(at);
  if (list === 'rules') take(profile.rules[number]?.id, selected.takeRule);
  if (list === 'trials') take(profile.trials[number]?.id, selected.takeTrial);
  if (list === 'boards') take(profile.boards[number]?.id, selected.takeBoard);
  if (list === 'monitors') take(profile.monitors[number]?.id, selected.takeMonitor);
  if (list === 'desks' && further !== undefined)
    take(profile.desks[number]?.monitors[Number(further)]?.monitor, selected.takeMonitor);
}

function take(id: string | undefined, into: (id: string) => void): void {
  if (id !== undefined) into(id);
}

/** The path of a setting of what is selected: "rules[3].name"; of the first entry where nothing is. */
function pathOf(
  shape: string,
  profile: Profile,
  { rule, trial, board, monitor }: Selected,
): string {
  const [list = ''] = shape.split('[]');
  const selectedIds: Record<string, string | null> = {
    rules: rule,
    trials: trial,
    boards: board,
    monitors: monitor,
  };
  const wanted = selectedIds[list] ?? null;
  const entries = (profile as unknown as Record<string, unknown>)[list];
  const at = Array.isArray(entries)
    ? (entries as { id: string }[]).findIndex(({ id }) => id === wanted)
    : -1;
  return shape.replace('[]', `[${Math.max(0, at)}]`).replaceAll('[]', '[0]');
}

/** The setting that a control with a name sets, of those that are set in a view or in a panel. */
function settingAt(label: string, view: string | undefined, isInPanel: boolean) {
  const all = SETTINGS.filter(
    (each) => each.controls[0] === label && (isInPanel ? each.panel : each.view === view),
  );
  // Some controls stand in for settings that have none of their own.
  return all.find(({ text }) => text === label) ?? all[0];
}

/** Accessible names of an element and of what it is in, the nearest first. */
function labelsAround(element: Element | null): string[] {
  const labels: string[] = [];
  for (let at = element; at; at = at.parentElement) {
    const label = at.getAttribute('aria-label');
    if (label !== null) labels.push(label);
  }
  return labels;
}
