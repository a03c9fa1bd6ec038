import type { ProfileFileState } from '@sorn/api';
import { fileFaultText } from '@sorn/core/files';

/** How a file of a profile is, for the terminal; nothing where there is nothing to tell. */
export function linesOfState(state: ProfileFileState, before: ProfileFileState | null): string[] {
  const { path, because = '' } = state;
  switch (state.state) {
    case 'faults':
      return [
        ...(state.faults ?? []).map(fileFaultText),
        `${path}: the profile stays as it was until this is mended`,
      ];
    case 'conflicts':
      return [`${path}: changed here and there; decide in the page. Nothing is written until then`];
    case 'asks':
      return [
        `${(state.anew ?? []).join(', ')}: an edit would take comments away; agree to it in the page. Nothing is written until then`,
      ];
    case 'gone':
    case 'unreadable':
    case 'too-large':
      return [`${path}: ${because}. It is taken up again when that is otherwise`];
    case 'not-written':
      return [`${path}: cannot be written: ${because}. What was edited is kept in Sorn`];
    case 'deleted':
      return [`${path}: its profile was deleted; the file is left as it is`];
    case 'released':
      return [`${path}: its profile does not live there any more`];
    case 'same': {
      const wasTrouble = before !== null && !['same', 'waits'].includes(before.state);
      return wasTrouble ? [`${path}: all is well again`] : [];
    }
    case 'waits':
      return [];
  }
}
