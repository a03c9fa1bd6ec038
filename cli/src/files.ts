import { checkProfile, findingText } from '@sorn/core/checkup';
import { monitorName } from '@sorn/core/desk';
import {
  changeTexts,
  fileOf,
  FORMATS,
  formatOf,
  importItems,
  keysCsv,
  layoutSvg,
  SECTIONS,
  rulesCsv,
  withImported,
  whyNot,
  writeText,
  zoneBoardSvg,
  type ImportItem,
  type Format,
  type SectionId,
} from '@sorn/core/files';
import { type Profile } from '@sorn/core/model';
import { faultText } from '@sorn/core/values';
import { BadInput, readSections, readProfile } from './input.ts';

export interface ExportOptions {
  as?: string;
  sections?: string;
  monitor?: string;
  board?: string;
  windows?: string;
}

const FORMS = [...FORMATS, 'csv', 'svg'] as const;
const MOST_DRAWN = 99;

/** `sorn export PROFILE`: the profile, or sections of it, in another form. */
export function exportFile(file: string, options: ExportOptions): string {
  const form = oneOf(options.as ?? 'yaml', FORMS, '--as');
  const profile = readProfile(file);
  const sections = options.sections === undefined ? undefined : sectionsOf(options.sections);
  if (form === 'csv') return table(profile, sections);
  if (form === 'svg') return drawing(profile, options);
  return written(fileOf(profile, sections), form, file);
}

function written(value: object, format: Format, file: string): string {
  const because = whyNot(value, format);
  if (because !== null) throw new BadInput([`${file}: ${because}`]);
  return writeText(value, format);
}

function table({ rules, keys }: Profile, sections: readonly SectionId[] = []): string {
  const [section] = sections;
  if (sections.length === 1 && section === 'rules') return rulesCsv(rules);
  if (sections.length === 1 && section === 'keys') return keysCsv(keys);
  throw new BadInput([
    '--as csv: only one of rules and keys is a table; expected --sections rules, or --sections keys',
  ]);
}

function drawing(
  profile: Profile,
  { monitor, board: boardId, windows = '4' }: ExportOptions,
): string {
  const on = monitor ?? profile.desks[0]?.primary ?? profile.monitors[0]!.id;
  const board = profile.boards.find(({ id }) => id === boardId);
  if (boardId !== undefined && !board)
    throw new BadInput([`--board is ${boardId}; expected one of ${listed(profile.boards)}`]);
  const count = Number(windows);
  if (!Number.isInteger(count) || count < 1 || count > MOST_DRAWN)
    throw new BadInput([
      `--windows is ${windows}; expected a whole number from 1 to ${MOST_DRAWN}`,
    ]);
  try {
    return board ? zoneBoardSvg(profile, board, on) : layoutSvg(profile, on, count);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new BadInput([
      `--monitor: ${error.message}; expected one of ${listed(profile.monitors)}`,
    ]);
  }
}

export interface ImportOptions {
  as?: string;
  sections?: string;
  conflicts?: string;
  plan?: boolean;
}

const CONFLICTS = ['keep', 'take', 'both'] as const;

/** `sorn import PROFILE FILE`: the profile with what a file brings; or only what that would be. */
export function importFile(profileFile: string, file: string, options: ImportOptions): string {
  const profile = readProfile(profileFile);
  const brought = readSections(file, profile);
  const sections = options.sections === undefined ? SECTIONS : sectionsOf(options.sections);
  const conflicts = oneOf(options.conflicts ?? 'keep', CONFLICTS, '--conflicts');
  const items = importItems(profile, brought).filter(({ section }) => sections.includes(section));
  if (options.plan) return `${items.flatMap(planLines).join('\n') || 'Nothing to bring in.'}\n`;
  const taken = items.flatMap(({ id, kind, canBoth }) => {
    if (kind === 'conflict' && conflicts === 'keep') return [];
    const taking = kind === 'conflict' && conflicts === 'both' && canBoth ? 'both' : 'theirs';
    return [[id, taking] as const];
  });
  const made = withImported(profile, brought, new Map(taken));
  if (!made.ok) throw new BadInput(made.faults.map((fault) => `${file}: ${faultText(fault)}`));
  const format =
    options.as === undefined
      ? (formatOf(profileFile) ?? 'yaml')
      : oneOf(options.as, FORMATS, '--as');
  return written(fileOf(made.value), format, file);
}

function planLines({ kind, section, text, details }: ImportItem): string[] {
  return [
    `${kind.padEnd(8)} ${section.padEnd(7)} ${text}`,
    ...details.map((detail) => `                 ${detail}`),
  ];
}

/** `sorn diff A B`: what makes the second profile of the first. */
export function diffFiles(
  a: string,
  b: string,
  asText: boolean,
): { text: string; isSame: boolean } {
  const [before, after] = [readProfile(a), readProfile(b)];
  const changes = changeTexts(before, after);
  const findings = newFindings(before, after);
  const text = asText
    ? [
        ...(changes.length > 0 ? changes : ['The same.']),
        ...findings.map((each) => `found: ${each}`),
      ].join('\n')
    : JSON.stringify({ changes, findings }, null, 2);
  return { text: `${text}\n`, isSame: changes.length === 0 };
}

/** What the checkup finds in the second and not in the first. */
function newFindings(before: Profile, after: Profile): string[] {
  const texts = (profile: Profile) =>
    checkProfile(profile).map((finding) => findingText(finding, (id) => monitorName(profile, id)));
  const known = new Set(texts(before));
  return texts(after).filter((text) => !known.has(text));
}

function sectionsOf(text: string): SectionId[] {
  return text.split(',').map((name) => oneOf(name.trim(), SECTIONS, '--sections'));
}

function oneOf<const T extends readonly string[]>(
  value: string,
  words: T,
  option: string,
): T[number] {
  if ((words as readonly string[]).includes(value)) return value as T[number];
  throw new BadInput([`${option} is ${value}; expected one of ${words.join(', ')}`]);
}

const listed = (items: readonly { id: string }[]) => items.map(({ id }) => id).join(', ') || 'none';
