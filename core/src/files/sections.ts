import { migrated, PROFILE_VERSION } from '../model/migrate.ts';
import { PROFILE_FIELDS, profileSchema, type Profile } from '../model/profile.ts';
import { read, type Read } from '../values/faults.ts';
import { compactProfile } from './compact.ts';
import { isFields } from './differences.ts';
import type { Path } from './lists.ts';
import { isSlip, readSlip } from './slip.ts';
import { unknownModifiers } from './unknown-modifiers.ts';

/** The parts of a profile that can leave and come back alone. */
export const SECTIONS = [
  'desks',
  'layouts',
  'boards',
  'rules',
  'keys',
  'apps',
  'look',
  'trials',
] as const;
export type SectionId = (typeof SECTIONS)[number];

export const SECTION_NAMES: Record<SectionId, { title: string; says: string }> = {
  desks: { title: 'Desks', says: 'monitors, desks, workspaces, machines' },
  layouts: { title: 'Layouts', says: 'layouts, gaps, placing and floating' },
  boards: { title: 'Boards', says: 'zone boards' },
  rules: { title: 'Rules', says: 'floating-window rules and others' },
  keys: { title: 'Keys', says: 'bindings, layers, chains, devices' },
  apps: { title: 'Apps', says: 'apps, and which open at the start' },
  look: { title: 'Look', says: 'focus frame, motion and pointer' },
  trials: { title: 'Trials', says: 'what is done, and expected' },
};

export const SECTION_FIELDS: Record<SectionId, readonly (keyof Profile)[]> = {
  desks: ['monitors', 'desks', 'workspaces', 'machines'],
  layouts: ['floating', 'tiling', 'placing'],
  boards: ['boards'],
  rules: ['rules'],
  keys: ['keys', 'chains', 'menus'],
  apps: ['apps', 'start'],
  look: ['pointer', 'look'],
  trials: ['trials'],
};

/** The section that a field of a profile belongs to; null for its version and name. */
export function sectionOf(field: string): SectionId | null {
  return (
    SECTIONS.find((section) => (SECTION_FIELDS[section] as readonly string[]).includes(field)) ??
    null
  );
}

/** Where a server has the schema of files of this version. */
export const SCHEMA_PATH = `/schema/profile-${PROFILE_VERSION}.json`;
/** The usual address of a server. */
const USUAL_SERVER = 'http://127.0.0.1:4680';
export const SCHEMA_URL = USUAL_SERVER + SCHEMA_PATH;

/**
 * A profile as a file says it: whole, or only some sections. What goes without saying is left out.
 *
 * @param server the address of the server that has the schema, such as "http://127.0.0.1:4681"
 */
export function fileOf(
  profile: Profile,
  sections?: readonly SectionId[],
  server = USUAL_SERVER,
): Record<string, unknown> {
  const said = compactProfile(profile);
  const head = { $schema: server + SCHEMA_PATH, version: PROFILE_VERSION };
  if (!sections) return { ...head, ...said };
  const wanted = SECTIONS.filter((section) => sections.includes(section));
  const names = wanted.flatMap((section) => SECTION_FIELDS[section]);
  const empty = (name: keyof Profile) => (Array.isArray(profile[name]) ? [] : {});
  return { ...head, ...Object.fromEntries(names.map((name) => [name, said[name] ?? empty(name)])) };
}

/** What a file says: a profile in which only some parts are meant, each by the path to it. */
export interface FromFile {
  profile: Profile;
  says: readonly Path[];
  /** True where it can stand alone as a profile. */
  isWhole: boolean;
}

/** A placeholder for the monitors of a file that has none. */
const NO_MONITOR = { id: 'none', width: 1, height: 1 };

/**
 * Reads what a file says, whole, in sections or as a slip, and of any version, or tells every fault in it.
 * @param bundles those that sections can name though they are not in the file
 */
export function readFile(input: unknown, bundles: readonly string[] = []): Read<FromFile> {
  if (isSlip(input)) return readSlipFile(input, bundles);
  const present = migrated(input);
  if (!isFields(present)) {
    const faults = read(profileSchema, input);
    return faults.ok ? { ok: false, faults: [] } : faults;
  }
  const isWhole = 'monitors' in present;
  const result = read(profileSchema, isWhole ? present : { ...present, monitors: [NO_MONITOR] });
  if (!result.ok) return result;
  const unknown = unknownModifiers(result.value, isWhole ? [] : bundles);
  if (unknown.length > 0) return { ok: false, faults: unknown };
  const says = PROFILE_FIELDS.filter((field) => field in present && sectionOf(field) !== null);
  return {
    ok: true,
    value: { profile: result.value, says: says.map((field) => [field]), isWhole },
  };
}

function readSlipFile(input: Record<string, unknown>, bundles: readonly string[]): Read<FromFile> {
  const slip = readSlip(input, (part) => {
    const result = read(profileSchema, migrated(part));
    const unknown = result.ok ? unknownModifiers(result.value, bundles) : [];
    return unknown.length > 0 ? { ok: false, faults: unknown } : result;
  });
  return slip.ok ? { ok: true, value: { ...slip.value, isWhole: false } } : slip;
}

/** A profile with a section as another has it. */
export function withSection(profile: Profile, section: SectionId, from: Profile): Profile {
  const fields = SECTION_FIELDS[section].map((field) => [field, from[field]] as const);
  return { ...profile, ...Object.fromEntries(fields) };
}
