import {
  fileOf,
  FORMATS,
  keysCsv,
  layoutSvg,
  rulesCsv,
  whyNot,
  writeText,
  zoneBoardSvg,
  type Format,
  type SectionId,
} from '@sorn/core/files';
import type { Profile } from '@sorn/core/model';

export const WHOLE = 'whole';
/** What can be saved as a file. */
export type What = typeof WHOLE | SectionId | 'layout-drawing' | 'board-drawing';
export type Form = Format | 'csv' | 'svg';

/** What a drawing shows; null: the first there is. */
export interface Drawn {
  monitor: string | null;
  board: string | null;
  windows: number;
}

export interface ExportedFile {
  name: string;
  text: string;
  type: string;
}

const TYPES: Record<Form, string> = {
  yaml: 'application/yaml',
  toml: 'application/toml',
  json: 'application/json',
  csv: 'text/csv',
  svg: 'image/svg+xml',
};

/** The forms something of a profile can be saved in. */
export function formsFor(what: What, profile: Profile): readonly Form[] {
  if (what === 'layout-drawing' || what === 'board-drawing') return ['svg'];
  const formats = FORMATS.filter((format) => whyNot(profile, format) === null);
  return what === 'rules' || what === 'keys' ? [...formats, 'csv'] : formats;
}

/** The name of a profile's file, without its ending. */
export function fileSlug(name: string): string {
  const slug = name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '');
  return slug || 'profile';
}

/** Something of a profile as a file. */
export function exportFile(profile: Profile, what: What, form: Form, drawn: Drawn): ExportedFile {
  const name = [
    fileSlug(profile.name),
    ...(what === WHOLE ? [] : [what.replace('-drawing', '')]),
  ].join('.');
  return { name: `${name}.${form}`, text: textOf(profile, what, form, drawn), type: TYPES[form] };
}

function textOf(profile: Profile, what: What, form: Form, drawn: Drawn): string {
  const monitor = drawn.monitor ?? profile.monitors[0]!.id;
  switch (form) {
    case 'csv':
      return what === 'rules' ? rulesCsv(profile.rules) : keysCsv(profile.keys);
    case 'svg': {
      const board = profile.boards.find(({ id }) => id === drawn.board) ?? profile.boards[0];
      return what === 'board-drawing' && board
        ? zoneBoardSvg(profile, board, monitor)
        : layoutSvg(profile, monitor, drawn.windows);
    }
    default:
      return writeText(
        fileOf(profile, what === WHOLE ? undefined : [what as SectionId], location.origin),
        form,
      );
  }
}
