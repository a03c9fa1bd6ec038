import type { ScreenForm } from '@sorn/core/starters';
import type { PageKey } from '../../ui/page-keys.ts';

const FORM_NAMES: Readonly<Record<ScreenForm, string>> = {
  monitor: 'monitor',
  wide: 'wide monitor',
  laptop: 'laptop',
};

/** Keys for larger and smaller, of the first screen, the second and the third. */
const KEYS = [
  ['+', '-'],
  ['>', '<'],
  [']', '['],
] as const;

export interface SizeStep {
  form: ScreenForm;
  name: string;
  larger: string;
  smaller: string;
}

/** By which keys each form of screen gets larger and smaller. */
export function sizeSteps(forms: readonly ScreenForm[]): SizeStep[] {
  return forms.map((form, i) => {
    const [larger, smaller] = KEYS[i]!;
    return { form, name: FORM_NAMES[form], larger, smaller };
  });
}

/** Those keys as keys of the page. */
export function sizeKeys(
  steps: readonly SizeStep[],
  resize: (form: ScreenForm, by: 1 | -1) => void,
): PageKey[] {
  return steps.flatMap(({ form, name, larger, smaller }) => [
    {
      keys: larger === '+' ? ['+', '='] : [larger],
      caps: [larger, smaller],
      label: `${name} larger, smaller`,
      run: () => resize(form, 1),
    },
    { keys: [smaller], label: `${name} smaller`, minor: true, run: () => resize(form, -1) },
  ]);
}
