import type { FromAgent } from '@sorn/link';

type Kind = FromAgent<'opened'>['kind'];

const KINDS: Readonly<Record<string, Kind>> = {
  NORMAL: 'normal',
  DIALOG: 'dialog',
  UTILITY: 'utility',
  TOOLBAR: 'utility',
  SPLASH: 'splash',
  DOCK: 'dock',
  // What lies under everything is nobody's to arrange, either.
  DESKTOP: 'dock',
  // Menus and the like mostly ask nobody where to go; those that do go by themselves.
  MENU: 'splash',
  DROPDOWN_MENU: 'splash',
  POPUP_MENU: 'splash',
  TOOLTIP: 'splash',
  NOTIFICATION: 'splash',
  COMBO: 'splash',
  DND: 'splash',
};
const TYPE = '_NET_WM_WINDOW_TYPE_';

/**
 * What kind of window it is: by the first of its types that is known (EWMH), else a dialog where it stands over another
 * one, else a normal one.
 *
 * @param types names of the atoms of _NET_WM_WINDOW_TYPE, in order
 */
export function kindOf(types: readonly string[], isOverAnother: boolean): Kind {
  for (const type of types) {
    const kind = type.startsWith(TYPE) ? KINDS[type.slice(TYPE.length)] : undefined;
    if (kind !== undefined) return kind;
  }
  return isOverAnother ? 'dialog' : 'normal';
}

/** True for what lies under all windows. */
export function isBackdrop(types: readonly string[]): boolean {
  return types.includes(`${TYPE}DESKTOP`);
}
